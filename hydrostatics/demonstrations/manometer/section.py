"""The chain in section, limb by limb, and its swing: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import NamedTuple

import numpy as np

from ...laws.swinging import creeping_rate, layer_rate, swing_rate
from ...nominal import Now
from ...section.outline import box, ellipse, steady
from ...section.shapes import Adder, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import densest
from .setup import Manometer

FRAMES = 121
"""Moments of a swing that are drawn."""
SHOWN = 0.25
"""Part of the densest leg by which a swing starts, as it is played."""


class Limb(NamedTuple):
    """A leg as it is drawn: where it begins and ends, which leg it is, and where a bend before it begins."""

    start: Point
    end: Point
    bend: tuple[Point, ...]


def section(now: Now[Manometer], drops: Sequence[float] | None = None) -> Scene:
    """The chain from its start to its end; drops: at a moment of its swing [m]."""
    body = _Body(now, drops)
    shapes: list[Shape] = [*body.board()]
    for i in range(len(body.limbs)):
        shapes += body.leg(i)
    return Scene(
        tuple(shapes + body.ends()),
        (),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(body.rings()),
        adders=(body.adder(),) if len(now.setup.legs) < 20 else (),
        rule_unit=body.unit,
        base="bench",
    )


class _Body:
    """Legs that go the same way stand in one limb; where the way turns there is a bend, filled by the denser or the lighter liquid."""

    def __init__(self, now: Now[Manometer], drops: Sequence[float] | None) -> None:
        s = now.setup
        self.now, self.s = now, s
        told = [now.value(f"results.ledger.{i}.drop") or 0.0 for i in range(len(s.legs))]
        self.drops = list(drops) if drops is not None else told
        paths = [f"setup.legs.{i}.{'length' if leg.length is not None else 'drop'}" for i, leg in enumerate(s.legs)]
        leaf = next((now.leaf(path) for path in paths if now.leaf(path)), None)
        self.unit = leaf.unit if leaf else "cm"
        # what the chain stands on and how wide it is keeps still while a leg is dragged
        sums = np.concatenate([[0.0], np.cumsum(told)])
        across = sum(abs(float(leg.length[0])) for leg in s.legs if leg.length is not None)
        self.size = steady(1.05 * max(float(sums.max() - sums.min()), 0.25 * sum(abs(d) for d in told), 0.5 * across, 0.02))
        self.half = 0.022 * self.size
        self.wall = 0.3 * self.half
        self.gap = max(5 * self.half, 0.16 * self.size)
        self.dip = 0.14 * self.size
        self.zero = steady(1.02 * max(float(sums.max()), 0.05 * self.size)) + 1.6 * self.dip
        self.limbs = self._laid()

    def _laid(self) -> list[Limb]:
        x, z, way = 0.0, self.zero, 0
        made = []
        for i, leg in enumerate(self.s.legs):
            drop = self.drops[i]
            here = 1 if drop >= 0 else -1
            bend: tuple[Point, ...] = ()
            if way and here != way:
                turn = z - self.dip * way
                bend = ((x, z), (x, turn), (x + self.gap, turn), (x + self.gap, z))
                x += self.gap
            across = 0.0
            if leg.length is not None and leg.angle is not None:
                across = abs(float(leg.length[0]) * math.cos(float(leg.angle[0])))
            made.append(Limb((x, z), (x + across, z - drop), bend))
            x, z, way = x + across, z - drop, here
        return made

    def gauge(self, i: int) -> float:
        """Pressure against the room's at the beginning of leg i [Pa], or against the start's where no pressure is known."""
        start = self.now.value("results.start_gauge") or 0.0
        return start + sum(self.now.value(f"results.ledger.{k}.change") or 0.0 for k in range(i))

    def leg(self, i: int) -> list[Shape]:
        limb, name = self.limbs[i], self.s.legs[i].liquid.name
        before, after = self.gauge(i), self.gauge(i + 1)
        low, high = (after, before) if self.drops[i] >= 0 else (before, after)
        words = f"leg {i + 1}, {name}"
        line = [limb.start, limb.end]
        made = [Shape(f"leg-{i}", "liquid", _strip(line, self.half), (low, high), words=words)]
        made += self._walls(f"wall-{i}", line)
        ratio = float(self.s.legs[i].reservoir_ratio[0])
        if ratio > 0:  # as wide as its ratio says, as far as the sheet shows it
            wide, deep = self.half * min(1 / math.sqrt(ratio), 8.0), 3 * self.half
            x, z = limb.start
            made.append(Shape(f"reservoir-{i}", "liquid", box(x - 2 * wide, max(z - deep, 0.0), x, z), (before, before), words="reservoir"))
        if limb.bend:
            weights = [float(self.s.legs[k].liquid.density[0] * self.now.room.gravity[0]) for k in (i - 1, i)]
            down = limb.bend[1][1] < limb.bend[0][1]
            weight = max(weights) if down else min(weights)
            at_bend = self.gauge(i) + (weight if down else -weight) * self.dip
            made.append(Shape(f"bend-{i}", "liquid", _strip(list(limb.bend), self.half), (max(at_bend, before), min(at_bend, before)), words="bend"))
            made += self._walls(f"bend-{i}", list(limb.bend))
        if i:
            made.append(Shape(f"interface-{i}", "surface", (limb.start,), words=f"{self.s.legs[i - 1].liquid.name} above or below {name}"))
        return made

    def _walls(self, id: str, line: list[Point]) -> list[Shape]:
        h, w = self.half, self.wall
        return [Shape(f"{id}-{name}", "wall", _between(line, sign * h, sign * (h + w)), words="tube") for name, sign in (("left", 1), ("right", -1))]

    def board(self) -> list[Shape]:
        right = max(point[0] for limb in self.limbs for point in (limb.start, limb.end)) + 2 * self.half
        return [Shape("board", "stand", box(-2 * self.half, 0.0, right, 0.3 * self.half), words="board")]

    def ends(self) -> list[Shape]:
        """A cap where an end is closed without air, a vessel where it is a pressure, nothing where it is open."""
        made = []
        outward = 1 if self.drops[0] >= 0 else -1, -1 if self.drops[-1] >= 0 else 1  # above where the chain leaves downward
        both = (("start", self.s.start, self.limbs[0].start), ("end", self.s.end, self.limbs[-1].end))
        for (name, end, point), out in zip(both, outward, strict=True):
            x, z = point
            r = 2.2 * self.half
            if end.word == "vacuum":
                made.append(Shape(f"{name}-cap", "cover", _upright(x, z, self.half + self.wall, 2 * out * self.wall), words=f"{name}: closed, without air"))
            elif end.word != "atmosphere":
                outline = tuple((x, max(z, 0.0)) for x, z in ellipse(x, z + 0.8 * out * r, r, r, 32))
                made.append(Shape(f"gauge-{name}", "gauge", outline, words=f"{name}: {'wanted' if end.word == 'unknown' else 'a pressure'}"))
            made.append(Shape(f"{name}-surface", "surface", (point,), words=f"the {name}"))
        return made

    def rings(self) -> list[Handle]:
        made = []
        many = len(self.s.legs) > 1
        for i, leg in enumerate(self.s.legs):
            removes = f"setup.legs.{i}" if many else ""
            at, fills = self.limbs[i].end, f"setup.legs.{i}.liquid"
            words = f"leg {i + 1}, {leg.liquid.name}"
            if leg.length is not None and leg.angle is not None:
                sign = 1.0 if float(leg.length[0]) >= 0 else -1.0
                axis = (sign * math.cos(float(leg.angle[0])), -(math.sin(float(leg.angle[0])) + float(leg.reservoir_ratio[0])))
                made.append(Handle(f"setup.legs.{i}.length", at, axis, -100.0, 100.0, 0.001, f"{words}, length", removes=removes, fills=fills))
            elif not isinstance(leg.drop, str):
                made.append(Handle(f"setup.legs.{i}.drop", at, (0.0, -1.0), -1000.0, 1000.0, 0.001, f"{words}, drop", removes=removes, fills=fills))
        return made

    def labels(self) -> list[Label]:
        made = []
        off = self.half + self.wall
        few = len(self.s.legs) <= 8
        placed = self.now.value("results.start_pressure") is not None
        for i, limb in enumerate(self.limbs):
            if placed:
                made.append(
                    Label(f"label-pressure-{i}", (limb.end[0] + off, limb.end[1]), path=f"results.ledger.{i}.pressure", strong=i == len(self.limbs) - 1)
                )
            middle = ((limb.start[0] + limb.end[0]) / 2 + off, (limb.start[1] + limb.end[1]) / 2)
            wanted = isinstance(self.s.legs[i].drop, str)
            if wanted:
                made.append(Label(f"label-drop-{i}", middle, path=f"results.ledger.{i}.drop", words=f" {self.s.legs[i].liquid.name}", strong=True))
            elif few:
                made.append(Label(f"label-liquid-{i}", middle, words=self.s.legs[i].liquid.name, answer=False))
        return made

    def adder(self) -> Adder:
        x, z = self.limbs[-1].end
        item = {"liquid": self.now.stated(f"setup.legs.{len(self.s.legs) - 1}.liquid") or "water"}
        like = next((handle.path for handle in self.rings() if handle.path.endswith(".drop")), "setup.legs.0.drop")
        reach = max(min(0.4 * self.size, z - 0.5 * self.half), 1e-3)
        return Adder("setup.legs", ((x + self.gap, z), (x + self.gap, z - reach)), "drop", item, like, 0.5 * reach, "add a leg")


def _upright(x: float, z: float, half: float, tall: float) -> tuple[Point, ...]:
    return box(x - half, min(z, z + tall), x + half, max(z, z + tall))


def _normals(line: list[Point]) -> list[Point]:
    """At each point of a line with square corners, where its left side lies for a distance of one."""
    made = []
    for k, (x, z) in enumerate(line):
        near = line[max(k - 1, 0)], line[min(k + 1, len(line) - 1)]
        steps = [(near[0], (x, z)), ((x, z), near[1])]
        normals = []
        for (xa, za), (xb, zb) in steps:
            long = math.hypot(xb - xa, zb - za)
            if long > 0:
                normals.append((-(zb - za) / long, (xb - xa) / long))
        if not normals:
            normals = [(1.0, 0.0)]
        nx, nz = (sum(n[a] for n in normals) for a in (0, 1))
        scale = len(normals) / max(nx**2 + nz**2, 1e-9) if len(normals) > 1 else 1.0
        made.append((nx * scale, nz * scale) if len(normals) > 1 else normals[0])
    return made


def _between(line: list[Point], one: float, other: float) -> tuple[Point, ...]:
    normals = _normals(line)
    there = [(x + one * nx, max(z + one * nz, 0.0)) for (x, z), (nx, nz) in zip(line, normals, strict=True)]
    back = [(x + other * nx, max(z + other * nz, 0.0)) for (x, z), (nx, nz) in zip(line, normals, strict=True)]
    return (*there, *back[::-1])


def _strip(line: list[Point], half: float) -> tuple[Point, ...]:
    return _between(line, half, -half)


def _tape(now: Now[Manometer]) -> Tape | None:
    """What is asked for, against nothing: a difference, or what is left over."""
    path, words = ("results.closure", "left over") if now.value("results.closure") is not None else ("results.difference", "start above end")
    at, spread = now.value(path) or 0.0, now.shown_half_width(path)
    found = [Mark("mark-asked", path, at, spread, words)]
    far = 1.25 * max(abs(at) + spread, 100.0)
    return Tape(
        "Pressure of the start above that of the end" if path.endswith("difference") else "What is left over where the ends meet",
        "pressure",
        now.unit(path),
        span=(min(0.0, -far if at < 0 else -0.2 * far), max(far if at > 0 else 0.2 * far, 0.0)),
        marks=tuple(found),
    )


def moments(now: Now[Manometer]) -> Timeline | None:
    """The swing of a U-tube's liquid to its level, in time."""
    s, room = now.alone()
    settles = now.value("results.settling_time")
    if settles is None or s.column_length is None or s.bore is None:
        return None
    k = densest(s)
    liquid = s.legs[k].liquid
    assert liquid.viscosity is not None
    omega = float(swing_rate(room.gravity, s.column_length, 2.0)[0])
    nu = liquid.viscosity / liquid.density
    creep, layer = float(creeping_rate(nu, s.bore)[0]), float(layer_rate(nu, omega, s.bore)[0])
    damping = max(creep, layer)
    count = int(min(max(FRAMES, 14 * settles * omega / (2 * math.pi)), 400))
    times = np.linspace(0, settles, count)
    if creep < omega:
        moved = np.exp(-damping * times) * np.cos((omega - layer) * times)
    else:
        moved = np.exp(-(damping - math.sqrt(max(damping**2 - omega**2, 0.0))) * times)
    told = [now.value(f"results.ledger.{i}.drop") or 0.0 for i in range(len(s.legs))]
    far = SHOWN * told[k]
    if not far:
        return None
    drops = told[k] + far * moved
    states = tuple([*told[:k], float(drop), *told[k + 1 :]] for drop in drops)
    series = {"drop": (f"drop of leg {k + 1}", "length", tuple(drops.tolist()))}
    return Timeline(tuple(times.tolist()), ((settles, "to a hundredth"),), series, states)
