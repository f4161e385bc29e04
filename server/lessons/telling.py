"""A planned lesson as it is told: its running order, its timetable, what stands in the way, what was done of it."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from hydrostatics.documents.naming import numbered
from hydrostatics.lessons.after import in_litres
from hydrostatics.lessons.plan import Conflict

from .elsewhere import of_the_day
from .gear import borrowed, gear_conflicts
from .models import Lesson
from .noted import noted_of_setups
from .planning import Planned, planned
from .printed import stale_sheets
from .ticks import ticks_of

FACTS = ("id", "version", "name", "starts_at", "minutes", "ready", "hands", "things", "way", "boiled", "items", "people", "spare", "socket", "note")
READINGS = 4
"""Readings of one dry run that are asked for; the run's page has them all."""


def told_lesson(lesson: Lesson) -> dict[str, Any]:
    """A lesson with its plan, its conflicts and its ticks."""
    return told_lesson_of(planned(lesson))


def told_lesson_of(made: Planned) -> dict[str, Any]:
    """The same of a lesson that is planned already."""
    lesson = made.lesson
    return {
        **{key: getattr(lesson, key) for key in FACTS},
        "room": lesson.room_id or 0,
        "course": lesson.course_id or 0,
        "course_name": lesson.course.name if lesson.course else "",
        "by": lesson.by.get_username() if lesson.by else "",
        "at": lesson.at,
        "archived_at": lesson.archived_at,
        **told_plan(made),
        "conflicts": _refused(made) + [_told(one, made.places) for one in made.plan.conflicts] + gear_conflicts(lesson) + of_the_day(made),
        "dry": _dry_runs(made),
        "ticks": ticks_of(lesson),
        "stale": stale_sheets(made),
        "noted": noted_of_setups(lesson.department_id, {item["setup"] for item in lesson.items}, lesson),
    }


def told_plan(made: Planned) -> dict[str, Any]:
    """The plan alone, in moments and names: what a sheet prints and a calendar tells."""
    plan = made.plan
    return {
        "rows": _rows(made),
        "recalls": [{"item": row.item, "begins": made.at(row.start), "ends": made.at(row.end)} for row in made.rows if row.recall],
        "closing": plan.closing,
        "slots": _slots(made),
        "begins": None if plan.table is None else made.at(plan.table.start),
        "proved": plan.table is not None and plan.table.proved,
        "early": [{"key": made.key(job.item, job.key.partition(".")[2]), "words": job.words, "item": made.places[job.item]} for job in plan.early],
        "clearing": _clearing(made),
        "cleared": plan.cleared.minutes,
        "litres": in_litres(plan.cleared.litres) if plan.cleared.litres else "",
    }


def _rows(made: Planned) -> list[dict[str, Any]]:
    """The running order as it is typed, whatever cannot be planned in it."""
    gone = {one.place for one in made.refused if one.gone}
    overs = {made.places[k]: over for k, over in enumerate(made.plan.overs) if made.places[k] + 1 == made.places[k + 1]}
    return [
        {
            "variations": [],
            **item,
            "name": made.names[row.item],
            "begins": made.at(row.start),
            "ends": made.at(row.end),
            "archived": row.item in gone,
            "proposed": overs.get(row.item, ""),
        }
        for row, item in zip(made.rows, made.lesson.items, strict=False)
    ]


def _slots(made: Planned) -> list[dict[str, Any]] | None:
    if made.plan.table is None:
        return None
    return [
        {
            "key": made.key(slot.job.item, slot.job.key.partition(".")[2]),
            "words": slot.job.words,
            "item": made.places[slot.job.item],
            "begins": made.at(slot.start),
            "ends": made.at(slot.end),
            "minutes": slot.job.minutes,
            "who": made.who(slot.hands),
            "needs": sorted(slot.job.needs),
        }
        for slot in made.plan.table.slots
    ]


def _clearing(made: Planned) -> list[dict[str, Any]]:
    told = [
        {
            "key": f"{made.bases[place]}.back-{thing.pk}",
            "words": f"Borrowed from {thing.borrowed_from}, put by to go back: {thing.name}",
            "item": place,
            "minutes": 1.0,
            "who": made.who([0])[0],
            "fragile": True,
        }
        for place, thing in borrowed(made.lesson)
    ]
    counted: dict[int, int] = {}
    for job in made.plan.cleared.jobs:
        counted[job.item] = counted.get(job.item, 0) + 1
        told.append(
            {
                "key": made.key(job.item, f"after-{counted[job.item]}"),
                "words": job.words,
                "item": made.places[job.item],
                "minutes": job.minutes,
                "who": made.who([job.hands])[0],
                "fragile": job.fragile,
            }
        )
    return told


def _dry_runs(made: Planned) -> list[dict[str, Any]]:
    """What each item's dry run reads, with what was predicted."""
    told = []
    for k, one in enumerate(made.shown):
        spread = one.now.spread
        read = [path for v, (path, value) in enumerate(spread.values) if value.read and spread.exists[v]][:READINGS]
        for path in read:
            value = spread.values[spread.index[path]][1]
            words = {"words": numbered(path, value.label), "predicted": one.now.words(path)}
            told.append({"key": made.key(k, f"read-{path.removeprefix('results.')}"), "item": made.places[k], **words})
    return told


def _refused(made: Planned) -> list[dict[str, Any]]:
    cure = "take it out of the lesson"
    return [{"words": one.words, "item": one.place, "cures": [{"words": cure, "changes": {"without": one.place}}] if one.gone else []} for one in made.refused]


def _told(one: Conflict, places: list[int]) -> dict[str, Any]:
    cures = [asdict(cure) for cure in one.cures]
    for cure in cures:
        if "without" in cure["changes"]:
            cure["changes"] = {"without": places[int(cure["changes"]["without"])]}
    return {"words": one.words, "item": None if one.item is None else places[one.item], "cures": cures}
