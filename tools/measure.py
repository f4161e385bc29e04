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
from collections.abc import Callable
from contextlib import suppress
from dataclasses import asdict, dataclass
from functools import partial
from pathlib import Path
from typing import Any

from .paths import ROOT
from .serve import server_command

DOCUMENT = ROOT / "docs/bench/three-holes.setup.json"


@dataclass
class Figure:
    """One measured figure and what was asked of it."""

    name: str
    value: float
    unit: str
    asked: str
    holds: bool


def milliseconds(work: Callable[[], object], times: int, *, warm: int = 20) -> list[float]:
    """Times of so many calls after some that warm up, in ms."""
    for _ in range(warm):
        work()
    made = []
    for _ in range(times):
        start = time.perf_counter()
        work()
        made.append(1e3 * (time.perf_counter() - start))
    return made


def at_most(name: str, value: float, most: float, unit: str) -> Figure:
    """A figure that is asked to be no more than so much."""
    return Figure(name, value, unit, f"at most {most:g} {unit}", value <= most)


def in_process() -> list[Figure]:
    """Bytes in to answer out, JSON writing apart."""
    from hydrostatics.answer import predict_bytes

    raw = DOCUMENT.read_bytes()
    answer = predict_bytes(raw)
    tolerances = sum(1 for one in answer["inputs"].values() if one["half_width"] > 0 and one["origin"] == "typed")
    return [
        at_most(
            f"predict, in process, {tolerances} tolerances and the default coefficients, median",
            statistics.median(milliseconds(lambda: predict_bytes(raw), 500)),
            5,
            "ms",
        )
    ]


