"""Measures what the bench promises; run inside the project's environment, with a database of its own."""

from __future__ import annotations

import http.client
import json
import os
import platform
import statistics
import subprocess
import sys
import time
from contextlib import suppress
from dataclasses import asdict
from functools import partial
from pathlib import Path

from .chromium import launched
from .crowd import after_harm, crowd
from .measure_core import DOCUMENT, at_a_glance, documents, draining, drawn, each_demonstration, in_process, large, timetables, works
from .measure_gear import aids, gear
from .measure_lessons import lessons
from .measure_live import live
from .paths import ROOT
from .promised import Promised, at_most, milliseconds
from .serve import server_command

MANY = 2000
"""Set-ups among which is searched."""
WORDS = ("Rain barrel", "Jetty", "Loading door", "Hoist beam", "Galley hook", "Lantern", "Crate", "Boathouse", "Downpipe", "Slipway")


class Server:
    """The application served as it is served to people, with a person signed in."""

    def __init__(self) -> None:
        os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.project.settings")
        import django
        from django.core.management import call_command

        django.setup()
        call_command("migrate", verbosity=0)
        call_command("collectstatic", interactive=False, verbosity=0, ignore_patterns=["ninja"])
        from django.contrib.auth.models import User
        from django.test import Client

        from server.people.services.create_department import create_department
        from server.setups.services.save_setup import create_setup

        User.objects.filter(username="bench").delete()
        from server.people.models import Department

        Department.objects.filter(slug="bench").delete()
        membership = create_department("Bench", "bench", "long-enough-to-be-one")
        self.setup = create_setup(membership, "Three holes", DOCUMENT.read_text("utf-8")).setup.pk
        client = Client()
        client.force_login(membership.person, backend="django.contrib.auth.backends.ModelBackend")
        self.session = client.cookies["sessionid"].value
        self.port = 8690
        self.process = subprocess.Popen(server_command(Path(sys.executable), "127.0.0.1", self.port), cwd=ROOT)
        for _ in range(100):
            with suppress(OSError):
                http.client.HTTPConnection("127.0.0.1", self.port, timeout=1).connect()
                break
            time.sleep(0.1)

    @property
    def headers(self) -> dict[str, str]:
        """Of a signed-in person who asks for an answer."""
        token = "a" * 32
        return {"Content-Type": "application/json", "Cookie": f"sessionid={self.session}; csrftoken={token}", "X-CSRFToken": token}

    def stop(self) -> None:
        """Stops it, by process id."""
        self.process.terminate()
        self.process.wait(10)

    def over_http(self) -> list[Promised]:
        """The same document with its scene, over a kept connection, less the time in process."""
        from hydrostatics.answer import predict_bytes

        raw = DOCUMENT.read_bytes()
        line = http.client.HTTPConnection("127.0.0.1", self.port)

        def call(raw: bytes = raw) -> None:
            line.request("POST", "/api/predict?scene=true", raw, self.headers)
            response = line.getresponse()
            body = response.read()
            if response.status != 200:
                raise RuntimeError(body[:200])

        alone = statistics.median(milliseconds(lambda: predict_bytes(raw), 300))
        together = statistics.median(milliseconds(call, 300))  # last, so that the kept connection never stands idle
        others = {key: max(statistics.median(milliseconds(partial(call, start), 30, warm=3)) for start in starts) for key, starts in documents().items()}
        slowest = max(others, key=lambda key: others[key])
        return [
            at_most("predict with scene over HTTP, beyond the time in process, median", together - alone, 8, "ms"),
            at_most(f"answer and section over HTTP, slowest demonstration ({slowest}), median", others[slowest], 50, "ms"),
        ]

    def choosing(self) -> list[Promised]:
        """Two thousand set-ups searched, two hundred of them told with how they fare today, over a kept connection."""
        from hydrostatics.demonstrations.registry import by_key
        from server.setups.models import Setup, Version

        first = Setup.objects.get(pk=self.setup)
        starts = [one.guide.starts[0]["document"] for one in by_key().values()]
        kept = [
            Setup(department=first.department, name=f"{WORDS[i % len(WORDS)]} {i}", demonstration=starts[i % len(starts)]["demonstration"]) for i in range(MANY)
        ]
        made = Setup.objects.bulk_create(kept)
        Version.objects.bulk_create(
            Version(setup=one, number=one.version, document=json.dumps(starts[i % len(starts)]), verdict="x", state="works") for i, one in enumerate(made)
        )
        line = http.client.HTTPConnection("127.0.0.1", self.port)

        def call(query: str) -> None:
            line.request("GET", f"/api/departments/bench/choose?{query}", headers=self.headers)
            response = line.getresponse()
            body = response.read()
            if response.status != 200:
                raise RuntimeError(body[:200])

        few = statistics.median(milliseconds(partial(call, "search=lantern%201999"), 20, warm=3))
        many = statistics.median(milliseconds(partial(call, ""), 5, warm=1))
        Setup.objects.filter(pk__in=[one.pk for one in made]).delete()
        return [
            at_most("search of 2,000 set-ups for one, over HTTP, median", few, 100, "ms"),
            at_most("choosing among 15 demonstrations and 200 set-ups with today's verdicts, over HTTP, median", many, 1000, "ms"),
        ]

    def memory(self) -> list[Promised]:
        """The largest of the server's processes."""
        return [at_most("memory of a server process", self.largest(), 200, "MB")]

    def largest(self) -> float:
        """Memory of the largest of the server's processes [MB]."""
        children = Path(f"/proc/{self.process.pid}/task/{self.process.pid}/children").read_text().split()
        sizes = [
            int(next(line for line in Path(f"/proc/{pid}/status").read_text().splitlines() if line.startswith("VmRSS")).split()[1]) / 1024 for pid in children
        ]
        return max(sizes)

    def browser(self) -> list[Promised]:
        """First screen, script on the wire, and a drag of 200 moves, in Chromium."""
        from playwright.sync_api import sync_playwright

        base = f"http://127.0.0.1:{self.port}"
        with sync_playwright() as driver:
            chromium = launched(driver)
            other = chromium.new_context().new_page()  # a browser that runs already; each context has a cache of its own
            other.goto(f"{base}/accounts/login/")
            other.context.close()
            context = chromium.new_context(viewport={"width": 1280, "height": 800})
            context.add_cookies([{"name": "sessionid", "value": self.session, "url": base}])
            page = context.new_page()
            page.add_init_script(FIRST_SCREEN)
            wire = {"bytes": 0}
            page.on("response", lambda r: wire.__setitem__("bytes", wire["bytes"] + int(r.headers.get("content-length", 0))) if r.url.endswith(".js") else None)
            firsts = []
            for _ in range(5):
                page.goto("about:blank")
                wire["bytes"] = 0
                page.goto(f"{base}/d/bench/bench/{self.setup}", wait_until="commit")
                page.wait_for_selector(".verdict h1")
                while not (painted := page.evaluate("window.firstScreen")):
                    page.wait_for_timeout(20)
                firsts.append(painted / 1000)
                if len(firsts) == 1:
                    script = wire["bytes"]
            drag = page.evaluate(DRAG)
            chromium.close()
        rest = sorted(drag["rest"])
        own = drag["own"]
        return [
            at_most("first screen, the first time, browser cache empty", firsts[0], 1, "s"),
            at_most("first screen, again, median", statistics.median(firsts[1:]), 1, "s"),
            at_most("script for the bench on the wire, gzipped", script / 1000, 150, "kB"),
            Promised(
                f"drag, ring and figure moved in the same frame, of {len(own)} moves that change the value", 100 * sum(own) / len(own), "%", "all", all(own)
            ),
            at_most(f"drag, the rest, median of {len(rest)} answers to 200 moves", statistics.median(rest), 50, "ms"),
            at_most("drag, the rest, 95th percentile", rest[int(0.95 * len(rest))], 100, "ms"),
        ]


