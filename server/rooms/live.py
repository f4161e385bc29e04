"""The air in a room now: as typed, as its sensor or its weather service has it; which of them counts, and since when."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any

from django.utils import timezone

from hydrostatics.room.stated import PRESSURES

from .models import AirSource, Room

TYPED_STANDS = timedelta(hours=3)
"""So long a typed pressure comes first."""
FRESH = {AirSource.Sort.SENSOR: timedelta(minutes=2), AirSource.Sort.WEATHER: timedelta(hours=2)}
"""So long what a source said counts."""


@dataclass(frozen=True)
class Air:
    """What counts in a room now: pressure [Pa] or None, since when, from where in words, whether it is typed."""

    since: datetime | None
    source: str
    typed: bool
    pressure: float | None = None


def air_in(room: Room) -> Air:
    """The pressure that counts: typed within three hours, else of the first source that still speaks, else typed long ago."""
    typed = any(key in room.stated for key in PRESSURES)
    fresh = typed and (room.pressure_at is None or timezone.now() - room.pressure_at <= TYPED_STANDS)
    if fresh or room.live_pressure is None or not speaks(room.live_sort, room.live_at):
        return Air(room.pressure_at if typed else None, "typed" if typed else "", typed=True)
    return Air(room.live_at, room.live_from, typed=False, pressure=room.live_pressure)


def speaks(sort: str, at: datetime | None) -> bool:
    """Whether what a source said last still counts."""
    return at is not None and sort in FRESH and timezone.now() - at <= FRESH[AirSource.Sort(sort)]


def stated_now(room: Room) -> dict[str, Any]:
    """What is stated of a room, with the pressure that counts now."""
    air = air_in(room)
    if air.pressure is None:
        return dict(room.stated)
    others = {key: value for key, value in room.stated.items() if key not in PRESSURES}
    return {**others, "station_pressure": f"{air.pressure / 100:.2f} +/- {room.live_tolerance / 100:.2f} hPa"}
