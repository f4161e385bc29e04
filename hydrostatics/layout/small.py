"""A section drawn small: its shapes alone, without lettering, as large as they fit."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import numpy as np

from ..section.shapes import Scene
from .geometry import geometry, pressure_end
from .window import Window

EDGE = 4.0
"""Paper units left free around it."""


def draw_small(scene: Scene, width: float, height: float) -> dict[str, Any]:
    """The shapes of a section on a sheet of a few paper units, told as a section is, nothing to hold."""
    points = np.concatenate([np.asarray(shape.points, dtype=np.float64) for shape in scene.shapes])
    (left, low), (right, high) = points.min(axis=0), points.max(axis=0)
    scale = min((width - 2 * EDGE) / max(right - left, 1e-9), (height - 2 * EDGE) / max(high - low, 1e-9))
    origin = (width - scale * (left + right)) / 2
    window = Window(float(scale), float(origin), float(height - EDGE + scale * low))
    plain = replace(scene, shapes=tuple(shape for shape in scene.shapes if shape.role != "surface"))
    items = geometry(plain, window, pressure_end(scene))
    return {"width": width, "height": height, "horizon": height, "clear": 0, "window": None, "items": items, "handles": [], "marks": [], "adders": []}
