"""A whole lesson planned: its running order, the timetable before the bell, and what stands in the way with what would resolve it."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from itertools import pairwise
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..nominal import Now
from .after import Clearing, clearing
from .cooling import Way
from .jobs import Job, jobs_of
from .running import Minutes, Row, running
from .spoken import closing, hand_over
from .timetable import Timetable, timetable

MOST_HANDS = 4
LONGEST = 480.0
"""From bell to bell, at the most [min]."""
THINGS = ("hob", "sink", "pump", "jug")
THING_WORDS = {"hob": "a hob", "sink": "a sink", "pump": "a pump", "jug": "a jug"}
ARM = 0.5
"""What splashes beyond where it lands [m]: common practice, no published source."""


@dataclass(frozen=True)
class Shown:
    """One item of a lesson: its name, what it takes, and the set-up as it stands today.

    tall: how it stands taller than the room, in words; empty where it does not.
    """

    name: str
    minutes: Minutes
    demonstration: Demonstration[Any]
    now: Now[Any]
    tall: str = ""

    @property
    def told(self) -> tuple[Demonstration[Any], Now[Any]]:
        """The demonstration with its nominal case."""
        return self.demonstration, self.now


@dataclass(frozen=True)
class Lesson:
    """What is planned: minutes from bell to bell, pairs of hands, things there are, how what is boiled is cooled and how much of it [m^3].

    ready: minutes before the bell at which one can begin. room: its temperature [K]. spare: minutes after the next bell until the place is
    wanted again, None where nobody wants it. socket: how far the nearest one is from the bench [m], None where that was not measured.
    """

    minutes: float
    shown: tuple[Shown, ...]
    hands: int
    things: Mapping[str, int]
    way: Way
    boiled: float
    ready: int
    room: float
    spare: float | None = None
    socket: float | None = None


@dataclass(frozen=True)
class Cure:
    """Something that resolves a conflict: its words, and the settings of the lesson that it changes."""

    words: str
    changes: Mapping[str, Any]


@dataclass(frozen=True)
class Conflict:
    """What cannot be as it is planned: in words, the item it stands at (None: the lesson), what would resolve it."""

    words: str
    item: int | None = None
    cures: tuple[Cure, ...] = ()


@dataclass(frozen=True)
class Plan:
    """A planned lesson; table is None where no timetable can do. early: what is done the day before.

    overs: a sentence from each item to the next. closing: the line it ends on. cleared: what is done after it.
    """

    rows: tuple[Row, ...]
    table: Timetable | None
    early: tuple[Job, ...]
    overs: tuple[str, ...]
    closing: str
    cleared: Clearing
    conflicts: tuple[Conflict, ...] = field(default=())


def plan(lesson: Lesson) -> Plan:
    """Plans a lesson."""
    rows = running([one.minutes for one in lesson.shown])
    jobs = _jobs(lesson, lesson.way)
    today = [job for job in jobs if not job.before]
    cleared = clearing([one.told for one in lesson.shown], lesson.hands)
    found = (
        _too_long(lesson, rows)
        + _splashed(lesson)
        + _cleared_late(lesson, rows, cleared)
        + [Conflict(one.tall, i, (_without(i),)) for i, one in enumerate(lesson.shown) if one.tall]
    )
    missing = _missing(lesson, today)
    table = None if missing else timetable(today, lesson.hands, lesson.things, lesson.ready)
    if table is None and not missing:
        found += _too_late(lesson, today)
    early = tuple(job for job in jobs if job.before)
    overs = tuple(hand_over(one.told, other.told) for one, other in pairwise(lesson.shown))
    ending = closing(lesson.shown[-1].told) if lesson.shown else ""
    return Plan(rows, table, early, overs, ending, cleared, tuple(found + missing))


def _jobs(lesson: Lesson, way: Way) -> list[Job]:
    return jobs_of([one.told for one in lesson.shown], way, lesson.boiled, lesson.room)


def _too_long(lesson: Lesson, rows: Sequence[Row]) -> list[Conflict]:
    """A running order longer than from bell to bell; the shortest item that makes it fit when it is left out is offered."""
    over = (rows[-1].end if rows else 0.0) - lesson.minutes
    if over <= 0:
        return []
    long = sorted((row.end - row.start, row.item) for row in rows if not row.recall and row.end - row.start >= over)
    cures = tuple(Cure(f"leave out “{lesson.shown[i].name}”, {minutes:g} min", {"without": i}) for minutes, i in long[:1])
    if rows[-1].end <= LONGEST:
        cures += (Cure(f"{rows[-1].end:g} min from bell to bell", {"minutes": rows[-1].end}),)
    return [Conflict(f"The running order takes {over:g} min longer than the lesson.", None, cures)]


def _without(item: int) -> Cure:
    return Cure("take it out of the lesson", {"without": item})


def _splashed(lesson: Lesson) -> list[Conflict]:
    """Demonstrations whose water lands within an arm's splash of the nearest socket."""
    if lesson.socket is None:
        return []
    made = []
    for i, one in enumerate(lesson.shown):
        path = "results.tray_reach"
        reach = one.now.value(path) if path in one.now.spread.index else None
        wet = one.demonstration.guide.choosing is not None and one.demonstration.guide.choosing.mess == "wet"
        if (reach is not None or wet) and lesson.socket < (reach or 0.0) + ARM:
            words = f"“{one.name}” splashes as far as about {(reach or 0.0) + ARM:.1f} m, and the nearest socket is {lesson.socket:.1f} m from the bench."
            made.append(Conflict(words, i, (Cure("the socket is switched off and covered", {"socket": ""}), _without(i))))
    return made


