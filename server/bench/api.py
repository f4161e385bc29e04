"""Predictions over HTTP: the raw bytes go to the core's one reader, the core's answer comes back."""

from __future__ import annotations

import json
from typing import Any, Literal

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Schema

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.raw import parse_document
from hydrostatics.documents.reader import read_room
from hydrostatics.errors import UnknownName
from hydrostatics.guides.filling import prepared
from hydrostatics.layout.drawing import draw, play
from hydrostatics.layout.window import Paper, Window, window_of
from hydrostatics.nominal import Now
from hydrostatics.paper.svg import as_svg
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.quantities.saying import shown_unit
from hydrostatics.section.curve import Curve
from hydrostatics.views.curve import lay_out_curve
from hydrostatics.works.quick_line import quick_line
from hydrostatics.works.solve import as_json as solved_as_json
from hydrostatics.works.solve import solve as run_solve
from hydrostatics.works.sweep import curve_as_csv, curve_as_json, result_at
from hydrostatics.works.sweep import sweep as run_sweep
from hydrostatics.works.what_if import WhatIf
from hydrostatics.works.what_if import what_if as run_what_if
from server.people.signed_in import SignedInSession
from server.project.problems import Problem, ProblemError
from server.rooms.merging import Taken, merged, room_for

from .schemas import DemonstrationOut, PlaybackOut, PredictionOut, StartOut, TablesOut
from .works_schemas import CurveOut, QuickLineOut, SolvedOut, WhatIfOut

USUAL = Paper()
router = Router(tags=["bench"], auth=SignedInSession())
REFUSED = {401: Problem, 422: Problem}
DOCUMENT: dict[str, Any] = {"requestBody": {"required": True, "content": {"application/json": {"schema": {"type": "object", "description": "a set-up file"}}}}}


class Sheet(Schema):
    """The sheet that a section is laid out on, and the window to keep while a handle is held (JSON)."""

    width: float = USUAL.width
    height: float = USUAL.height
    horizon: float = USUAL.horizon
    clear: float = USUAL.clear
    window: str = ""

    def paper(self) -> Paper:
        """The core's paper.  Raises ProblemError for one that nothing fits on."""
        if not (200 <= self.width <= 4000 and 200 <= self.horizon <= self.height <= 4000 and 0 <= self.clear <= self.width - 180):
            raise ProblemError(422, "out-of-range", "the sheet is too small or too large to draw on", "width")
        return Paper(self.width, self.height, self.horizon, self.clear)

    def frozen(self) -> Window | None:
        """The window to keep, None where it is to be fitted."""
        if not self.window:
            return None
        try:
            return window_of(json.loads(self.window))
        except ValueError:
            raise ProblemError(422, "unreadable", "the window is not one that a section came with", "window") from None


class InRoom(Schema):
    """The department and the room in use, with its version: what a set-up does not state is taken from there."""

    department: str = ""
    room: int = 0
    room_version: int = 0


class SceneQuery(Sheet, InRoom):
    scene: bool = False
    working: bool = False
    guide: bool = False


class PlayQuery(Sheet, InRoom):
    pass


class SvgQuery(Sheet, InRoom):
    theme: Literal["light", "night"] = "light"


class SweepQuery(InRoom):
    """A result over an input; low and high in SI, absent for the usual range."""

    input: str
    result: str
    low: float | None = None
    high: float | None = None


class SolveQuery(SweepQuery):
    """target as a quantity with its unit."""

    target: str


class CurveQuery(SweepQuery):
    theme: Literal["light", "night"] = "light"


class LineQuery(InRoom):
    text: str


class WhatIfQuery(InRoom):
    own: str = ""

    def rooms(self) -> list[WhatIf]:
        """The person's own rooms.  Raises ProblemError for text that is not a list of objects."""
        try:
            given = json.loads(self.own) if self.own else []
            return [WhatIf(f"own-{i}", str(one["name"])[:60], dict(one["room"]), "") for i, one in enumerate(given[:6])]
        except (ValueError, TypeError, KeyError):
            raise ProblemError(422, "unreadable", "own rooms are a list of names with room keys", "own") from None


