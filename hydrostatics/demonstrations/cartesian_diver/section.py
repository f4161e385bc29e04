"""The bottle and its diver in section, and a squeeze: geometry in metres, row 0 only."""

from __future__ import annotations

import math
from typing import NamedTuple

import numpy as np

from ...laws.floating import volume_at_pressure
from ...nominal import Now
from ...section.outline import box, steady
from ...section.shapes import Dimension, Handle, Label, Mark, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import RETURNS, STAYS
from .setup import CartesianDiver

FRAMES = (24, 12, 18, 12)
"""Moments that are drawn of the squeezing, the sinking, the letting go and the coming back."""
HARDER = 1.15
"""How much harder than needed the hand squeezes in the play."""
SLIM = 2.6
"""Length of a diver's air over its width, as drawn."""


class Moment(NamedTuple):
    """A moment: squeeze [Pa] and how deep the diver is [m]."""

    squeeze: float
    depth: float


def section(now: Now[CartesianDiver], moment: Moment | None = None) -> Scene:
    """The bottle before the squeeze, or at a moment of it."""
    body = _Body(now, moment or Moment(0.0, 0.0))
    return Scene(
        (*body.bottle(), *body.diver(), *body.hand(), *body.limit()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(body.rings()),
        rule_unit=now.inputs.leaves["setup.bottle_depth"].unit,
        base="bench",
    )


class _Body:
    """The bottle, as wide as it is drawn; the diver a bell of about its air's volume."""

    def __init__(self, now: Now[CartesianDiver], moment: Moment) -> None:
        s = now.setup
        self.now, self.s, self.moment = now, s, moment
        self.way, air = float(s.bottle_depth[0]), float(s.air_volume[0])
        holds = steady(1.22 * air)
        self.bore: float = (holds / (SLIM * math.pi / 4)) ** (1 / 3)
        self.thick = 0.12 * self.bore
        self.long = SLIM * self.bore + self.thick
        self.half = max(1.6 * self.bore, 0.16 * steady(1.07 * self.way), 0.5 * math.sqrt(float(s.finger_area[0])))
        self.wall = max(0.03 * self.half, 0.004 * self.way)
        self.surface = self.wall + self.way + self.long
        self.space = min(max(float(s.headspace_volume[0]) / (4 * self.half**2), 0.04 * self.half), 2 * self.half)
        self.top = self.surface + self.space
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])

    def bottle(self) -> list[Shape]:
        squeeze, h, w = self.moment.squeeze, self.half, self.wall
        return [
            Shape(
                "liquid",
                "liquid",
                box(-h, w, h, self.surface),
                (squeeze + self.weight * (self.surface - w), squeeze),
                words=f"{self.now.inputs.liquids[0].name} in the bottle",
            ),
            Shape("headspace", "gas", box(-h, self.surface, h, self.top), (squeeze, squeeze), words="air under the cap"),
            Shape("wall-left", "wall", box(-h - w, 0.0, -h, self.top), words="soft bottle, its width as drawn"),
            Shape("wall-right", "wall", box(h, 0.0, h + w, self.top), words="soft bottle, its width as drawn"),
            Shape("wall-floor", "wall", box(-h, 0.0, h, w), words="bottle"),
            Shape("cap", "cover", box(-h - w, self.top, h + w, self.top + 2 * w), words="cap"),
            Shape("surface", "surface", ((0.7 * h, self.surface),), words="surface"),
        ]

    def diver(self) -> list[Shape]:
        """A bell, open below; the air in it shrinks as it is squeezed."""
        top = self.surface - self.moment.depth
        half, thick = self.bore / 2, self.thick
        foot = top - self.long
        p0, p_v = float(self.now.room.station_pressure[0]), float(self.s.liquid.vapour_pressure[0])
        at = self.moment.squeeze + self.weight * self.moment.depth
        air = float(self.s.air_volume[0])
        volume = float(volume_at_pressure(p0 - p_v, air, p0 + at, p_v)) if p0 > p_v else air
        level = top - thick - volume / (math.pi / 4 * self.bore**2)
        return [
            Shape("air", "gas", box(-half, level, half, top - thick), (at, at), words="air in the diver"),
            Shape("diver-left", "cover", box(-half - thick, foot, -half, top), words="diver"),
            Shape("diver-right", "cover", box(half, foot, half + thick, top), words="diver"),
            Shape("diver-top", "cover", box(-half, top - thick, half, top), words="diver"),
        ]

    def level(self) -> float:
        """Height of the air's lower end before the squeeze."""
        down: float = float(self.s.air_volume[0]) / (math.pi / 4 * self.bore**2)
        return float(self.surface - self.thick - down)

    def hand(self) -> list[Shape]:
        size = math.sqrt(float(self.s.finger_area[0]))
        need = self.now.value("results.squeeze")
        pressed = min(self.moment.squeeze / (HARDER * need), 1.0) if need else 0.0
        gap = 0.35 * self.half * (1 - pressed)
        middle = self.wall + 0.5 * self.way
        edge = self.half + self.wall + gap
        return [Shape("hand", "cover", box(edge, middle - size / 2, edge + 0.35 * size, middle + size / 2), words="hand, as wide as its dent")]

    def limit(self) -> list[Shape]:
        """The depth from which it still comes back, where it lies in the bottle."""
        depth = self.now.value("results.return_limit_depth")
        if depth is None or not 0 < depth < self.way:
            return []
        z = self.surface - depth
        return [Shape("line-limit", "axis", ((-self.half, z), (self.half, z)), answer=True, words="let go below this, and it stays down")]

    def rings(self) -> list[Handle]:
        gain = math.pi / 4 * self.bore**2
        return [Handle("setup.air_volume", (0.0, self.level()), (0.0, -1.0), 1e-9, 1.0, gain * 0.001, "air in the diver", gain=gain)]

    def dimensions(self) -> list[Dimension]:
        foot = self.wall + self.long
        deep = Handle("setup.bottle_depth", (0.0, foot + self.way), (0.0, 1.0), 0.01, 20.0, 0.005, "way down")
        return [Dimension("setup.bottle_depth", ((-self.half - self.wall, foot), (-self.half - self.wall, foot + self.way)), 1, handle=deep)]

    def labels(self) -> list[Label]:
        right = self.half + self.wall
        made = []
        if self.now.value("results.squeeze") is not None:
            size = math.sqrt(float(self.s.finger_area[0]))
            made.append(
                Label(
                    "label-squeeze",
                    (right + 0.35 * self.half + 0.35 * size, self.wall + 0.5 * self.way),
                    path="results.squeeze",
                    words=" to sink it",
                    strong=True,
                )
            )
        if self.limit():
            made.append(
                Label(
                    "label-limit",
                    (right, self.surface - (self.now.value("results.return_limit_depth") or 0.0)),
                    path="results.return_limit_depth",
                    words=" down",
                )
            )
        made.append(Label("label-margin", (right, self.surface), path="results.float_margin", words=" to spare"))
        return made


