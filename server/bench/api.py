"""Predictions over HTTP: the raw bytes go to the core's one reader, the core's answer comes back."""

from __future__ import annotations

import json
from typing import Any, Literal

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Schema

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.raw import parse_document
from hydrostatics.errors import UnknownName
from hydrostatics.scene.drawing import draw, play
from hydrostatics.scene.paper import Paper, Window, window_of
from hydrostatics.scene.svg import as_svg
from server.people.signed_in import SignedInSession
from server.project.problems import Problem, ProblemError

from .schemas import DemonstrationOut, PlaybackOut, PredictionOut, StartOut, TablesOut

router = Router(tags=["bench"], auth=SignedInSession())
REFUSED = {401: Problem, 422: Problem}
DOCUMENT: dict[str, Any] = {"requestBody": {"required": True, "content": {"application/json": {"schema": {"type": "object", "description": "a set-up file"}}}}}


class Sheet(Schema):
    """The sheet that a section is laid out on, and the window to keep while a handle is held (JSON)."""

    width: float = 984
    height: float = 668
    horizon: float = 592
    clear: float = 356
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


class SceneQuery(Sheet):
    scene: bool = False
    working: bool = False


class SvgQuery(Sheet):
    theme: Literal["light", "night"] = "light"


def _json(value: Any) -> HttpResponse:
    """The core's answer goes out as it is: checking its shape again would cost more than computing it."""
    return HttpResponse(orjson.dumps(value, option=orjson.OPT_SERIALIZE_NUMPY), content_type="application/json")


@router.post("/predict", response={200: PredictionOut, **REFUSED}, operation_id="predict", openapi_extra=DOCUMENT)
def predict(request: HttpRequest, query: Query[SceneQuery]) -> HttpResponse:
    """Predicts the set-up in the body; with its section and working where asked."""
    demonstration, now = work_out(parse_document(request.body))
    made = answer(demonstration, now)
    if query.scene:
        made["scene"] = draw(demonstration, now, query.paper(), query.frozen())
    if query.working:
        made["working"] = list(demonstration.working(now))
    return _json(made)


@router.post("/playback", response={200: PlaybackOut | None, **REFUSED}, operation_id="playback", openapi_extra=DOCUMENT)
def playback(request: HttpRequest, query: Query[Sheet]) -> HttpResponse:
    """What moves, moment by moment; null where nothing does."""
    demonstration, now = work_out(parse_document(request.body))
    return _json(play(demonstration, now, query.paper(), query.frozen()))


@router.post("/section.svg", response={200: str, **REFUSED}, operation_id="section_svg", openapi_extra=DOCUMENT)
def section_svg(request: HttpRequest, query: Query[SvgQuery]) -> HttpResponse:
    """The section as an SVG file, from the same primitives as the screen."""
    demonstration, now = work_out(parse_document(request.body))
    verdict = answer(demonstration, now)["verdict"]["reason"]
    drawing = draw(demonstration, now, query.paper(), query.frozen())
    return HttpResponse(as_svg(drawing, query.theme, f"{demonstration.guide.title}. {verdict}"), content_type="image/svg+xml")


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
