"""The siphon in section, and its running: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from typing import Any, NamedTuple, cast

import numpy as np
from numpy.typing import NDArray

from ...nominal import Now
from ...section.outline import box, ellipse, steady, widening
from ...section.shapes import Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import BREAKS, RUNS, predict
from .setup import Siphon

FRAMES = 49
"""Moments of the running that are drawn."""
BEND = 17
"""Points of a quarter of the bend at the crest."""
Floats = NDArray[np.float64]


class Moment(NamedTuple):
    """A moment: how far the upper surface has sunk [m], the part of the hose that a drop of dye has gone, speed [m/s], crest [Pa]."""

    sunk: float
    gone: float
    speed: float
    crest: float


def section(now: Now[Siphon], moment: Moment | None = None) -> Scene:
    """The siphon at the start, or at a moment of its running."""
    start = Moment(0.0, 0.0, now.value("results.speed") or 0.0, now.value("results.crest_pressure") or 0.0)
    body = _Body(now, moment or start)
    return Scene(
        (*body.upper(), *body.lower(), *body.hose(), *body.dye()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        rule_unit=now.inputs.leaves["setup.drop"].unit,
        base="floor",
        widened=body.wide,
    )


class _Body:
    """Two vessels and the hose; zero: height of the upper surface at the start above the floor."""

    def __init__(self, now: Now[Siphon], moment: Moment) -> None:
        s = now.setup
        self.now, self.s, self.moment = now, s, moment
        self.crest, self.drop = float(s.crest[0]), float(s.drop[0])
        self.depth = 0.0 if s.draw_depth is None else float(s.draw_depth[0])
        self.span = steady(max(self.crest + abs(self.drop), 0.05))
        self.zero = steady(max(1.25 * self.drop, 1.6 * self.depth, 0.3 * self.span))
        self.wide = widening(float(s.bore[0]), self.span, 1 / 45)
        self.half = self.wide * float(s.bore[0]) / 2
        self.wall = max(0.3 * self.half, 0.004 * self.span)
        self.out = self.zero - self.drop
        self.top = self.zero + self.crest
        self.level = self.zero - moment.sunk
        self.mouth = self.zero - max(self.depth, 0.12 * self.span) - (0.02 * self.span if self.depth else 0.0)
        self.bend = max(3 * self.half + self.wall, 0.05 * self.span)
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])
        self.how = now.code("behaviour")
        self.up, self.down = self._legs()

    def across(self, area: Any) -> float:
        """Half the width of a vessel of a surface, as far as the sheet shows it."""
        true = math.sqrt(float(area[0]) / math.pi) if area is not None else 0.22 * self.span
        return min(max(self.wide * true, 1.5 * self.bend), 0.25 * self.span)

    def upper(self) -> list[Shape]:
        half = self.across(self.s.upper_area)
        right = self.bend - 2 * self.half - self.wall  # its right wall stands between the hose's legs
        left, foot = right - 2 * half, self.mouth - 0.05 * self.span
        rim = self.zero + min(0.06 * self.span, 0.3 * self.crest) if self.crest else self.zero
        wall = self.wall
        deep = self.weight * (self.level - foot)
        stand = box(left - wall, 0.0, right + wall, max(foot - wall, 1e-6))
        return [
            Shape("stand", "stand", stand, words="block under the upper vessel"),
            Shape(
                "upper-liquid",
                "liquid",
                box(left, foot, right, self.level),
                (deep, 0.0),
                words=f"{self.now.inputs.liquids[0].name} in the upper vessel, its width cut to the sheet",
            ),
            Shape("upper-left", "wall", box(left - wall, foot - wall, left, rim), words="upper vessel"),
            Shape("upper-right", "wall", box(right, foot - wall, right + wall, rim), words="upper vessel"),
            Shape("upper-floor", "wall", box(left, foot - wall, right, foot), words="upper vessel"),
            Shape("surface", "surface", (((left + right) / 2 - 0.2 * half, self.level),), words="upper surface"),
        ]

    def lower(self) -> list[Shape]:
        half = self.across(self.s.lower_area)
        middle = 2 * self.bend + 0.5 * half
        left, right, wall = middle - half, middle + half, self.wall
        filled = self.out + 0.0 if self.s.lower_area is not None else 0.0
        ratio = 0.0 if self.s.upper_area is None or self.s.lower_area is None else float(self.s.upper_area[0] / self.s.lower_area[0])
        level = max(filled + ratio * self.moment.sunk, 0.04 * self.span)
        left = max(left, self.bend + self.half)
        return [
            Shape("lower-liquid", "liquid", box(left, wall, right, level), (self.weight * (level - wall), 0.0), words="lower vessel"),
            Shape("lower-left", "wall", box(left - wall, 0.0, left, level + 0.05 * self.span), words="lower vessel"),
            Shape("lower-right", "wall", box(right, 0.0, right + wall, level + 0.05 * self.span), words="lower vessel"),
            Shape("lower-floor", "wall", box(left - wall, 0.0, right + wall, wall), words="lower vessel"),
            Shape("lower-surface", "surface", (((left + right) / 2 + 0.3 * half, level),), words="lower surface"),
        ]

    def _legs(self) -> tuple[Floats, Floats]:
        """The hose's middle line: up from the mouth to the crest, and from there down to the outlet."""
        r = min(self.bend, max(self.top - self.mouth, 1e-6))
        dips = 0.05 * self.span if self.s.lower_area is not None else 0.0
        turn = np.linspace(0, math.pi / 2, BEND)
        up = [(0.0, self.mouth), *((self.bend * (1 - math.cos(a)), self.top - r + r * math.sin(a)) for a in turn.tolist())]
        end = min(self.out - dips, self.top - r - 1e-6)
        down = [*((self.bend * (1 + math.sin(a)), self.top - r + r * math.cos(a)) for a in turn.tolist()), (2 * self.bend, max(end, 0.0))]
        return np.array(up), np.array(down)

    def hose(self) -> list[Shape]:
        whole, over = np.concatenate([self.up, self.down[1:]]), len(self.up)
        lines = _beside(whole, self.half, -self.half, self.half + self.wall, -self.half - self.wall)
        made = [
            Shape("hose-outer", "wall", _band(lines[0], lines[2]), words="hose"),
            Shape("hose-inner", "wall", _band(lines[1], lines[3]), words="hose"),
        ]
        p0 = float(self.now.room.station_pressure[0])
        crest = self.moment.crest - p0
        if self.how == BREAKS:
            vapour = float(self.s.liquid.vapour_pressure[0]) - p0
            held = min(max(0.95 * -vapour / self.weight, 0.0), 0.95 * self.crest)
            made.append(
                Shape(
                    "rising",
                    "liquid",
                    box(-self.half, max(self.mouth, 0.0), self.half, max(self.zero + held, 0.0)),
                    (self.weight * (self.zero - self.mouth), -self.weight * held),
                    words="column that parts",
                )
            )
            made.append(Shape("parted", "gas", _band(lines[0][1:], lines[1][1:]), (vapour, vapour), words="vapour where it has parted"))
            return made
        start = self.weight * (self.level - self.mouth)
        made += [
            Shape("rising", "liquid", _band(lines[0][:over], lines[1][:over]), (start, crest), words=f"up to the crest, {crest / 100:+.3g} hPa there"),
            Shape("falling", "liquid", _band(lines[0][over - 1 :], lines[1][over - 1 :]), (0.0, crest), words="down to the outlet"),
        ]
        if self.how == RUNS and self.s.lower_area is None:
            made.append(
                Shape(
                    "stream",
                    "jet",
                    ((2 * self.bend, max(self.out, 0.0)), (2 * self.bend, 0.04 * self.span)),
                    width=float(self.s.bore[0]),
                    answer=True,
                    words="stream",
                )
            )
        return made

    def dye(self) -> list[Shape]:
        """A drop of dye on its way; it shows how fast the hose runs."""
        if self.how != RUNS:
            return []
        cut = float(self.s.to_crest[0] / self.s.length[0])
        gone, leg = (self.moment.gone / cut, self.up) if self.moment.gone < cut else ((self.moment.gone - cut) / max(1 - cut, 1e-9), self.down)
        x, z = _along(leg, min(gone, 1.0))
        r = 0.85 * self.half
        return [Shape("dye", "gauge", ellipse(x, z, r, r, 16), words="drop of dye")]

    def dimensions(self) -> list[Dimension]:
        left = self.bend - 2 * self.half - 2 * self.wall - 2 * self.across(self.s.upper_area)
        over, out = self.bend, 2 * self.bend
        crest = Handle("setup.crest", (over, self.top), (0.0, 1.0), 0.0, 100.0, 0.01, "crest above the upper surface")
        drop = Handle("setup.drop", (out, self.out), (0.0, -1.0), -100.0, 100.0, 0.01, "outlet below the upper surface")
        made = [
            Dimension("setup.crest", ((over, self.zero), (over, self.top)), 1, handle=crest),
            Dimension("setup.drop", ((out, self.zero), (out, self.out)), 1, handle=drop),
        ]
        if self.s.draw_depth is not None:
            made.append(Dimension("setup.draw_depth", ((left, self.zero - self.depth), (left, self.zero)), 0))
        return made

    def labels(self) -> list[Label]:
        edge = 2 * self.bend + self.half + self.wall
        made = [Label("label-crest", (edge, self.top), path="results.crest_pressure", words=" at the crest", strong=True)]
        if self.how == RUNS:
            made.append(Label("label-speed", (edge, max(self.out, 0.0)), path="results.speed", words=" in the hose", strong=True))
        else:
            made.append(Label("label-how", (edge, max(self.out, 0.0)), words="breaks at the crest" if self.how == BREAKS else "does not run"))
        return made


