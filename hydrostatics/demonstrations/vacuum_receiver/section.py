"""The tube under its bell jar in section, and the pump-down: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from typing import NamedTuple

import numpy as np

from ...nominal import Now
from ...section.outline import box, ellipse, steady, tube
from ...section.shapes import Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import STAYS, frames
from .setup import VacuumReceiver

FRAMES = 61
"""Moments of the pump-down that are drawn."""
DOME = 17
"""Points of a quarter of the bell jar's dome."""
BUBBLES = 7
"""Bubbles that are drawn, where any can grow."""


class Moment(NamedTuple):
    """A moment: receiver pressure [Pa], level of the column and of tap water's [m]."""

    pressure: float
    level: float
    with_air: float


def section(now: Now[VacuumReceiver], moment: Moment | None = None) -> Scene:
    """The tube full under the open jar, or at a moment of the pumping; before it, as it stands in the end."""
    level = now.value("results.level_at_ultimate") or 0.0
    aired = now.value("results.level_with_air")
    end = Moment(max(now.value("results.end_pressure") or 0.0, 0.0), level, level if aired is None else aired)
    body = _Body(now, moment or end)
    return Scene(
        (*body.dish(), *body.column(), *body.bubbles(), *body.jar()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        rule_unit=now.inputs.leaves["setup.column_height"].unit,
        base="bench",
    )


class _Body:
    """Basin, tube and bell jar; the tube's bore and the jar's width are as drawn, since no height depends on them."""

    def __init__(self, now: Now[VacuumReceiver], moment: Moment) -> None:
        s = now.setup
        self.now, self.s, self.moment = now, s, moment
        self.height, self.under = float(s.column_height[0]), float(s.mouth_depth[0])
        self.size = steady(1.02 * self.height)
        self.half, self.wall = 0.03 * self.size, 0.008 * self.size
        self.depth = max(1.3 * self.under, 0.05 * self.size) + 0.04 * self.size
        self.zero = self.depth + 2 * self.wall
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])
        self.room = float(now.room.station_pressure[0])
        self.around = moment.pressure - self.room
        self.aired = now.value("results.level_with_air") is not None and s.air_saturation is not None and float(s.air_saturation[0]) > 0
        self.tubes: tuple[float, ...] = (-0.16 * self.size, 0.16 * self.size) if self.aired else (0.0,)

    def dish(self) -> list[Shape]:
        wide = 0.28 * self.size
        low, w = 2 * self.wall, self.wall
        deep = self.around + self.weight * self.depth
        return [
            Shape("plate", "stand", box(-1.5 * wide, 0.0, 1.5 * wide, w), words="plate of the receiver"),
            Shape("basin-liquid", "liquid", box(-wide, low, wide, self.zero), (deep, self.around), words="basin"),
            Shape("basin-left", "wall", box(-wide - w, w, -wide, self.zero + 0.03 * self.size), words="basin"),
            Shape("basin-right", "wall", box(wide, w, wide + w, self.zero + 0.03 * self.size), words="basin"),
            Shape("basin-floor", "wall", box(-wide - w, w, wide + w, low), words="basin"),
            Shape("surface", "surface", ((0.0 if self.aired else 0.6 * wide, self.zero),), words="surface in the basin"),
        ]

    def column(self) -> list[Shape]:
        """One tube, or two of them where air comes out of one: without its air left, with all of it out right."""
        made: list[Shape] = []
        levels = (self.moment.level, self.moment.with_air)
        for k, axis in enumerate(self.tubes):
            level = levels[k]
            top = self.zero + self.height
            at = self.zero + level
            foot = self.zero - self.under
            name = "boiled water" if self.aired and k == 0 else "tap water" if self.aired else self.now.inputs.liquids[0].name
            low = min(foot, at)
            made.append(
                Shape(
                    f"column-{k}",
                    "liquid",
                    _moved(box(-self.half, low, self.half, at), axis),
                    (self.around + self.weight * (self.zero - low), self.around - self.weight * level),
                    words=f"column of {name}",
                )
            )
            made += [
                Shape(f"{shape.id}-{k}", shape.role, _moved(shape.points, axis), words=shape.words)
                for shape in tube("tube", self.half, self.wall, foot, top, closed_top=True, words="tube")
            ]
        return made

    def bubbles(self) -> list[Shape]:
        """Bubbles gathering in tap water below the pressure at which any can grow."""
        below = self.now.value("results.bubbles_possible_below")
        if not self.aired or below is None:
            return []
        grown = 0.0 if self.moment.pressure >= below else min(1.0, (below - self.moment.pressure) / (0.7 * below))
        made = []
        axis = self.tubes[1]
        for k in range(BUBBLES):
            r = 0.28 * self.half * grown * (0.6 + 0.4 * ((k * 7) % 5) / 4)
            low, high = -0.6 * self.under, max(self.moment.with_air, 0.0)
            z = self.zero + low + (high - low) * (1 - 0.9 * (k / BUBBLES) ** 1.5)
            x = axis + 0.5 * self.half * (1 if k % 2 else -1)
            made.append(Shape(f"bubble-{k}", "gauge", ellipse(x, z, r, r, 12), answer=True, words="bubble of air"))
        return made

    def jar(self) -> list[Shape]:
        inner = 0.4 * self.size
        shoulder = self.zero + self.height + 0.06 * self.size
        w = 1.5 * self.wall

        def half_outline(r: float, top: float) -> list[Point]:
            return [(r, self.wall), *((r * math.cos(a), top + (0.3 * self.size + r - inner) * math.sin(a)) for a in np.linspace(0, math.pi / 2, DOME).tolist())]

        inside, outside = half_outline(inner, shoulder), half_outline(inner + w, shoulder)
        right = (*inside, *outside[::-1])
        return [
            Shape("jar-right", "wall", right, words=f"bell jar, its width as drawn; {self.around / 100:+.3g} hPa in it"),
            Shape("jar-left", "wall", tuple((-x, z) for x, z in right), words="bell jar, its width as drawn"),
            Shape("hose", "axis", ((inner + w, 3 * self.wall), (inner + w + 0.15 * self.size, 3 * self.wall)), words="to the pump"),
        ]

    def dimensions(self) -> list[Dimension]:
        left = self.tubes[0] - self.half - self.wall
        top = self.zero + self.height
        grip = Handle("setup.column_height", (0.0, top), (0.0, 1.0), 0.01, 20.0, 0.005, "closed end above the basin")
        return [Dimension("setup.column_height", ((left, self.zero), (left, top)), 1, handle=grip)]

    def labels(self) -> list[Label]:
        edge = 0.4 * self.size + 1.5 * self.wall
        made = [Label("label-level", (self.tubes[0] + self.half + self.wall, self.zero + self.moment.level), path="results.level_at_ultimate", strong=True)]
        if self.aired:
            made.append(
                Label("label-air", (edge, self.zero + max(self.moment.with_air, 0.0)), path="results.level_with_air", words=" its air out", strong=True)
            )
        made.append(Label("label-drop", (edge, self.zero + self.height), path="results.drop_pressure", words=" drops"))
        return made


