"""Joined vessels in section, their pouring and their swing: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from collections.abc import Sequence

import numpy as np

from ...laws.joined import level_of
from ...nominal import Now
from ...section.outline import box, steady
from ...section.shapes import Adder, Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import BOILS, rates, swinging, vessels_of
from .setup import NEW, CommunicatingVessels

GAP = 0.2
"""Room between two vessels, as part of the tallest."""
FRAMES = 61
"""Moments of the pouring or of the swing that are drawn."""
SHOWN = 0.22
"""Part of the level by which a swing starts, as it is played."""

Levels = Sequence[float]


def section(now: Now[CommunicatingVessels], levels: Levels | None = None) -> Scene:
    """The vessels as they stand; levels: of each at a moment of pouring or swinging [m]."""
    level = now.value("results.level") or 0.0
    body = _Body(now, levels or [level] * len(now.setup.vessels))
    shapes: list[Shape] = [*body.link()]
    for k in range(len(now.setup.vessels)):
        shapes += body.vessel(k)
    return Scene(
        tuple(shapes),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(body.rings()),
        adders=(body.adder(),) if len(now.setup.vessels) < 8 else (),
        rule_unit=now.inputs.leaves["setup.vessels.0.height"].unit,
        base="bench",
    )


class _Body:
    """The vessels in a row on the joining tube; middles: x of each axis at its foot."""

    def __init__(self, now: Now[CommunicatingVessels], levels: Levels) -> None:
        s = now.setup
        self.now, self.s, self.levels = now, s, levels
        self.tall = steady(1.03 * max(float(one.height[0]) for one in s.vessels))
        contours = [one.contour() for one in s.vessels]
        self.contours = [(heights[0].tolist(), diameters[0].tolist()) for heights, diameters in contours]
        widest = [max(diameters) for _, diameters in self.contours]
        self.wall = 0.008 * self.tall
        self.bore = 0.05 * self.tall if s.link_bore is None else min(float(s.link_bore[0]), 0.15 * self.tall)
        self.foot = self.bore + 2 * self.wall
        self.middles: list[float] = []
        x = 0.0
        for one, wide in zip(s.vessels, widest, strict=True):
            lean = math.tan(float(one.lean[0])) * float(one.height[0])
            room = steady(max(wide / math.cos(float(one.lean[0])), 0.06 * self.tall))
            self.middles.append(x + room / 2)
            x += room + steady(lean) * bool(lean) + GAP * self.tall
        self.end = x - GAP * self.tall
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])

    def half(self, k: int, z: float) -> float:
        """Half the horizontal width of a vessel at a height above the junction."""
        return float(np.interp(z, *self.contours[k])) / 2 / math.cos(float(self.s.vessels[k].lean[0]))

    def middle(self, k: int, z: float) -> float:
        """x of a vessel's axis at a height above the junction."""
        return self.middles[k] + z * math.tan(float(self.s.vessels[k].lean[0]))

    def cuts(self, k: int, top: float) -> list[tuple[float, float, float]]:
        """A vessel's axis, half its width and the height, from the junction up to a height."""
        heights, diameters = self.contours[k]
        at = sorted({min(h, top) for h in (0.0, top, *heights)})
        at += [top] * (len(heights) + 1 - len(at))  # as many points at every moment
        leans = 2 * math.cos(float(self.s.vessels[k].lean[0]))
        return [(self.middle(k, z), wide / leans, z) for z, wide in zip(at, np.interp(at, heights, diameters).tolist(), strict=True)]

    def side(self, cuts: list[tuple[float, float, float]], sign: int, far: float = 0.0) -> list[Point]:
        """A vessel's inner face; far: out of it."""
        return [(middle + sign * (half + far), self.foot + z) for middle, half, z in cuts]

    def vessel(self, k: int) -> list[Shape]:
        one, level = self.s.vessels[k], self.levels[k]
        rim = float(one.height[0])
        level = min(level, rim)
        filled, whole = self.cuts(k, level), self.cuts(k, rim)
        left, right = self.side(filled, -1), self.side(filled, 1)
        words = f"vessel {k + 1}" + (", winding" if one.path_length is not None else "")
        made = [Shape(f"liquid-{k}", "liquid", (*left, *right[::-1]), (self.weight * level, 0.0), words=f"{self.now.inputs.liquids[0].name} in vessel {k + 1}")]
        for name, sign in (("left", -1), ("right", 1)):
            inside, outside = self.side(whole, sign), self.side(whole, sign, self.wall)
            made.append(Shape(f"wall-{k}-{name}", "wall", (*inside, *outside[::-1]), words=words))
        made.append(Shape(f"surface-{k}", "surface", ((self.middle(k, level), self.foot + level),), words="surface"))
        return made

    def link(self) -> list[Shape]:
        left = self.middles[0] - self.half(0, 0.0)
        last = len(self.s.vessels) - 1
        right = self.middles[last] + self.half(last, 0.0)
        low, high = self.wall, self.foot
        level = min(self.levels)
        shown = self.now.value("results.shown_volume") or 0.0
        gauge = self.weight * max(level, 0.0)
        made = [Shape("link", "liquid", box(left, low, right, high), (gauge + self.weight * (high - low), gauge), words="joining tube")] if shown > 0 else []
        made.append(Shape("link-foot", "wall", box(left - self.wall, 0.0, right + self.wall, low), words="joining tube"))
        edges = [(self.middles[k] + self.half(k, 0.0), self.middles[k + 1] - self.half(k + 1, 0.0)) for k in range(last)]
        made += [Shape(f"link-{k}", "wall", box(a, high - self.wall, max(b, a + 1e-9), high), words="joining tube") for k, (a, b) in enumerate(edges)]
        return made

    def rings(self) -> list[Handle]:
        made = []
        many = len(self.s.vessels) > 2
        for k, one in enumerate(self.s.vessels):
            path, rim = f"setup.vessels.{k}", float(one.height[0])
            lean = math.tan(float(one.lean[0]))
            at = (self.middle(k, rim), self.foot + rim)
            if not one.profile:
                # a leaning one's rim moves sideways as well, so that a pointer drags it by its height alone
                made.append(Handle(f"{path}.height", at, (0.0, 1.0), 0.01, 20.0, 0.005, f"vessel {k + 1}, height", removes=path if many else ""))
            if one.bottom_diameter is not None and not lean:
                edge = (self.middles[k] + self.half(k, 0.0), self.foot)
                made.append(Handle(f"{path}.bottom_diameter", edge, (1.0, 0.0), 0.001, 5.0, 0.001, f"vessel {k + 1}, diameter at the foot", gain=2.0))
            if one.top_diameter is not None:
                edge = (self.middles[k] + self.half(k, rim), self.foot + rim)
                made.append(Handle(f"{path}.top_diameter", edge, (1.0, 0.0), 0.001, 5.0, 0.001, f"vessel {k + 1}, diameter at the rim", gain=2.0))
        return made

    def dimensions(self) -> list[Dimension]:
        level = self.now.value("results.level") or 0.0
        if not 0 < level < 0.999999 * min(float(one.height[0]) for one in self.s.vessels):
            return []
        # poured in by its ring: the volume of a step of the level is the whole horizontal area there
        area = sum(math.pi * self.half(k, level) ** 2 * float(one.longer[0]) * math.cos(float(one.lean[0])) ** 2 for k, one in enumerate(self.s.vessels))
        left = self.middle(0, level) - self.half(0, level) - self.wall
        pour = Handle("setup.poured_volume", (left, self.foot + level), (0.0, 1.0), 0.0, 100.0, area * 0.001, "poured in", gain=area)
        return [Dimension("setup.poured_volume", ((left, self.foot), (left, self.foot + level)), 1, handle=pour)]

    def labels(self) -> list[Label]:
        right = self.end + self.wall
        last = len(self.s.vessels) - 1
        level = self.levels[last]
        made = [
            Label(
                "label-level",
                (max(self.middle(last, level) + self.half(last, level) + self.wall, self.middles[last]), self.foot + level),
                path="results.level",
                words=" high",
                strong=True,
            )
        ]
        made.append(Label("label-pressure", (right, self.wall), path="results.base_pressure", words=" at the foot"))
        shares = {k: abs(self.now.value(f"results.vessels.{k}.wall_share") or 0.0) for k in range(last + 1)}
        for k in sorted(shares, key=lambda one: -shares[one])[:2]:
            if shares[k]:
                rim = float(self.s.vessels[k].height[0])
                over = (self.middle(k, rim), self.foot + rim)  # in the vessel they would cross its walls and its neighbour's
                for name, result, words in (("force", "base_force", " on its foot"), ("weight", "weight", " weighs")):
                    made.append(Label(f"label-{name}-{k}", over, path=f"results.vessels.{k}.{result}", words=words, side="over"))
        return made

    def adder(self) -> Adder:
        item = {key: value for key, value in NEW.items() if key != "height"}
        x = self.end + 0.1 * self.tall
        return Adder(
            "setup.vessels",
            ((x, self.foot), (x, self.foot + self.tall)),
            "height",
            item,
            "setup.vessels.0.height",
            float(self.s.vessels[0].height[0]),
            "add a vessel",
        )


