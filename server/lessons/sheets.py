"""A lesson on paper: what the technician prepares, what the teacher runs by, what is signed; a day's lessons in one; what is tried at home."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta
from typing import Any, Literal

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.guides.filling import prepared
from hydrostatics.lessons.plan import Shown
from hydrostatics.nominal import Now
from hydrostatics.quantities.saying import as_people_write
from server.rooms.site import told_site
from server.wire import english as kinds
from server.wire.problems import ProblemError

from .models import Lesson
from .noted import noted_of_setups
from .planning import Planned, all_planned
from .printing import now_in_words, picture_of, printed
from .telling import told_lesson_of, told_plan
from .ticks import ticks_of

Kind = Literal["prep", "run", "risk"]
TITLES: dict[Kind, str] = {"prep": "Prep sheet", "run": "Run sheet", "risk": "Risk assessment"}
CAUTIONS = 3
"""Cautions of one demonstration that a run sheet has room for; the risk assessment and the set-up's page have them all."""


def sheet_pdf(made: Planned, kind: Kind) -> bytes:
    """A sheet of a planned lesson as a PDF."""
    told = told_lesson_of(made)
    entries = [_entry(one, made, k, kind, told) for k, one in enumerate(made.shown)]
    ticks = told["ticks"]
    facts = {
        **_heading(made, TITLES[kind]),
        "lesson": told,
        "site": told_site(made.lesson.room) if made.lesson.room else None,
        "slots": _named(made, told["slots"] or (), ticks),
        "early": _named(made, told["early"], ticks),
        "clearing": _named(made, told["clearing"], ticks),
        "shown": entries,
        "recalls": [{"name": made.names[row["item"]], "begins": row["begins"]} for row in told["recalls"]],
    }
    return printed(kind, facts)


def _heading(made: Planned, title: str) -> dict[str, Any]:
    lesson = made.lesson
    return {"title": title, "room": lesson.room.name if lesson.room else "", "stamp": f"Version {lesson.version}, {now_in_words()}"}


def _named(made: Planned, jobs: Sequence[dict[str, Any]], ticks: Mapping[str, Mapping[str, Any]]) -> list[dict[str, Any]]:
    """Jobs with the name of what they are for, and whether they are done, by what was ticked."""
    return [{**job, "name": made.names[job["item"]], "done": ticks.get(job["key"], {}).get("done", False)} for job in jobs]


def _entry(one: Shown, made: Planned, k: int, kind: Kind, told: dict[str, Any]) -> dict[str, Any]:
    """One demonstration as a sheet tells it."""
    place = made.places[k]
    row = told["rows"][place]
    entry: dict[str, Any] = {"name": one.name, "guide": prepared(one.demonstration.guide, one.now), "begins": row["begins"]}
    entry["dry"] = [read for read in told["dry"] if read["item"] == place]
    entry["picture"] = picture_of(one.demonstration, one.now, one.name)
    if kind != "prep":
        answered = answer(one.demonstration, one.now)
        entry |= {
            "long": f"{(row['ends'] - row['begins']) / timedelta(minutes=1):g}",
            "verdict": answered["verdict"]["reason"],
            "cautions": answered["cautions"] if kind == "risk" else answered["cautions"][:CAUTIONS],
            "variations": [f"{then['words']}, {then['minutes']:g} min, {then['reset']:g} min to put back" for then in row["variations"]],
            "over": row["say"] or row["proposed"],
        }
    return entry


def day_pdf(lessons: Sequence[Lesson], day: datetime, order: Sequence[int]) -> bytes:
    """One sheet for all lessons of a day: room by room in walking order, in each the jobs by their times.

    order: numbers of the rooms as one walks them; rooms that are not in it come after them, by their first job. Raises ProblemError where
    nothing is planned on that day.
    """
    if not lessons:
        raise ProblemError(kinds.NO_LESSONS)
    rooms: dict[int, list[dict[str, Any]]] = {}
    for one, made in zip(lessons, all_planned(lessons), strict=True):
        told = told_plan(made)
        noted = noted_of_setups(one.department_id, {item["setup"] for item in one.items}, one)
        ticks = ticks_of(one)
        early = _named(made, told["early"], ticks)
        entry = {"lesson": one, "slots": _named(made, told["slots"] or (), ticks), "early": early, "none": told["slots"] is None, "noted": noted}
        rooms.setdefault(one.room_id or 0, []).append(
            {**entry, "first": told["begins"] or one.starts_at, "clearing": told["clearing"], "litres": told["litres"]}
        )
    walked = sorted(rooms, key=lambda room: (order.index(room) if room in order else len(order), min(entry["first"] for entry in rooms[room])))
    told_rooms = [{"room": rooms[room][0]["lesson"].room, "entries": sorted(rooms[room], key=lambda entry: entry["first"])} for room in walked]
    versions_told = ", ".join(f"“{one.name}” version {one.version}" for one in lessons)
    return printed("day", {"title": "A day's prep sheet", "day": day, "rooms": told_rooms, "stamp": f"{versions_told}; {now_in_words()}"})


def home_pdf(name: str, demonstration: Demonstration[Any], now: Now[Any]) -> bytes:
    """What is tried at home, on one page: household sizes with wide tolerances, the verdict they earn, cautions, one question."""
    guide = prepared(demonstration.guide, now)
    household = demonstration.guide.household
    facts: dict[str, Any] = {"title": "To try at home", "name": name, "guide": guide, "stamp": f"After “{name}”, {now_in_words()}", "computed": None}
    if household is not None and not any(one.entry and one.entry.computed_only for one in now.inputs.liquids):
        at_home = work_out(household.document)
        told = answer(*at_home)
        facts |= {"things": household.things, "computed": told["verdict"]["reason"], "doubt": told["verdict"]["doubt"], "cautions": told["cautions"]}
        facts |= {"sizes": _sizes(at_home[1]), "picture": picture_of(*at_home, name)}
    return printed("home", facts, (12.0, 11.0, 10.0))


def _sizes(now: Now[Any]) -> list[str]:
    """The sizes typed in a set-up, in words."""
    typed = [leaf for leaf in now.inputs.leaves.values() if leaf.origin == "typed" and leaf.path.startswith("setup.")]
    return [as_people_write(f"{leaf.name}: {now.exactly(leaf.path, leaf.kind, leaf.si)}") for leaf in typed]