FIRST_SCREEN = """new MutationObserver((_, watch) => {
  if (!document.querySelector('.verdict h1')) return;
  watch.disconnect();
  requestAnimationFrame(() => setTimeout(() => { window.firstScreen = performance.now(); }, 0));
}).observe(document, { subtree: true, childList: true });"""
"""Milliseconds from the start of the navigation until the verdict has been painted, by the page's own clock."""

DRAG = """async () => {
  const ring = document.querySelector('[data-handle$="fill_height"]');
  const box = ring.getBoundingClientRect();
  const x = box.x + box.width / 2, y = box.y + box.height / 2;
  const own = [], rest = [];
  const liquid = () => document.querySelector('[data-id="liquid"]').getAttribute('d');
  const fire = (type, dy) => ring.dispatchEvent(new PointerEvent(type, { bubbles: true, button: 0, pointerId: 1, clientX: x, clientY: y + dy }));
  ring.setPointerCapture = () => {};
  fire('pointerdown', 0);
  let last = liquid(), waiting = 0;
  const watch = new MutationObserver(() => {
    if (waiting && liquid() !== last) { rest.push(performance.now() - waiting); waiting = 0; last = liquid(); }
  });
  watch.observe(ring.ownerSVGElement, { subtree: true, attributes: true, childList: true });
  for (let i = 1; i <= 200; i++) {
    if (!waiting) waiting = performance.now();
    const before = ring.getAttribute('transform');
    fire('pointermove', -20 * Math.sin(i / 9) - i * 0.05);
    await Promise.resolve();
    await new Promise((done) => queueMicrotask(done));
    const now = ring.getAttribute('transform');
    await new Promise((done) => requestAnimationFrame(done));
    const shown = ring.getAttribute('transform');
    if (shown !== before) own.push(shown === now);
  }
  await new Promise((done) => setTimeout(done, 300));
  fire('pointerup', 0);
  watch.disconnect();
  return { own, rest };
}"""


