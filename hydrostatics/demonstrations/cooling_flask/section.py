"""The flask or can in section with a thermometer beside it, and its cooling: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from typing import NamedTuple

import numpy as np

from ...laws.cooling import cooled_pressure, cooling_duration
from ...liquids.water import saturation_pressure
from ...nominal import Now
from ...quantities.celsius import kelvin
from ...section.outline import box, ellipse
from ...section.shapes import Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .setup import CoolingFlask

FRAMES = 49
"""Moments of the cooling that are drawn."""
ARC = 33
"""Points of half a round flask."""
LASTS = 5.0
"""Times 1/e that are played."""


class Moment(NamedTuple):
    """The gas at a moment: temperature [K], and of the push that the stopper needs the part that it has (1: it moves)."""

    temperature: float
    moved: float


def section(now: Now[CoolingFlask], moment: Moment | None = None) -> Scene:
    """The vessel cooled and still shut, or at a moment of its cooling."""
    body = _Body(now, moment or Moment(float(now.setup.final_temperature[0]), 0.0))
    return Scene(
        (*body.vessel(), *body.contents(), *body.stopper(), *body.thermometer()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(body.rings()),
        rule_unit="cm",
        base="bench",
    )


class _Body:
    """Vessel and thermometer; a can stands as a can, a flask as a round one of its volume."""

    def __init__(self, now: Now[CoolingFlask], moment: Moment) -> None:
        s = now.setup
        self.now, self.s, self.moment = now, s, moment
        self.neck = 0.0 if s.neck_diameter is None else float(s.neck_diameter[0]) / 2
        if s.can is not None:
            self.half, self.tall = float(s.can.diameter[0]) / 2, float(s.can.height[0])
        else:
            self.half = max((3 * float(s.volume[0]) / (4 * math.pi)) ** (1 / 3), 1.15 * self.neck)
            self.tall = 2 * self.half
        self.wall = 0.03 * self.half
        self.mouth = self.wall + self.tall + (1.6 * self.neck if self.neck else 0.0)
        self.low, self.high = kelvin(0) if moment.temperature >= kelvin(0) else 150.0, kelvin(110) if float(s.hot_temperature[0]) <= kelvin(110) else 640.0
        self.foot, self.scale = self.wall, self.tall
        self.stem = 2.5 * self.half
        p0 = float(now.room.station_pressure[0])
        steam = float(saturation_pressure(np.array([moment.temperature]))[0]) if s.moisture == "saturated" else 0.0
        hot = float(s.hot_temperature[0])
        steam_hot = float(saturation_pressure(np.array([hot]))[0]) if s.moisture == "saturated" else 0.0
        self.gauge = float(cooled_pressure(max(p0 - steam_hot, 0.0), hot, moment.temperature)) + steam - p0

    def inner(self) -> list[Point]:
        """The left half of the inside, from the mouth down to the middle of the base."""
        if self.s.can is not None:
            side = [(-self.half + self.dent() * math.sin(math.pi * k / 12) ** 2, self.wall + self.tall * (1 - k / 12)) for k in range(13)]
            top: list[Point] = [(-self.neck, self.mouth), (-self.neck, self.wall + self.tall)] if self.neck else [(0.0, self.wall + self.tall)]
            return [*top, *side, (0.0, self.wall)]
        start = math.asin(min(1.0, self.neck / self.half))
        centre = self.wall + self.half
        arc = [(-self.half * math.sin(a), centre + self.half * math.cos(a)) for a in np.linspace(start, math.pi, ARC).tolist()]
        return [(-self.neck, self.mouth), *arc]

    def dent(self) -> float:
        """How far a can's side is pushed in, as drawn: it tells that it crumples, not its shape."""
        limit = self.now.value("results.collapse_pressure")
        return 0.3 * self.half if limit is not None and -self.gauge >= limit else 0.0

    def vessel(self) -> list[Shape]:
        inside = self.inner()
        outside = [(x - self.wall, z) if z > self.wall * 1.01 else (x, 0.0) for x, z in inside]
        left = tuple(inside + outside[::-1])
        words = "can" if self.s.can is not None else "flask"
        made = [Shape("wall-left", "wall", left, words=words), Shape("wall-right", "wall", tuple((-x, z) for x, z in left), words=words)]
        if not self.neck:
            top = self.wall + self.tall
            made.append(Shape("lid", "cover", box(-self.half - self.wall, top, self.half + self.wall, top + 2 * self.wall), words="lid"))
        return made

    def contents(self) -> list[Shape]:
        left = self.inner()
        gas = Shape("gas", "gas", tuple(left + [(-x, z) for x, z in left[::-1]]), (self.gauge, self.gauge), words=f"gas, {self.gauge / 100:+.3g} hPa")
        if self.s.moisture == "dry":
            return [gas]
        level = self.wall + 0.08 * self.tall
        wet = [(x, min(z, level)) for x, z in left if z <= level] or [(0.0, self.wall)]
        edge = self.half if self.s.can is not None else math.sqrt(max(self.half**2 - (self.wall + self.half - level) ** 2, 0.0))
        shore = [(-edge, level), *wet]
        water = Shape("water", "liquid", tuple(shore + [(-x, z) for x, z in shore[::-1]]), (self.gauge, self.gauge), words="a little water, as warm as the gas")
        return [gas, water]

    def stopper(self) -> list[Shape]:
        if not self.neck:
            return []
        rise = 1.1 * self.neck
        centre = self.mouth + 0.45 * self.neck - self.moment.moved * (1.6 * self.neck + 1.2 * self.neck)
        round_ = ellipse(0.0, centre, 1.08 * self.neck, rise, 40)
        return [Shape("stopper", "cover", round_, words="stopper")]

    def at(self, temperature: float) -> float:
        """Height on the thermometer of a temperature [K]."""
        return self.foot + self.scale * (temperature - self.low) / (self.high - self.low)

    def thermometer(self) -> list[Shape]:
        width = 0.02 * self.tall
        top = self.at(self.moment.temperature)
        return [
            Shape("thermometer", "axis", ((self.stem, self.foot), (self.stem, self.foot + self.scale)), words="thermometer"),
            Shape("thread", "cover", box(self.stem - width, self.foot, self.stem + width, max(top, self.foot + 1e-9)), words="the gas's temperature"),
        ]

    def dimensions(self) -> list[Dimension]:
        """A can's own sizes; a flask's follow from its volume."""
        if self.s.can is None:
            return []
        top, edge = self.wall + self.tall, self.half
        tall = Handle("setup.can.height", (0.0, top), (0.0, 1.0), 0.01, 3.0, 0.001, "can, height")
        wide = Handle("setup.can.diameter", (edge, top), (1.0, 0.0), 0.01, 2.0, 0.001, "can, diameter", gain=2.0)
        return [
            Dimension("setup.can.height", ((-edge, self.wall), (-edge, top)), 1, handle=tall),
            Dimension("setup.can.diameter", ((-edge, top), (edge, top)), 0, upright=False, handle=wide),
        ]

    def rings(self) -> list[Handle]:
        gain = (self.high - self.low) / self.scale
        made = [
            Handle(f"setup.{key}", (self.stem, self.at(float(si[0]))), (0.0, 1.0), self.low, self.high, 1.0, words, gain=gain)
            for key, si, words in (
                ("hot_temperature", self.s.hot_temperature, "temperature when closed"),
                ("final_temperature", self.s.final_temperature, "temperature cooled down to"),
            )
        ]
        if self.neck:
            made.append(Handle("setup.neck_diameter", (self.neck, self.mouth), (1.0, 0.0), 0.001, 1.0, 0.0005, "neck, inside diameter", gain=2.0))
        return made

    def labels(self) -> list[Label]:
        edge = self.stem
        made = [
            Label(
                f"label-{key}",
                (edge, self.at(float(si[0]))),
                words=f"{self.now.number(float(si[0]), 'temperature', f'setup.{key}')}, {words}",
                answer=False,
            )
            for key, si, words in (("hot_temperature", self.s.hot_temperature, "closed"), ("final_temperature", self.s.final_temperature, "end"))
        ]
        if self.neck:
            path = "results.push_force_end" if self.s.stopper_volume[0] else "results.push_force"
            made.append(Label("label-push", (self.neck, self.mouth + 0.5 * self.neck), path=path, words=" push on it", strong=True))
        made.append(Label("label-inside", (self.half, self.wall + 0.45 * self.tall), path="results.pressure_difference", words=" missing"))
        return made


