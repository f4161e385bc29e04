"""Shapes as primitives: faces cut and hatched, liquids tinted by their pressure, jets that break into drops."""

from __future__ import annotations

import math
from collections.abc import Mapping
from itertools import pairwise
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..paper.colours import STEPS, tint
from ..paper.graduations import nice_most
from ..paper.primitives import Primitive, path
from ..section.shapes import Scene, Shape
from .window import Window

LAYERS = (("stand",), ("gas", "liquid"), ("wall",), ("cover",), ("gauge",), ("jet",), ("drips",), ("axis",), ("surface",))
"""Roles from back to front; what stands within one layer lies in the order in which its author lists it."""
_MANY = 12
"""From so many points on they are worked out together."""
_SOLID_BELOW = 3.0  # a cut face thinner than this is solid, not hatched


def pressure_end(scene: Scene) -> float:
    """The round end of the tint's scale [Pa]."""
    found = [abs(p) for shape in scene.shapes if shape.pressures for p in shape.pressures]
    return nice_most(max(found, default=0.0))


def geometry(scene: Scene, window: Window, most: float, curves: Mapping[str, NDArray[np.float64]] | None = None) -> list[Primitive]:
    """The shapes alone; same ids and counts of points for every moment of a timeline.

    curves: paper points of shapes by id, where they are known already.
    """
    known, made = curves or {}, list[Primitive]()
    for layer in LAYERS:
        for shape in scene.shapes:
            if shape.role not in layer:
                continue
            points: Any = known.get(shape.id)
            if shape.role in ("jet", "drips"):
                made += _jet(shape, window.along(shape.points) if points is None else points, window)
            elif len(shape.points) < _MANY:
                made += _shape(shape, [window.at(point) for point in shape.points] if points is None else points.tolist(), most)
            else:
                made += _shape(shape, window.along(shape.points) if points is None else points, most)
    return made


def _shape(shape: Shape, points: Any, most: float) -> list[Primitive]:
    """points: on paper, a list where they are few, else shape (n, 2)."""
    match shape.role:
        case "stand":
            return [path(shape.id, points, closed=True, fill="hatch-down", stroke="thin", width=0.75, words=shape.words)]
        case "liquid" | "gas":
            return _tinted(shape, points, most)
        case "wall" | "cover" | "gauge":
            thin = _across(points) < _SOLID_BELOW
            return [path(shape.id, points, closed=True, fill="ink" if thin else "hatch-up", stroke="ink", width=1, words=shape.words)]
        case "surface":
            x, y = points[0]
            return [path(shape.id, ((x - 5, y - 9), (x + 5, y - 9), (x, y - 1)), closed=True, fill="ground", stroke="ink", width=1, words=shape.words)]
        case "axis":
            return [path(shape.id, points, stroke="thin", width=0.75, dash=(12, 3, 2, 3))]
    return []


def _tinted(shape: Shape, points: Any, most: float) -> list[Primitive]:
    assert shape.pressures is not None
    low, high = shape.pressures
    heights = [y for _, y in points] if isinstance(points, list) else points[:, 1].tolist()
    top, foot = min(heights), max(heights)
    fill: Any = tint(low, most) if low == high else _gradient(high, low, top, foot, most / STEPS)
    made = [path(shape.id, points, closed=True, fill=fill, stroke="ink", width=0.75, words=shape.words, group="tint")]
    if min(low, high) < -0.5:
        made.append(path(f"{shape.id}-below", points, closed=True, fill="hatch-below", group="tint"))
    return made


def _gradient(at_top: float, at_foot: float, top: float, foot: float, step: float) -> dict[str, Any]:
    """A tint linear in the height, its stops where the pressure passes each step of the scale."""
    rising = 1 if at_foot > at_top else -1
    first, last = (math.floor(rising * at_top / step), math.ceil(rising * at_foot / step))
    last = max(last, first + 1)
    per_step = (foot - top) * step / abs(at_foot - at_top)
    y0 = top - (rising * at_top / step - first) * per_step
    stops = [[round((k - first) / (last - first), 4), tint(rising * k * step, step * STEPS)] for k in range(first, last + 1)]
    return {"y0": round(y0, 2), "y1": round(y0 + (last - first) * per_step, 2), "stops": stops}


def _jet(shape: Shape, points: NDArray[np.float64], window: Window) -> list[Primitive]:
    """A jet whole to where it breaks up, drops from there on; each path keeps its count of points."""
    group = "answer" if shape.answer else ""
    width = min(max(shape.width * window.scale, 1.5), 6.0)
    cut = round(shape.breaks_at * (len(points) - 1))
    place = np.arange(len(points))
    whole, drops = points[np.minimum(place, cut)], points[np.minimum(place + cut, len(points) - 1)]
    size = min(max(width, 2.4), 5)
    made = [path(f"{shape.id}-drops", drops, stroke="jet", width=size, dash=(0.1, size * 2.1), round_=True, group=group)]
    made.append(path(shape.id, whole, stroke="jet", width=width, words=shape.words, group=group))
    if width > 2.6:
        made.append({**made[-1], "id": f"{shape.id}-core", "s": "jet-core", "w": round(width - 2, 2)})
        made[-1].pop("words", None)
    return made


def _across(points: Any) -> float:
    """The shorter way across a long thin face: its area over its length, for walls of any slope."""
    if isinstance(points, list):
        twice = sum(a[0] * b[1] - b[0] * a[1] for a, b in pairwise([*points, points[0]]))
        length = max(math.dist(points[0], p) for p in points)
    else:
        x, y = (points - points[0]).T
        twice = float(x[:-1] @ y[1:] - x[1:] @ y[:-1])  # the last edge leads back to nothing
        length = float(np.hypot(x, y).max())
    return abs(twice) / 2 / length if length else 0.0
