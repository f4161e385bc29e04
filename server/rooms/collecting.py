"""Reads the sources of every room's air, each in a thread of its own, until it is asked to end."""

from __future__ import annotations

import logging
import threading
import time
import urllib.request
from collections.abc import Callable
from contextlib import closing

from django.db import DatabaseError, close_old_connections

from hydrostatics.documents.reader import read_room
from hydrostatics.errors import Refusal
from hydrostatics.room.sensor_line import read_sensor_line
from hydrostatics.room.stated import PRESSURES
from hydrostatics.room.weather import read_report

from .models import AirSource, Room
from .services.take_in import fell_away, take_in, thin

log = logging.getLogger(__name__)
LOOKS = 5.0
"""Seconds after which it is looked whether there are other sources."""
WAITS, CHUNK = 0.2, 256
"""Seconds and bytes of one look at a port: so long a line may stand there unread."""
SILENT = 5.0
"""Seconds without a line after which a sensor has fallen away."""
AGAIN = (1.0, 30.0)
"""Seconds until a source that fell away is tried again, at first and at most."""
REPORTS = 60.0
"""Seconds between two looks at a weather service."""
PATIENCE = 5.0
"""Seconds that a weather service may take to answer."""
LONGEST = 2000
"""Bytes of an answer that are read."""
THINS = 600.0


class Silent(OSError):
    """A source that is there and says nothing that can be read."""


def collect(ended: threading.Event) -> None:
    """Runs until `ended` is set."""
    readers: dict[tuple[int, str], threading.Event] = {}
    thinned = 0.0
    while True:
        close_old_connections()
        try:
            wanted = {(one.pk, one.place): one for one in AirSource.objects.filter(on=True, room__archived_at=None)}
            if time.monotonic() - thinned > THINS:
                thin()
                thinned = time.monotonic()
        except DatabaseError as trouble:
            log.warning("the sources cannot be read: %s", trouble)
            if ended.wait(LOOKS):
                return
            continue
        for key in set(readers) - set(wanted):
            readers.pop(key).set()
        for key in set(wanted) - set(readers):
            readers[key] = stop = threading.Event()
            threading.Thread(target=_reading, args=(wanted[key].pk, stop), daemon=True).start()
        if ended.wait(LOOKS):
            for stop in readers.values():
                stop.set()
            return


def _reading(pk: int, stop: threading.Event) -> None:
    """One source, again and again: what stands in its way is noted, and it is tried later."""
    wait = AGAIN[0]
    while not stop.is_set():
        close_old_connections()
        try:
            source = AirSource.objects.select_related("room").get(pk=pk)
            wait = AGAIN[0] if _once(source, stop) else wait
            why = ""
        except AirSource.DoesNotExist:
            return
        except Silent as trouble:
            why = str(trouble)
        except OSError as trouble:
            log.info("source %s at %s: %s", pk, source.place, trouble)
            why = "it cannot be reached"
        except (ValueError, Refusal) as trouble:
            why = f"what it says cannot be read: {trouble}"
        except DatabaseError as trouble:
            why = str(trouble)
        if why:
            try:
                fell_away(AirSource.objects.select_related("room").get(pk=pk), why)
            except (AirSource.DoesNotExist, DatabaseError) as trouble:
                log.warning("source %s: %s", pk, trouble)
            stop.wait(wait)
            wait = min(2 * wait, AGAIN[1])


def _once(source: AirSource, stop: threading.Event) -> bool:
    read: Callable[[AirSource, threading.Event], bool] = sensor if source.sort == AirSource.Sort.SENSOR else weather
    return read(source, stop)


def sensor(source: AirSource, stop: threading.Event) -> bool:
    """Reads lines until the sensor falls silent, which raises OSError; garbage and half lines are left out.  True once one was read."""
    import serial

    spoke = False
    with closing(serial.serial_for_url(source.place, timeout=WAITS)) as port:
        last, rest = time.monotonic(), b""
        while not stop.is_set():
            rest = (rest + port.read(CHUNK))[-LONGEST:]
            *lines, rest = rest.split(b"\n")
            for line in lines:
                try:
                    found = read_sensor_line(line.decode("ascii", errors="replace"))
                except Refusal:
                    continue
                take_in(source, found.pressure, found.temperature)
                spoke, last = True, time.monotonic()
            if time.monotonic() - last > SILENT:
                raise Silent("it sends no line that can be read")
    return spoke


def at_bench(room: Room, line: str) -> float:
    """A report's pressure at the height of a room [Pa].  Raises a Refusal."""
    stated = {key: value for key, value in room.stated.items() if key not in PRESSURES}
    return float(read_room({**stated, "metar": line}).station_pressure[0])


def weather(source: AirSource, stop: threading.Event) -> bool:
    """Reads one report, brings it to the room's height, and waits for the next.  Raises OSError or a Refusal."""
    if not source.place.startswith(("http://", "https://")):
        raise ValueError("its address begins with http:// or https://")
    with urllib.request.urlopen(source.place, timeout=PATIENCE) as answer:  # an http address, as judged above
        text = answer.read(LONGEST).decode("ascii", errors="replace")
    line = text.strip().splitlines()[-1] if text.strip() else ""
    report = read_report("line", line)
    take_in(source, at_bench(source.room, line), None, report.at, report.station)
    stop.wait(REPORTS)
    return True
