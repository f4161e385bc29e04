"""A section drawn small: its shapes alone, without lettering, as large as they fit."""

from __future__ import annotations

from dataclasses import replace
from itertools import accumulate, chain, pairwise
from typing import Any

import numpy as np

from ..section.shapes import Scene
from .geometry import geometry, pressure_end
from .window import Window

EDGE = 4.0
"""Paper units left free around it."""


def draw_small(scene: Scene, width: float, height: float) -> dict[str, Any]:
    """The shapes of a section on a sheet of a few paper units, told as a section is, nothing to hold."""
    points = np.fromiter(chain.from_iterable(point for shape in scene.shapes for point in shape.points), np.float64).reshape(-1, 2)
    (left, low), (right, high) = points.min(axis=0).tolist(), points.max(axis=0).tolist()
    scale = min((width - 2 * EDGE) / max(right - left, 1e-9), (height - 2 * EDGE) / max(high - low, 1e-9))
    origin = (width - scale * (left + right)) / 2
    window = Window(scale, origin, height - EDGE + scale * low)
    plain = replace(scene, shapes=tuple(shape for shape in scene.shapes if shape.role != "surface"))
    ends = [0, *accumulate(len(shape.points) for shape in scene.shapes)]
    paper = window.along(points)
    curves = {shape.id: paper[start:end] for shape, (start, end) in zip(scene.shapes, pairwise(ends), strict=True)}
    items = geometry(plain, window, pressure_end(scene), curves)
    return {"width": width, "height": height, "horizon": height, "clear": 0, "window": None, "items": items, "handles": [], "marks": [], "adders": []}
