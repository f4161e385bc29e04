"""The quick line: what it answers, what it says it rests on, and what it says it cannot read."""

from __future__ import annotations

import unittest

from hydrostatics.documents.reader import read_room
from hydrostatics.errors import OutOfRange, Refusal
from hydrostatics.works.quick_line import EXAMPLES, quick_line

ROOM = {"station_pressure": "941 hPa", "temperature": "17 degC", "gravity": "9.81 m/s^2"}


def said(text: str, **room: str):
    return quick_line(text, read_room({**ROOM, **room}))


class QuickLine(unittest.TestCase):
    def test_what_it_is_for(self):
        for text, answer, of in (
            ("38 m of water in bar", "3.723\u00a0bar", "gauge, above the room"),
            ("2.4 bar gauge, absolute here", "3.341\u00a0bar", "absolute"),
            ("33 psi absolute in kPa gauge", "133.4\u00a0kPa", "gauge, above the room"),
            ("101 kPa absolute, gauge here", "6.9\u00a0kPa", "gauge, above the room"),
            ("1 m of mercury in m of water", "13.57\u00a0m", "of water, gauge"),
            ("5 cm of water in hPa absolute", "945.9\u00a0hPa", "absolute"),
            ("30 m of water absolute in bar", "2.939\u00a0bar", "absolute"),
            ("12 ft in m", "3.658\u00a0m", ""),
            ("air at 2900 m", "710\u00a0hPa", "absolute"),
            ("What is the air pressure at 9500 ft in inHg?", "20.98\u00a0inHg", "absolute"),
            ("20 degC in degF", "68\u00a0°F", ""),
            ("  3   kg  as  lb ", "6.614\u00a0lb", ""),
            ("3 metres of water in feet of salt water", "9.586\u00a0ft", "of salt water, gauge"),
            ("10 m of water in m of mercury absolute", "1.445\u00a0m", "of mercury, absolute"),
            ("27 inHg vacuum", "−0.9143\u00a0bar", "gauge, below the room"),
            ("38 m of water in bar, absolute here", "4.664\u00a0bar", "absolute"),
            ("38 m of water", "3.723\u00a0bar", "gauge, above the room"),
            ("0.4 bar absolute", "40\u00a0kPa", "absolute"),
            ("how high is 71 cmHg in water", "9.661\u00a0m", "of water, gauge"),
        ):
            with self.subTest(text=text):
                got = said(text)
                self.assertEqual((got.answer, got.of), (answer, of))

    def test_the_examples_it_offers_can_be_read(self):
        for text in EXAMPLES:
            said(text)

    def test_it_says_what_it_rests_on(self):
        self.assertIn("p₀ 941", said("2.4 bar gauge, absolute here").rests_on)
        self.assertIn("textbook constants", said("10 m of water in bar", constants="textbook").rests_on)
        self.assertIn("water at 17\u00a0°C", said("10 m of water in bar").rests_on)
        self.assertIn("never poured", said("70 cm of mercury in hPa").caution)
        self.assertIn("= 372", said("38 m of water in bar").line)

    def test_the_constants_in_use_decide(self):
        self.assertEqual(said("10 m of water in kPa", constants="textbook", gravity="9.8 m/s^2").answer, "98\u00a0kPa")

    def test_it_reads_as_people_type(self):
        for typed, plainly in (
            ("5 in of water in Pa", "5 inch of water in Pa"),
            ("29.92 in Hg in hPa", "29.92 inHg in hPa"),
            ("12 in in cm", "12 inch in cm"),
            ("10 m water in bar", "10 m of water in bar"),
            ("10 m sea water in bar", "10 m of salt water in bar"),
            ("10 m of brine in bar", "10 m of salt water in bar"),
            ("2 m of oil in hPa", "2 m of vegetable oil in hPa"),
            ("9.81 m/s2 in ft/s2", "9.81 m/s^2 in ft/s^2"),
            ("1000 kg/m3 in g/cm3", "1000 kg/m^3 in g/cm^3"),
            ("10 N/cm2 in bar", "10 N/cm^2 in bar"),
            (".5 bar in psi", "0.5 bar in psi"),
            ("0,5 bar in psi", "0.5 bar in psi"),
            ("760 Torr in hPa", "760 torr in hPa"),
            ("29 inhg in mmhg", "29 inHg in mmHg"),
            ("1/2 inch in mm", "0.5 inch in mm"),
            ("12 ft into m", "12 ft in m"),
            ("What is 3 m in ft?", "3 m in ft"),
            ("how many metres of water is 1 atm", "1 atm in m of water"),
            ("1e3 hPa in bar", "1000 hPa in bar"),
        ):
            with self.subTest(typed=typed):
                self.assertEqual(said(typed).answer, said(plainly).answer)

    def test_a_temperature_a_density_and_a_tolerance_are_carried(self):
        self.assertEqual(said("38 m of water in bar at 80 degC").answer, "3.623\u00a0bar")
        self.assertIn("water at 80\u00a0°C", said("38 m of water in bar at 80 °C").rests_on)
        self.assertEqual(said("1 m of 1.2 g/cm3 in hPa").answer, "117.7\u00a0hPa")
        self.assertEqual(said("38 ± 0.5 m of water in bar").answer, "3.72\u00a0±\u00a00.05\u00a0bar")
        self.assertEqual(said("38 ± 0.5 m of water in m of mercury").answer, "2.80\u00a0±\u00a00.04\u00a0m")

    def test_what_is_read_as_something_else_is_told(self):
        self.assertIn("vegetable oil, which is how “oil” is read", said("2 m of oil in hPa").rests_on)
        self.assertIn("salt water (35 g/kg)", said("2 m of brine in hPa").rests_on)

    def test_every_usual_unit_at_once_gauge_and_absolute_with_the_one_asked_for_marked(self):
        got = said("38 m of water in bar, absolute here")
        self.assertEqual(got.columns, ("gauge", "absolute"))
        rows = {row.unit: row for row in got.rows}
        self.assertEqual((rows["bar"].values, rows["bar"].asked), (("3.723", "4.664"), 1))
        self.assertEqual([row.unit for row in got.rows if row.asked >= 0], ["bar"])
        self.assertEqual(rows["m of water"].values[0], "38")
        self.assertEqual([row.asked for row in said("38 m of water").rows if row.asked >= 0], [])
        self.assertEqual([row.values for row in said("12 ft in m").rows if row.unit == "m"], [("3.658",)])

    def test_units_of_one_name_and_two_sizes_are_told_apart(self):
        """NIST SP 811 (2008), appendix B.8."""
        for text, answer in (
            ("3 US gallons in L", "11.36\u00a0L"),
            ("3 imperial gal in L", "13.64\u00a0L"),
            ("2 UK pints in mL", "1137\u00a0mL"),
            ("2 long tons in kg", "2032\u00a0kg"),
            ("2 short tons in kg", "1814\u00a0kg"),
            ("2 tonnes in kg", "2000\u00a0kg"),
            ("10 L in imperial gallons", "2.2\u00a0imperial gal"),
        ):
            with self.subTest(text=text):
                self.assertEqual(said(text).answer, answer)

    def test_nothing_is_below_absolute_zero(self):
        for text in ("-2 bar gauge in hPa", "30 inHg vacuum", "-300 degC in K", "-0.1 bar absolute in psi", "-10 m of water in bar"):
            with self.subTest(text=text), self.assertRaises(OutOfRange):
                said(text)
        self.assertEqual(said("-9 m of water in bar").of, "gauge, below the room")

    def test_what_it_cannot_read_it_says_with_the_nearest_line_that_it_can(self):
        for text, nearest in (
            ("38 m of watr in bar", "38 m of water in bar"),
            ("38 mtres of water in bar", "38 metres of water in bar"),
            ("30 psig in bar", "30 psi gauge in bar"),
            ("20 C in F", "20 degC in degF"),
            ("3 gallons in L", "3 US gallon in L"),
            ("1,000 mm in m", "1000 mm in m"),
            ("12 ft in", "12 ft"),
        ):
            with self.subTest(text=text), self.assertRaises(Refusal) as caught:
                said(text)
            self.assertEqual(caught.exception.plain_parts()["nearest"], nearest)
            said(nearest)

    def test_what_it_cannot_read_it_says_with_what_it_can(self):
        for text, words in (
            ("how deep", "try 38 m of water in bar"),
            ("3 m in bar", "no unit for a length"),
            ("3 m, absolute", "of what liquid"),
            ("10 m of honey in bar", "known are water"),
            ("3 kg absolute in bar", "pressures and heights"),
            ("3 zorks in m", "number with a unit"),
            ("2 mL in mm", "no unit for a volume"),
            ("1 m of water in kg", "no unit for a pressure"),
            ("12 ft in", "in what?"),
            ("x" * 500, "try"),
            ("2.4 bar gauge absolute in psi", "either gauge or absolute"),
            ("30 psig", "psi gauge"),
            ("2 tons", "short ton or long ton"),
        ):
            with self.subTest(text=text[:30]), self.assertRaises(Refusal) as caught:
                said(text)
            self.assertIn(words, str(caught.exception))
            self.assertEqual(caught.exception.path, "text")


class Air(unittest.TestCase):
    def test_it_is_the_standard_atmosphere_and_says_so(self):
        # ISO 2533: 95 460.8, 79 495.2, 61 640.2 Pa at 500, 2000, 4000 m geopotential
        for height, hectopascals in ((500, 954.6), (2000, 795.0), (4000, 616.4)):
            self.assertEqual(said(f"air at {height} m").answer, f"{hectopascals:g}\u00a0hPa")
        self.assertIn("ISO 2533", said("air at 2900 m").rests_on)
        self.assertIn("75 % of the 941", said("air at 2900 m").working)

    def test_heights_beyond_it_and_units_that_are_none_are_refused(self):
        with self.assertRaises(OutOfRange):
            said("air at 40 km")
        with self.assertRaisesRegex(Refusal, "no unit for a pressure"):
            said("air at 2900 m in kg")
