"""A kept lesson planned with its set-ups as they stand today, in its room's air."""

from __future__ import annotations

from dataclasses import asdict
from datetime import timedelta
from typing import Any

from django.db.models import F
from django.utils import timezone

from hydrostatics.answer import too_tall, work_out
from hydrostatics.documents.raw import parse_document
from hydrostatics.documents.reader import read_room
from hydrostatics.errors import Refusal
from hydrostatics.lessons.plan import Conflict, Plan, Shown, plan
from hydrostatics.lessons.plan import Lesson as Planned
from hydrostatics.quantities.reading import read_quantity
from server.rooms.in_room import merged
from server.rooms.live import stated_now
from server.setups.models import Version

from .gear import gear_conflicts
from .models import Lesson
from .queries import beside


def told_lesson(lesson: Lesson) -> dict[str, Any]:
    """A lesson with its running order, its timetable and its conflicts."""
    versions = versions_of(lesson)
    shown, places, refused = shown_in(lesson, versions)
    now = timezone.now()
    left = int((lesson.starts_at - now).total_seconds() // 60)
    ready = min(lesson.ready, left) if left > 0 else lesson.ready
    made = plan(
        Planned(
            lesson.minutes,
            tuple(shown),
            lesson.hands,
            lesson.things,
            lesson.way,  # type: ignore[arg-type]
            read_quantity("boiled", lesson.boiled, "volume").si,
            ready,
            float(read_room(stated_now(lesson.room) if lesson.room else {}).temperature[0]),
        )
    )
    facts = {key: getattr(lesson, key) for key in ("id", "version", "name", "starts_at", "minutes", "ready", "hands", "things", "way", "boiled", "items")}
    conflicts = refused + [_told(one, places) for one in made.conflicts] + gear_conflicts(lesson) + _of_the_day(lesson, left)
    return {
        **facts,
        "room": lesson.room_id or 0,
        "by": lesson.by.get_username() if lesson.by else "",
        "at": lesson.at,
        "archived_at": lesson.archived_at,
        "rows": _rows(lesson, versions),
        **_table(lesson, made, places),
        "early": [f"{job.words} (for “{shown[job.item].name}”)" for job in made.early],
        "conflicts": conflicts,
    }


def versions_of(lesson: Lesson) -> dict[int, Version]:
    """The newest version of each set-up shown, by the set-up's number."""
    wanted = {item["setup"] for item in lesson.items}
    found = Version.objects.filter(setup__department=lesson.department_id, setup__in=wanted, number=F("setup__version")).select_related("setup")
    return {one.setup_id: one for one in found}


def shown_in(lesson: Lesson, versions: dict[int, Version]) -> tuple[list[Shown], list[int], list[dict[str, Any]]]:
    """What can be planned, at which places it stands, and what stands in the way of the rest."""
    shown, places, refused = [], [], []
    for i, item in enumerate(lesson.items):
        version = versions.get(item["setup"])
        if version is None or version.setup.archived_at:
            name = version.setup.name if version else "what was shown here"
            refused.append({"words": f"“{name}” was put away.", "item": i, "cures": [{"words": "take it out of the lesson", "changes": {"without": i}}]})
            continue
        try:
            demonstration, now = work_out(merged(parse_document(version.document.encode()), lesson.room).document, drawn=False)
        except Refusal as trouble:
            refused.append({"words": f"“{version.setup.name}” cannot be predicted here: {trouble.message}.", "item": i, "cures": []})
            continue
        tall = " ".join(too_tall(now, demonstration.say(now)))
        shown.append(Shown(version.setup.name, item["minutes"], item["asking"], item["reset"], demonstration, now, tall))
        places.append(i)
    return shown, places, refused


def _rows(lesson: Lesson, versions: dict[int, Version]) -> list[dict[str, Any]]:
    """The running order as it is typed, whatever cannot be planned in it."""
    rows, at = [], lesson.starts_at
    for item in lesson.items:
        end = at + timedelta(minutes=item["minutes"] + item["asking"] + item["reset"])
        version = versions.get(item["setup"])
        name = version.setup.name if version else "what was shown here"
        rows.append({**item, "name": name, "begins": at, "ends": end, "archived": version is None or version.setup.archived_at is not None})
        at = end
    return rows


def _table(lesson: Lesson, made: Plan, places: list[int]) -> dict[str, Any]:
    if made.table is None:
        return {"slots": None, "begins": None, "proved": False}
    slots = [
        {
            "words": slot.job.words,
            "item": places[slot.job.item],
            "begins": lesson.starts_at + timedelta(minutes=slot.start),
            "ends": lesson.starts_at + timedelta(minutes=slot.end),
            "minutes": slot.job.minutes,
            "hands": [k + 1 for k in slot.hands],
            "needs": sorted(slot.job.needs),
        }
        for slot in made.table.slots
    ]
    return {"slots": slots, "begins": lesson.starts_at + timedelta(minutes=made.table.start), "proved": made.table.proved}


def _told(one: Conflict, places: list[int]) -> dict[str, Any]:
    cures = [asdict(cure) for cure in one.cures]
    for cure in cures:
        if "without" in cure["changes"]:
            cure["changes"] = {"without": places[int(cure["changes"]["without"])]}
    return {"words": one.words, "item": None if one.item is None else places[one.item], "cures": cures}


def _of_the_day(lesson: Lesson, left: int) -> list[dict[str, Any]]:
    """What only the day makes impossible: a bell that has rung, another lesson in the room."""
    made: list[dict[str, Any]] = [
        {"words": f"“{other.name}” is in the same room at the same time, from {timezone.localtime(other.starts_at):%H:%M}.", "item": None, "cures": []}
        for other in beside(lesson)
    ]
    if left <= 0:
        made.append({"words": "This bell has rung: the lesson lies in the past.", "item": None, "cures": []})
    return made
