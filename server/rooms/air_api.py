"""A room's air over HTTP: what counts now, its sources, its trend."""

from __future__ import annotations

import hashlib
import re

import orjson
from django.db import IntegrityError, transaction
from django.http import HttpRequest, HttpResponse
from ninja import Router

from hydrostatics.quantities.reading import read_quantity
from server.people.models import Membership
from server.people.queries import membership_of
from server.wire import english as kinds
from server.wire.problems import Problem, ProblemError

from . import queries
from .air_schemas import AirOut, SourceIn, SourceOut, TrendOut
from .live import speaks
from .models import AirSource
from .services.take_in import choose, say_it_is_so
from .telling import brief
from .trend import trend as trend_of

router = Router(tags=["air"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
PLACES = {
    "sensor": re.compile(r"socket://[\w.-]+:\d{1,5}|/dev/tty\w+|/dev/serial/by-id/[\w:.-]+|COM\d{1,3}"),
    "weather": re.compile(r"https?://[^\s/]+(/\S*)?"),
}
"""What may be read: a port or a socket, and no other address that pyserial knows, since some of those write files."""
ROOM = "/departments/{department}/rooms/{room}"


def _told(source: AirSource) -> SourceOut:
    facts = ("id", "name", "sort", "place", "order", "tolerance", "on", "pressure", "temperature", "at", "asked", "asked_at", "asked_of", "trouble")
    return SourceOut.model_validate({key: getattr(source, key) for key in facts} | {"speaks": source.on and speaks(source.sort, source.at)})


@router.get("/departments/{department}/air", response={200: AirOut, 304: None, **REFUSED}, operation_id="air")
def air(request: HttpRequest, department: str, room: int = 0) -> HttpResponse:
    """The air in the department's rooms, and the sources of one; 304 where nothing has changed since it was asked last."""
    membership = membership_of(request.user, department)
    rooms = list(queries.rooms_of(membership))
    sources = AirSource.objects.filter(room=room, room__department=membership.department) if room else []
    made = AirOut.model_validate({"rooms": [brief(one) for one in rooms], "sources": [_told(one) for one in sources]})
    body = orjson.dumps(made.model_dump(mode="json"))
    tag = f'"{hashlib.blake2b(body, digest_size=12).hexdigest()}"'
    if request.headers.get("If-None-Match") == tag:
        return HttpResponse(status=304, headers={"ETag": tag})
    return HttpResponse(body, content_type="application/json", headers={"ETag": tag, "Cache-Control": "private, no-cache"})


@router.get(ROOM + "/trend", response={200: TrendOut, **REFUSED}, operation_id="trend")
def trend(request: HttpRequest, department: str, room: int, hours: int = 24) -> TrendOut:
    """How the pressure went over the last hours, at most a month of them."""
    found = queries.room_of(membership_of(request.user, department), room)
    return TrendOut.model_validate(trend_of(found, min(max(hours, 1), 24 * 31)))


def _keep(membership: Membership, room: int, source: AirSource | None, body: SourceIn) -> SourceOut:
    found = queries.room_of(membership, room)
    one = source or AirSource(room=found)
    if not PLACES[body.sort].fullmatch(body.place):
        raise ProblemError(kinds.SOURCE_PLACE, "place")
    tolerance = read_quantity("tolerance", body.tolerance, "pressure").si
    moved = one.place != body.place
    for key in ("name", "sort", "place", "order", "on"):
        setattr(one, key, getattr(body, key))
    one.tolerance = tolerance
    if moved:  # another sensor: what the one before said does not bind it
        one.pressure = one.at = one.asked = one.asked_at = None
        one.trouble = one.station = one.asked_of = ""
    try:
        with transaction.atomic():
            one.save()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a source of this room", name=body.name) from None
    choose(found)
    return _told(one)


@router.post(ROOM + "/sources", response={200: SourceOut, **REFUSED}, operation_id="create_source")
def create(request: HttpRequest, department: str, room: int, body: SourceIn) -> SourceOut:
    """Another source of a room's air."""
    return _keep(membership_of(request.user, department), room, None, body)


@router.put(ROOM + "/sources/{source}", response={200: SourceOut, **REFUSED}, operation_id="save_source")
def save(request: HttpRequest, department: str, room: int, source: int, body: SourceIn) -> SourceOut:
    """What is said of a source now: its place, its turn, whether it is read at all."""
    membership = membership_of(request.user, department)
    return _keep(membership, room, queries.source_of(membership, room, source), body)


@router.delete(ROOM + "/sources/{source}", response={204: None, **REFUSED}, operation_id="remove_source")
def remove(request: HttpRequest, department: str, room: int, source: int) -> tuple[int, None]:
    """Takes a source away, with what it read."""
    queries.source_of(membership_of(request.user, department), room, source).delete()
    return 204, None


@router.post(ROOM + "/sources/{source}/so", response={200: SourceOut, **REFUSED}, operation_id="so_it_is")
def so(request: HttpRequest, department: str, room: int, source: int) -> SourceOut:
    """What was asked about a source's pressure is so, and counts from now on."""
    membership = membership_of(request.user, department)
    say_it_is_so(queries.source_of(membership, room, source))
    return _told(queries.source_of(membership, room, source))
