"""The inverted glass in section, and the cover's sink: geometry in metres, row 0 only."""

from __future__ import annotations

import itertools

import numpy as np

from ...nominal import Now
from ...section.outline import box, gauge, port_handles, steady
from ...section.shapes import Adder, Dimension, Handle, Label, Mark, Scene, Shape, Tape
from ...section.timeline import Timeline
from .setup import InvertedGlass

FRAMES = 41
"""Moments of the sink that are drawn."""


def section(now: Now[InvertedGlass], sunk: float | None = None) -> Scene:
    """The glass mouth down over its cover; sunk: how far the cover has come down so far [m], None for the end."""
    body = _Body(now)
    shapes = [*body.walls(), *body.contents(sunk or 0.0), *body.cover(sunk or 0.0), *body.gauges()]
    return Scene(
        tuple(shapes),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(port_handles(body.s.ports, body.half, body.mouth, 0.0, body.tall, "mouth")),
        adders=(Adder("setup.ports", ((body.half, body.mouth), (body.half, body.top)), "", {}, "setup.inside_height", body.tall / 2, "add a gauge port"),),
        rule_unit=now.inputs.leaves["setup.inside_height"].unit,
        base="tub",
    )


class _Body:
    """The glass's outline: mouth and top above the tub, half its inside width, its wall."""

    def __init__(self, now: Now[InvertedGlass]) -> None:
        s = now.setup
        self.now, self.s = now, s
        self.half = float(s.mouth_diameter[0]) / 2
        self.tall, self.fill = float(s.inside_height[0]), float(s.fill_height[0])
        self.wall = max(0.03 * 2 * self.half, 0.006 * self.tall)
        self.mouth = steady(max(0.12 * self.tall, 0.15 * self.half))
        self.top = self.mouth + self.tall
        self.surface = self.mouth + self.fill
        p0 = float(now.room.station_pressure[0])
        self.at_mouth = (now.value("results.bottom_pressure") or 0.0) - p0
        self.at_top = (now.value("results.top_pressure") or 0.0) - p0
        self.dial = max(0.05 * self.tall, 0.1 * self.half)

    def walls(self) -> list[Shape]:
        h, w = self.half, self.wall
        made = [Shape("wall-left", "wall", box(-h - w, self.mouth, -h, self.top), words="wall")]
        made.append(Shape("wall-right", "wall", box(h, self.mouth, h + w, self.top), words="wall"))
        if self.s.top_sheet:
            dent = {"dished": -0.35, "flat": 0.0, "bulged": 0.35}[self._shape("top")] * h
            made.append(self._sheet("sheet-top", self.top, dent))
        elif self.s.vent:
            gap = 0.25 * h
            made += [Shape("top-left", "wall", box(-h - w, self.top, -gap, self.top + w)), Shape("top-right", "wall", box(gap, self.top, h + w, self.top + w))]
        else:
            made.append(Shape("wall-top", "wall", box(-h - w, self.top, h + w, self.top + w), words="closed end"))
        return made

    def _shape(self, end: str) -> str:
        sheets = self.now.prediction.results["sheets"]
        found: list[str] = [one["shape"].said for one in sheets if one["end"].said == end]  # type: ignore[call-overload,union-attr,index]
        return found[0] if found else "flat"

    def _sheet(self, id: str, z: float, dent: float) -> Shape:
        """A thin sheet across the tube, dented by so much in its middle."""
        x = np.linspace(-self.half - self.wall, self.half + self.wall, 17)
        inside = np.clip(1 - (x / self.half) ** 2, 0, None)
        upper = [(float(a), float(z + dent * b)) for a, b in zip(x, inside, strict=True)]
        thick = self.wall / 3
        return Shape(id, "cover", tuple(upper + [(a, b - thick) for a, b in reversed(upper)]), words="rubber sheet")

    def contents(self, sunk: float) -> list[Shape]:
        low = self.mouth - sunk
        made = []
        if self.top > self.surface:
            air = Shape("air", "gas", box(-self.half, self.surface - sunk, self.half, self.top), (self.at_top, self.at_top), words="trapped air, thinned")
            made.append(air)
        name = self.now.inputs.liquids[0].name
        made.append(
            Shape(
                "liquid",
                "liquid",
                box(-self.half, low, self.half, self.surface - sunk),
                (self.at_mouth, self.at_top),
                words=f"{name}: {self.at_top / 100:+.3g} hPa against the room at its top",
            )
        )
        made.append(Shape("surface", "surface", ((0.0, self.surface - sunk),), words="the liquid's surface"))
        return made

    def cover(self, sunk: float) -> list[Shape]:
        h, w, kind = self.half, self.wall, self.s.cover.kind
        z = self.mouth - sunk
        if kind == "sheet":
            return [self._sheet("cover", z, {"dished": 0.08, "flat": 0.0, "bulged": -0.35}[self._shape("bottom")] * h)]
        if kind == "mesh":
            count, thick = 9, 0.5 * w
            edges = np.linspace(-h - w, h + w, count + 1)
            wires = [(float(a), float(a + 0.45 * (b - a))) for a, b in itertools.pairwise(edges)]
            return [Shape(f"cover-{i}", "cover", box(a, z - thick, b, z), words="mesh") for i, (a, b) in enumerate(wires)]
        reach, thick = (1.12, 0.35) if kind == "card" else (1.25, 1.0)
        return [Shape("cover", "cover", box(-reach * h - w, z - thick * w, reach * h + w, z), words=kind)]

    def gauges(self) -> list[Shape]:
        return [gauge(f"gauge-{i}", self.half + self.wall, self.mouth + float(p[0]), self.dial, f"gauge {i + 1}") for i, p in enumerate(self.s.ports)]

    def dimensions(self) -> list[Dimension]:
        left = -self.half - self.wall
        up = (0.0, 1.0)
        fill = Handle("setup.fill_height", (0.0, self.surface), up, 0.001, self.tall, 0.001, "liquid above the mouth")
        tall = Handle("setup.inside_height", (0.0, self.top), up, max(self.fill, 0.005), 50.0, 0.001, "inside height")
        wide = Handle("setup.mouth_diameter", (self.half, self.top), (1.0, 0.0), 0.001, 5.0, 0.0005, "mouth, inside", gain=2.0)
        return [
            Dimension("setup.fill_height", ((left, self.mouth), (left, self.surface)), 0, handle=fill),
            Dimension("setup.inside_height", ((left, self.mouth), (left, self.top)), 1, handle=tall),
            Dimension("setup.mouth_diameter", ((-self.half, self.top), (self.half, self.top)), 0, upright=False, handle=wide),
        ]

    def labels(self) -> list[Label]:
        right = self.half + self.wall
        made = [
            Label(f"port-{i}", (right + 1.7 * self.dial, self.mouth + float(p[0])), path=f"results.ports.{i}.gauge_pressure", strong=True)
            for i, p in enumerate(self.s.ports)
        ]
        made.append(Label("label-at-mouth", (self.half, self.mouth), gauge=self.at_mouth, inside=True, pressure=self.at_mouth, side="over"))
        made.append(Label("label-at-top", (self.half, self.surface), gauge=self.at_top, inside=True, pressure=self.at_top, side="under"))
        if self.now.value("results.cover_force") is not None:
            made.append(Label("label-cover-force", (right * 1.2, self.mouth), path="results.cover_force", words=" on the cover"))
        else:
            made.append(Label("label-air-push", (right * 1.2, self.mouth), path="results.air_push", words=" push of the room's air"))
        return made