def draining() -> list[Figure]:
    """Stop times against the quickest of a general solver's methods at the same error."""
    import numpy as np
    from scipy.integrate import solve_ivp

    from hydrostatics.laws.draining import Holes, stop_times

    y, d = np.array([[0.04, 0.13, 0.20]]), np.array([[0.003, 0.003, 0.003]])
    start = 4 * 0.0727 / (998 * 9.80665 * d)
    holes = Holes(0.61 * np.pi / 4 * d**2 * np.sqrt(2 * 9.80665), y + start / 2, y + start, np.ones_like(y, dtype=bool))
    heights, widths, level = np.zeros((1, 1)), np.array([[0.088]]), np.array([0.275])
    area = np.pi / 4 * 0.088**2
    stops, strength, datum = holes.stop[0], holes.strength[0], holes.datum[0]

    def general(method: str, tolerance: float) -> list[float]:
        time_, height, running, found = 0.0, 0.275, [0, 1, 2], [0.0] * 3
        for i in (2, 1, 0):

            def fall(_: float, h: Any, among: tuple[int, ...] = tuple(running)) -> list[float]:
                return [-sum(strength[k] * np.sqrt(max(h[0] - datum[k], 0.0)) for k in among) / area]

            def reached(_: float, h: Any, stop: float = stops[i]) -> float:
                return float(h[0] - stop)

            reached.terminal = True  # type: ignore[attr-defined]
            got = solve_ivp(fall, (0, 1e4), [height], method, events=reached, rtol=tolerance, atol=tolerance * 1e-2)
            time_, height = time_ + float(got.t_events[0][0]), float(stops[i])
            found[i] = time_
            running.remove(i)
        return found

    exact = np.array(general("DOP853", 1e-12))
    ours = stop_times(level, holes, heights, widths)[0]

    def ratio_to(method: str, tolerance: float) -> float:
        """Both measured turn by turn, so that a slow moment of the machine strikes both."""
        theirs, mine = [], []
        for _ in range(15):
            theirs += milliseconds(partial(general, method, tolerance), 1, warm=0)
            mine += milliseconds(lambda: stop_times(level, holes, heights, widths), 15, warm=2)
        return statistics.median(theirs) / statistics.median(mine)

    ratio = min(
        ratio_to(method, tolerance)
        for method in ("RK45", "DOP853", "LSODA")
        for tolerance in (1e-5, 1e-6, 1e-7, 1e-8, 1e-9)
        if np.abs(np.array(general(method, tolerance)) / exact - 1).max() <= 1e-6
    )
    error = float(np.abs(ours / exact - 1).max())
    return [
        at_most("draining, stop times, relative error", error, 1e-6, "1"),
        Figure("draining, times quicker than the quickest general solver at that error", ratio, "times", "at least 20 times", ratio >= 20),
    ]


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
        self.process = subprocess.Popen(server_command("127.0.0.1", self.port), cwd=ROOT)
        for _ in range(100):
            with suppress(OSError):
                http.client.HTTPConnection("127.0.0.1", self.port, timeout=1).connect()
                break
            time.sleep(0.1)

    def stop(self) -> None:
        """Stops it, by process id."""
        self.process.terminate()
        self.process.wait(10)

    def over_http(self) -> list[Figure]:
        """The same document with its scene, over a kept connection, less the time in process."""
        from hydrostatics.answer import predict_bytes

        raw = DOCUMENT.read_bytes()
        line = http.client.HTTPConnection("127.0.0.1", self.port)
        token = "a" * 32
        headers = {"Content-Type": "application/json", "Cookie": f"sessionid={self.session}; csrftoken={token}", "X-CSRFToken": token}

        def call() -> None:
            line.request("POST", "/api/predict?scene=true", raw, headers)
            response = line.getresponse()
            body = response.read()
            if response.status != 200:
                raise RuntimeError(body[:200])

        together = statistics.median(milliseconds(call, 300))
        alone = statistics.median(milliseconds(lambda: predict_bytes(raw), 300))
        return [at_most("predict with scene over HTTP, beyond the time in process, median", together - alone, 8, "ms")]

    def memory(self) -> list[Figure]:
        """The largest of the server's processes."""
        children = Path(f"/proc/{self.process.pid}/task/{self.process.pid}/children").read_text().split()
        sizes = [
            int(next(line for line in Path(f"/proc/{pid}/status").read_text().splitlines() if line.startswith("VmRSS")).split()[1]) / 1024 for pid in children
        ]
        return [at_most("memory of a server process", max(sizes), 200, "MB")]

    def browser(self) -> list[Figure]:
        """First screen, script on the wire, and a drag of 200 moves, in Chromium."""
        from playwright.sync_api import sync_playwright

        base = f"http://127.0.0.1:{self.port}"
        flags = [
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
        ]
        with sync_playwright() as driver:
            chromium = driver.chromium.launch(executable_path="/usr/bin/chromium", args=flags)
            other = chromium.new_context().new_page()  # a browser that runs already; each context has a cache of its own
            other.goto(f"{base}/accounts/login/")
            other.context.close()
            context = chromium.new_context(viewport={"width": 1280, "height": 800})
            context.add_cookies([{"name": "sessionid", "value": self.session, "url": base}])
            page = context.new_page()
            wire = {"bytes": 0}
            page.on("response", lambda r: wire.__setitem__("bytes", wire["bytes"] + int(r.headers.get("content-length", 0))) if r.url.endswith(".js") else None)
            firsts = []
            for _ in range(5):
                page.goto("about:blank")
                wire["bytes"] = 0
                context.clear_cookies(name="nothing")
                start = time.perf_counter()
                page.goto(f"{base}/d/bench/bench/{self.setup}", wait_until="commit")
                page.wait_for_selector(".verdict h1")
                firsts.append(time.perf_counter() - start)
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
            Figure(
                f"drag, ring and figure moved in the same frame, of {len(own)} moves that change the value", 100 * sum(own) / len(own), "%", "all", all(own)
            ),
            at_most(f"drag, the rest, median of {len(rest)} answers to 200 moves", statistics.median(rest), 50, "ms"),
            at_most("drag, the rest, 95th percentile", rest[int(0.95 * len(rest))], 100, "ms"),
        ]


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
  watch.observe(document.querySelector('.drawing'), { subtree: true, attributes: true, childList: true });
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


def cold_command_line() -> list[Figure]:
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
    figures = in_process() + draining() + cold_command_line()
    server = Server()
    try:
        figures += server.over_http() + server.browser() + server.memory()
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
