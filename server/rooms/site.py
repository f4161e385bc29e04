"""Sites over HTTP: landings, hose, foot and signals of a tall place, and where on it a set-up is read."""

from __future__ import annotations

from typing import Annotated, Any

from django.db import transaction
from django.http import HttpRequest
from ninja import Router, Schema
from pydantic import Field

from hydrostatics.answer import work_out
from hydrostatics.documents.raw import parse_document
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.works.site import Landing, on_site
from server.people.models import Membership
from server.people.queries import membership_of
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import Problem, ProblemError

from . import queries
from .in_room import in_use, merged
from .models import Room, Site

router = Router(tags=["rooms"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/rooms/{room}/site"
HIGHEST = 200.0
"""Metres above the basin beyond which a landing is a slip."""


class LandingOut(Schema):
    """A landing: its floor's height above the basin as typed, and who stands there."""

    name: Annotated[str, Field(min_length=1, max_length=60)]
    height: Annotated[str, Field(min_length=1, max_length=40)]
    who: Annotated[str, Field(max_length=60)] = ""


class SignalOut(Schema):
    """What is called or shown, and what it means."""

    sign: Annotated[str, Field(min_length=1, max_length=60)]
    means: Annotated[str, Field(min_length=1, max_length=120)]


class SiteIn(Schema):
    """version: the one that was seen, 0 where there was none."""

    version: int = 0
    landings: Annotated[list[LandingOut], Field(max_length=20)] = []
    path: Annotated[str, Field(max_length=300)] = ""
    foot: Annotated[str, Field(max_length=80)] = ""
    signals: Annotated[list[SignalOut], Field(max_length=12)] = []


class SiteOut(SiteIn):
    """words: where a set-up is read on it and what is out of reach, where one was asked about."""

    room: str
    words: list[str] = []


def told_site(room: Room) -> dict[str, Any]:
    """A room's site, an empty one where none was kept."""
    site = getattr(room, "site", None) or Site(room=room)
    return {**{key: getattr(site, key) for key in ("version", "landings", "path", "foot", "signals")}, "room": room.name}


def landings_of(room: Room) -> list[Landing]:
    """The landings of a room's site with their heights in metres."""
    return [Landing(one["name"], read_quantity("height", one["height"], "height").si) for one in told_site(room)["landings"]]


@transaction.atomic
def save_site(membership: Membership, room: Room, body: SiteIn) -> Site:
    """Keeps a site.  Raises a Refusal or a ProblemError, a conflict where somebody kept it since."""
    for i, one in enumerate(body.landings):
        if not 0 <= read_quantity(f"landings.{i}.height", one.height, "height").si <= HIGHEST:
            raise ProblemError(kinds.LANDING, f"landings.{i}.height", most=f"{HIGHEST:g}")
    Room.objects.select_for_update(of=("self",)).get(pk=room.pk)
    site = Site.objects.select_related("by").filter(room=room).first() or Site(room=room)
    held_as_seen(site, body.version, f"the site of “{room.name}”", site.by, site.at)
    facts = body.model_dump()
    for key in ("landings", "path", "foot", "signals"):
        setattr(site, key, facts[key])
    site.version, site.by = site.version + 1, membership.person
    site.save()
    return site


@router.get(BASE, response={200: SiteOut, **REFUSED}, operation_id="site")
def site(request: HttpRequest, department: str, room: int) -> dict[str, Any]:
    """How a tall place is worked; empty where nobody said."""
    return told_site(queries.room_of(membership_of(request.user, department), room))


@router.put(BASE, response={200: SiteOut, **REFUSED}, operation_id="save_site")
def save(request: HttpRequest, department: str, room: int, body: SiteIn) -> dict[str, Any]:
    """What is so now; 409 where somebody kept it since."""
    membership = membership_of(request.user, department)
    found = queries.room_of(membership, room)
    save_site(membership, found, body)
    return told_site(queries.room_of(membership, room))


@router.post("/departments/{department}/on-site", response={200: SiteOut | None, **REFUSED}, operation_id="on_site")
def asked(request: HttpRequest, department: str, room: int | None = None) -> dict[str, Any] | None:
    """The site of the room, with where the set-up in the body is read on it; null where it has no landings."""
    membership = membership_of(request.user, department)
    here = in_use(membership, room)
    if here is None or not told_site(here)["landings"]:
        return None
    words = on_site(*work_out(merged(parse_document(request.body), here).document), landings_of(here))
    return {**told_site(here), "words": list(words)} if words else None
