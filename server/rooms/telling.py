"""A room as the API tells it."""

from __future__ import annotations

from typing import Any

from hydrostatics.documents.reader import read_room
from hydrostatics.errors import Refusal

from .in_room import is_old
from .live import air_in, stated_now
from .models import Room


def brief(room: Room) -> dict[str, Any]:
    """For the top line."""
    air = air_in(room)
    return {
        "id": room.pk,
        "name": room.name,
        "version": room.version,
        "station_pressure": _derived(room).get("station_pressure", 0.0),
        "pressure_at": air.since,
        "old": air.typed and is_old(room.pressure_at),
        "source": air.source,
    }


def detail(room: Room) -> dict[str, Any]:
    """Whole, with what follows from what is stated."""
    derived = {"temperature": 0.0, "gravity": 0.0, "how": [], "cautions": [], **_derived(room)}
    who = {"by": room.by.get_username() if room.by else "", "at": room.at}
    away = {"archived_by": room.archived_by.get_username() if room.archived_by else "", "archived_at": room.archived_at}
    return {**brief(room), **derived, "stated": room.stated, "back_row": room.back_row, **who, **away}


def _derived(room: Room) -> dict[str, Any]:
    try:
        made = read_room(stated_now(room))
    except Refusal:  # stated under an older program: shown as it is, corrected on its page
        return {}
    numbers = {key: float(getattr(made, key)[0]) for key in ("station_pressure", "temperature", "gravity")}
    return {**numbers, "how": list(made.how), "cautions": [one.words for one in made.cautions]}