def worked(request: HttpRequest, query: InRoom) -> tuple[Demonstration[Any], Now[Any], Taken]:
    """The set-up in the body, in the room that the query names.  Raises a Refusal or a ProblemError."""
    taken = merged(parse_document(request.body), room_for(request, query.department, query.room, query.room_version))
    return (*work_out(taken.document), taken)


def _json(value: Any) -> HttpResponse:
    """The core's answer goes out as it is: checking its shape again would cost more than computing it."""
    return HttpResponse(orjson.dumps(value, option=orjson.OPT_SERIALIZE_NUMPY), content_type="application/json")


@router.post("/predict", response={200: PredictionOut, **REFUSED, 404: Problem}, operation_id="predict", openapi_extra=DOCUMENT)
def predict(request: HttpRequest, query: Query[SceneQuery]) -> HttpResponse:
    """Predicts the set-up in the body; with its section, working and guide where asked."""
    demonstration, now, taken = worked(request, query)
    made = taken.told_in(answer(demonstration, now))
    if query.scene:
        made["scene"] = draw(demonstration, now, query.paper(), query.frozen())
    if query.working:
        made["working"] = list(demonstration.working(now))
    if query.guide:
        made["guide"] = prepared(demonstration.guide, now)
    return _json(made)


@router.post("/playback", response={200: PlaybackOut | None, **REFUSED, 404: Problem}, operation_id="playback", openapi_extra=DOCUMENT)
def playback(request: HttpRequest, query: Query[PlayQuery]) -> HttpResponse:
    """What moves, moment by moment; null where nothing does."""
    demonstration, now, _ = worked(request, query)
    return _json(play(demonstration, now, query.paper(), query.frozen()))


@router.post("/section.svg", response={200: str, **REFUSED, 404: Problem}, operation_id="section_svg", openapi_extra=DOCUMENT)
def section_svg(request: HttpRequest, query: Query[SvgQuery]) -> HttpResponse:
    """The section as an SVG file, from the same primitives as the screen."""
    demonstration, now, _ = worked(request, query)
    verdict = answer(demonstration, now)["verdict"]["reason"]
    drawing = draw(demonstration, now, query.paper(), query.frozen())
    return HttpResponse(as_svg(drawing, query.theme, f"{demonstration.guide.title}. {verdict}"), content_type="image/svg+xml")


@router.post("/sweep", response={200: CurveOut, **REFUSED, 404: Problem}, operation_id="sweep", openapi_extra=DOCUMENT)
def sweep(request: HttpRequest, query: Query[SweepQuery]) -> HttpResponse:
    """A result's curve over an input, with its band, the verdict along it, and its drawing."""
    curve, drawing = _curve(request, query)
    return _json({**curve_as_json(curve), "drawing": drawing})


@router.post("/sweep.svg", response={200: str, **REFUSED, 404: Problem}, operation_id="sweep_svg", openapi_extra=DOCUMENT)
def sweep_svg(request: HttpRequest, query: Query[CurveQuery]) -> HttpResponse:
    """The same curve as an SVG file."""
    curve, drawing = _curve(request, query)
    title = f"{curve.result_name} over {curve.input_name.lower()}"
    return HttpResponse(as_svg(drawing, query.theme, title), content_type="image/svg+xml")


@router.post("/sweep.csv", response={200: str, **REFUSED, 404: Problem}, operation_id="sweep_csv", openapi_extra=DOCUMENT)
def sweep_csv(request: HttpRequest, query: Query[SweepQuery]) -> HttpResponse:
    """The same curve as rows, in SI."""
    curve, _ = _curve(request, query)
    return HttpResponse(curve_as_csv(curve), content_type="text/csv; charset=utf-8")


