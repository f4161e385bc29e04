"""Every guide is whole, in words of the trade, with the set-up's own sizes in it."""

from __future__ import annotations

import re
import unittest

from hydrostatics.constants import bibliography
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.guides.filling import prepared
from tests.support.documents import worked_out
from tests.support.imagined import IMAGINED

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


class Guides(unittest.TestCase):
    def test_each_is_whole(self):
        for one, guide in guides():
            with self.subTest(guide=one.key):
                self.assertTrue(all(text.strip() for text in texts(guide.model_dump(exclude={"steps", "question"}))))
                self.assertGreaterEqual(len(guide.steps), 4)
                self.assertTrue(any(step.caution for step in guide.steps), "a caution stands at its step")
                self.assertEqual(len(guide.rescue.checks), 3)
                self.assertTrue(any(person.pupil for person in guide.people))
                self.assertIn(guide.history.source, bibliography())

    def test_each_question_has_one_right_answer_and_a_wrong_idea_behind_every_other(self):
        for one, guide in guides():
            with self.subTest(guide=one.key):
                wrong = [choice.wrong for choice in guide.question.choices]
                self.assertGreaterEqual(len(wrong), 3)
                self.assertEqual(wrong.count(""), 1)

    def test_sizes_come_from_the_set_up_and_no_brace_is_left(self):
        for one, _ in guides():
            for start in one.guide.starts:
                told = prepared(one.guide, worked_out(start["document"])[1])
                with self.subTest(guide=one.key, start=start["name"]):
                    self.assertFalse([text for text in texts(told) if "{" in text or "}" in text])
                    self.assertNotIn("as measured", " ".join(texts(told)))
                    self.assertTrue(any(re.search(r"\d", text) for text in told["materials"]))

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
