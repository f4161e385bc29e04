"""A chart as it is told: axes in the units told, gaps where there is no result, the verdict below, today's point."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.prediction import Dot, Line, Plot
from hydrostatics.quantities.saying import COVERAGE
from hydrostatics.readings import series
from hydrostatics.section.outline import steady, widening
from hydrostatics.views.chart import Chart, Scale, widened
from hydrostatics.views.curve import chart_of_curve
from hydrostatics.views.plot import chart_of_plot
from hydrostatics.views.property import chart_of_property
from hydrostatics.views.readings import chart_of_readings
from hydrostatics.works.sweep import sweep
from tests.support.documents import worked_out


def charted(key: str, path: str, result: str, unit_x: str, unit_y: str, low: float, high: float, marks=()):
    one, now = worked_out(by_key()[key].guide.starts[0]["document"])
    return chart_of_curve(sweep(one, now.inputs, path, result, low, high), unit_x, unit_y, marks)


class Curves(unittest.TestCase):
    def test_line_and_band_stay_between_the_ends_of_the_axes(self):
        chart = charted("lifted-column", "setup.lift", "results.level", "cm", "cm", 0.05, 0.9)
        (line,) = chart["lines"]
        (left, right), (low, high) = chart["x"]["ends"], chart["y"]["ends"]
        self.assertEqual((left, right), (line["x"][0], line["x"][-1]))
        there = [(y - far, y + far) for y, far in zip(line["y"], line["spread"], strict=True) if y is not None]
        self.assertGreater(min(a for a, _ in there), low)
        self.assertLess(max(b for _, b in there), high)

    def test_the_line_ends_where_the_result_does_and_the_verdict_is_told_below(self):
        chart = charted("lifted-column", "setup.lift", "results.level", "cm", "cm", 0.05, 0.9)
        (line,) = chart["lines"]
        last = max(x for x, y in zip(line["x"], line["y"], strict=True) if y is not None)
        self.assertAlmostEqual(last, 68, delta=1)
        self.assertEqual([one["state"] for one in chart["strip"]], ["fails"])
        self.assertAlmostEqual(chart["strip"][0]["ends"][0], 68, delta=1)
        self.assertEqual(chart["strip"][0]["ends"][1], 90)

    def test_axes_are_named_with_their_units_and_read_in_them(self):
        chart = charted("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0)
        self.assertEqual((chart["x"]["label"], chart["x"]["unit"]), ("Depth of the probe", "m"))
        self.assertEqual((chart["y"]["label"], chart["y"]["unit"]), ("gauge pressure at the probe", "kPa"))
        self.assertEqual(chart["x"]["ends"], [0, 2])

    def test_todays_point_stands_on_the_curve(self):
        chart = charted("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0)
        (line,), (x, y) = chart["lines"], chart["today"]
        self.assertEqual(x, 0.72)
        self.assertAlmostEqual(y, float(np.interp(x, line["x"], line["y"])), places=3)
        self.assertIsNone(charted("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 1.0, 2.0)["today"])

    def test_a_line_is_the_sweep_in_the_units_told(self):
        for unit, factor in (("kPa", 1e3), ("hPa", 1e2)):
            chart = charted("depth-pressure", "setup.depth", "results.gauge_pressure", "m", unit, 0.0, 2.0)
            (line,) = chart["lines"]
            one, now = worked_out(by_key()["depth-pressure"].guide.starts[0]["document"])
            curve = sweep(one, now.inputs, "setup.depth", "results.gauge_pressure", 0.0, 2.0)
            self.assertAlmostEqual(line["y"][-1] * factor, float(curve.y[-1]), delta=1e-6 * float(curve.y[-1]))
            self.assertAlmostEqual(line["spread"][-1] * factor, COVERAGE * float(curve.sd[-1]), delta=1e-6 * float(curve.y[-1]))

    def test_a_temperature_is_told_on_its_scale_and_its_band_without_the_zero(self):
        chart = Chart(Scale("p", "pressure", "hPa", 0.0, 1e5), Scale("t", "temperature", "degC", 273.15, 293.15))
        chart.points(np.array([5e4]), np.array([283.15]), np.array([2.0]), [""])
        chart.line(np.array([0.0, 1e5]), np.array([273.15, 293.15]), np.array([1.0, 2.0]))
        self.assertEqual(chart.told()["y"]["ends"], [0, 20])
        self.assertEqual(chart.dots, [{"x": 500.0, "y": 10.0, "spread": 2.0, "words": ""}])
        self.assertEqual(chart.lines[0]["spread"], [1, 2])

    def test_marks_stand_where_they_are_told(self):
        chart = charted("depth-pressure", "setup.depth", "results.gauge_pressure", "m", "kPa", 0.0, 2.0, ((1.0, "here"), (5.0, "off")))
        self.assertEqual(chart["marks"], [{"x": 1.0, "words": "here"}])

    def test_ends_around_one_value_leave_room(self):
        for value in (0.0, 3.0, -2.0):
            low, high = widened(value, value, 0.06)
            self.assertLess(low, value)
            self.assertGreater(high, value)


class Plots(unittest.TestCase):
    def test_bands_and_half_widths_stay_between_the_ends(self):
        line = Line("fitted", np.array([0.0, 1.0]), np.array([2.0, 3.0]), np.array([0.5, 0.5]), dashed=True)
        chart = chart_of_plot(Plot("t", ("a", "length", "cm"), ("b", "length", "m"), (line,), (Dot(0.5, 9.0, 1.0, "far"),)))
        self.assertGreater(chart["y"]["ends"][1], 10)
        self.assertLess(chart["y"]["ends"][0], 1.5)
        self.assertEqual(chart["lines"][0], {"words": "fitted", "dashed": True, "x": [0.0, 100.0], "y": [2.0, 3.0], "spread": [0.5, 0.5]})
        self.assertEqual(chart["dots"], [{"x": 50.0, "y": 9.0, "spread": 1.0, "words": "far"}])


class Readings(unittest.TestCase):
    def test_each_is_a_point_in_its_order_between_the_ends_with_both_bands(self):
        read = [0.201, 0.207, 0.204]
        chart = chart_of_readings("reach", "length", "cm", read, series(read, 0.0005), 0.21, 0.004)
        self.assertEqual([(dot["x"], dot["y"]) for dot in chart["dots"][:3]], [(1, 20.1), (2, 20.7), (3, 20.4)])
        predicted, mean = chart["lines"]
        self.assertEqual((predicted["y"], predicted["spread"], predicted["dashed"]), ([21, 21], [0.8, 0.8], True))
        self.assertEqual(mean["y"], [20.4, 20.4])
        self.assertAlmostEqual(chart["dots"][3]["spread"], 100 * COVERAGE * series(read, 0.0005).standard_uncertainty, places=5)
        self.assertGreater(chart["y"]["ends"][1], 21.8)
        self.assertTrue(chart["x"]["whole"])


class Properties(unittest.TestCase):
    def test_figures_are_in_the_unit_told(self):
        chart = chart_of_property("viscosity", "viscosity", [273.15, 373.15], [1.79e-3, 0.28e-3])
        self.assertEqual((chart["x"]["ends"], chart["x"]["unit"]), ([0, 100], "\u00b0C"))
        self.assertEqual((chart["lines"][0]["y"], chart["y"]["unit"]), ([1.79, 0.28], "mPa\u00b7s"))

    def test_a_constant_stands_in_the_middle_of_a_small_span(self):
        chart = chart_of_property("contact angle", "angle", [273.15, 313.15], [0.0, 0.0])
        low, high = chart["y"]["ends"]
        self.assertEqual((low, high), (-1, 1))


class Outlines(unittest.TestCase):
    def test_a_steady_size_holds_for_small_changes_and_is_never_below(self):
        for size in (0.013, 0.2, 0.99, 1.0, 7.6, 123.0):
            self.assertGreaterEqual(steady(size) * (1 + 1e-12), size)
            self.assertLessEqual(steady(size), 1.55 * size)
        self.assertEqual(steady(1.02), steady(1.4))

    def test_a_tube_is_drawn_wider_only_where_it_would_be_a_line(self):
        self.assertEqual(widening(0.07, 0.1), 1.0)
        self.assertGreaterEqual(widening(0.012, 10.6) * 0.012, 10.6 / 26 * (1 - 1e-9))