def _tape(now: Now[CommunicatingVessels]) -> Tape | None:
    """What is poured against what they hold, and what the vessels' feet carry against what is in them."""
    most = now.value("results.max_pour") or 0.0
    poured = float(now.setup.poured_volume[0])
    marks = [Mark("mark-poured", "setup.poured_volume", poured, now.inputs.leaves["setup.poured_volume"].half_width, "poured in")]
    marks.append(Mark("mark-most", "results.max_pour", most, now.shown_half_width("results.max_pour"), "lowest rim"))
    return Tape("Poured in", "volume", now.unit("results.max_pour"), span=(0.0, 1.25 * max(most, min(poured, 3 * most))), marks=tuple(marks))


def moments(now: Now[CommunicatingVessels]) -> Timeline | None:
    """Two arms that swing, in time; else the pouring, over what is poured."""
    if now.code("behaviour") == BOILS:
        return None
    level = now.value("results.level") or 0.0
    if swinging(now.setup) and now.value("results.settling_time") is not None and level > 0:
        return _swing(now, level)
    return _pouring(now)


def _swing(now: Now[CommunicatingVessels], level: float) -> Timeline | None:
    s, room = now.alone()
    omega, creep, layer = (float(one[0]) for one in rates(s, np.array([level]), s.liquid.density, room.gravity))
    settles = now.value("results.settling_time") or 0.0
    one, other = (float(vessel.foot[0]) ** 2 for vessel in s.vessels)
    damping = max(creep, layer)
    count = int(min(max(FRAMES, 14 * settles * omega / (2 * math.pi)), 400))
    times = np.linspace(0, settles, count)
    if creep < omega:
        moved = np.exp(-damping * times) * np.cos((omega - layer) * times)
    else:
        moved = np.exp(-(damping - math.sqrt(max(damping**2 - omega**2, 0.0))) * times)
    spare = min(float(vessel.height[0]) for vessel in s.vessels) - level
    far = min(SHOWN * level, 0.9 * spare) if spare > 0 else 0.0
    if far <= 0:
        return _pouring(now)
    large = max(one, other)
    left, right = level + far * moved * (other / large), level - far * moved * (one / large)
    series = {"left": ("level in vessel 1", "length", tuple(left.tolist())), "right": ("level in vessel 2", "length", tuple(right.tolist()))}
    states = tuple(list(pair) for pair in zip(left.tolist(), right.tolist(), strict=True))
    return Timeline(tuple(times.tolist()), ((settles, "to a hundredth"),), series, states)


def _pouring(now: Now[CommunicatingVessels]) -> Timeline | None:
    s, _ = now.alone()
    poured, link = float(s.poured_volume[0]), float(s.link[0])
    if poured <= 0:
        return None
    volumes = np.linspace(0, poured, FRAMES)
    shapes = vessels_of(s)
    most = float(shapes.capacity[0])
    levels, _, _ = level_of(shapes, np.clip(volumes - link, 0.0, most))
    marks = []
    if 0 < link < poured:
        marks.append((link, "the joining tube is full"))
    if poured > most + link:
        marks.append((most + link, "runs over"))
    series = {"level": ("level above the junction", "length", tuple(levels.tolist()))}
    states = tuple([level] * len(s.vessels) for level in levels.tolist())
    over = ("poured in", "volume", now.inputs.leaves["setup.poured_volume"].unit)
    return Timeline(tuple(volumes.tolist()), tuple(marks), series, states, over=over)
