"""A reading of a room's air is taken in, asked about where no weather makes it, and thinned with age."""

from __future__ import annotations

from datetime import datetime, timedelta

from django.db import connection, transaction
from django.utils import timezone

from hydrostatics.documents.reader import read_room
from hydrostatics.room.stated import PRESSURES
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..live import speaks
from ..models import AirReading, AirSource, Room

NOISE, WEATHER = 200.0, 1000.0 / 3600
"""What a sensor may jump by itself [Pa], and what weather changes at most [Pa/s]: common practice, no published source."""
FAR_OFF = 1000.0
"""How far a first reading may lie from what is known of the room [Pa] before it is asked about."""
MINUTES_FOR, TENS_FOR = timedelta(days=1), timedelta(days=30)
"""So long a reading a minute is kept, and one in ten minutes; after that one an hour for ever."""


@transaction.atomic
def take_in(source: AirSource, pressure: float, temperature: float | None, at: datetime | None = None, station: str = "") -> bool:
    """Takes a reading [Pa], [K] in; False where it does not count before somebody says that it is so.

    at: when it was measured, now where it is left out; a clock that runs ahead counts as now. station: the
    airfield that was reported of; another one than before is asked about.
    """
    now = timezone.now()
    at = min(at or now, now)
    held = AirSource.objects.select_for_update(of=("self",)).select_related("room").get(pk=source.pk)
    elsewhere = station if held.station not in ("", station) else ""
    if elsewhere or _far_off(held, pressure, at):
        held.asked, held.asked_at, held.asked_of = pressure, at, elsewhere
        held.save(update_fields=["asked", "asked_at", "asked_of"])
        return False
    held.pressure, held.temperature, held.at = pressure, temperature, at
    held.asked = held.asked_at = None
    held.asked_of, held.station = "", station
    held.trouble, held.trouble_at = "", None
    held.save(update_fields=["pressure", "temperature", "at", "asked", "asked_at", "asked_of", "station", "trouble", "trouble_at"])
    minute = at.replace(second=0, microsecond=0)
    AirReading.objects.update_or_create(source=held, at=minute, defaults={"pressure": pressure, "temperature": temperature})
    choose(held.room)
    return True


def _far_off(source: AirSource, pressure: float, at: datetime) -> bool:
    """Whether no weather makes this of what was known before."""
    if source.pressure is not None and source.at is not None:
        waited = max((at - source.at).total_seconds(), 0.0)
        return abs(pressure - source.pressure) > NOISE + WEATHER * waited
    known = _known(source)
    return known is not None and abs(pressure - known) > FAR_OFF


def _known(source: AirSource) -> float | None:
    """What else is known of the room's pressure [Pa]: typed, or of another source that speaks."""
    if any(key in source.room.stated for key in PRESSURES):
        return float(read_room(source.room.stated).station_pressure[0])
    others = AirSource.objects.filter(room=source.room, on=True).exclude(pk=source.pk)
    return next((one.pressure for one in others if one.pressure is not None and speaks(one.sort, one.at)), None)


def choose(room: Room) -> None:
    """Makes the first source that speaks the one that counts in a room."""
    for one in AirSource.objects.filter(room=room, on=True):
        if speaks(one.sort, one.at):
            live = {"live_pressure": one.pressure, "live_tolerance": one.tolerance, "live_at": one.at, "live_from": one.name, "live_sort": one.sort}
            Room.objects.filter(pk=room.pk).update(**live)
            return


def fell_away(source: AirSource, why: str) -> None:
    """Notes that a source does not speak; what it said counts until it is too old, then the next one does."""
    if source.trouble != why[:200]:
        source.trouble, source.trouble_at = why[:200], timezone.now()
        source.save(update_fields=["trouble", "trouble_at"])
    choose(source.room)


@transaction.atomic
def say_it_is_so(source: AirSource) -> None:
    """What was asked about counts from now on.  Raises ProblemError where nothing is asked."""
    held = AirSource.objects.select_for_update(of=("self",)).select_related("room").get(pk=source.pk)
    if held.asked is None:
        raise ProblemError(kinds.NOTHING_ASKED, "source")
    held.pressure, held.at, held.asked, held.asked_at = held.asked, held.asked_at, None, None
    held.station, held.asked_of = held.asked_of or held.station, ""
    held.save(update_fields=["pressure", "at", "asked", "asked_at", "station", "asked_of"])
    choose(held.room)


def thin(now: datetime | None = None) -> int:
    """Takes out the readings that are too many for their age; how many those were."""
    now = now or timezone.now()
    with connection.cursor() as cursor:
        gone = 0
        for older, step in ((now - MINUTES_FOR, 600), (now - TENS_FOR, 3600)):
            cursor.execute(
                """DELETE FROM rooms_airreading r USING rooms_airreading k
                   WHERE r.at < %s AND k.source_id = r.source_id AND k.at > r.at
                     AND floor(extract(epoch FROM k.at) / %s) = floor(extract(epoch FROM r.at) / %s)""",
                [older, step, step],
            )
            gone += cursor.rowcount
    return gone
