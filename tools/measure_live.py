"""Measures how soon a new reading of the air stands on an open page, and what forty open pages cost."""

from __future__ import annotations

import http.client
import random
import statistics
import time
from collections.abc import Mapping
from concurrent.futures import ThreadPoolExecutor
from typing import TYPE_CHECKING

from .chromium import launched
from .promised import Promised, at_most

if TYPE_CHECKING:
    from server.rooms.models import AirSource

READINGS = 25
PAGES = 40
SECONDS = 15


def live(port: int, session: str, headers: Mapping[str, str], setup: int) -> list[Promised]:
    """Readings taken in at odd moments until they stand on the start page; forty pages that ask each second."""
    from server.people.models import Membership
    from server.rooms.models import AirSource, Room
    from server.setups.models import Setup

    department = Setup.objects.get(pk=setup).department
    room = Room.objects.create(department=department, name="Measured", stated={"elevation": "640 m"})
    source = AirSource.objects.create(room=room, name="Sensor", sort="sensor", place="socket://127.0.0.1:1")
    Membership.objects.filter(department=department).update(room=room)
    delays = sorted(_on_the_page(f"http://127.0.0.1:{port}", session, department.slug, source))
    answers = sorted(_forty(port, headers, f"/api/departments/{department.slug}/air?room={room.pk}"))
    room.delete()
    return [
        at_most("a new reading on an open page, median", statistics.median(delays), 1, "s"),
        at_most("a new reading on an open page, 95th percentile", delays[int(0.95 * len(delays))], 2, "s"),
        at_most(f"{PAGES} open pages that ask each second, 95th percentile of their answers", 1000 * answers[int(0.95 * len(answers))], 200, "ms"),
    ]


def _on_the_page(base: str, session: str, department: str, source: AirSource) -> list[float]:
    from playwright.sync_api import sync_playwright

    from server.rooms.services.take_in import take_in

    delays = []
    with sync_playwright() as driver, ThreadPoolExecutor(1) as aside:  # the database is asked off the browser's own loop
        chromium = launched(driver)
        context = chromium.new_context(viewport={"width": 1280, "height": 800})
        context.add_cookies([{"name": "sessionid", "value": session, "url": base}])
        page = context.new_page()
        page.goto(f"{base}/d/{department}/today")
        page.get_by_role("list", name="sources").wait_for()
        for k in range(READINGS):
            hectopascals = round(940.1 + k / 10, 1)
            time.sleep(random.uniform(0.5, 1.5))
            aside.submit(take_in, source, hectopascals * 100, None).result()
            began = time.monotonic()
            page.wait_for_function("text => document.querySelector('[aria-label=sources]').textContent.includes(text)", arg=f"{hectopascals:g}")
            delays.append(time.monotonic() - began)
        chromium.close()
    return delays


def _forty(port: int, headers: Mapping[str, str], address: str) -> list[float]:
    def one(k: int) -> list[float]:
        line, tag, took = http.client.HTTPConnection("127.0.0.1", port), "", []
        time.sleep(k / PAGES)
        for _ in range(SECONDS):
            began = time.monotonic()
            line.request("GET", address, headers={**headers, "If-None-Match": tag})
            response = line.getresponse()
            response.read()
            tag = response.headers.get("ETag", "")
            took.append(time.monotonic() - began)
            time.sleep(max(0.0, 1 - took[-1]))
        return took

    with ThreadPoolExecutor(PAGES) as pool:
        return [each for told in pool.map(one, range(PAGES)) for each in told]
