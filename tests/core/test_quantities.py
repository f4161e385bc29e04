"""Quantities as people write them: what is read, and what is refused with which words."""

from __future__ import annotations

import unittest

from hydrostatics.errors import OutOfRange, Refusal, UnreadableQuantity, WrongKind
from hydrostatics.quantities.kinds import KINDS
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.quantities.saying import in_words, said
from hydrostatics.quantities.tables import unit_table
from tools.number_cases import number_cases, typed_cases


class Reading(unittest.TestCase):
    def test_what_is_read(self):
        for text, kind, si, half in (
            ("12.5 ± 0.2 cm", "length", 0.125, 0.002),
            ("12.5 +/- 0.2 cm", "length", 0.125, 0.002),
            ("+3cm", "length", 0.03, 0),
            ("3.4e-1 cm", "length", 0.0034, 0),
            ("3400 µm", "length", 0.0034, 0),
            ("3400 μm", "length", 0.0034, 0),
            ("63 ± 9 °F", "temperature", 290.3722222, 5),
            ("12 ° C", "temperature", 285.15, 0),
            ("706.4 mm Hg", "pressure", 94178.934470, 0),
            ("3 in H2O", "pressure", 747.26673, 0),
            ("2 m H2O", "pressure", 19613.3, 0),
            ("9.81 m s⁻²", "acceleration", 9.81, 0),
            ("9.81 m/s²", "acceleration", 9.81, 0),
            ("1004 kg·m^-3", "density", 1004, 0),
            ("0.9 mPa*s", "viscosity", 9e-4, 0),
            ("96 ± 1.5 %", "fraction", 0.96, 0.015),
            ("35 g/kg", "fraction", 0.035, 0),
            (0.97, "fraction", 0.97, 0),
            ({"value": 3.5, "unit": "inch", "tolerance": 0.02}, "length", 0.0889, 0.000508),
        ):
            with self.subTest(text=text):
                got = read_quantity("x", text, kind)
                self.assertAlmostEqual(got.si, si, delta=1e-8 * max(1, abs(si)))
                self.assertAlmostEqual(got.half_width, half, delta=1e-9)

    def test_what_is_refused(self):
        for text, kind, error, words in (
            ("12,5 cm", "length", UnreadableQuantity, "comma"),
            ("1_000 mm", "length", UnreadableQuantity, "not a number with a unit"),
            ("1/2 cm", "length", Refusal, "/2 cm"),
            ("2 * 3 cm", "length", Refusal, "length is needed"),
            ("3 kg", "length", WrongKind, "3 kg is a mass; a length is needed, for example 3 mm"),
            (3, "length", UnreadableQuantity, "3 has no unit"),
            ("3", "length", UnreadableQuantity, "3 has no unit"),
            ("nan cm", "length", UnreadableQuantity, "not a finite number"),
            ("-Infinity cm", "length", UnreadableQuantity, "not a finite number"),
            ("1e999 cm", "length", UnreadableQuantity, "not finite"),
            ("20 C", "temperature", UnreadableQuantity, "degC"),
            ("68 F", "temperature", UnreadableQuantity, "degF"),
            ("30 psig", "pressure", UnreadableQuantity, "psi"),
            ("3 hpa", "pressure", UnreadableQuantity, "hPa"),
            ("2 m**9**9**9", "length", UnreadableQuantity, "not a unit"),
            ("2 m^999", "length", UnreadableQuantity, "not a unit"),
            ("3 __import__('os')", "length", UnreadableQuantity, "characters that no unit has"),
            ("3 " + "m" * 60, "length", UnreadableQuantity, "longer than 40"),
            ("3 ± -1 cm", "length", OutOfRange, "below zero"),
            ("0.9 deg", "fraction", WrongKind, "an angle"),
            ("3 N·m", "force", WrongKind, "a force is needed"),
            (True, "length", WrongKind, "yes or no"),
            (None, "length", WrongKind, "null"),
            ([1], "length", WrongKind, "a list"),
            ({"value": "3", "unit": "m"}, "length", UnreadableQuantity, "plain numbers"),
            ({"value": 3, "unit": "m", "error": 1}, "length", UnreadableQuantity, "error"),
            ("", "length", UnreadableQuantity, "nothing is typed"),
        ):
            with self.subTest(text=text), self.assertRaises(error) as caught:
                read_quantity("setup.x", text, kind)
            self.assertIn(words, str(caught.exception))
            self.assertTrue(caught.exception.path.startswith("setup.x"))
            self.assertTrue(caught.exception.remedy, "a refusal says what would be right")

    def test_every_example_and_offered_unit_is_read(self):
        for kind, entry in KINDS.items():
            read_quantity("x", entry.example.split(" or ")[0], kind)
            for unit in entry.units:
                self.assertGreater(read_quantity("x", f"1 {unit}", kind).si, 0)


class Saying(unittest.TestCase):
    def test_digits_follow_the_uncertainty(self):
        for si, sd, kind, unit, words in (
            (0.02731, 0.00112, "length", "cm", "2.7\u00a0±\u00a00.2\u00a0cm"),
            (0.4109, 0.00464, "length", "cm", "41.1\u00a0±\u00a00.9\u00a0cm"),
            (0.4109, 0.0006, "length", "cm", "41.09\u00a0±\u00a00.12\u00a0cm"),
            (-880.0, 0.0, "pressure", "hPa", "\u22128.8\u00a0hPa"),
            (123456.7, 60.0, "pressure", "Pa", "123\u202f460\u00a0±\u00a0120\u00a0Pa"),
        ):
            self.assertEqual(in_words(si, sd, kind, unit), words)

    def test_the_committed_cases_are_what_is_said(self):
        import json
        from pathlib import Path

        kept = json.loads(Path("web/src/lib/units/cases.json").read_text("utf-8"))
        self.assertEqual(kept, {"said": number_cases(), "typed": typed_cases()})

    def test_one_unit_table(self):
        for kind, rows in unit_table().items():
            for row in rows:
                si = read_quantity("x", f"7 {row['unit']}", kind).si
                self.assertAlmostEqual(si, 7 * row["factor"] + row["offset"], delta=1e-9 * max(1, abs(si)))

    def test_a_spread_that_rounds_up_begins_with_a_one(self):
        self.assertEqual(said(0.5, 0.0499, "length", "m"), ("0.50", "0.10", "m"))
