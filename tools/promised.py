"""A measured figure and what was asked of it; timing of a call."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass


@dataclass
class Promised:
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


def at_most(name: str, value: float, most: float, unit: str) -> Promised:
    """A figure that is asked to be no more than so much."""
    return Promised(name, value, unit, f"at most {most:g} {unit}", value <= most)