def _beside(line: Floats, *far: float) -> list[Floats]:
    """Lines drawn beside another, each a distance to its left."""
    along = np.gradient(line, axis=0)
    length = np.hypot(along[:, 0], along[:, 1])
    normal = np.stack([-along[:, 1], along[:, 0]], axis=1) / np.where(length > 0, length, 1.0)[:, None]
    return [line + one * normal for one in far]


def _band(one: Floats, other: Floats) -> tuple[Point, ...]:
    both = np.concatenate([one, other[::-1]])
    np.maximum(both[:, 1], 0.0, out=both[:, 1])
    return tuple((x, z) for x, z in both.tolist())


def _along(line: Floats, part: float) -> tuple[float, float]:
    """The point at a part of a line's length."""
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))])
    return float(np.interp(part * length[-1], length, line[:, 0])), float(np.interp(part * length[-1], length, line[:, 1]))


def _tape(now: Now[Siphon]) -> Tape:
    """The crest's pressure against the liquid's own vapour pressure and the room's."""
    at = now.value("results.crest_pressure") or 0.0
    p0, p_v = float(now.room.station_pressure[0]), float(now.setup.liquid.vapour_pressure[0])
    marks = (
        Mark("mark-crest", "results.crest_pressure", at, now.shown_half_width("results.crest_pressure"), "at the crest"),
        Mark("mark-parts", "results.parting_pressure", p_v, now.shown_half_width("results.parting_pressure"), "it parts"),
    )
    low = min(at, 0.0)
    return Tape("Pressure at the crest, absolute", "pressure", now.unit("results.crest_pressure"), span=(low, 1.1 * max(p0, p_v)), marks=marks)


