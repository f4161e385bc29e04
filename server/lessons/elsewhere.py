"""What only the day makes impossible: a bell that has rung, another lesson in the room, a person in two places."""

from __future__ import annotations

from typing import Any

from django.utils import timezone

from .planning import Planned, planned
from .queries import beside, near

WEEK = 7


def of_the_day(made: Planned) -> list[dict[str, Any]]:
    """Conflicts of a lesson with its day, with what would resolve them."""
    lesson = made.lesson
    later = {"words": "the same a week later", "changes": {"days": WEEK}}
    told = [
        {
            "words": f"“{other.name}” is in the same room at the same time, from {_clock(other.starts_at)}.",
            "item": None,
            "cures": [later, {"words": "no room for this one yet", "changes": {"room": 0}}],
        }
        for other in beside(lesson)
    ]
    told += [
        {"words": words, "item": None, "cures": [{"words": f"somebody else in place of {name}", "changes": {"nobody": name}}, later]}
        for name, words in _in_two_places(made)
    ]
    if lesson.starts_at <= timezone.now():
        told.append({"words": "This bell has rung: the lesson lies in the past.", "item": None, "cures": [later] if _over(made) else []})
    return told


def _over(made: Planned) -> bool:
    """Whether it is over: one that is on now is not moved."""
    return bool(made.lesson.ends_at <= timezone.now())


def _in_two_places(made: Planned) -> list[tuple[str, str]]:
    """People who are wanted for this lesson and for another at once; each said once for each other lesson."""
    mine = {name for name in made.lesson.people if name}
    told = []
    for other in near(made.lesson) if mine else ():
        if not mine & set(other.people):
            continue
        theirs = _busy(planned(other, whole=False))
        clash = next(((name, one, two) for name, *one in _busy(made) for who, *two in theirs if who == name and one[0] < two[1] and two[0] < one[1]), None)
        if clash:
            name, one, two = clash
            words = f"{name} is in two places at {_clock(max(one[0], two[0]))}: “{one[2]}” here, and “{two[2]}” for “{other.name}”."
            told.append((name, words))
    return told


def _busy(made: Planned) -> list[tuple[str, Any, Any, str]]:
    """When each person has something to do before the bell: name, from, to, what."""
    if made.plan.table is None:
        return []
    slots = [(slot, made.who(slot.hands)) for slot in made.plan.table.slots]
    return [(name, made.at(slot.start), made.at(slot.end), slot.job.words) for slot, names in slots for name in names if name in made.lesson.people]


def _clock(moment: Any) -> str:
    return f"{timezone.localtime(moment):%H:%M}"