def _tape(now: Now[CoolingFlask]) -> Tape:
    """What the room does against what is needed: forces on a stopper, pressures on a can."""
    if now.setup.neck_diameter is None:
        at, limit = now.value("results.pressure_difference") or 0.0, now.value("results.collapse_pressure") or 0.0
        marks = (
            Mark("mark-difference", "results.pressure_difference", at, now.shown_half_width("results.pressure_difference"), "pressure difference"),
            Mark("mark-collapse", "results.collapse_pressure", limit, now.shown_half_width("results.collapse_pressure"), "crumples"),
        )
        return Tape(
            "Pressure difference to the room", "pressure", now.unit("results.pressure_difference"), span=(min(0.0, at), 1.25 * max(at, limit)), marks=marks
        )
    push, end = now.value("results.push_force") or 0.0, now.value("results.push_force_end") or 0.0
    found = [Mark("mark-push", "results.push_force", push, now.shown_half_width("results.push_force"), "at the start")]
    if now.setup.stopper_volume[0]:
        found.append(Mark("mark-end", "results.push_force_end", end, now.shown_half_width("results.push_force_end"), "in the neck"))
    needed = 0.0 if now.setup.needed_force is None else float(now.setup.needed_force[0])
    if now.setup.needed_force is not None:
        found.append(Mark("mark-needed", "setup.needed_force", needed, now.inputs.leaves["setup.needed_force"].half_width, "needed"))
    return Tape("Push on the stopper", "force", now.unit("results.push_force"), span=(min(0.0, 1.25 * end), 1.25 * max(push, needed, 1e-3)), marks=tuple(found))


