"""The plugged U-tube in section, and its way up a hill: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from typing import NamedTuple

import numpy as np

from ...laws.atmosphere import pressure_above
from ...nominal import Now
from ...section.outline import box, steady
from ...section.shapes import Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import sealed_gas
from .setup import SealedManometer

FRAMES = 49
"""Moments of the climb that are drawn."""
WAY = 120.0
"""Height [m] that is climbed in the play where no stop is higher."""


class Moment(NamedTuple):
    """A moment of the climb: reading [m], pressure outside and in the gas [Pa], both against the room's at the start."""

    reading: float
    outside: float
    inside: float


def section(now: Now[SealedManometer], moment: Moment | None = None) -> Scene:
    """The tube at its reading here, or at the one expected where none is stated."""
    p0 = float(now.room.station_pressure[0])
    reading = float(now.setup.reading[0]) if now.setup.reading is not None else now.value("results.expected_reading") or 0.0
    weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
    outside = (now.value("results.pressure") or p0) - p0 if now.setup.reading is not None else 0.0
    body = _Body(now, moment or Moment(reading, outside, outside - weight * reading))
    return Scene(
        (*body.tubes(), *body.contents(), *body.bottle()),
        (),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(body.rings()),
        rule_unit=now.inputs.leaves["setup.seal_reading"].unit,
        base="board",
    )


class _Body:
    """Two arms and the bottle of gas behind the plug; middle: where both stand with no difference."""

    def __init__(self, now: Now[SealedManometer], moment: Moment) -> None:
        s = now.setup
        self.now, self.s, self.moment = now, s, moment
        readings = [float(s.seal_reading[0]), now.value("results.expected_reading") or 0.0]
        readings += [float(s.reading[0])] if s.reading is not None else []
        readings += [float(stop.reading[0]) for stop in s.stops if stop.reading is not None]
        self.reach = steady(0.8 * max(*(abs(r) for r in readings), 0.06))
        self.bore = math.sqrt(4 * float(s.arm_area[0]) / math.pi)
        self.wall = max(0.12 * self.bore, 0.01 * self.reach)
        self.apart = 3.2 * self.bore + 0.2 * self.reach
        self.foot = self.wall + self.bore
        self.middle = self.foot + 1.25 * self.reach
        self.top = self.middle + 1.25 * self.reach
        in_arm = math.pi / 4 * self.bore**2 * (self.top - self.middle)
        self.bulb = (4 * max(steady(float(s.seal_volume[0])) - in_arm, 0.0) / math.pi) ** (1 / 3)
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])

    @property
    def sealed(self) -> float:
        """Height of the level behind the plug."""
        return min(max(self.middle + self.moment.reading / 2, 0.0), self.top)

    @property
    def open_level(self) -> float:
        """Height of the level in the open arm."""
        return min(max(self.middle - self.moment.reading / 2, 0.0), self.top)

    def tubes(self) -> list[Shape]:
        r, w, a = self.bore / 2, self.wall, self.apart
        made = []
        for name, axis, out in (("sealed", 0.0, -1), ("open", a, 1)):
            made.append(Shape(f"{name}-outer", "wall", _strip(axis + out * r, axis + out * (r + w), 0.0, self.top), words=f"{name} arm"))
            made.append(Shape(f"{name}-inner", "wall", _strip(axis - out * r, axis - out * (r + w), self.foot, self.top), words=f"{name} arm"))
        made.append(Shape("link-foot", "wall", box(-r - w, 0.0, a + r + w, w), words="link"))
        made.append(Shape("link-top", "wall", box(r, self.foot, a - r, self.foot + w), words="link"))
        return made

    def contents(self) -> list[Shape]:
        r, a = self.bore / 2, self.apart
        deep = self.moment.outside + self.weight * (self.open_level - self.wall)
        low = self.moment.outside + self.weight * (self.open_level - self.foot)
        name = self.now.inputs.liquids[0].name
        return [
            Shape("sealed-liquid", "liquid", box(-r, self.foot, r, self.sealed), (low, self.moment.inside), words=f"{name} behind the plug"),
            Shape("open-liquid", "liquid", box(a - r, self.foot, a + r, self.open_level), (low, self.moment.outside), words=f"{name} in the open arm"),
            Shape("link", "liquid", box(-r, self.wall, a + r, self.foot), (deep, low), words="link"),
            Shape(
                "gas-arm", "gas", box(-r, self.sealed, r, self.top), (self.moment.inside, self.moment.inside), words=f"gas, {self.moment.inside / 100:+.3g} hPa"
            ),
            Shape("sealed-surface", "surface", ((0.0, self.sealed),), words="level behind the plug"),
            Shape("sealed-at", "axis", ((a + r, self.mark), (self.beside, self.mark)), words="open level when sealed"),
            Shape("open-surface", "surface", ((a, self.open_level),), words="open level"),
        ]

    def bottle(self) -> list[Shape]:
        """The rest of the gas above the arm, as tall as it is wide, and the plug."""
        r, w, b = self.bore / 2, self.wall, self.bulb
        high = self.top + b
        made = (
            [Shape("gas", "gas", box(-b / 2, self.top, b / 2, high), (self.moment.inside, self.moment.inside), words="gas behind the plug")]
            if b > 2 * r
            else []
        )
        half = max(b / 2, r)
        if b > 2 * r:
            made += [
                Shape("bottle-left", "wall", box(-half - w, self.top, -half, high), words="bottle of gas"),
                Shape("bottle-right", "wall", box(half, self.top, half + w, high), words="bottle of gas"),
                Shape("bottle-foot-left", "wall", box(-half - w, self.top - w, -r, self.top), words="bottle of gas"),
                Shape("bottle-foot-right", "wall", box(r, self.top - w, half + w, self.top), words="bottle of gas"),
            ]
        else:
            high = self.top
        made.append(Shape("plug", "cover", box(-half - w, high, half + w, high + 2 * w), words="plug"))
        return made

    @property
    def mark(self) -> float:
        """Height of the open level when it was sealed."""
        return self.middle - float(self.s.seal_reading[0]) / 2

    @property
    def beside(self) -> float:
        """x beside the open arm, where the mark of the sealing stands."""
        return self.apart + 1.6 * self.bore

    def rings(self) -> list[Handle]:
        made = [Handle("setup.seal_reading", (self.beside, self.mark), (0.0, -1.0), -20.0, 20.0, 0.001, "reading when sealed, the open level then", gain=2.0)]
        if self.s.reading is not None:
            made.append(Handle("setup.reading", (self.apart, self.open_level), (0.0, -1.0), -20.0, 20.0, 0.001, "reading here, the open level", gain=2.0))
        return made

    def labels(self) -> list[Label]:
        edge = self.beside
        made = [Label("label-reading", (edge, self.open_level), path="results.expected_reading", words=" expected", strong=True)]
        if self.s.reading is not None:
            made.append(Label("label-pressure", (edge, self.top), path="results.pressure", words=" outside"))
        made.append(Label("label-metre", (edge, self.foot), path="results.reading_per_metre", words=" of climb"))
        return made


