"""A room is made or changed; a height that looks mistaken is asked about, never changed."""

from __future__ import annotations

from typing import Any

from django.db import IntegrityError, transaction
from django.utils import timezone

from hydrostatics.documents.reader import read_room
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.room.derived import IMPLAUSIBLE, in_both
from hydrostatics.room.stated import PRESSURES
from server.people.models import Membership
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import ProblemError

from ..models import Room

FEET = (3.0, 3.6)
"""A height that differs from the stored one by such a factor may be feet taken for metres, or the other way."""
HIGH = 1500.0
"""A first height above this [m] is asked about."""


def questions(before: Room | None, stated: dict[str, Any]) -> list[dict[str, str]]:
    """What has to be asked before a room is kept.  Raises a Refusal for what cannot be read."""
    room = read_room(stated)
    asked = [{"path": f"room.{one.key}", "words": one.words} for one in room.cautions if one.code == IMPLAUSIBLE]
    if "elevation" not in stated:
        return asked
    height = read_quantity("room.elevation", stated["elevation"], "height").si
    typed, in_feet = in_both(height)
    stored = None if before is None or "elevation" not in before.stated else read_quantity("", before.stated["elevation"], "height").si
    if stored is None and height > HIGH:
        asked.append({"path": "room.elevation", "words": f"{typed} is {in_feet}: does the room stand that high?"})
    if stored and height:
        factor = max(height / stored, stored / height)
        if FEET[0] <= factor <= FEET[1]:
            asked.append({"path": "room.elevation", "words": f"{typed} is {in_feet}, and {stored:.0f} m was stored: were feet taken for metres?"})
    return asked


@transaction.atomic
def save_room(
    membership: Membership, before: Room | None, name: str, stated: dict[str, Any], *, sure: bool, back_row: str = "", seen: int = 0
) -> tuple[Room | None, list[dict[str, str]]]:
    """Keeps a room, or returns the questions that have to be answered first.

    back_row: how far the last seats are from the bench, as typed. seen: the version that was changed.
    Raises a Refusal, or ProblemError: for the name, and (conflict) where somebody kept this room since; nothing is overwritten.
    """
    if back_row.strip():
        read_quantity("back_row", back_row, "height")
    trimmed = " ".join(name.split())
    if not 1 <= len(trimmed) <= 80 or "\0" in trimmed:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a room's name", most=80)
    if before:
        before = Room.objects.select_for_update(of=("self",)).select_related("by").get(pk=before.pk)
        theirs = {"name": before.name, "stated": before.stated, "back_row": before.back_row}
        held_as_seen(before, seen, f"the room “{before.name}”", before.by, before.at, theirs=theirs)
    asked = questions(before, stated)
    if asked and not sure:
        return None, asked
    room = before or Room(department=membership.department)
    changed = {key: stated.get(key) for key in PRESSURES} != {key: room.stated.get(key) for key in PRESSURES}
    if changed or before is None:
        room.pressure_at = timezone.now() if any(key in stated for key in PRESSURES) else None
    room.back_row = back_row.strip()
    room.name, room.stated, room.by = trimmed, stated, membership.person
    room.version = room.version + 1 if before else 1
    try:
        with transaction.atomic():
            room.save()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a room", name=trimmed) from None
    if membership.room is None or membership.room.archived_at is not None:
        use_room(membership, room)
    return room, []


def type_pressure(membership: Membership, room: Room, text: str, *, sure: bool) -> tuple[Room | None, list[dict[str, str]]]:
    """Keeps what a barometer in the room reads now, in place of every pressure stated of it before; or returns what has to be asked first.

    Raises a Refusal for what is no pressure.
    """
    stated = {key: value for key, value in room.stated.items() if key not in PRESSURES} | {"station_pressure": text}
    saved, asked = save_room(membership, room, room.name, stated, sure=sure, back_row=room.back_row, seen=room.version)
    if saved:  # the same number read again is new all the same
        saved.pressure_at = timezone.now()
        saved.save(update_fields=["pressure_at"])
    return saved, asked


def bring_room_back(room: Room) -> None:
    """Into the list again.  Raises ProblemError where another room has its name by now."""
    try:
        with transaction.atomic():
            room.bring_back()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a room", name=room.name) from None


def use_room(membership: Membership, room: Room) -> None:
    """Makes a room the one that this member has in use."""
    membership.room = room
    membership.save(update_fields=["room"])