def _curve(request: HttpRequest, query: SweepQuery) -> tuple[Curve, dict[str, Any]]:
    """The curve and its drawing; over the range and with the marks that it is usually drawn with, where it is that one."""
    demonstration, now, _ = worked(request, query)
    usual = demonstration.say(now).curve
    low, high = query.low, query.high
    marks: tuple[tuple[float, str], ...] = ()
    if usual and (usual.input, usual.result) == (query.input, query.result):
        low, high, marks = usual.low if low is None else low, usual.high if high is None else high, usual.marks
    curve = run_sweep(demonstration, now.inputs, query.input, query.result, low, high)
    unit_x = shown_unit(curve.leaf.kind, curve.leaf.unit or None)
    unit_y = now.unit(query.result) if query.result in now.spread.index else shown_unit(curve.value.kind, None)
    return curve, lay_out_curve(curve, unit_x, unit_y, marks)


@router.post("/solve", response={200: SolvedOut, **REFUSED, 404: Problem}, operation_id="solve", openapi_extra=DOCUMENT)
def solve(request: HttpRequest, query: Query[SolveQuery]) -> HttpResponse:
    """Every value of an input in a range that brings a result to a target, or the nearest reach."""
    demonstration, now, _ = worked(request, query)
    value = result_at(now.prediction, query.result)
    target = read_quantity("target", query.target, value.kind).si
    got = run_solve(demonstration, now.inputs, query.result, target, query.input, query.low, query.high)
    return _json(solved_as_json(got, lambda si: now.exactly(query.input, got.leaf.kind, si)))


@router.post("/what-if", response={200: list[WhatIfOut], **REFUSED, 404: Problem}, operation_id="what_if", openapi_extra=DOCUMENT)
def what_if(request: HttpRequest, query: Query[WhatIfQuery]) -> HttpResponse:
    """The set-up in other rooms, side by side; own ones as JSON objects of the room's keys."""
    taken = merged(parse_document(request.body), room_for(request, query.department, query.room, query.room_version))
    return _json(run_what_if(taken.document, query.rooms()))


@router.get("/quick-line", response={200: QuickLineOut, **REFUSED, 404: Problem}, operation_id="quick_line")
def quick(request: HttpRequest, query: Query[LineQuery]) -> QuickLineOut:
    """A quantity in another unit, gauge or absolute in the room in use, a height of one liquid as another."""
    room = room_for(request, query.department, query.room, query.room_version)
    said = quick_line(query.text, read_room(room.stated if room else {}))
    return QuickLineOut(answer=said.answer, of=said.of, working=said.working, rests_on=said.rests_on, caution=said.caution, line=said.line)


@router.get("/demonstrations", response={200: list[DemonstrationOut], 401: Problem}, operation_id="demonstrations")
def demonstrations(request: HttpRequest) -> list[DemonstrationOut]:
    """What can be set up, each with its named starting set-ups."""
    return [
        DemonstrationOut(key=key, title=one.guide.title, sees=one.guide.sees, starts=[StartOut(**start) for start in one.guide.starts])
        for key, one in by_key().items()
    ]


@router.get("/demonstrations/{key}/schema", response={200: dict[str, Any], **REFUSED, 404: Problem}, operation_id="demonstration_schema")
def schema(request: HttpRequest, key: str) -> HttpResponse:
    """The JSON Schema of a demonstration's set-up file, from which the form is built."""
    from hydrostatics.documents.schema import document_schema

    if key not in by_key():
        raise UnknownName("demonstration", f"'{key}' is not a demonstration that is known", "known are " + ", ".join(by_key()))
    return _json(document_schema(by_key()[key]))


@router.get("/tables", response={200: TablesOut, 401: Problem}, operation_id="tables")
def tables(request: HttpRequest) -> TablesOut:
    """Units by kind, for showing numbers."""
    from hydrostatics.quantities.tables import unit_table

    return TablesOut.model_validate({"units": unit_table()})