def _moved(points: object, axis: float) -> tuple[Point, ...]:
    return tuple((float(x) + axis, float(z)) for x, z in points)  # type: ignore[attr-defined]


def _tape(now: Now[VacuumReceiver]) -> Tape:
    """The pressure in the receiver: where it drops, where it ends."""
    paths = [("results.drop_pressure", "drops"), ("results.end_pressure", "the pump's end")]
    if now.value("results.half_with_air_pressure") is not None:
        paths.append(("results.half_with_air_pressure", "tap water at half"))
    marks = tuple(Mark(f"mark-{k}", path, now.value(path) or 0.0, now.shown_half_width(path), words) for k, (path, words) in enumerate(paths))
    most = max(mark.at + mark.spread for mark in marks)
    return Tape("Pressure in the receiver, absolute", "pressure", now.unit("results.drop_pressure"), span=(0.0, 1.3 * most), marks=marks)


def moments(now: Now[VacuumReceiver]) -> Timeline | None:
    """The pump-down at the pump's speed, its calls marked."""
    if now.prediction.results["behaviour"].said == "boils":  # type: ignore[union-attr]
        return None
    told = frames(now.setup, now.room, FRAMES)
    times, pressure, level = (told[key] for key in ("time", "receiver_pressure", "level"))
    aired = now.value("results.level_with_air") is not None
    with_air = told["level_with_air"] if aired else level
    series = {
        "pressure": ("receiver, absolute", "pressure", tuple(pressure.tolist())),
        "level": ("level, no air coming out", "length", tuple(level.tolist())),
    }
    if aired:
        series["with-air"] = ("level, its air out", "length", tuple(with_air.tolist()))
    marks = []
    when = now.value("results.time_to_drop")
    if when is not None and now.code("behaviour") != STAYS and when <= times[-1]:
        marks.append((when, "it drops"))
    for k, _ in enumerate(now.setup.calls):
        at = now.value(f"results.calls.{k}.time")
        if at is not None and at <= times[-1]:
            leaf = now.inputs.leaves[f"setup.calls.{k}"]
            marks.append((at, now.number(leaf.si, "pressure", leaf.path)))
    marks.sort(key=lambda one: one[0])
    states = tuple(Moment(*row) for row in zip(pressure.tolist(), level.tolist(), with_air.tolist(), strict=True))
    return Timeline(tuple(times.tolist()), tuple(marks), series, states)