def machine() -> str:
    """The machine, named."""
    model = next(
        (line.split(":", 1)[1].strip() for line in Path("/proc/cpuinfo").read_text().splitlines() if line.startswith("model name")), platform.machine()
    )
    return f"{os.cpu_count()} cores of {model}, Python {platform.python_version()}, {platform.system()} {platform.release()}"


def cold_command_line() -> list[Promised]:
    """`./anchorage predict FILE` as a process."""

    def work() -> None:
        subprocess.run([str(ROOT / "anchorage"), "predict", str(DOCUMENT)], stdout=subprocess.DEVNULL, check=True)

    work()
    made = []
    for _ in range(7):
        start = time.perf_counter()
        work()
        made.append(time.perf_counter() - start)
    return [at_most("./anchorage predict FILE, a process, median", statistics.median(made), 1.5, "s")]


def main() -> int:
    """Measures all and prints the table; JSON into bench-results.json."""
    figures = in_process() + each_demonstration() + large() + works() + drawn() + draining() + at_a_glance() + aids() + timetables() + cold_command_line()
    server = Server()
    try:
        figures += (
            server.over_http()
            + server.choosing()
            + gear(server.port, server.headers, server.setup)
            + server.browser()
            + server.memory()
            + lessons(server.port, server.headers, server.setup)
        )
        figures += live(server.port, server.session, server.headers, server.setup)
        figures += crowd(server.port, server.headers) + after_harm(server.port, server.headers, server.largest)
    finally:
        server.stop()
    print(f"\n{machine()}\n")
    width = max(len(one.name) for one in figures)
    for one in figures:
        print(f"{'ok  ' if one.holds else 'MISS'} {one.name:<{width}}  {one.value:10.3g} {one.unit:<6} {one.asked}")
    (ROOT / "bench-results.json").write_text(
        json.dumps({"machine": machine(), "document": str(DOCUMENT.relative_to(ROOT)), "figures": [asdict(one) for one in figures]}, indent=2) + "\n"
    )
    return 0 if all(one.holds for one in figures) else 1


if __name__ == "__main__":
    sys.exit(main())
