"""Liquids over HTTP: the catalogue with its curves and sources, and a department's own."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from ninja import Router

from hydrostatics.documents.reader import read_room
from hydrostatics.works.told_liquids import liquids_now, told_catalogue
from server.people.queries import membership_of
from server.rooms.in_room import room_for
from server.wire.problems import Problem

from . import queries
from .models import OwnLiquid
from .schemas import CatalogueLiquidOut, LiquidsNowOut, OwnLiquidIn, OwnLiquidOut
from .services.keep_liquid import keep_liquid

router = Router(tags=["liquids"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/liquids"


@router.get("/liquids", response={200: list[CatalogueLiquidOut], 401: Problem}, operation_id="catalogue")
def catalogue(request: HttpRequest) -> list[dict[str, Any]]:
    """Every liquid of the catalogue with its curves and sources."""
    return told_catalogue()


@router.get("/liquids/now", response={200: LiquidsNowOut, 401: Problem, 404: Problem, 422: Problem}, operation_id="liquids_now")
def now(request: HttpRequest, department: str = "", room: int = 0) -> dict[str, Any]:
    """Every liquid of the catalogue in the room in use."""
    found = room_for(request.user, department, room)
    here = read_room(found.stated if found else {})
    return {"temperature": float(here.temperature[0]), "station_pressure": float(here.station_pressure[0]), "liquids": liquids_now(here)}


def _whole(liquid: OwnLiquid) -> OwnLiquidOut:
    by = liquid.by.get_username() if liquid.by else ""
    return OwnLiquidOut.model_validate({"id": liquid.pk, "name": liquid.name, "stated": liquid.stated, "note": liquid.note, "by": by, "at": liquid.at})


@router.get(BASE, response={200: list[OwnLiquidOut], **REFUSED}, operation_id="own_liquids")
def listing(request: HttpRequest, department: str) -> list[OwnLiquidOut]:
    """The department's own liquids."""
    return [_whole(one) for one in queries.liquids_of(membership_of(request.user, department))]


@router.post(BASE, response={200: OwnLiquidOut, **REFUSED}, operation_id="create_liquid")
def create(request: HttpRequest, department: str, body: OwnLiquidIn) -> OwnLiquidOut:
    """A liquid of the department's own."""
    return _whole(keep_liquid(membership_of(request.user, department), None, body.name, body.stated, body.note))


@router.put(BASE + "/{liquid}", response={200: OwnLiquidOut, **REFUSED}, operation_id="save_liquid")
def save(request: HttpRequest, department: str, liquid: int, body: OwnLiquidIn) -> OwnLiquidOut:
    """What is known of it now."""
    membership = membership_of(request.user, department)
    return _whole(keep_liquid(membership, queries.liquid_of(membership, liquid), body.name, body.stated, body.note))


@router.delete(BASE + "/{liquid}", response={204: None, **REFUSED}, operation_id="remove_liquid")
def remove(request: HttpRequest, department: str, liquid: int) -> tuple[int, None]:
    """Removes it; set-ups keep the properties that they state."""
    queries.liquid_of(membership_of(request.user, department), liquid).delete()
    return 204, None
