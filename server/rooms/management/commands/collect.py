"""`collect`: reads the sensors and weather services of every room until it is asked to end."""

from __future__ import annotations

import signal
import threading
from typing import Any

from django.core.management.base import BaseCommand

from server.rooms.collecting import collect


class Command(BaseCommand):
    """One process for all departments; it is run beside the web server."""

    help = "Reads the sources of every room's air until it is asked to end."

    def handle(self, *args: Any, **options: Any) -> None:
        """Until SIGTERM or Ctrl-C."""
        ended = threading.Event()
        for one in (signal.SIGTERM, signal.SIGINT):
            signal.signal(one, lambda *_: ended.set())
        collect(ended)
