"""Works on every set-up over HTTP: sweep, solve, what if, the quick line."""

from __future__ import annotations

import json
from dataclasses import asdict
from typing import Any

from django.http import HttpRequest, HttpResponse
from ninja import Query, Router

from hydrostatics.answer import answer
from hydrostatics.documents.reader import read_room
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.quantities.saying import shown_unit
from hydrostatics.section.curve import Curve
from hydrostatics.views.curve import chart_of_curve
from hydrostatics.works.carry_on import carry_on
from hydrostatics.works.in_marks import in_marks
from hydrostatics.works.one_line import one_line
from hydrostatics.works.quick_line import quick_line
from hydrostatics.works.solve import as_json as solved_as_json
from hydrostatics.works.solve import solve as run_solve
from hydrostatics.works.sweep import curve_as_csv, curve_as_json, result_at
from hydrostatics.works.sweep import sweep as run_sweep
from hydrostatics.works.what_if import WhatIf
from hydrostatics.works.what_if import what_if as run_what_if
from server.predictions.asking import DOCUMENT, REFUSED, InRoom, as_it_is, taken_document, worked
from server.rooms.in_room import room_for
from server.rooms.live import stated_now
from server.wire import english as kinds
from server.wire.problems import ProblemError

from .schemas import CurveOut, InMarksOut, OneLineOut, QuickLineOut, SolvedOut, StaysOut, WhatIfOut

router = Router(tags=["works"])


class SweepQuery(InRoom):
    """A result over an input; low and high in SI, absent for the usual range."""

    input: str
    result: str
    low: float | None = None
    high: float | None = None


class SolveQuery(SweepQuery):
    """target as a quantity with its unit."""

    target: str


class LineQuery(InRoom):
    text: str


class ListLineQuery(LineQuery):
    """path: of the list that the text stands for."""

    path: str


class MomentQuery(InRoom):
    """moment: number of a moment of the movement from 0; absent for its end."""

    moment: int | None = None


class MarksQuery(InRoom):
    """What a mark of the gauge is worth, and its full scale where that is known, as typed."""

    smallest_mark: str
    full_scale: str = ""


class WhatIfQuery(InRoom):
    own: str = ""

    def rooms(self) -> list[WhatIf]:
        """The person's own rooms.  Raises ProblemError for text that is not a list of objects."""
        try:
            given = json.loads(self.own) if self.own else []
            return [WhatIf(f"own-{i}", str(one["name"])[:60], dict(one["room"]), "") for i, one in enumerate(given[:6])]
        except (ValueError, TypeError, KeyError, RecursionError):
            raise ProblemError(kinds.OWN_ROOMS_UNREADABLE, "own") from None


@router.post("/sweep", response={200: CurveOut, **REFUSED}, operation_id="sweep", openapi_extra=DOCUMENT)
def sweep(request: HttpRequest, query: Query[SweepQuery]) -> HttpResponse:
    """A result's curve over an input, with its band, the verdict along it, and its chart."""
    curve, chart = _curve(request, query)
    return as_it_is({**curve_as_json(curve), "chart": chart})


@router.post("/sweep.csv", response={200: str, **REFUSED}, operation_id="sweep_csv", openapi_extra=DOCUMENT)
def sweep_csv(request: HttpRequest, query: Query[SweepQuery]) -> HttpResponse:
    """The same curve as rows, in SI."""
    curve, _ = _curve(request, query)
    return HttpResponse(curve_as_csv(curve), content_type="text/csv; charset=utf-8")


def _curve(request: HttpRequest, query: SweepQuery) -> tuple[Curve, dict[str, Any]]:
    """The curve and its chart; over the range and with the marks that it is usually drawn with, where it is that one."""
    demonstration, now, _ = worked(request, query)
    usual = demonstration.say(now).curve
    low, high = query.low, query.high
    marks: tuple[tuple[float, str], ...] = ()
    if usual and (usual.input, usual.result) == (query.input, query.result):
        low, high, marks = usual.low if low is None else low, usual.high if high is None else high, usual.marks
    curve = run_sweep(demonstration, now.inputs, query.input, query.result, low, high)
    unit_x = shown_unit(curve.leaf.kind, curve.leaf.unit or None)
    unit_y = now.unit(query.result) if query.result in now.spread.index else shown_unit(curve.value.kind, None)
    return curve, chart_of_curve(curve, unit_x, unit_y, marks)


@router.post("/solve", response={200: SolvedOut, **REFUSED}, operation_id="solve", openapi_extra=DOCUMENT)
def solve(request: HttpRequest, query: Query[SolveQuery]) -> HttpResponse:
    """Every value of an input in a range that brings a result to a target, or the nearest reach."""
    demonstration, now, _ = worked(request, query)
    value = result_at(now.prediction, query.result)
    target = read_quantity("target", query.target, value.kind).si
    got = run_solve(demonstration, now.inputs, query.result, target, query.input, query.low, query.high)
    return as_it_is(solved_as_json(got, lambda si: now.to_be_had(query.input, got.leaf.kind, si)))


@router.post("/what-if", response={200: list[WhatIfOut], **REFUSED}, operation_id="what_if", openapi_extra=DOCUMENT)
def what_if(request: HttpRequest, query: Query[WhatIfQuery]) -> HttpResponse:
    """The set-up in other rooms, side by side; own ones as JSON objects of the room's keys."""
    return as_it_is(run_what_if(taken_document(request, query).document, query.rooms()))


@router.post("/one-line", response={200: OneLineOut, **REFUSED}, operation_id="one_line", openapi_extra=DOCUMENT)
def list_line(request: HttpRequest, query: Query[ListLineQuery]) -> dict[str, Any]:
    """A list of the set-up in the body from one line of text, its meaning told back; nothing is changed."""
    return one_line(taken_document(request, query).document, query.path, query.text)


@router.post("/carry-on", response={200: list[StaysOut], **REFUSED}, operation_id="carry_on", openapi_extra=DOCUMENT)
def carry(request: HttpRequest, query: Query[MomentQuery]) -> list[dict[str, Any]]:
    """What of the set-up in the body a next one begins with, as changes of its document; empty where all is left as it was."""
    demonstration, now, _ = worked(request, query)
    return [{"path": one.path, "quantity": one.typed, "words": one.words} for one in carry_on(demonstration, now, query.moment)]


@router.post("/in-marks", response={200: list[InMarksOut], **REFUSED}, operation_id="in_marks", openapi_extra=DOCUMENT)
def marks(request: HttpRequest, query: Query[MarksQuery]) -> list[dict[str, Any]]:
    """What can be read of the set-up in the body, in the marks of a gauge."""
    demonstration, now, _ = worked(request, query)
    return [asdict(one) for one in in_marks(answer(demonstration, now), query.smallest_mark, query.full_scale)]


@router.get("/quick-line", response={200: QuickLineOut, **REFUSED}, operation_id="quick_line")
def quick(request: HttpRequest, query: Query[LineQuery]) -> QuickLineOut:
    """A quantity in another unit, gauge or absolute in the room in use, a height of one liquid as another."""
    room = room_for(request.user, query.department, query.room)
    said = quick_line(query.text, read_room(stated_now(room) if room else {}))
    return QuickLineOut.model_validate({**asdict(said), "line": said.line})