def _tape(now: Now[InvertedGlass]) -> Tape | None:
    """The sink against what a wet rim bridges; for a mesh the openings that hold."""
    limit, drop = now.value("results.card_drop_limit"), now.value("results.card_drop")
    if now.setup.cover.kind == "mesh":
        paths = [p for p in ("results.opening_limit", "results.opening_limit_pinned") if now.value(p) is not None]
        words = ("holds up to", "at most, dry wires")
        marks = tuple(Mark(f"mark-{i}", p, now.value(p) or 0.0, now.shown_half_width(p), w) for i, (p, w) in enumerate(zip(paths, words, strict=False)))
        most = max((mark.at for mark in marks), default=0.0)
        return Tape("Opening of the mesh", "length", "mm", span=(0.0, 1.3 * most), marks=marks) if marks else None
    if limit is None:
        return None
    marks = (Mark("mark-limit", "results.card_drop_limit", limit, now.shown_half_width("results.card_drop_limit"), "a wet rim bridges"),)
    most = limit
    if drop is not None:
        most = max(most, min(drop, 3 * limit))  # beyond that it stands at the tape's end
        marks = (Mark("mark-drop", "results.card_drop", drop, now.shown_half_width("results.card_drop"), "needed sink"), *marks)
    return Tape("Sink of the cover: the needed one against what a wet rim bridges", "sink", "mm", span=(0.0, 1.25 * most), marks=marks)


def moments(now: Now[InvertedGlass]) -> Timeline | None:
    """The cover's sink and the pressure of the thinning air; no law gives its time."""
    drop, limit = now.value("results.card_drop"), now.value("results.card_drop_limit")
    if not drop or limit is None or now.setup.cover.kind == "sheet":
        return None
    s, p0 = now.setup, float(now.room.station_pressure[0])
    p_v, air = float(s.liquid.vapour_pressure[0]), now.value("results.trapped_air_height") or 0.0
    sunk = np.linspace(0, min(drop, 1.5 * limit), FRAMES)
    inside = (p0 - p_v) * air / (air + sunk) + p_v
    weight = float(s.liquid.density[0] * now.room.gravity[0]) * float(s.fill_height[0])
    series = {
        "air": ("pressure of the air inside", "pressure", tuple(inside.tolist())),
        "cover": ("push still on the cover, against the room", "pressure", tuple((inside + weight - p0).tolist())),
    }
    marks = ((drop, "holds by itself"),) if drop <= 1.5 * limit else ()
    if limit < sunk[-1]:
        marks = (*marks, (limit, "the wet rim lets go"))
    return Timeline(tuple(sunk.tolist()), marks, series, tuple(sunk.tolist()), over=("sink of the cover", "sink", "mm"))
