"""Outlines that several sections draw: boxes, tubes, gauges at ports and their rings, an arrow's stem."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import cache
from typing import Any

from .shapes import Handle, Point, Shape


def box(left: float, low: float, right: float, high: float) -> tuple[Point, ...]:
    """An upright rectangle."""
    return ((left, low), (right, low), (right, high), (left, high))


def ellipse(x: float, z: float, across: float, up: float, pieces: int) -> tuple[Point, ...]:
    """An ellipse round a point, drawn in so many pieces; across, up: its half axes."""
    return tuple((x + across * one, z + up * other) for one, other in _round(pieces))


@cache
def _round(pieces: int) -> tuple[Point, ...]:
    return tuple((math.cos(math.tau * k / pieces), math.sin(math.tau * k / pieces)) for k in range(pieces + 1))


def tube(prefix: str, half: float, wall: float, low: float, high: float, *, closed_top: bool, words: str) -> list[Shape]:
    """The two cut walls of an upright tube round x = 0, and its closed end."""
    made = [
        Shape(f"{prefix}-left", "wall", box(-half - wall, low, -half, high), words=words),
        Shape(f"{prefix}-right", "wall", box(half, low, half + wall, high), words=words),
    ]
    if closed_top:
        made.append(Shape(f"{prefix}-top", "wall", box(-half - wall, high, half + wall, high + wall), words="closed end"))
    return made


def basin(half: float, wall: float, depth: float, pressure: float, words: str) -> list[Shape]:
    """A wide basin round x = 0 with its floor on z = 0, filled to depth; pressure: gauge at its floor [Pa]."""
    rim = depth * 1.18
    return [
        Shape("basin-liquid", "liquid", box(-half, wall, half, depth), (pressure, 0.0), words=words),
        Shape("basin-left", "wall", box(-half - wall, 0.0, -half, rim), words="basin"),
        Shape("basin-right", "wall", box(half, 0.0, half + wall, rim), words="basin"),
        Shape("basin-floor", "wall", box(-half - wall, 0.0, half + wall, wall), words="basin"),
        Shape("basin-surface", "surface", ((half * 0.72, depth),), words="surface in the basin"),
    ]


def gauge(id: str, x: float, z: float, size: float, words: str) -> Shape:
    """A pressure gauge screwed into a wall at a port: a stem and a square dial."""
    stem, half = size * 0.7, size / 2
    points: tuple[Point, ...] = ((x, z - size / 9), (x + stem, z - size / 9), (x + stem, z - half), (x + stem + size, z - half))
    points += ((x + stem + size, z + half), (x + stem, z + half), (x + stem, z + size / 9), (x, z + size / 9))
    return Shape(id, "gauge", points, words=words)


def port_handles(ports: Sequence[Any], half: float, zero: float, low: float, high: float, above: str) -> list[Handle]:
    """Rings that move the gauges at a tube's ports along it.

    ports: heights above z = zero, each of which row 0 counts. low, high: how far they go. above: what they are counted from.
    """
    made = []
    for i, port in enumerate(ports):
        path = f"setup.ports.{i}"
        made.append(Handle(path, (half, zero + float(port[0])), (0.0, 1.0), low, high, 0.001, f"port {i + 1}, height above the {above}", removes=path))
    return made


def steady(size: float) -> float:
    """A size rounded up to a coarse step, so that what stands on it keeps still while an input is dragged."""
    power = 10.0 ** int(f"{size:e}".split("e")[1])
    return next(f * power for f in (1, 1.5, 2.2, 3.3, 5, 7.5, 10) if f * power >= size * (1 - 1e-9))


def widening(width: float, height: float, least: float = 1 / 26) -> float:
    """By how much a width is drawn wider, so that a tube of this height is more than a line; a round factor."""
    needed = least * height / width
    if needed <= 1:
        return 1.0
    power = 10.0 ** int(f"{needed:e}".split("e")[1])
    return next(f * power for f in (1, 1.5, 2, 3, 4, 5, 6, 8, 10) if f * power >= needed * (1 - 1e-9))
