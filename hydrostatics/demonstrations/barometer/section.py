"""The barometer in section, and its column's fall: geometry in metres, row 0 only."""

from __future__ import annotations

import math

import numpy as np

from ...nominal import Now
from ...section.outline import basin, steady, widening
from ...section.shapes import Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .setup import Barometer

FRAMES = 41
"""Moments of the fall that are drawn."""


def section(now: Now[Barometer], height: float | None = None) -> Scene:
    """The tube over its reservoir; height: of the column on its way down [m], None for where it stands."""
    body = _Body(now, height)
    upright, across = body.upright, body.across
    return Scene(
        (*body.dish(), *body.glass(), *body.contents()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        rule_unit=now.inputs.leaves["setup.tube_length"].unit,
        base="floor",
        widened=body.wide,
        cut=(0.12 * upright, 0.78 * body.height) if across < 0.05 * upright and body.height > 0.5 * upright else None,
    )


class _Body:
    """Dish and tube; zero: height of the reservoir's surface above the floor."""

    def __init__(self, now: Now[Barometer], height: float | None) -> None:
        s = now.setup
        self.now, self.s = now, s
        self.length = float(s.tube_length[0])
        self.tilt = float(s.tilt[0])
        self.upright, self.across = self.length * math.cos(self.tilt), self.length * math.sin(self.tilt)
        self.wide = widening(float(s.bore[0]), self.length)
        self.half = self.wide * float(s.bore[0]) / 2
        self.wall = max(0.15 * self.half, 0.003 * self.length)
        self.zero = steady(0.055 * self.length)
        self.height = height if height is not None else now.value("results.column_height") or 0.0
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])

    def at(self, along: float, off: float) -> Point:
        """A point at a distance along the tube from the reservoir's surface and off its axis."""
        c, n = math.cos(self.tilt), math.sin(self.tilt)
        return (along * n + off * c, self.zero + along * c - off * n)

    def strip(self, start: float, end: float, off: float, to: float) -> tuple[Point, ...]:
        return (self.at(start, off), self.at(start, to), self.at(end, to), self.at(end, off))

    def dish(self) -> list[Shape]:
        wide = 4 * self.half + 0.04 * self.length
        return basin(wide, self.wall, self.zero, self.weight * self.zero, "reservoir")

    def glass(self) -> list[Shape]:
        under = -0.5 * self.zero
        h, w, end = self.half, self.wall, self.length
        return [
            Shape("tube-left", "wall", self.strip(under, end, -h - w, -h), words="tube"),
            Shape("tube-right", "wall", self.strip(under, end, h, h + w), words="tube"),
            Shape("tube-top", "wall", self.strip(end, end + w, -h - w, h + w), words="closed end"),
        ]

    def contents(self) -> list[Shape]:
        along = self.height / math.cos(self.tilt)
        room = float(self.now.room.station_pressure[0])
        above = (self.now.value("results.gas_pressure") or 0.0) + float(self.s.liquid.vapour_pressure[0]) - room
        under = -0.5 * self.zero
        top = -self.weight * self.height
        made = [Shape("space", "gas", self.strip(along, self.length, -self.half, self.half), (above, above), words="gas and vapour above the column")]
        made.append(
            Shape("column", "liquid", self.strip(under, along, -self.half, self.half), (-self.weight * under * math.cos(self.tilt), top), words="column")
        )
        made.append(Shape("surface", "surface", (self.at(along, 0.0),), words="top of the column"))
        return made

    def dimensions(self) -> list[Dimension]:
        left = -4 * self.half
        slant = math.cos(self.tilt)
        long = Handle(
            "setup.tube_length", (self.across, self.zero + self.upright), (0.0, 1.0), 0.05, 100.0, 0.01, "tube, surface to closed end", gain=1 / slant
        )
        made = [Dimension("setup.tube_length", ((left, self.zero), (left, self.zero + self.upright)), 1, handle=long)]
        if not self.tilt:
            made.append(
                Dimension(
                    "setup.bore", ((-self.half, self.zero + self.upright + self.wall), (self.half, self.zero + self.upright + self.wall)), 0, upright=False
                )
            )
        return made

    def labels(self) -> list[Label]:
        along = self.height / math.cos(self.tilt)
        right = self.half + self.wall
        made = [Label("label-column", self.at(along, right), path="results.column_height", words=" high", strong=True)]
        made.append(Label("label-space", self.at((along + self.length) / 2, right), path="results.head_space", words=" of space"))
        if self.now.value("results.level_with_air") is not None:
            level = (self.now.value("results.level_with_air") or 0.0) / math.cos(self.tilt)
            made.append(Label("label-with-air", self.at(max(level, 0.0), right), path="results.level_with_air", words=" once its air is out"))
        return made


def _tape(now: Now[Barometer]) -> Tape:
    """Height of the column against what vapour and gas take off, read around where it stands."""
    height, ideal = now.value("results.column_height") or 0.0, now.value("results.ideal_column_height") or 0.0
    marks = [Mark("mark-column", "results.column_height", height, now.shown_half_width("results.column_height"), "column")]
    marks.append(Mark("mark-ideal", "results.ideal_column_height", ideal, now.shown_half_width("results.ideal_column_height"), "no vapour, no gas"))
    found = [height, ideal]
    if (aired := now.value("results.level_with_air")) is not None:
        marks.append(Mark("mark-with-air", "results.level_with_air", aired, now.shown_half_width("results.level_with_air"), "its air out"))
        found.append(aired)
    ceiling = now.room.ceiling
    if ceiling is not None and ceiling < 2 * ideal:
        found.append(ceiling)
    low, high = min(found), max(found)
    spare = max(0.25 * (high - low), 0.02 * high)
    return Tape("Height of the column", "length", now.unit("results.column_height"), span=(max(low - spare, 0.0), high + spare), marks=tuple(marks))


def moments(now: Now[Barometer]) -> Timeline | None:
    """The column's fall from the full tube to where it stands; no law gives its time."""
    s = now.setup
    start, end = float(s.tube_length[0]) * math.cos(float(s.tilt[0])), now.value("results.column_height") or 0.0
    if start - end < 1e-3 * start or int(now.prediction.state[0]) == 2:
        return None
    heights = np.linspace(start, end, FRAMES)
    weight = float(s.liquid.density[0] * now.room.gravity[0])
    above = float(now.room.station_pressure[0]) - weight * heights
    series = {
        "column": ("height of the column", "length", tuple(heights.tolist())),
        "top": ("pressure left for the top", "pressure", tuple(above.tolist())),
    }
    return Timeline(
        tuple(heights.tolist()),
        ((end, "balances the air"),),
        series,
        tuple(heights.tolist()),
        over=("height of the column", "length", now.unit("results.column_height")),
    )
