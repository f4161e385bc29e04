"""A curve as it is drawn: axes in the units told, gaps where there is no result, the verdict below, today's point."""

from __future__ import annotations

import unittest

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.section.outline import steady, widening
from hydrostatics.views.curve import FRAME, lay_out_curve
from hydrostatics.views.property import lay_out_property
from hydrostatics.works.sweep import sweep
from tests.support.documents import worked_out


def drawn(key: str, path: str, result: str, unit_x: str, unit_y: str, low: float, high: float, marks=()):
    one, now = worked_out(by_key()[key].guide.starts[0]["document"])
    items = lay_out_curve(sweep(one, now.inputs, path, result, low, high), unit_x, unit_y, marks)["items"]
    return {item["id"]: item for item in items}


class Curves(unittest.TestCase):
    def test_everything_stays_on_the_sheet(self):
        items = drawn("lifted-column", "setup.lift", "results.level", "cm", "cm", 0.05, 0.9)
        for item in items.values():
            for x, y in zip(item.get("d", [])[::2], item.get("d", [])[1::2], strict=True):
                self.assertTrue(-0.5 <= x <= FRAME.width + 0.5, item["id"])
                self.assertTrue(-0.5 <= y <= FRAME.height + 0.5, item["id"])

    def test_the_line_ends_where_the_result_does_and_the_verdict_is_told_below(self):
        items = drawn("lifted-column", "setup.lift", "results.level", "cm", "cm", 0.05, 0.9)
        last = items["curve-0"]["d"][-2]
        out = FRAME.left + (0.68 - 0.05) / 0.85 * (FRAME.width - FRAME.left - FRAME.right)
        self.assertAlmostEqual(last, out, delta=3)
        solid = [item for id, item in items.items() if id.startswith("verdict-")]
        self.assertEqual([item["words"] for item in solid], ["fails here"])
        self.assertEqual(solid[0]["f"], "ink")

    def test_axes_are_named_with_their_units_and_read_in_them(self):
        items = drawn("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0)
        self.assertEqual(items["x-title"]["runs"][0][0], "Depth of the probe, m")
        self.assertEqual(items["y-title"]["runs"][0][0], "gauge pressure at the probe, kPa")
        words = [item["runs"][0][0] for id, item in items.items() if id.startswith("x-") and id.endswith("-words")]
        self.assertEqual(words, ["0.0", "0.5", "1.0", "1.5", "2.0"])

    def test_todays_point_stands_on_the_curve(self):
        items = drawn("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0)
        x = FRAME.left + 0.72 / 2 * (FRAME.width - FRAME.left - FRAME.right)
        self.assertAlmostEqual(items["today"]["x"], x, delta=0.1)
        away = drawn("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 1.0, 2.0)
        self.assertNotIn("today", away)

    def test_what_grows_is_drawn_rising_between_its_own_figures(self):
        items = drawn("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0)
        heights = items["curve-0"]["d"][1::2]
        self.assertEqual(heights, sorted(heights, reverse=True))
        self.assertLess(items["today"]["y"], heights[0])
        figures = [item for id, item in items.items() if id.startswith("y-") and id.endswith("-words")]
        self.assertEqual([item["y"] for item in figures], sorted((item["y"] for item in figures), reverse=True))
        self.assertEqual([float(item["runs"][0][0]) for item in figures], sorted(float(item["runs"][0][0]) for item in figures))

    def test_marks_stand_where_they_are_told(self):
        items = drawn("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0, ((1.0, "here"), (5.0, "off")))
        self.assertAlmostEqual(items["mark-0"]["d"][0], FRAME.left + 0.5 * (FRAME.width - FRAME.left - FRAME.right), delta=0.1)
        self.assertEqual(items["mark-0"]["d"][1::2], [FRAME.top, FRAME.height - FRAME.foot])
        self.assertNotIn("mark-1", items)


class Properties(unittest.TestCase):
    def test_figures_are_in_the_unit_told_and_three_or_more(self):
        items = lay_out_property("viscosity", "viscosity", [273.15, 373.15], [1.79e-3, 0.28e-3])["items"]
        told = [item["runs"][0][0] for item in items if item.get("runs")]
        self.assertEqual(told, ["0", "50", "100", "0.5", "1.0", "1.5", "temperature, \u00b0C", "viscosity, mPa\u00b7s"])

    def test_a_constant_stands_in_the_middle_of_a_small_span(self):
        items = {item["id"]: item for item in lay_out_property("contact angle", "angle", [273.15, 313.15], [0.0, 0.0])["items"]}
        heights = set(items["curve"]["d"][1::2])
        self.assertEqual(len(heights), 1)
        told = [item["runs"][0][0] for id, item in items.items() if id.startswith("y-") and id.endswith("-words")]
        self.assertEqual((told[0], told[-1]), ("\u22121.0", "1.0"))
        self.assertAlmostEqual(heights.pop(), next(item["y"] for item in items.values() if item.get("runs", [[""]])[0][0] == "0.0"), delta=6)


class Outlines(unittest.TestCase):
    def test_a_steady_size_holds_for_small_changes_and_is_never_below(self):
        for size in (0.013, 0.2, 0.99, 1.0, 7.6, 123.0):
            self.assertGreaterEqual(steady(size) * (1 + 1e-12), size)
            self.assertLessEqual(steady(size), 1.55 * size)
        self.assertEqual(steady(1.02), steady(1.4))

    def test_a_tube_is_drawn_wider_only_where_it_would_be_a_line(self):
        self.assertEqual(widening(0.07, 0.1), 1.0)
        self.assertGreaterEqual(widening(0.012, 10.6) * 0.012, 10.6 / 26 * (1 - 1e-9))
