"""Liquids over HTTP: the catalogue with its curves and sources, and a department's own."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from ninja import Router

from hydrostatics.documents.reader import read_room
from hydrostatics.works.told_liquids import liquids_now, told_catalogue
from server.people.queries import membership_of
from server.rooms.in_room import room_for
from server.rooms.live import stated_now
from server.wire.problems import Problem

from . import queries
from .models import OwnLiquid
from .schemas import CatalogueLiquidOut, LiquidsNowOut, OwnLiquidChangeIn, OwnLiquidIn, OwnLiquidOut
from .services.keep_liquid import bring_liquid_back, keep_liquid

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
    here = read_room(stated_now(found) if found else {})
    return {"temperature": float(here.temperature[0]), "station_pressure": float(here.station_pressure[0]), "liquids": liquids_now(here)}


def _whole(liquid: OwnLiquid) -> OwnLiquidOut:
    who = {"by": liquid.by.get_username() if liquid.by else "", "at": liquid.at}
    away = {"archived_by": liquid.archived_by.get_username() if liquid.archived_by else "", "archived_at": liquid.archived_at}
    what = {"id": liquid.pk, "version": liquid.version, "name": liquid.name, "stated": liquid.stated, "note": liquid.note}
    return OwnLiquidOut.model_validate({**what, **who, **away})


@router.get(BASE, response={200: list[OwnLiquidOut], **REFUSED}, operation_id="own_liquids")
def listing(request: HttpRequest, department: str, archived: bool = False) -> list[OwnLiquidOut]:
    """The department's own liquids, or those that were put away."""
    return [_whole(one) for one in queries.liquids_of(membership_of(request.user, department), archived=archived)]


@router.post(BASE, response={200: OwnLiquidOut, **REFUSED}, operation_id="create_liquid")
def create(request: HttpRequest, department: str, body: OwnLiquidIn) -> OwnLiquidOut:
    """A liquid of the department's own."""
    return _whole(keep_liquid(membership_of(request.user, department), None, body.name, body.stated, body.note))


@router.put(BASE + "/{liquid}", response={200: OwnLiquidOut, **REFUSED}, operation_id="save_liquid")
def save(request: HttpRequest, department: str, liquid: int, body: OwnLiquidChangeIn) -> OwnLiquidOut:
    """What is known of it now; 409 with the other one where somebody kept it since."""
    membership = membership_of(request.user, department)
    return _whole(keep_liquid(membership, queries.liquid_of(membership, liquid), body.name, body.stated, body.note, body.version))


@router.post(BASE + "/{liquid}/archive", response={204: None, **REFUSED}, operation_id="archive_liquid")
def archive(request: HttpRequest, department: str, liquid: int) -> tuple[int, None]:
    """Out of the list; set-ups keep the properties that they state."""
    membership = membership_of(request.user, department)
    queries.liquid_of(membership, liquid).put_away(membership.person)
    return 204, None


@router.post(BASE + "/{liquid}/bring-back", response={204: None, **REFUSED}, operation_id="bring_back_liquid")
def bring_back(request: HttpRequest, department: str, liquid: int) -> tuple[int, None]:
    """Into the list again."""
    bring_liquid_back(queries.liquid_of(membership_of(request.user, department), liquid, archived=True))
    return 204, None
