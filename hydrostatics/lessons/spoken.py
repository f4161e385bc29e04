"""What holds a lesson together in words: from one demonstration to the next, and the line it ends on."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..guides.filling import prepared
from ..guides.model import IDEAS, Guide
from ..nominal import Now
from ..verdict import reason_of

Told = tuple[Demonstration[Any], Now[Any]]


def main_idea(guide: Guide) -> str:
    """The first idea that a demonstration shows, in words; empty where its guide does not tell."""
    return IDEAS[guide.choosing.ideas[0]] if guide.choosing and guide.choosing.ideas else ""


def hand_over(this: Told, following: Told) -> str:
    """A sentence that hands over to the next demonstration, to be said or bettered: the idea it takes up, and its first words."""
    guide = prepared(following[0].guide, following[1], "first_words")
    before, after = main_idea(this[0].guide), main_idea(following[0].guide)
    if guide is None or not after:
        return ""
    link = f"The same once more: {after}." if before == after else f"That was: {before}. Now: {after}."
    return f"{link} “{guide['first_words']}”"


def closing(last: Told) -> str:
    """The line that a lesson ends on: where its last demonstration is met in life, and the number that was found here."""
    guide = prepared(last[0].guide, last[1], "life")
    return "" if guide is None else f"{guide['life']} Here: {reason_of(*last)}"


def gaps(lessons: Sequence[Sequence[Guide]]) -> list[list[str]]:
    """For each lesson of a sequence, the ideas that its demonstrations need the class to know and that nothing before them has shown, in words."""
    known: set[str] = set()
    made = []
    for guides in lessons:
        missing: list[str] = []
        for choosing in (guide.choosing for guide in guides if guide.choosing):
            missing += [IDEAS[idea] for idea in choosing.needs if idea not in known and IDEAS[idea] not in missing]
            known.update(choosing.ideas)
        made.append(missing)
    return made
