"""Every guide is whole, in words of the trade, with the set-up's own sizes in it."""

from __future__ import annotations

import re
import unittest
from dataclasses import dataclass
from functools import cache
from typing import Any

from hydrostatics.answer import work_out
from hydrostatics.constants import bibliography
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.errors import Refusal
from hydrostatics.guides.cases import Cases
from hydrostatics.guides.filling import prepared
from hydrostatics.lessons.making import at_the_bench
from tests.support.documents import random_bottle, worked_out
from tests.support.imagined import IMAGINED
from tests.support.random_setups import MAKERS, random_setup

WRONG_WORDS = ("sucked", "suction force", "vacuum pulls", "vacuum sucks")
"""Words that teach the wrong idea; a guide names them only among the words to avoid."""


def guides():
    for one in ALL_DEMONSTRATIONS:
        if one is not IMAGINED:
            yield one, one.guide.prepare


def texts(node):
    if isinstance(node, str):
        yield node
    elif isinstance(node, dict):
        for value in node.values():
            yield from texts(value)
    elif isinstance(node, (list, tuple)):
        for value in node:
            yield from texts(value)


@dataclass(frozen=True)
class Case:
    """A guide as it is filled for one set-up."""

    guide: str
    setup: dict[str, Any]
    computed_only: bool
    told: dict[str, Any]


@cache
def every_case() -> tuple[Case, ...]:
    """Each guide filled for its starts and for random set-ups, some of which fail, pour or boil; once for all tests here."""
    cases = []
    for one, _ in guides():
        documents = [start["document"] for start in one.guide.starts]
        documents += [random_setup(one.key, seed) if one.key in MAKERS else random_bottle(seed) for seed in range(60)]
        for document in documents:
            try:
                now = work_out(document)[1]
            except Refusal:
                continue
            mercury = any(liquid.name == "mercury" for liquid in now.inputs.liquids)
            cases.append(Case(one.key, document["setup"], mercury, prepared(one.guide, now)))
    return tuple(cases)


class Guides(unittest.TestCase):
    def test_each_is_whole(self):
        for one, guide in guides():
            with self.subTest(guide=one.key):
                self.assertTrue(all(text.strip() for text in texts(guide.model_dump(exclude={"steps", "question"}))))
                self.assertGreaterEqual(len(guide.steps), 4)
                self.assertTrue(any(step.caution for step in guide.steps), "a caution stands at its step")
                self.assertEqual(len({step.amiss for step in guide.steps}), len(guide.steps), "what may go amiss is each step's own")
                self.assertTrue(any(person.pupil for person in guide.people))
                self.assertIn(guide.history.source, bibliography())

    def test_each_question_has_one_right_answer_and_a_wrong_idea_behind_every_other(self):
        for case in every_case():
            choices = case.told["question"]["choices"]
            with self.subTest(guide=case.guide, setup=case.setup, choices=choices):
                wrong = [choice["wrong"] for choice in choices]
                self.assertGreaterEqual(len(wrong), 3)
                self.assertEqual(wrong.count(""), 1)
                self.assertEqual(len({choice["answer"] for choice in choices}), len(wrong))

    def test_nothing_is_left_empty_or_unfilled_in_any_case(self):
        for case in every_case():
            told = case.told
            with self.subTest(guide=case.guide, setup=case.setup):
                self.assertFalse([text for text in texts(told) if re.search(r"[{}\[\]]", text)])
                self.assertNotIn("as measured", " ".join(texts(told)))
                self.assertEqual(len(told["rescue"]["checks"]), 3)
                self.assertGreaterEqual(len(told["steps"]), 4)
                self.assertTrue(told["explanation"]["short"] and told["explanation"]["deep"] and told["first_words"] and told["question"]["ask"])
                self.assertTrue(all(step["do"] and step["amiss"] for step in told["steps"]) and all(one["who"] for one in told["people"]))
                self.assertTrue(all(step["minutes"] % 0.5 == 0 for step in told["steps"]) and told["steps"][-1]["minutes"] > 0)

    def test_the_steps_of_what_is_poured_take_the_minutes_by_which_it_is_chosen(self):
        for one, _ in guides():
            now = worked_out(one.guide.starts[0]["document"])[1]
            with self.subTest(guide=one.key):
                self.assertEqual(at_the_bench(prepared(one.guide, now)), one.guide.choosing.minutes)
        tube = by_key()["barometer"].guide
        mercury = next(start["document"] for start in tube.starts if start["document"]["setup"]["liquid"] == "mercury")
        at_the_board = at_the_bench(prepared(tube, worked_out(mercury)[1]))
        self.assertTrue(0 < at_the_board < tube.choosing.minutes)

    def test_what_is_computed_only_is_never_fetched_filled_or_boiled(self):
        for case in every_case():
            if not case.computed_only:
                continue
            with self.subTest(guide=case.guide, setup=case.setup):
                self.assertIn("Nothing is fetched", case.told["materials"][0])
                steps = " ".join(step["do"] for step in case.told["steps"])
                self.assertNotRegex(steps, r"\b([Ff]ill|[Pp]our|[Bb]oil|[Tt]urn over|[Ll]ift)\b")

    def test_sizes_come_from_the_set_up(self):
        for one, _ in guides():
            told = prepared(one.guide, worked_out(one.guide.starts[0]["document"])[1])
            self.assertTrue(any(re.search(r"\d", text) for text in told["materials"]), one.key)

    def test_it_speaks_of_what_this_set_up_has(self):
        def told(key: str, **changes: Any) -> str:
            start = by_key()[key].guide.starts[0]["document"]
            document = {**start, "setup": {k: v for k, v in {**start["setup"], **changes}.items() if v is not None}}
            return " ".join(texts(prepared(by_key()[key].guide, worked_out(document)[1])))

        gauge = re.compile(r"\b[Gg]auge\b(?! pressure)")
        self.assertNotRegex(told("inverted-glass", ports=None), gauge)
        self.assertRegex(told("inverted-glass", ports=["3 cm"]), gauge)
        poured = told("inverted-glass", vent=True)
        self.assertIn("It pours", poured)
        self.assertNotIn("so it stays", poured)
        self.assertNotRegex(told("holed-bottle", cap="closed", holes=[{"height": "6 cm", "diameter": "3 mm"}]), r"reaches 0|within 0")
        self.assertRegex(told("depth-pressure", wall={"width": "1 m", "depth": "0.9 m"}), r"two thirds of the way down, 0\.6\sm below")
        mouth, pump = told("suction-lift"), told("suction-lift", source_suction=None, source_pressure="16 kPa")
        self.assertIn("mouthpiece", mouth)
        self.assertNotIn("mouthpiece", pump)
        self.assertIn("trap", pump)

    def test_a_condition_that_names_nothing_is_an_error(self):
        now = worked_out(by_key()["barometer"].guide.starts[0]["document"])[1]
        for condition in ("results.beauty", "setup.colour", "is it so?"):
            with self.subTest(condition=condition), self.assertRaises((ValueError, AttributeError)):
                Cases(now).holds(condition)

    def test_words_that_teach_the_wrong_idea_stand_only_among_those_to_avoid(self):
        for one, guide in guides():
            said = " ".join(texts(guide.model_dump(exclude={"words": {"avoid"}, "question": True}))).lower()
            for word in WRONG_WORDS:
                self.assertNotIn(word, said, one.key)

    def test_each_has_a_measured_and_a_typical_start(self):
        for one, _ in guides():
            names = [start["name"] for start in one.guide.starts]
            self.assertGreaterEqual(len(names), 3, one.key)
            self.assertEqual(len(names), len(set(names)))
