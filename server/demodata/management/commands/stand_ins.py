"""`stand_ins`: points the demo's first room to the processes that stand in for its sensor and its weather service."""

from __future__ import annotations

import urllib.request
from typing import Any

from django.core.management.base import BaseCommand, CommandParser

from hydrostatics.room.weather import read_report
from server.rooms.collecting import at_bench
from server.rooms.models import AirReading, AirSource, Room

from .load_demo import CENTRE


class Command(BaseCommand):
    """Run at each start of the demo, since the ports are drawn anew."""

    help = "Points the demo's room to its stand-ins."

    def add_arguments(self, parser: CommandParser) -> None:
        """Where the two are."""
        parser.add_argument("sensor")
        parser.add_argument("weather")

    def handle(self, *args: Any, **options: Any) -> None:
        """Sources of the room, and a day's history of the weather service where none is there."""
        room = Room.objects.filter(department__name=CENTRE).order_by("pk").first()
        if room is None:
            return
        for order, (name, sort, place) in enumerate(
            (("Bench sensor", "sensor", options["sensor"]), ("Airfield", "weather", f"{options['weather']}/now")), start=1
        ):
            AirSource.objects.update_or_create(room=room, name=name, defaults={"sort": sort, "place": place, "order": order, "trouble": ""})
        source = AirSource.objects.get(room=room, name="Airfield")
        if not source.readings.exists():
            self._history(source, options["weather"])

    def _history(self, source: AirSource, address: str) -> None:
        """A day of reports, brought to the room's height."""
        with urllib.request.urlopen(f"{address}/day", timeout=10) as answer:
            lines = answer.read().decode("ascii").splitlines()
        made = [(read_report("line", line).at, at_bench(source.room, line)) for line in lines]
        AirReading.objects.bulk_create([AirReading(source=source, at=at, pressure=pressure) for at, pressure in made if at])
