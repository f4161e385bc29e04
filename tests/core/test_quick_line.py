"""The quick line: what it answers, what it says it rests on, and what it says it cannot read."""

from __future__ import annotations

import unittest

from hydrostatics.documents.reader import read_room
from hydrostatics.errors import Refusal
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
            ("20 degC in degF", "68\u00a0°F", ""),
            ("  3   kg  as  lb ", "6.614\u00a0lb", ""),
            ("3 metres of water in feet of salt water", "9.586\u00a0ft", "of salt water, gauge"),
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

    def test_what_it_cannot_read_it_says_with_what_it_can(self):
        for text, words in (
            ("how deep", "try 38 m of water in bar"),
            ("60 psi", "try"),
            ("3 m in bar", "no unit for a length"),
            ("3 m, absolute", "of what liquid"),
            ("10 m of honey in bar", "known are water"),
            ("3 kg absolute in bar", "pressures and heights"),
            ("3 zorks in m", "number with a unit"),
            ("2 mL in mm", "no unit for a volume"),
            ("1 m of water in kg", "no unit for a pressure"),
            ("12 ft in", "try"),
            ("x" * 500, "try"),
            ("12,5 cm in m", "decimal point"),
        ):
            with self.subTest(text=text[:30]), self.assertRaises(Refusal) as caught:
                said(text)
            self.assertIn(words, str(caught.exception))
            self.assertEqual(caught.exception.path, "text")
