"""The page one starts on: what was noted last time, what is to be shown next, and what the air moves in it."""

from __future__ import annotations

import json
from datetime import datetime, timedelta
from typing import Any

from django.http import HttpRequest
from django.utils import timezone
from ninja import Router, Schema

from hydrostatics.doubt import in_short
from hydrostatics.works.moved import moved, states_pressure
from server.lessons.queries import lessons_of
from server.people.queries import membership_of
from server.rooms.in_room import in_use, merged
from server.rooms.trend import trend
from server.runs.queries import runs_of
from server.setups.queries import pinned_of
from server.wire.problems import Problem

router = Router(tags=["today"])
NOTES = 3
DAY, WEEK = 24, 168
REACHES = 0.7
"""Part of a time that readings reach back for it to be spoken of."""


class NoteOut(Schema):
    """What was noted at a run or after a lesson: its number, 0 for the other; outcome: of a run, in words."""

    run: int
    lesson: int
    name: str
    outcome: str
    note: str
    by: str
    at: datetime


class MovedOut(Schema):
    """What the air has moved in a set-up over some hours, in words."""

    hours: int
    words: str


class NextOut(Schema):
    """A set-up that is to be shown next, with its verdict as it was saved."""

    id: int
    name: str
    verdict: str
    state: str
    doubt: str
    moved: list[MovedOut]
    own_pressure: bool


class TodayOut(Schema):
    notes: list[NoteOut]
    next: list[NextOut]


@router.get("/departments/{department}/today", response={200: TodayOut, 401: Problem, 404: Problem}, operation_id="today")
def today(request: HttpRequest, department: str) -> TodayOut:
    """Last notes, pinned set-ups, and what a day's and a week's change of the air moves in them."""
    membership = membership_of(request.user, department)
    room = in_use(membership)
    trends = [trend(room, hours) for hours in (DAY, WEEK)] if room else []
    notes = [
        _noted(run.note, run.by, run.at, run=run.pk, name=run.setup_name, outcome=run.get_outcome_display())
        for run in runs_of(membership).exclude(note="")[:NOTES]
    ]
    over = lessons_of(membership).exclude(note="").filter(starts_at__lte=timezone.now()).order_by("-starts_at")
    notes += [_noted(one.note, one.by, one.ends_at, lesson=one.pk, name=one.name) for one in over[:NOTES]]
    notes.sort(key=lambda one: one.at, reverse=True)
    return TodayOut.model_validate({"notes": notes[:NOTES], "next": [_next(version, room, trends) for version in pinned_of(membership)]})


def _noted(note: str, by: Any, at: datetime, *, name: str, run: int = 0, lesson: int = 0, outcome: str = "") -> NoteOut:
    return NoteOut(run=run, lesson=lesson, name=name, outcome=outcome, note=note, by=by.get_username() if by else "", at=at)


def _spans(told: dict[str, Any]) -> bool:
    """Whether readings reach back for most of the time that a trend is asked over."""
    return bool(timezone.now() - told["then_at"] > timedelta(hours=REACHES * told["hours"]))


def _next(version: Any, room: Any, trends: list[dict[str, Any]]) -> dict[str, Any]:
    document = json.loads(version.document)
    own = states_pressure(document)
    told = []
    for one in trends if not own else ():
        if one["now"] is not None and _spans(one) and (words := moved(merged(document, room).document, one["now"], one["then"])):
            told.append({"hours": one["hours"], "words": words})
    facts = {"id": version.setup_id, "name": version.setup.name, "verdict": version.verdict, "state": version.state}
    return facts | {"doubt": in_short(version.probability), "moved": told, "own_pressure": own}
