"""A kept lesson planned with its set-ups as they stand today, in its room's air."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from functools import cached_property
from typing import Any

from django.db.models import F, Q
from django.utils import timezone

from hydrostatics.answer import too_tall, work_out
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.documents.raw import parse_document
from hydrostatics.documents.reader import read_room
from hydrostatics.errors import Refusal
from hydrostatics.lessons.plan import THINGS, Plan, Shown, plan
from hydrostatics.lessons.plan import Lesson as Asked
from hydrostatics.lessons.running import Minutes, Row, Variation, running
from hydrostatics.nominal import Now
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.works.glance import nominal_case
from server.rooms.in_room import merged
from server.rooms.live import stated_now
from server.setups.models import Version

from .models import Lesson

Worked = tuple[Demonstration[Any], Now[Any]]


@dataclass(frozen=True)
class Refused:
    """An item that cannot be planned: where it stands, why, and whether taking it out resolves it."""

    place: int
    words: str
    gone: bool


@dataclass(frozen=True)
class Planned:
    """A lesson, the plan of what can be planned of it, at which places that stands, and what stands in the way of the rest."""

    lesson: Lesson
    versions: dict[int, Version]
    shown: list[Shown]
    places: list[int]
    refused: list[Refused]
    plan: Plan

    @cached_property
    def names(self) -> list[str]:
        """Every item's name, whatever cannot be planned of it."""
        found = [self.versions.get(item["setup"]) for item in self.lesson.items]
        return [version.setup.name if version else "what was shown here" for version in found]

    @cached_property
    def rows(self) -> tuple[Row, ...]:
        """The running order of all items."""
        return running([minutes_of(item) for item in self.lesson.items])

    @cached_property
    def bases(self) -> list[str]:
        """What the keys of each item's jobs begin with: its set-up, told apart where it is shown again."""
        seen: Counter[int] = Counter()
        made = []
        for item in self.lesson.items:
            seen[item["setup"]] += 1
            again = seen[item["setup"]]
            made.append(f"{item['setup']}" if again == 1 else f"{item['setup']}-{again}")
        return made

    def key(self, shown: int, name: str) -> str:
        """A key that stays a job's own while items are moved.  shown: which of those planned. name: of the job in its guide."""
        return f"{self.bases[self.places[shown]]}.{name}"

    def who(self, hands: Iterable[int]) -> list[str]:
        """The people whose hands these are, counted from 0; by their number where nobody is named."""
        people = self.lesson.people
        return [people[k] if k < len(people) and people[k] else f"hands {k + 1}" for k in hands]

    def at(self, minutes: float) -> datetime:
        """A moment so many minutes after the bell."""
        return self.lesson.starts_at + timedelta(minutes=minutes)


def minutes_of(item: dict[str, Any]) -> Minutes:
    """What a kept item takes."""
    variations = tuple(Variation(one["words"], one["minutes"], one["reset"]) for one in item.get("variations", ()))
    return Minutes(item["minutes"], item["asking"], item["reset"], variations, item.get("recall", False))


def versions_of(lessons: Sequence[Lesson]) -> dict[int, Version]:
    """The newest version of each set-up that lessons of one department show, by the set-up's number."""
    wanted = {item["setup"] for lesson in lessons for item in lesson.items}
    found = Version.objects.filter(
        Q(setup__department__in={lesson.department_id for lesson in lessons}), setup__in=wanted, number=F("setup__version")
    ).select_related("setup")
    return {one.setup_id: one for one in found}


def planned(lesson: Lesson, *, whole: bool = True) -> Planned:
    """Plans a lesson as it stands.  whole: with uncertainties; jobs and times need none."""
    return _planned(lesson, versions_of([lesson]), work_out if whole else nominal_case)


def all_planned(lessons: Sequence[Lesson]) -> list[Planned]:
    """The jobs and times of several lessons of one department; a set-up that is shown in several of them in one room is worked out once."""
    versions = versions_of(lessons)
    known: dict[str, Worked] = {}

    def once(document: Mapping[str, Any]) -> Worked:
        key = repr(document)
        if key not in known:
            known[key] = nominal_case(document)
        return known[key]

    return [_planned(one, versions, once) for one in lessons]


def _planned(lesson: Lesson, versions: dict[int, Version], worked: Callable[[Mapping[str, Any]], Worked]) -> Planned:
    shown, places, refused = _shown_in(lesson, versions, worked)
    left = int((lesson.starts_at - timezone.now()).total_seconds() // 60)
    made = plan(
        Asked(
            lesson.minutes,
            tuple(shown),
            lesson.hands,
            dict.fromkeys(THINGS, 1) | lesson.things,
            lesson.way,  # type: ignore[arg-type]
            read_quantity("boiled", lesson.boiled, "volume").si,
            min(lesson.ready, left) if left > 0 else lesson.ready,
            float(read_room(stated_now(lesson.room) if lesson.room else {}).temperature[0]),
            lesson.spare,
            read_quantity("socket", lesson.socket, "length").si if lesson.socket else None,
        )
    )
    return Planned(lesson, versions, shown, places, refused, made)


def _shown_in(lesson: Lesson, versions: dict[int, Version], worked: Callable[[Mapping[str, Any]], Worked]) -> tuple[list[Shown], list[int], list[Refused]]:
    shown, places, refused = [], [], []
    for i, item in enumerate(lesson.items):
        version = versions.get(item["setup"])
        if version is None or version.setup.archived_at:
            refused.append(Refused(i, f"“{version.setup.name if version else 'what was shown here'}” was put away.", True))
            continue
        try:
            demonstration, now = worked(merged(parse_document(version.document.encode()), lesson.room).document)
        except Refusal as trouble:
            refused.append(Refused(i, f"“{version.setup.name}” cannot be predicted here: {trouble.message}.", False))
            continue
        tall = " ".join(too_tall(now, demonstration.say(now)))
        shown.append(Shown(version.setup.name, minutes_of(item), demonstration, now, tall))
        places.append(i)
    return shown, places, refused