def _tape(now: Now[CartesianDiver]) -> Tape | None:
    force, hand = now.value("results.hand_force"), float(now.setup.hand_limit[0])
    if force is None:
        return None
    marks = (
        Mark("mark-force", "results.hand_force", force, now.shown_half_width("results.hand_force"), "sinks it"),
        Mark("mark-hand", "setup.hand_limit", hand, now.inputs.leaves["setup.hand_limit"].half_width, "hand can do"),
    )
    return Tape("Force of the hand", "force", now.unit("results.hand_force"), span=(0.0, 1.3 * max(hand, min(force, 4 * hand))), marks=marks)


def moments(now: Now[CartesianDiver]) -> Timeline | None:
    """A squeeze from beginning to end: it sinks, the hand lets go, it comes back or stays; no law gives its time."""
    fate = now.code("fate")
    need, way = now.value("results.squeeze"), float(now.setup.bottle_depth[0])
    if fate not in (RETURNS, STAYS) or not need:
        return None
    weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
    most = HARDER * need
    squeezing, sinking, freeing, rising = FRAMES
    states = [Moment(most * x, 0.0) for x in np.linspace(0, 1, squeezing, endpoint=False)]
    sinks = len(states)
    states += [Moment(most, way * x**2) for x in np.linspace(0, 1, sinking, endpoint=False)]
    lets_go = len(states)
    end = need - weight * way if fate == RETURNS else 0.0
    states += [Moment(most + (end - most) * x, way) for x in np.linspace(0, 1, freeing, endpoint=fate != RETURNS)]
    marks = [(sinks, "it sinks"), (lets_go, "the hand lets go")]
    if fate == RETURNS:
        marks.append((len(states), "it comes back"))
        states += [Moment(end * (1 - x), way * (1 - x**2)) for x in np.linspace(0, 1, rising)]
    else:
        marks.append((len(states) - 1, "it stays down"))
    part = np.linspace(0, 1, len(states))
    p0, p_v = float(now.room.station_pressure[0]), float(now.setup.liquid.vapour_pressure[0])
    squeeze, depth = (np.array(column) for column in zip(*states, strict=True))
    air = volume_at_pressure(p0 - p_v, float(now.setup.air_volume[0]), p0 + squeeze + weight * depth, p_v)
    series = {
        "squeeze": ("squeeze", "pressure", tuple(squeeze.tolist())),
        "air": ("air in the diver", "volume", tuple(air.tolist())),
        "depth": ("how deep it is", "length", tuple(depth.tolist())),
    }
    told = tuple((float(part[k]), words) for k, words in marks)
    return Timeline(tuple(part.tolist()), told, series, tuple(states), over=("part of the play", "fraction", "%"))