def _strip(one: float, other: float, low: float, high: float) -> tuple[Point, ...]:
    return box(min(one, other), low, max(one, other), high)


def _tape(now: Now[SealedManometer]) -> Tape:
    """The reading expected, beside the one that was read."""
    expected = now.value("results.expected_reading") or 0.0
    spread = now.shown_half_width("results.expected_reading")
    found = [Mark("mark-expected", "results.expected_reading", expected, spread, "expected")]
    ends = [expected - spread, expected + spread, 0.0]
    if now.setup.reading is not None:
        at = float(now.setup.reading[0])
        found.append(Mark("mark-reading", "setup.reading", at, now.inputs.leaves["setup.reading"].half_width, "read"))
        ends.append(at)
    spare = 0.25 * max(max(ends) - min(ends), 1e-3)
    return Tape(
        "Reading, positive when the open side stands lower",
        "length",
        now.unit("results.expected_reading"),
        span=(min(ends) - spare, max(ends) + spare),
        marks=tuple(found),
    )


def moments(now: Now[SealedManometer]) -> Timeline | None:
    """The way up from here, the gas at the room's temperature; no law gives its time."""
    s, room = now.alone()
    here = None if room.elevation is None else float(room.elevation[0])
    tops = [float(stop.elevation[0]) - here for stop in s.stops if stop.elevation is not None and here is not None]
    way = max([*tops, WAY])
    heights = np.linspace(0, way, FRAMES)
    gas, warm = sealed_gas(s, room), room.temperature + s.gas_lag
    outside = pressure_above(room.station_pressure, heights, room.outdoor_temperature, room.gravity)
    vapour = s.liquid.vapour_pressure_at(warm)
    readings = gas.reading_at(outside, warm, vapour)
    p0 = float(room.station_pressure[0])
    inside = outside - gas.weight * readings
    series = {
        "reading": ("reading expected", "length", tuple(readings.tolist())),
        "pressure": ("pressure outside", "pressure", tuple(outside.tolist())),
        "gas": ("pressure of the gas", "pressure", tuple(inside.tolist())),
    }
    marks = tuple((top, f"stop {i + 1}") for i, top in enumerate(tops) if 0 < top <= way)
    states = tuple(Moment(r, p - p0, q - p0) for r, p, q in zip(readings.tolist(), outside.tolist(), inside.tolist(), strict=True))
    return Timeline(tuple(heights.tolist()), marks, series, states, over=("climbed", "height", "m"))
