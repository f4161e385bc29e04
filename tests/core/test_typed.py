"""What people type into a form, as it is understood."""

from __future__ import annotations

import unittest

from hydrostatics.errors import Refusal
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.quantities.typed import read_typed

CASES = (
    # as typed, kind, unit shown, as the set-up file writes it, whether the unit is only offered
    ("88 mm", "length", "mm", "88 mm", False),
    ("88", "length", "mm", "88 mm", True),
    ("88,5 mm", "length", "mm", "88.5 mm", False),
    ("88,5", "length", "mm", "88.5 mm", True),
    ("88 +- 1 mm", "length", "mm", "88 +/- 1 mm", False),
    ("88 ± 1 mm", "length", "mm", "88 +/- 1 mm", False),
    ("88±1mm", "length", "cm", "88 +/- 1 mm", False),
    ("88 ± 1", "length", "mm", "88 +/- 1 mm", True),
    ("88(1) mm", "length", "mm", "88 +/- 1 mm", False),
    ("88.25(12) mm", "length", "mm", "88.25 +/- 0.12 mm", False),
    ("88 mm ± 2 %", "length", "mm", "88 +/- 1.76 mm", False),
    ("88 mm ± 2%", "length", "mm", "88 +/- 1.76 mm", False),
    ("28 ± 1 % cm", "length", "cm", "28 +/- 0.28 cm", False),
    ("28 ± 1 %", "length", "cm", "28 +/- 0.28 cm", True),
    ("28 cm ± 3 mm", "length", "cm", "28 +/- 0.3 cm", False),
    ("28 cm ± 0,3 cm", "length", "cm", "28 +/- 0.3 cm", False),
    ("3 1/2 in", "length", "cm", "3.5 in", False),
    ("3½ in", "length", "cm", "3.5 in", False),
    ("1/8", "length", "inch", "0.125 inch", True),
    ("1/8 inch ± 1/64 inch", "length", "mm", "0.125 +/- 0.015625 inch", False),
    (".5 bar", "pressure", "hPa", "0.5 bar", False),
    ("941,8 ± 0,3 hPa", "pressure", "hPa", "941.8 +/- 0.3 hPa", False),
    ("0.4 kPa ± 2 hPa", "pressure", "hPa", "0.4 +/- 0.2 kPa", False),
    ("19 °C", "temperature", "degC", "19 °C", False),
    ("19", "temperature", "degC", "19 degC", True),
    ("−3 °C ± 1 K", "temperature", "degC", "-3 +/- 1 °C", False),
    ("19 °C ± 1,8 degF", "temperature", "degC", "19 +/- 1 °C", False),
    ("50 %", "fraction", "", "50 %", False),
    ("50 ± 5 %", "fraction", "", "50 +/- 5 %", False),
    ("0,97", "fraction", "", "0.97", False),
    ("35 g/kg", "fraction", "", "35 g/kg", False),
    ("1e-3 m", "length", "cm", "1e-3 m", False),
    ("12 mm Hg", "pressure", "hPa", "12 mm Hg", False),
    ("12.5 m/s²", "acceleration", "m/s^2", "12.5 m/s²", False),
    ("007 mm", "length", "mm", "7 mm", False),
)


class Understood(unittest.TestCase):
    def test_each_is_written_as_the_set_up_file_writes_it(self):
        for text, kind, shown, quantity, offered in CASES:
            with self.subTest(text=text):
                got = read_typed("setup.x", text, kind, shown)
                self.assertEqual((got.quantity, got.offered), (quantity, offered))
                read_quantity("setup.x", got.quantity, kind)

    def test_what_is_strictly_right_is_kept_as_it_means(self):
        for text, kind in (("88 +/- 1 mm", "length"), ("12.5 ± 0.2 cm", "length"), ("-40 degF", "temperature"), ("72 mN/m", "surface tension")):
            got = read_quantity("", read_typed("", text, kind, "").quantity, kind)
            want = read_quantity("", text, kind)
            self.assertEqual((got.si, got.half_width), (want.si, want.half_width))

    def test_what_cannot_be_is_refused_with_the_field_and_the_remedy(self):
        for text, kind in (
            ("3 kg", "length"),
            ("about 3 mm", "length"),
            ("", "length"),
            ("28 cm ± 3 kg", "length"),
            ("1/0 m", "length"),
            ("5 % cm", "length"),
            ("8 C", "temperature"),
            ("3 mm" + " " * 200, "length"),
        ):
            with self.subTest(text=text), self.assertRaises(Refusal) as caught:
                read_typed("setup.fill_height", text, kind, "cm")
            self.assertEqual(caught.exception.path, "setup.fill_height")


class Strict(unittest.TestCase):
    def test_a_file_says_none_of_it(self):
        for text in ("88,5 mm", "88 +- 1 mm", "88(1) mm", "88 mm ± 2 %", "28 ± 1 % cm", "28 cm ± 3 mm", "3 1/2 in", "88"):
            with self.subTest(text=text), self.assertRaises(Refusal):
                read_quantity("setup.inner_diameter", text, "length")

    def test_a_percentage_beside_a_unit_is_told_what_to_write(self):
        with self.assertRaises(Refusal) as caught:
            read_quantity("setup.fill_height", "28 ± 1 % cm", "length")
        self.assertIn("percentage", str(caught.exception))
