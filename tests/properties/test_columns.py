"""What holds for any set-up of the columns and covers: advice cures, limits bound, more is more, units change nothing."""

from __future__ import annotations

import json
import unittest
from dataclasses import dataclass
from functools import cache
from typing import Any

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.doubt import SCALE
from hydrostatics.errors import Refusal
from tests.support.documents import answered, changed, state_of
from tests.support.random_setups import MAKERS, random_setup, with_wide_tolerances

COUNT = 500
"""Random set-ups of each demonstration, half of them of things that nobody has measured."""


def every():
    for demonstration in MAKERS:
        for seed in range(COUNT):
            document = random_setup(demonstration, seed)
            yield demonstration, with_wide_tolerances(document, seed) if seed % 2 else document


@dataclass(frozen=True)
class Told:
    """What the tests here need of an answer; whole answers of all set-ups would not fit in memory well."""

    demonstration: str
    document: dict[str, Any]
    verdict: dict[str, Any]
    assumptions: list[str]
    keys: frozenset[str]
    about: Any
    plain: bool


@cache
def told() -> tuple[Told, ...]:
    """Every random set-up's answer, worked out once for all tests; those that are refused left out."""
    made = []
    for demonstration, document in every():
        try:
            got = answer(*work_out(document))
        except Refusal:
            continue
        try:
            json.dumps(got, allow_nan=False)
            plain = True
        except (TypeError, ValueError):
            plain = False
        at: Any = got
        for key in got["verdict"]["about"].split("."):
            at = at[int(key)] if isinstance(at, list) else at[key]
        made.append(Told(demonstration, document, got["verdict"], got["assumptions"], frozenset(got["results"]), at, plain))
    return tuple(made)


class Advice(unittest.TestCase):
    def offered(self):
        """Each advice that can be pressed, with the set-up it belongs to."""
        for one in told():
            for words, changes in zip(one.verdict["advice"], one.verdict["changes"], strict=True):
                if changes:
                    yield one, words, changes

    def test_wherever_it_does_not_work_the_first_advice_that_can_be_pressed_makes_it_work(self):
        """Exceptions, each with its reason: a liquid that boils in the open room, and one whose surface tension is not known."""
        cured = 0
        for one in told():
            if one.verdict["state"] == "works":
                continue
            first = next((changes for changes in one.verdict["changes"] if changes), None)
            with self.subTest(demonstration=one.demonstration, setup=one.document["setup"], reason=one.verdict["reason"]):
                if first is None:
                    self.assertRegex(one.verdict["reason"], "boils in the open room|surface tension is not known")
                    continue
                self.assertEqual(state_of(changed(one.document, first)), "works", first)
                cured += 1
        self.assertGreater(cured, 400)

    def test_what_can_be_pressed_can_be_carried_out_and_changes_something(self):
        for one, words, changes in self.offered():
            with self.subTest(demonstration=one.demonstration, setup=one.document["setup"], words=words):
                after = changed(one.document, changes)
                self.assertNotEqual(after, one.document)
                state_of(after)

    def test_what_is_offered_is_nothing_of_nothing(self):
        for one in told():
            for words in one.verdict["advice"]:
                with self.subTest(demonstration=one.demonstration, setup=one.document["setup"], words=words):
                    self.assertNotRegex(words, r"(?<![\d.])0(\.0+)? (N|cm|mm|m|g|kg|kPa|hPa|Pa)\b")

    def test_what_is_called_as_good_as_sure_is(self):
        tried = 0
        for one, words, changes in self.offered():
            if "as good as sure" in words or "this source makes that" in words:
                with self.subTest(demonstration=one.demonstration, setup=one.document["setup"], words=words):
                    self.assertGreaterEqual(answered(changed(one.document, changes))["verdict"]["probability"], 0.97)
                tried += "as good as sure" in words
        self.assertGreater(tried, 25)

    def test_a_doubtful_verdict_says_so_first_and_a_sure_one_does_not(self):
        doubtful = 0
        for one in told():
            begins = one.verdict["reason"].split(",")[0] in {words for _, words in SCALE}
            with self.subTest(demonstration=one.demonstration, reason=one.verdict["reason"]):
                self.assertEqual(begins, 0.02 <= one.verdict["probability"] <= 0.98)
                self.assertEqual(begins, any(line.startswith("whether it works lies within the tolerance of") for line in one.assumptions))
            doubtful += begins
        self.assertGreater(doubtful, 60)


