"""Results in the marks of the gauge they will be read on, with what is to be said of that beforehand."""

from __future__ import annotations

import unittest

from hydrostatics.errors import Refusal
from hydrostatics.works.in_marks import in_marks
from tests.support.documents import answered, bare, bottle

ROOM = {"station_pressure": "955 hPa", "temperature": "20 degC"}
TUBE = bare("lifted-column", {"liquid": "water", "bore": "18 mm", "tube_length": "60 cm", "trapped_gas": {"length": "9 cm"}, "lift": "40 +/- 0.5 cm"}, **ROOM)


class InMarks(unittest.TestCase):
    def of(self, path: str, mark: str, full: str = ""):
        return next(one for one in in_marks(answered(TUBE), mark, full) if one.path == path)

    def test_a_pressure_stands_in_marks_with_its_uncertainty(self):
        pressure = answered(TUBE)["results"]["gas_pressure"]
        got = self.of("results.gas_pressure", "20 hPa")
        self.assertAlmostEqual(got.marks, pressure["value"] / 2000)
        self.assertAlmostEqual(got.standard_uncertainty, pressure["standard_uncertainty"] / 2000)

    def test_only_what_the_gauge_shows_is_told(self):
        self.assertEqual({one.path for one in in_marks(answered(TUBE), "2 hPa")}, {"results.gas_pressure"})
        self.assertIn("results.level", {one.path for one in in_marks(answered(TUBE), "1 mm")})
        self.assertEqual([one.path for one in in_marks(answered(bottle()), "0.1 g")], [])

    def test_off_the_scale_and_half_a_mark_are_said_beforehand_and_no_surer_than_the_numbers(self):
        for mark, full, words in (
            ("20 hPa", "900 hPa", "off the scale"),
            ("20 hPa", "1100 hPa", ""),
            ("0.5 bar", "", ""),
            ("3 bar", "", "less than half a mark: nothing will be seen"),
        ):
            self.assertEqual(self.of("results.gas_pressure", mark, full).words, words, (mark, full))
        level = answered(TUBE)["results"]["level"]
        edge = f"{level['value'] + level['standard_uncertainty']:.6f} m"
        self.assertEqual(self.of("results.level", "1 mm", edge).words, "perhaps off the scale")
        edge = f"{level['value'] - level['standard_uncertainty']:.6f} m"
        self.assertEqual(self.of("results.level", "1 mm", edge).words, "perhaps off the scale")
        half = f"{2 * (level['value'] + level['standard_uncertainty']):.6f} m"
        self.assertEqual(self.of("results.level", half).words, "perhaps less than half a mark")

    def test_a_mark_that_is_none_is_refused(self):
        for mark, full in (("0 hPa", ""), ("-2 hPa", ""), ("20", ""), ("20 hPa", "3 m")):
            with self.assertRaises(Refusal):
                in_marks(answered(TUBE), mark, full)
