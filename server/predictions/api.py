"""Predictions over HTTP: the raw bytes go to the core's one reader, the core's answer comes back."""

from __future__ import annotations

from typing import Annotated, Literal

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from ninja import Query, Router
from pydantic import Field

from hydrostatics.answer import answer, work_out_aid
from hydrostatics.guides.filling import prepared
from hydrostatics.layout.drawing import draw, draw_scene, play
from hydrostatics.layout.window import Paper
from hydrostatics.lessons.making import at_the_bench, holes_to_make, to_fill
from hydrostatics.paper.svg import as_svg
from hydrostatics.printed.gauge_strip import gauge_strips
from hydrostatics.printed.strips import strips_of
from hydrostatics.printed.strips_pdf import strips_pdf
from hydrostatics.quantities.reading import read_quantity
from server.wire import english as kinds
from server.wire.problems import ProblemError

from .asking import DOCUMENT, REFUSED, InRoom, Sheet, as_it_is, taken_document, worked
from .schemas import MeasuredOut, PlaybackOut, PredictionOut

router = Router(tags=["predictions"])
AID_SHEET = Paper(440, 300, 270, 60)
"""The sheet beside an aid's form."""


class SceneQuery(Sheet, InRoom):
    scene: bool = False
    held: bool = False
    working: bool = False
    guide: bool = False


class PlayQuery(Sheet, InRoom):
    pass


LINES = (1e-4, 0.1)
"""How far a gauge's lines may be apart [m]."""


class PrintQuery(InRoom):
    """name: of the set-up. version: the one that was saved; 0 where it was not, or was changed since."""

    name: Annotated[str, Field(max_length=120)] = ""
    version: int = 0

    @property
    def stamp(self) -> str:
        """What tells a later reader whether the sheet is still right."""
        saved = f"Version {self.version}" if self.version else "Not saved"
        return f"{saved}, printed {timezone.localtime():%-d %b %Y, %H:%M}"


class ScaleQuery(PrintQuery):
    """line: how far the gauge's lines are apart, as typed."""

    line: Annotated[str, Field(min_length=1, max_length=40)] = "1 mm"


class SvgQuery(Sheet, InRoom):
    theme: Literal["light", "night"] = "light"


@router.post("/predict", response={200: PredictionOut, **REFUSED}, operation_id="predict", openapi_extra=DOCUMENT)
def predict(request: HttpRequest, query: Query[SceneQuery]) -> HttpResponse:
    """Predicts the set-up in the body; with its section, working and guide where asked; without draws while a handle is held."""
    demonstration, now, taken = worked(request, query, drawn=not query.held)
    made = taken.told_in(answer(demonstration, now))
    if query.scene:
        made["scene"] = draw(demonstration, now, query.paper(), query.frozen())
    if query.working:
        made["working"] = list(demonstration.working(now))
    if query.guide:
        guide = prepared(demonstration.guide, now)
        made["guide"] = guide and guide | {
            "to_fill": to_fill(demonstration, now),
            "to_make": holes_to_make(demonstration, now),
            "minutes": at_the_bench(guide),
        }
    return as_it_is(made)


@router.post("/measured", response={200: MeasuredOut, **REFUSED}, operation_id="measured", openapi_extra=DOCUMENT)
def measured(request: HttpRequest, query: Query[InRoom]) -> HttpResponse:
    """What comes of the measures in the body, taken with an aid."""
    taken = taken_document(request, query)
    aid, now = work_out_aid(taken.document)
    made = taken.told_in(answer(aid, now))
    scene = draw_scene(aid.section(now), now, AID_SHEET) if aid.section else None
    return as_it_is(made | {"working": list(aid.working(now)), "scene": scene, "scale": aid.scale is not None})


@router.post("/playback", response={200: PlaybackOut | None, **REFUSED}, operation_id="playback", openapi_extra=DOCUMENT)
def playback(request: HttpRequest, query: Query[PlayQuery]) -> HttpResponse:
    """What moves, moment by moment; null where nothing does."""
    demonstration, now, _ = worked(request, query)
    return as_it_is(play(demonstration, now, query.paper(), query.frozen()))


@router.post("/section.svg", response={200: str, **REFUSED}, operation_id="section_svg", openapi_extra=DOCUMENT)
def section_svg(request: HttpRequest, query: Query[SvgQuery]) -> HttpResponse:
    """The section as an SVG file, from the same primitives as the screen."""
    demonstration, now, _ = worked(request, query)
    verdict = answer(demonstration, now)["verdict"]["reason"]
    drawing = draw(demonstration, now, query.paper(), query.frozen())
    return HttpResponse(as_svg(drawing, query.theme, f"{demonstration.guide.title}. {verdict}"), content_type="image/svg+xml")


@router.post("/scale.pdf", response={200: str, **REFUSED}, operation_id="scale", openapi_extra=DOCUMENT)
def scale(request: HttpRequest, query: Query[ScaleQuery]) -> HttpResponse:
    """A calibrated gauge's own scale at true scale, to be laid along its lines."""
    aid, now = work_out_aid(taken_document(request, query).document)
    line = read_quantity("line", query.line, "length").si
    if not LINES[0] <= line <= LINES[1]:
        raise ProblemError(kinds.LINE_APART, "line")
    found = gauge_strips(aid.scale(now) if aid.scale else (), line)
    if not found:
        raise ProblemError(kinds.NO_SCALE, "line")
    made = strips_pdf(found, query.name or aid.title, query.stamp)
    return HttpResponse(made, content_type="application/pdf", headers={"Content-Disposition": 'inline; filename="scale.pdf"'})


@router.post("/strips.pdf", response={200: str, **REFUSED}, operation_id="strips", openapi_extra=DOCUMENT)
def strips(request: HttpRequest, query: Query[PrintQuery]) -> HttpResponse:
    """The set-up's strips at true scale, to be wrapped round the bottle or laid on the tray."""
    demonstration, now, _ = worked(request, query)
    found = strips_of(demonstration, now)
    if not found:
        raise ProblemError(kinds.NO_STRIPS, "document")
    made = strips_pdf(found, query.name or demonstration.title, query.stamp)
    return HttpResponse(made, content_type="application/pdf", headers={"Content-Disposition": 'inline; filename="strips.pdf"'})
