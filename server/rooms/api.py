"""Rooms over HTTP."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Router

from hydrostatics.works.room_account import room_account
from server.people.queries import membership_of
from server.wire.problems import Problem

from . import queries
from .schemas import AccountIn, AccountOut, PressureIn, RoomChangeIn, RoomDetailOut, RoomIn, RoomSavedOut
from .services.save_room import bring_room_back, save_room, type_pressure, use_room
from .telling import detail

router = Router(tags=["rooms"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/rooms"


@router.get(BASE, response={200: list[RoomDetailOut], **REFUSED}, operation_id="rooms")
def listing(request: HttpRequest, department: str, archived: bool = False) -> list[RoomDetailOut]:
    """The department's rooms, or those that were put away."""
    return [RoomDetailOut(**detail(room)) for room in queries.rooms_of(membership_of(request.user, department), archived=archived)]


@router.post(BASE, response={200: RoomSavedOut, **REFUSED}, operation_id="create_room")
def create(request: HttpRequest, department: str, body: RoomIn) -> RoomSavedOut:
    """A new room, or what has to be asked first."""
    room, asked = save_room(membership_of(request.user, department), None, body.name, body.stated, sure=body.sure, back_row=body.back_row)
    return RoomSavedOut.model_validate({"room": detail(room) if room else None, "questions": asked})


@router.put(BASE + "/{room}", response={200: RoomSavedOut, **REFUSED}, operation_id="save_room")
def save(request: HttpRequest, department: str, room: int, body: RoomChangeIn) -> RoomSavedOut:
    """What is stated of a room now, or what has to be asked first; 409 with the other one where somebody kept it since."""
    membership = membership_of(request.user, department)
    before = queries.room_of(membership, room)
    saved, asked = save_room(membership, before, body.name, body.stated, sure=body.sure, back_row=body.back_row, seen=body.version)
    return RoomSavedOut.model_validate({"room": detail(saved) if saved else None, "questions": asked})


@router.post(BASE + "/{room}/pressure", response={200: RoomSavedOut, **REFUSED}, operation_id="type_pressure")
def pressure(request: HttpRequest, department: str, room: int, body: PressureIn) -> RoomSavedOut:
    """What a barometer in the room reads now, or what has to be asked first."""
    membership = membership_of(request.user, department)
    saved, asked = type_pressure(membership, queries.room_of(membership, room), body.text, sure=body.sure)
    return RoomSavedOut.model_validate({"room": detail(saved) if saved else None, "questions": asked})


@router.post(BASE + "/{room}/use", response={204: None, **REFUSED}, operation_id="use_room")
def use(request: HttpRequest, department: str, room: int) -> tuple[int, None]:
    """Makes it the room in use for the signed-in member."""
    membership = membership_of(request.user, department)
    use_room(membership, queries.room_of(membership, room))
    return 204, None


@router.post(BASE + "/{room}/archive", response={204: None, **REFUSED}, operation_id="archive_room")
def archive(request: HttpRequest, department: str, room: int) -> tuple[int, None]:
    """Out of the list; nothing is predicted in it any more, and runs keep what they froze of it."""
    membership = membership_of(request.user, department)
    queries.room_of(membership, room).put_away(membership.person)
    return 204, None


@router.post(BASE + "/{room}/bring-back", response={204: None, **REFUSED}, operation_id="bring_back_room")
def bring_back(request: HttpRequest, department: str, room: int) -> tuple[int, None]:
    """Into the list again, in use for those who had it in use."""
    bring_room_back(queries.room_of(membership_of(request.user, department), room, archived=True))
    return 204, None


@router.post("/room-account", response={200: AccountOut, **REFUSED}, operation_id="room_account")
def account(request: HttpRequest, body: AccountIn) -> AccountOut:
    """From report to room, step by step, for what is typed so far."""
    return AccountOut.model_validate(room_account(body.stated, body.stale, body.stale_words[:60]))
