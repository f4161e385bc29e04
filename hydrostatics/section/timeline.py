"""The moments of a movement."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class Timeline:
    """The moments of a movement: times [s] rising from 0, marks (time, words), series (label, kind, SI values).

    states: what `section` takes as its moment, one a time. over: where no law gives the time, the quantity that is moved
    instead (label, kind, unit); `times` then carry that quantity [SI], falling or rising, and no seconds are shown.
    """

    times: tuple[float, ...]
    marks: tuple[tuple[float, str], ...]
    series: Mapping[str, tuple[str, str, tuple[float, ...]]]
    states: tuple[Any, ...]
    over: tuple[str, str, str] | None = None
