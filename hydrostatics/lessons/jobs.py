"""What is to be done before a lesson, from the guides of what is shown in it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..guides.filling import prepared
from ..nominal import Now
from .cooling import WAYS, Way, cooling_minutes


@dataclass(frozen=True)
class Job:
    """One thing to do: which item of the lesson it is for, minutes, pairs of hands (none where it goes on by itself), things needed, keys before it.

    before: done the day before, so that it stands in no timetable.
    """

    key: str
    item: int
    words: str
    minutes: int
    hands: int = 1
    needs: frozenset[str] = frozenset()
    after: tuple[str, ...] = ()
    before: bool = False


def jobs_of(shown: Sequence[tuple[Demonstration[Any], Now[Any]]], way: Way, boiled: float, room: float) -> list[Job]:
    """Every job for what is shown, in order.

    shown: demonstrations with their nominal cases. way: of cooling what is boiled. boiled: how much of it each time [m^3]. room: temperature [K].
    """
    made: list[Job] = []
    for i, (demonstration, now) in enumerate(shown):
        guide = prepared(demonstration.guide, now, "preparing")
        tasks = (guide or {}).get("preparing", [])
        there = {task["name"] for task in tasks}
        cooled = {name for task in tasks if task["cools"] for name in task["after"]}
        for task in tasks:
            early = way == "day-before" and (task["cools"] or task["name"] in cooled)
            minutes = cooling_minutes(way, boiled, room) if task["cools"] else task["minutes"]
            words = f"{task['do']} ({WAYS[way].words}, an estimate)" if task["cools"] and way in WAYS else task["do"]
            needs = frozenset(task["needs"]) | ({"sink"} if task["cools"] and way == "bath" else frozenset())
            after = tuple(f"{i}.{name}" for name in task["after"] if name in there)
            made.append(Job(f"{i}.{task['name']}", i, words, math.ceil(minutes), task["hands"], needs, after, early))
    return made