def _cleared_late(lesson: Lesson, rows: Sequence[Row], cleared: Clearing) -> list[Conflict]:
    """Clearing away that lasts into the next class."""
    if lesson.spare is None or not cleared.jobs:
        return []
    there = lesson.spare + max(lesson.minutes - (rows[-1].end if rows else 0.0), 0.0)
    if cleared.minutes <= there:
        return []
    cures = []
    for hands in range(lesson.hands + 1, MOST_HANDS + 1):
        if clearing([one.told for one in lesson.shown], hands).minutes <= there:
            cures.append(Cure(f"{hands} pairs of hands", {"hands": hands}))
            break
    words = f"Clearing away takes about {math.ceil(cleared.minutes)} min, and the place is wanted again {there:g} min after the last item."
    return [Conflict(words, None, tuple(cures))]


def _missing(lesson: Lesson, jobs: Sequence[Job]) -> list[Conflict]:
    """Things that a job needs and nobody has, and jobs for more hands than there are."""
    made = []
    for thing in THINGS:
        users = [job for job in jobs if thing in job.needs]
        if users and lesson.things.get(thing, 0) < 1:
            cures = [Cure(f"there is {THING_WORDS[thing]} after all", {f"things.{thing}": 1})]
            if lesson.way != "day-before" and all(thing not in job.needs for job in _jobs(lesson, "day-before") if not job.before):
                cures.insert(0, Cure("boil it the day before", {"way": "day-before"}))
            words = f"“{lesson.shown[users[0].item].name}” needs {THING_WORDS[thing]}, and there is none."
            made.append(Conflict(words, users[0].item, tuple(cures)))
    most = max((job.hands for job in jobs), default=0)
    if most > lesson.hands:
        who = next(job for job in jobs if job.hands == most)
        words = f"“{who.words}” takes {most} pairs of hands, and there {'is one' if lesson.hands == 1 else f'are {lesson.hands}'}."
        made.append(Conflict(words, who.item, (Cure(f"{most} pairs of hands", {"hands": most}),)))
    return made


def _too_late(lesson: Lesson, jobs: Sequence[Job]) -> list[Conflict]:
    """It cannot be done in the time there is: how much it takes, and each single change with which it can."""
    cures = []
    for way, words in (("bath", "cool it in running cold water"), ("day-before", "boil it the day before")):
        if way != lesson.way and _fits(lesson, [job for job in _jobs(lesson, way) if not job.before], lesson.hands):  # type: ignore[arg-type]
            cures.append(Cure(words, {"way": way}))
    for hands in range(lesson.hands + 1, MOST_HANDS + 1):
        if _fits(lesson, jobs, hands):
            cures.append(Cure(f"{hands} pairs of hands", {"hands": hands}))
            break
    whole = timetable(jobs, lesson.hands, lesson.things, 10 * lesson.ready + 24 * 60)
    if whole:
        cures.append(Cure(f"begin {_long(-whole.start)} before the bell", {"ready": -whole.start}))
    needed = f"it takes {_long(-whole.start)}" if whole else "it takes longer than a day"
    return [Conflict(f"What is to be done before the bell cannot be done in {_long(lesson.ready)}: {needed}.", None, tuple(cures))]


def _fits(lesson: Lesson, jobs: Sequence[Job], hands: int) -> bool:
    there = all(lesson.things.get(thing, 0) for job in jobs for thing in job.needs)
    return there and timetable(jobs, hands, lesson.things, lesson.ready) is not None


def _long(minutes: int) -> str:
    """A while in words: 50 min, 2 h 5 min."""
    hours, rest = divmod(minutes, 60)
    return f"{minutes} min" if not hours else f"{hours} h" if not rest else f"{hours} h {rest} min"