class Answers(unittest.TestCase):
    def test_every_key_is_always_there_and_everything_is_plain_json(self):
        keys: dict[str, frozenset[str]] = {}
        for one in told():
            self.assertTrue(one.plain, one.document)
            self.assertEqual(keys.setdefault(one.demonstration, one.keys), one.keys)


class Physics(unittest.TestCase):
    def results(self, demonstration: str, **changes):
        start = by_key()[demonstration].guide.starts[0]["document"]
        document = {**start, "room": {"station_pressure": "955 hPa"}, "setup": {**start["setup"], **changes}}
        return answered(document)["results"]

    def test_the_bore_enters_no_height(self):
        for demonstration, key in (("barometer", "column_height"), ("suction-lift", "source_limit"), ("lifted-column", "level")):
            narrow, wide = (self.results(demonstration, bore=bore)[key]["value"] for bore in ("4 mm", "40 mm"))
            self.assertEqual(narrow, wide)

    def test_taller_columns_hang_lower_at_the_top_whatever_their_width(self):
        tops = [
            self.results(
                "inverted-glass", inside_height=f"{tall} cm", fill_height=f"{tall} cm", mouth_diameter=wide, cover={"kind": "mesh", "opening": "1 mm"}
            )["top_pressure"]["value"]
            for tall, wide in ((10, "3 cm"), (10, "12 cm"), (20, "3 cm"), (40, "12 cm"))
        ]
        self.assertAlmostEqual(tops[0], tops[1], places=6)
        self.assertEqual(tops[1:], sorted(tops[1:], reverse=True))

    def test_a_lifted_column_never_passes_its_limit_nor_its_lift(self):
        for lift in (5, 20, 60):
            got = self.results("lifted-column", lift=f"{lift} cm")
            self.assertLess(got["level"]["value"], lift / 100)
            self.assertLess(got["level"]["value"], got["max_level"]["value"])

    def test_gas_left_in_lowers_a_barometer_and_more_gas_lowers_it_more(self):
        heights = [self.results("barometer", trapped_gas={"length": f"{mm} mm"})["column_height"]["value"] for mm in (0, 5, 20, 80)]
        self.assertEqual(heights, sorted(heights, reverse=True))
        self.assertEqual(len(set(heights)), 4)

    def test_units_never_change_an_answer(self):
        a = self.results("depth-pressure", depth="3.048 m")["gauge_pressure"]["value"]
        b = self.results("depth-pressure", depth="10 ft")["gauge_pressure"]["value"]
        self.assertAlmostEqual(a, b, places=6)


class Uncertainty(unittest.TestCase):
    def test_a_temperature_at_the_edge_of_what_is_known_of_water_is_answered(self):
        start = by_key()["barometer"].guide.starts[0]["document"]
        for temperature in ("0 +/- 1 degC", "100 +/- 2 degC"):
            got = answer(*work_out({**start, "room": {"temperature": temperature}}))
            self.assertIn(got["verdict"]["state"], ("works", "fails"))


class Verdicts(unittest.TestCase):
    def test_the_result_that_decides_exists_and_stands_in_the_sentence(self):
        for one in told():
            with self.subTest(demonstration=one.demonstration, reason=one.verdict["reason"]):
                self.assertIn(one.verdict["about"], [run.get("path") for run in one.verdict["runs"]])
                self.assertIsNotNone(one.about)
                self.assertNotIn("{", one.verdict["reason"])