def moments(now: Now[Siphon]) -> Timeline | None:
    """The running: the upper vessel drawn down where its sizes are known, else a drop of dye from mouth to outlet."""
    s = now.setup
    if now.code("behaviour") != RUNS:
        return None
    whole = now.value("results.time_to_empty")
    crest, drop = float(s.crest[0]), float(s.drop[0])
    if not whole:
        time = now.value("results.transit_time") or 1.0
        times = np.linspace(0, time, FRAMES)
        speed, pressure = now.value("results.speed") or 0.0, now.value("results.crest_pressure") or 0.0
        states = tuple(Moment(0.0, float(t / time), speed, pressure) for t in times)
        over_crest = float(s.to_crest[0] / s.length[0]) * time
        series = {"gone": ("way of a drop of dye along the hose", "length", tuple((times * speed).tolist()))}
        return Timeline(tuple(times.tolist()), ((over_crest, "over the crest"),), series, states)
    assert s.draw_depth is not None
    assert s.upper_area is not None
    both = 1 + (0.0 if s.lower_area is None else float(s.upper_area[0] / s.lower_area[0]))
    sunk = float(s.draw_depth[0]) * (1 - (1 - np.linspace(0, 1, 4 * FRAMES)) ** 2)
    setup, room = now.inputs.made({**now.inputs.nominal(), "setup.drop": drop - both * sunk, "setup.crest": crest + sunk})
    with np.errstate(invalid="ignore", divide="ignore", over="ignore"):
        got = cast(Any, predict(setup, room).results)
    speeds, crests = (np.broadcast_to(got[key].si, sunk.shape) for key in ("speed", "crest_pressure"))
    per = float(s.upper_area[0]) / (math.pi / 4 * float(s.bore[0]) ** 2)
    when = np.concatenate([[0.0], np.cumsum(per * np.diff(sunk) * (1 / speeds[1:] + 1 / speeds[:-1]) / 2)])
    when *= whole / when[-1]  # the quadrature's own small error is not shown
    times = np.linspace(0, whole, FRAMES)
    level, pace, crests = (np.interp(times, when, values) for values in (sunk, speeds, crests))
    p_v = float(s.liquid.vapour_pressure[0])
    marks = [(float(times[k]), "the crest parts") for k in np.flatnonzero(crests <= p_v)[:1]]
    gone = np.minimum(np.concatenate([[0.0], np.cumsum(np.diff(times) * (pace[1:] + pace[:-1]) / 2)]) / float(s.length[0]), 1.0)
    series = {
        "sunk": ("upper surface has sunk", "length", tuple(level.tolist())),
        "speed": ("speed in the hose", "speed", tuple(pace.tolist())),
        "crest": ("pressure at the crest, absolute", "pressure", tuple(crests.tolist())),
    }
    return Timeline(
        tuple(times.tolist()),
        tuple(marks),
        series,
        tuple(Moment(*row) for row in zip(level.tolist(), gone.tolist(), pace.tolist(), crests.tolist(), strict=True)),
    )
