"""The siphon: what is refused, when it runs, stands or breaks, and what is drawn and played of it."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.errors import OutOfRange
from tests.support.documents import answered, started, values, worked_out


def siphon(start: int = 0, **changes):
    return started("siphon", start, **changes)


class Refused(unittest.TestCase):
    def test_a_hose_that_does_not_reach_over(self):
        for changes, path in (
            ({"length": "1 m"}, "setup.length"),
            ({"length_to_crest": "20 cm"}, "setup.length_to_crest"),
            ({"length_to_crest": "1.2 m"}, "setup.length_to_crest"),
        ):
            with self.subTest(changes=changes), self.assertRaises(OutOfRange) as caught:
                work_out(siphon(**changes))
            self.assertEqual(caught.exception.path, path)

    def test_a_hose_that_just_reaches_over_is_taken(self):
        self.assertEqual(answered(siphon(length="102 cm"))["verdict"]["state"], "works")


class Fares(unittest.TestCase):
    def test_an_outlet_that_is_not_below_gives_nothing(self):
        for drop in ("0 cm", "-12 cm"):
            got = values(siphon(drop=drop))
            for key in ("ideal_speed", "speed", "flow", "reynolds"):
                self.assertEqual(got[f"results.{key}"], 0, key)
            self.assertAlmostEqual(got["results.crest_pressure"], 101_325 - 998.207 * 9.80665 * 0.22, delta=0.5)
            self.assertIsNone(got["results.time_to_empty"])
            self.assertEqual(answered(siphon(drop=drop))["verdict"]["state"], "fails")

    def test_a_vessel_that_the_outlet_catches_up_with_is_never_drawn_down(self):
        self.assertIsNone(values(siphon(draw_depth="58 cm"))["results.time_to_empty"])
        self.assertIsNone(values(siphon(lower_area="100 cm^2"))["results.time_to_empty"])
        self.assertIsNotNone(values(siphon(lower_area="900 cm^2"))["results.time_to_empty"])

    def test_a_rising_lower_surface_makes_it_slower(self):
        self.assertGreater(values(siphon(lower_area="900 cm^2"))["results.time_to_empty"], 1.03 * values(siphon())["results.time_to_empty"])

    def test_it_breaks_high_up_and_by_its_own_speed(self):
        """A crest that holds at rest breaks in a wide, short-legged hose that runs fast."""
        fast = siphon(crest="8 m", drop="9 m", bore="60 mm", length="26 m", upper_area=None, draw_depth=None)
        got = answered(fast)
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertGreater(got["results"]["crest_limit"]["value"], 8)

    def test_no_advice_says_to_suck_and_priming_by_mouth_is_cautioned_against(self):
        for start in range(4):
            self.assertTrue(any("never by mouth" in line for line in answered(siphon(start))["cautions"]))


class Drawn(unittest.TestCase):
    def test_crest_and_outlet_stand_where_they_are(self):
        one, now = worked_out(siphon())
        scene = one.section(now)
        shapes = {shape.id: shape for shape in scene.shapes}
        zero = shapes["surface"].points[0][1]
        points = np.array(shapes["falling"].points)
        self.assertAlmostEqual(points[:, 1].min(), zero - 0.58, places=6)
        self.assertAlmostEqual((np.array(shapes["rising"].points)[:, 1].max()) - zero, 0.22, delta=0.03)
        self.assertAlmostEqual(shapes["rising"].pressures[1], now.value("results.crest_pressure") - 101_325, places=6)

    def test_a_broken_one_has_a_gap_of_vapour(self):
        one, now = worked_out(siphon(2))
        shapes = {shape.id: shape for shape in one.section(now).shapes}
        self.assertIn("parted", shapes)
        self.assertNotIn("stream", shapes)
        self.assertIsNone(one.moments(now))

    def test_the_surface_sinks_ever_slower_and_ends_at_the_mouth(self):
        one, now = worked_out(siphon())
        timeline = one.moments(now)
        sunk = np.array(timeline.series["sunk"][2])
        self.assertAlmostEqual(timeline.times[-1], now.value("results.time_to_empty"))
        self.assertAlmostEqual(sunk[-1], 0.17, places=6)
        self.assertTrue((np.diff(sunk, 2) < 1e-9).all())
        self.assertTrue((np.diff(timeline.series["crest"][2]) < 0).any())

    def test_without_a_vessels_size_a_drop_of_dye_shows_the_speed(self):
        one, now = worked_out(siphon(1))
        timeline = one.moments(now)
        self.assertAlmostEqual(timeline.times[-1] * now.value("results.speed"), 8.0, places=6)
