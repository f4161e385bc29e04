"""Many teachers at once, and documents that mean harm: what the server holds out."""

from __future__ import annotations

import http.client
import json
import threading
import time
from collections.abc import Callable, Mapping
from copy import deepcopy
from typing import Any

from .measure_core import DOCUMENT
from .promised import Promised, at_most

TEACHERS, SECONDS, EVERY = 40, 60.0, 0.5


def crowd(port: int, headers: Mapping[str, str]) -> list[Promised]:
    """Forty teachers who each ask for answer and section every half second for a minute, over connections of their own."""
    raw = DOCUMENT.read_bytes()
    took: list[float] = []
    failed: list[str] = []
    begin = time.monotonic() + 1

    def teacher(number: int) -> None:
        line = http.client.HTTPConnection("127.0.0.1", port, timeout=30)
        due = begin + EVERY * number / TEACHERS
        while due < begin + SECONDS:
            time.sleep(max(0.0, due - time.monotonic()))
            start = time.monotonic()
            try:
                line.request("POST", "/api/predict?scene=true", raw, dict(headers))
                response = line.getresponse()
                response.read()
                if response.status != 200:
                    failed.append(str(response.status))
            except (OSError, http.client.HTTPException) as trouble:
                failed.append(repr(trouble))
                line.close()
            took.append(1e3 * (time.monotonic() - start))
            due += EVERY

    people = [threading.Thread(target=teacher, args=(number,)) for number in range(TEACHERS)]
    for one in people:
        one.start()
    for one in people:
        one.join()
    ranked = sorted(took)
    return [
        at_most(f"{TEACHERS} teachers, {len(took)} answers in {SECONDS:.0f} s: 95th percentile", ranked[int(0.95 * len(ranked))], 200, "ms"),
        at_most(f"{TEACHERS} teachers: answers that failed", len(failed), 0, ""),
    ]


def after_harm(port: int, headers: Mapping[str, str], memory: Callable[[], float]) -> list[Promised]:
    """How much larger a process is after documents that mean harm than before, in percent."""
    before = memory()
    for raw in hostile():
        line = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
        try:
            line.request("POST", "/api/predict?scene=true", raw, dict(headers))
            line.getresponse().read()
        except (OSError, http.client.HTTPException):
            pass  # closed on it: it was refused
        line.close()
    return [at_most("memory of a process after documents that mean harm, more than before", 100 * (memory() / before - 1), 10, "%")]


def hostile() -> list[bytes]:
    """Padded quantities, far too many holes, deep nesting, absurd numbers, each many times and each a little different."""
    good: dict[str, Any] = json.loads(DOCUMENT.read_text("utf-8"))

    def changed(key: str, value: Any) -> bytes:
        other = deepcopy(good)
        other["setup"][key] = value
        return json.dumps(other).encode()

    hole = good["setup"]["holes"][0]
    made = []
    for i in range(60):
        made += [
            changed("fill_height", " " * (900_000 + i) + "29 cm"),
            changed("fill_height", f"{29 + i / 1000:.3f}" + "0" * 150 + " cm"),
            changed("holes", [hole] * (2000 + i)),
            changed("holes", [[[[[[i]]]]]]),
            changed("fill_height", f"1e{300 + i} m"),
            b"[" * (100_000 + i),
        ]
    return made
