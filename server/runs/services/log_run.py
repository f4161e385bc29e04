"""A run is logged: its prediction is made once more on the server, and frozen."""

from __future__ import annotations

import json
import math
from datetime import datetime
from typing import Any
from uuid import UUID

from django.db import transaction
from django.utils import timezone

from hydrostatics.answer import answer, work_out
from hydrostatics.documents.naming import numbered
from hydrostatics.documents.raw import parse_document
from hydrostatics.errors import OutOfRange, UnknownName
from hydrostatics.errors import english as cases
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.window import Paper
from hydrostatics.prediction import told_results
from hydrostatics.quantities.saying import in_words
from hydrostatics.readings import read_reading
from server.people.models import Membership
from server.people.once import once
from server.rooms.in_room import in_use, merged
from server.setups.models import Setup
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Reading, Run, Series

SHEET = Paper()
FAR, HALF = 10.0, 0.5
"""A reading is asked about when it is off by more than so many standard uncertainties of both, and by half of what was predicted."""


def readable(prediction: Any) -> dict[str, dict[str, Any]]:
    """The results of a prediction that can be read at a run, by path."""
    return {path: result for path, result in told_results(prediction) if isinstance(result, dict) and result["read"]}


@transaction.atomic
def log_run(
    membership: Membership,
    setup: Setup,
    text: str,
    *,
    outcome: str,
    note: str,
    rehearsal: bool,
    series: list[dict[str, Any]],
    room: int | None = None,
    at: datetime | None = None,
    sent: UUID | None = None,
    sure: bool = True,
) -> Run:
    """Freezes prediction, room, constants and drawing of a document, and keeps the readings.

    room: the one that stood on the screen. sent: what the browser calls it; one that was logged already comes back as it is. series: per result its path, the instrument's half-width and the readings as typed. sure: whether readings far from their prediction are kept unasked. Raises a Refusal that names the field, or ProblemError (unlikely).
    """
    if known := once(membership, Run, sent):
        return known
    document = parse_document(text.encode("utf-8", "surrogatepass"))
    taken = merged(document, in_use(membership, room))
    demonstration, now = work_out(taken.document)
    prediction = taken.told_in(answer(demonstration, now))
    run = Run.objects.create(
        department=membership.department,
        setup=setup,
        setup_name=setup.name,
        document=text if taken.document is document else json.dumps(taken.document, indent=2, ensure_ascii=False),
        prediction=prediction,
        drawing=draw(demonstration, now, SHEET),
        outcome=outcome,
        note=note.replace("\0", ""),
        rehearsal=rehearsal,
        by=membership.person,
        at=at or timezone.now(),
        sent=sent,
    )
    for i, one in enumerate(series):
        made = keep_series(run, one, f"series.{i}", membership)
        if not sure:
            ask_about(made, f"series.{i}", prediction)
    return run


def ask_about(series: Series, at: str, prediction: Any) -> None:
    """Raises ProblemError (unlikely) for the first reading that lies so far from its prediction that a slip of unit or digit is likely."""
    result = readable(prediction)[series.path]
    spread = FAR * math.hypot(result["standard_uncertainty"], series.instrument_si)
    for k, reading in enumerate(series.readings.order_by("pk")):
        if abs(reading.si - result["value"]) > max(spread, HALF * abs(result["value"])):
            told = in_words(result["value"], result["shown_uncertainty"], result["kind"], result["shown"])
            raise ProblemError(kinds.READING_FAR_OFF, f"{at}.readings.{k}", name=numbered(series.path, series.label), typed=reading.text, predicted=told)


def keep_series(run: Run, one: dict[str, Any], at: str, membership: Membership) -> Series:
    """Adds readings of one result to a run, with the instrument's half-width."""
    can = readable(run.prediction)
    if one["path"] not in can:
        raise UnknownName(f"{at}.path", cases.NOT_READABLE_HERE, result=one["path"], known=", ".join(can))
    result = can[one["path"]]
    instrument = read_reading(f"{at}.instrument", one["instrument"], result["kind"])
    if instrument.si < 0:
        raise OutOfRange(f"{at}.instrument", cases.HALF_WIDTH_BELOW_ZERO, value=one["instrument"])
    made, _ = Series.objects.update_or_create(
        run=run,
        path=one["path"],
        defaults={"label": result["label"], "kind": result["kind"], "instrument": one["instrument"].strip()[:60], "instrument_si": instrument.si},
    )
    for k, text in enumerate(one["readings"]):
        found = read_reading(f"{at}.readings.{k}", text, result["kind"])
        Reading.objects.create(series=made, text=text.strip()[:60], si=found.si, by=membership.person)
    return made
