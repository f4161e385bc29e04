"""The sheet that a section is laid out on, and the window through which metres become paper units."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..section.shapes import Point, Scene

RULE = 36.0
"""Width of the vertical rule."""
TAPE = 26.0
"""Height of the horizontal tape."""
GAP = 26.0
"""Height of a drawn break."""
PER_METRE = 96 / 0.0254
"""Paper units of one metre at 1 : 1 (CSS pixels)."""
_TOP = 62.0
_LETTERING = 112.0  # width kept for a figure with its unit at the right of its point


@dataclass(frozen=True)
class Paper:
    """width, height [paper units]; horizon: y of the tray line; clear: width at the right that geometry keeps out of.

    The usual one is the sheet of a bench at 1280 x 800.
    """

    width: float = 984.0
    height: float = 660.0
    horizon: float = 584.0
    clear: float = 356.0

    @property
    def narrow(self) -> bool:
        """A phone's sheet: lanes and lettering closer."""
        return self.width < 600

    @property
    def lanes(self) -> tuple[float, ...]:
        """x of the dimension lanes, the nearest to the section first."""
        return (RULE + 42, RULE + 16) if self.narrow else (RULE + 112, RULE + 42)

    @property
    def left(self) -> float:
        """x from which the section may be drawn."""
        return RULE + (56 if self.narrow else 136)


@dataclass(frozen=True)
class Window:
    """scale [paper units per metre], origin: x of world 0, horizon: y of the tray, cut: heights left out, if any."""

    scale: float
    origin: float
    horizon: float
    cut: tuple[float, float] | None = None

    def x(self, x: float) -> float:
        """Paper x of a world x."""
        return self.origin + self.scale * x

    def y(self, z: float) -> float:
        """Paper y of a height; continuous across a break."""
        if self.cut is None or z <= self.cut[0]:
            return self.horizon - self.scale * z
        low, high = self.cut
        if z < high:
            return self.horizon - self.scale * low - GAP * (z - low) / (high - low)
        return self.horizon - self.scale * (low + z - high) - GAP

    def at(self, point: Point) -> tuple[float, float]:
        """Paper point of a world point."""
        return self.x(point[0]), self.y(point[1])

    def along(self, points: Sequence[Point] | NDArray[np.float64]) -> NDArray[np.float64]:
        """Paper points of world points, shape (n, 2)."""
        world = np.asarray(points, dtype=np.float64)
        made = np.empty_like(world)
        made[:, 0] = self.origin + self.scale * world[:, 0]
        z = world[:, 1]
        if self.cut is None:
            made[:, 1] = self.horizon - self.scale * z
            return made
        low, high = self.cut
        rise = np.minimum(z, low) + np.maximum(z - high, 0)
        made[:, 1] = self.horizon - self.scale * rise - GAP * np.clip((z - low) / (high - low), 0, 1)
        return made

    def as_json(self) -> dict[str, Any]:
        """What a client sends back to keep the scale while a handle is held."""
        return {"scale": self.scale, "origin": self.origin, "horizon": self.horizon, "cut": list(self.cut) if self.cut else None}


def window_of(frozen: Any) -> Window:
    """The window that as_json told.  Raises ValueError where it is not one."""
    if not isinstance(frozen, dict):
        raise ValueError("the window is not one that a section came with")
    try:
        cut = frozen.get("cut")
        made = Window(float(frozen["scale"]), float(frozen["origin"]), float(frozen["horizon"]), (float(cut[0]), float(cut[1])) if cut else None)
    except (KeyError, TypeError, IndexError) as trouble:
        raise ValueError("the window is not one that a section came with") from trouble
    cut_fits = made.cut is None or (all(map(math.isfinite, made.cut)) and 0 <= made.cut[0] < made.cut[1])
    if not (_LEAST_SCALE < made.scale < _MOST_SCALE and abs(made.origin) < _FAR and abs(made.horizon) < _FAR and cut_fits):
        raise ValueError("the window is not one that a section came with")
    return made


_LEAST_SCALE, _MOST_SCALE, _FAR = 1e-6, 1e12, 1e9
"""Windows outside these are none that a section came with."""


def fitted(scene: Scene, paper: Paper) -> Window:
    """The largest window that shows the whole section; a tall stand is broken where that makes it at least half as large again."""
    points = np.concatenate([np.asarray(shape.points, dtype=np.float64) for shape in scene.shapes])
    least, most = float(points[:, 0].min()), float(points[:, 0].max())
    if scene.tape and scene.tape.span is None and scene.tape.marks:
        most = max(most, scene.tape.zero + max(mark.at + mark.spread for mark in scene.tape.marks))
    tall = float(points[:, 1].max())
    wide = max(most - least, 1e-6)
    room_x, room_y = paper.width - paper.clear - paper.left - 24, paper.horizon - _TOP
    across, up = room_x / wide, room_y / max(tall, 1e-6)
    for label in scene.labels:
        if not paper.narrow and label.side == "right" and not label.inside and label.at[0] > least:
            across = min(across, max(room_x + 40 - _LETTERING, 0.2 * room_x) / (label.at[0] - least))
    scale = min(across, up)
    if scene.cut and up < across / 1.5:
        broken = (room_y - GAP) / (tall - (scene.cut[1] - scene.cut[0]))
        if min(across, broken) > 1.5 * scale:
            scale = _tidy(min(across, broken))
            return Window(scale, paper.left - least * scale, paper.horizon, _cut(scene.cut, tall - (room_y - GAP) / scale))
    scale = _tidy(scale)
    return Window(scale, paper.left - least * scale, paper.horizon)


def _cut(most: tuple[float, float], needed: float) -> tuple[float, float]:
    """As much of the span as must go, out of its middle."""
    spare = max((most[1] - most[0]) - needed, 0.0)
    return most[0] + spare / 2, most[1] - spare / 2


def _tidy(scale: float) -> float:
    """The scale with its ratio rounded down to two figures, so that it can be said as 1 : 3.4."""
    ratio = PER_METRE / scale
    step = 10.0 ** (math.floor(math.log10(ratio)) - 1)
    return PER_METRE / (math.ceil(ratio / step - 1e-9) * step)


def ratio_words(window: Window) -> str:
    """The scale in words: 1 : 3.4, or 12 : 1 where it enlarges."""
    ratio = PER_METRE / window.scale
    return f"1 : {ratio:.3g}" if ratio >= 1 else f"{1 / ratio:.3g} : 1"