def moments(now: Now[CoolingFlask]) -> Timeline | None:
    """The cooling: in time where its constant is known, else over the temperature."""
    s = now.setup
    hot, final = float(s.hot_temperature[0]), float(s.final_temperature[0])
    if hot - final < 0.5:
        return None
    timed = s.cooling_time is not None
    if s.cooling_time is not None:
        tau = float(s.cooling_time[0])
        times = np.linspace(0, LASTS * tau, FRAMES)
        temperatures = final + (hot - final) * np.exp(-times / tau)
    else:
        temperatures = np.linspace(hot, final, FRAMES)
        times = temperatures
    steam = saturation_pressure(temperatures) if s.moisture == "saturated" else np.zeros(FRAMES)
    p0 = float(now.room.station_pressure[0])
    steam_hot = float(saturation_pressure(np.array([hot]))[0]) if s.moisture == "saturated" else 0.0
    dry = cooled_pressure(max(p0 - steam_hot, 0.0), hot, temperatures)
    series = {
        "temperature": ("temperature of the gas", "temperature", tuple(temperatures.tolist())),
        "air": ("dry air's part of the pressure", "pressure", tuple(dry.tolist())),
        "steam": ("steam's part of the pressure", "pressure", tuple(steam.tolist())),
    }
    if s.moisture == "dry":
        del series["steam"]
    if s.neck_diameter is not None:
        area = math.pi / 4 * float(s.neck_diameter[0]) ** 2
        series["push"] = ("push on the stopper while it sits", "force", tuple(((p0 - dry - steam) * area).tolist()))
    at = now.value("results.moves_at")
    moved = np.zeros(FRAMES) if at is None or at <= final else np.clip((at - temperatures) / max(at - final, 1e-9), 0, 1) ** 0.5
    marks: tuple[tuple[float, str], ...] = ()
    if at is not None and at > final:
        when = float(cooling_duration(hot, at, final, float(s.cooling_time[0]))) if s.cooling_time is not None else at
        if not timed or when <= times[-1]:
            marks = ((when, "the stopper starts to move"),)
    states = tuple(Moment(t, m) for t, m in zip(temperatures.tolist(), moved.tolist(), strict=True))
    over = None if timed else ("temperature of the gas", "temperature", now.inputs.leaves["setup.hot_temperature"].unit)
    return Timeline(tuple(times.tolist()), marks, series, states, over=over)
