"""Things of the shelf that a lesson's set-ups were measured on, and what stands in the way of their being there."""

from __future__ import annotations

from collections import defaultdict
from typing import Any

from django.utils import timezone

from server.setups.models import Pick
from server.shelf.models import Item

from .models import Lesson
from .queries import at_the_same_time


def gear_conflicts(lesson: Lesson, of: int = 0) -> list[dict[str, Any]]:
    """A thing that is broken, lent, not bought yet or off the shelf, wanted twice in the lesson, or in another lesson at the same time.

    of: the set-up whose things are looked at, all of the lesson's where it is 0.
    """
    wanted = _things([item["setup"] for item in lesson.items], lesson.department_id)
    elsewhere = {other: _things([item["setup"] for item in other.items], lesson.department_id) for other in at_the_same_time(lesson)}
    made = []
    for thing, setups in wanted.items():
        if of and of not in setups:
            continue
        places = [i for i, item in enumerate(lesson.items) if item["setup"] in setups]
        words = _not_there(thing, lesson)
        if not words and len(places) > thing.count:
            words = f"“{thing.name}” is in {len(places)} of the set-ups, and there {'is one' if thing.count == 1 else f'are {thing.count}'}: it is put back in between."
        if not words:
            other = next((one for one, things in elsewhere.items() if thing in things and len(places) + 1 > thing.count), None)
            words = f"“{thing.name}” is in “{other.name}” at the same time." if other else ""
        if words:
            cure = {"words": "take it out of the lesson", "changes": {"without": places[-1]}}
            made.append({"words": words, "item": places[-1], "cures": [cure]})
    return made


def _things(setups: list[int], department: int) -> dict[Item, set[int]]:
    """The things that set-ups took sizes from, each with the set-ups that did."""
    made: dict[Item, set[int]] = defaultdict(set)
    for pick in Pick.objects.filter(setup__in=setups, setup__department=department).select_related("size__item").order_by("size__item__name", "path"):
        made[pick.size.item].add(pick.setup_id)
    return made


def borrowed(lesson: Lesson) -> list[tuple[int, Item]]:
    """Things of somebody else that the lesson's set-ups use, each with the place of an item that does."""
    wanted = _things([item["setup"] for item in lesson.items], lesson.department_id)
    places = {item["setup"]: i for i, item in enumerate(lesson.items)}
    return [(min(places[setup] for setup in setups), thing) for thing, setups in wanted.items() if thing.borrowed_from]


def _not_there(thing: Item, lesson: Lesson) -> str:
    """Why a thing cannot be had at the bell, in words; empty where it can."""
    day = timezone.localtime(lesson.starts_at).date()
    if thing.archived_at:
        return f"“{thing.name}” is off the shelf."
    if thing.wanted:
        return f"“{thing.name}” is wanted, and not there yet."
    if thing.state == Item.State.BROKEN:
        return f"“{thing.name}” is broken."
    if thing.lent_to and (thing.lent_until is None or thing.lent_until >= day):
        until = f" until {thing.lent_until:%-d %b}" if thing.lent_until else ""
        return f"“{thing.name}” is lent to {thing.lent_to}{until}."
    return ""
