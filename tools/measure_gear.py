"""Measures what the shelf, the aids and the air promise: aids in process, the rest over HTTP."""

from __future__ import annotations

import json
import statistics
import time
from collections.abc import Mapping
from datetime import timedelta
from functools import partial

from .asking import asking
from .promised import Promised, at_most, milliseconds

MANY = 2000
"""Things among which is searched, and lines of a file."""


def aids() -> list[Promised]:
    """Each aid's example, bytes in to answer out: the slowest median."""
    from hydrostatics.aids.registry import ALL_AIDS
    from hydrostatics.answer import predict_bytes

    slow = {one.key: statistics.median(milliseconds(partial(predict_bytes, json.dumps(one.steps.start).encode()), 100)) for one in ALL_AIDS}
    slowest = max(slow, key=lambda key: slow[key])
    return [at_most(f"aid, in process, slowest ({slowest}), median", slow[slowest], 3, "ms")]


def gear(port: int, headers: Mapping[str, str], setup: int) -> list[Promised]:
    """Two thousand lines taken in and searched, a month of readings plotted, a new reading told, the page one starts on."""
    from django.utils import timezone

    from server.rooms.models import AirReading, AirSource, Room
    from server.setups.models import Setup
    from server.shelf.models import Item

    department = Setup.objects.get(pk=setup).department
    room = Room.objects.create(department=department, name="Measured", stated={"elevation": "640 m"})
    source = AirSource.objects.create(room=room, name="Sensor", sort="sensor", place="socket://127.0.0.1:1", on=False)
    now = timezone.now()
    minutes = [*range(1440), *range(1440, 43_200, 10)]
    AirReading.objects.bulk_create([AirReading(source=source, at=now - timedelta(minutes=k), pressure=94_000 + k % 97) for k in minutes])
    call = asking(port, headers, department.slug)
    rows = "".join(f"Tube {i},tube,rack {i % 7},{10 + i % 9} mm\n" for i in range(MANY))
    began = time.monotonic()
    call("shelf/file?keep=true", "POST", f"name,sort,place,bore\n{rows}")
    taken = time.monotonic() - began

    def median(address: str) -> float:
        return statistics.median(milliseconds(partial(call, address), 20, warm=3))

    made = [
        at_most("import of 2,000 lines onto the shelf, over HTTP", taken, 5, "s"),
        at_most("search of 2,000 things on the shelf for one, over HTTP, median", median("shelf?search=tube%201999"), 100, "ms"),
        at_most("trend over 30 days, over HTTP, median", median(f"rooms/{room.pk}/trend?hours=720"), 100, "ms"),
        at_most("page one starts on, its data, over HTTP, median", median("today"), 1000, "ms"),
    ]
    Item.objects.filter(department=department).delete()
    room.delete()
    return made
