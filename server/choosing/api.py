"""Choosing over HTTP."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Query, Router

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.raw import parse_document
from hydrostatics.paper.svg import as_svg
from hydrostatics.works.glance import small_section
from server.people.queries import membership_of
from server.rooms.in_room import merged, room_for
from server.setups.queries import newest, setup_of
from server.wire.problems import NotFoundError, Problem

from .choices import Wish, choices
from .schemas import OffersOut

router = Router(tags=["choosing"])
REFUSED = {401: Problem, 404: Problem, 422: Problem}
BASE = "/departments/{department}/choose"
SMALL = (168.0, 112.0)
"""Paper units of a small section."""


class WishIn(Wish):
    room: int = 0


class SmallQuery(WishIn):
    """setup: of the department; else demonstration: its first start."""

    setup: int = 0
    demonstration: str = ""
    theme: Literal["light", "night"] = "light"


@router.get(BASE, response={200: OffersOut, **REFUSED}, operation_id="choose")
def choose(request: HttpRequest, department: str, query: Query[WishIn]) -> OffersOut:
    """Demonstrations and set-ups that fit a wish, with how they fare in the room today; without uncertainties."""
    return choices(membership_of(request.user, department), room_for(request.user, department, query.room), query)


@router.get(BASE + "/section.svg", response={200: str, **REFUSED}, operation_id="small_section")
def small(request: HttpRequest, department: str, query: Query[SmallQuery]) -> HttpResponse:
    """A set-up's section in the room today, drawn small."""
    membership = membership_of(request.user, department)
    room = room_for(request.user, department, query.room)
    if query.setup:
        document = parse_document(newest(setup_of(membership, query.setup)).document.encode())
    else:
        one = by_key().get(query.demonstration)
        if one is None:
            raise NotFoundError("this demonstration")
        document = one.guide.starts[0]["document"]
    title, drawing = small_section(merged(document, room).document, *SMALL)
    return HttpResponse(as_svg(drawing, query.theme, title), content_type="image/svg+xml")
