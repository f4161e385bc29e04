"""The lifted tube in section, and its lifting: geometry in metres, row 0 only."""

from __future__ import annotations

from typing import Any, cast

import numpy as np

from ...nominal import Now
from ...section.outline import basin, box, gauge, port_handles, steady, tube, widening
from ...section.shapes import Adder, Dimension, Handle, Label, Mark, Scene, Shape, Tape
from ...section.timeline import Timeline
from .predict import predict
from .setup import LiftedColumn

FRAMES = 49
"""Moments of the lifting that are drawn."""


def section(now: Now[LiftedColumn], moment: tuple[float, float] | None = None) -> Scene:
    """The tube in its basin; moment: (lift, level) on the way up [m], None for the set-up's own."""
    body = _Body(now, moment)
    return Scene(
        (*body.basin(), *body.tube(), *body.contents(), *body.gauges()),
        tuple(body.dimensions()),
        tuple(body.labels()),
        _tape(now),
        handles=tuple(port_handles(body.s.ports, body.half, body.zero, body.lift - body.length, body.lift, "basin")),
        # pushed under, the tube has no part above the basin from which a port's height could be read off
        adders=()
        if body.lift <= 0
        else (Adder("setup.ports", ((body.half, body.zero), (body.half, body.top)), "", {}, "setup.lift", max(body.lift / 2, 0.001), "add a gauge port"),),
        rule_unit=now.inputs.leaves["setup.lift"].unit,
        base="bench",
        widened=body.wide,
    )


class _Body:
    """Basin and tube; zero: height of the basin's surface above the bench."""

    def __init__(self, now: Now[LiftedColumn], moment: tuple[float, float] | None) -> None:
        s = now.setup
        self.now, self.s = now, s
        self.length = float(s.tube_length[0])
        lift = float(s.lift[0])
        level = now.value("results.level")
        self.lift, self.level = moment or (lift, level if level is not None else 0.0)
        self.out = moment is None and level is None
        self.zero = steady(1.05 * self.length + max(-lift, 0.0))
        self.wide = widening(float(s.bore[0]), self.length)
        self.half = self.wide * float(s.bore[0]) / 2
        self.wall = max(0.12 * self.half, 0.003 * self.length)
        self.top, self.mouth = self.zero + self.lift, self.zero + self.lift - self.length
        self.weight = float(s.liquid.density[0] * now.room.gravity[0])
        self.dial = max(0.035 * self.length, 0.2 * self.half)
        self.tall = self.length + self.zero

    def basin(self) -> list[Shape]:
        wide = 4 * self.half + 0.05 * self.length
        return basin(wide, self.wall, self.zero, self.weight * self.zero, f"{self.now.inputs.liquids[0].name} in the basin")

    def tube(self) -> list[Shape]:
        return tube("tube", self.half, self.wall, self.mouth, self.top, closed_top=not self.s.vent, words="tube")

    def contents(self) -> list[Shape]:
        if self.out:
            return []
        level = min(self.level, self.lift)
        at_top = 0.0 if self.s.vent else -self.weight * level
        # there at every moment, if of no height: a playback needs the same shapes throughout
        made = [Shape("gas", "gas", box(-self.half, self.zero + level, self.half, self.top), (at_top, at_top), words=f"gas, {at_top / 100:+.3g} hPa")]
        foot = min(self.mouth, self.zero + level)
        made.append(
            Shape(
                "liquid",
                "liquid",
                box(-self.half, foot, self.half, self.zero + level),
                (-self.weight * (foot - self.zero), -self.weight * level),
                words="column",
            )
        )
        made.append(Shape("surface", "surface", ((0.0, self.zero + level),), words="level inside"))
        return made

    def gauges(self) -> list[Shape]:
        return [gauge(f"gauge-{i}", self.half + self.wall, self.zero + float(p[0]), self.dial, f"gauge {i + 1}") for i, p in enumerate(self.s.ports)]

    def dimensions(self) -> list[Dimension]:
        left = -self.half - self.wall
        lift = Handle("setup.lift", (0.0, self.top), (0.0, 1.0), -self.length, 1.2 * self.length, 0.001, "closed end above the basin")
        long = Handle("setup.tube_length", (0.0, self.mouth), (0.0, -1.0), 0.01, 100.0, 0.001, "tube, mouth to closed end")
        return [
            Dimension("setup.lift", ((left, self.zero), (left, self.top)), 1, handle=lift),
            Dimension("setup.tube_length", ((left, self.top), (left, self.mouth)), 0, handle=long),
            Dimension("setup.bore", ((-self.half, self.top), (self.half, self.top)), 0, upright=False),
        ]

    def labels(self) -> list[Label]:
        right = self.half + self.wall
        made = [
            Label(f"port-{i}", (right + 1.7 * self.dial, self.zero + float(p[0])), path=f"results.ports.{i}.gauge_pressure", strong=True)
            for i, p in enumerate(self.s.ports)
        ]
        if not self.out:
            at = (right, self.zero + min(self.level, self.lift))
            made.append(Label("label-level", at, path="results.level", words=" above the basin", strong=True))
            made.append(Label("label-gas", (right, self.top), path="results.gas_pressure", words=" at the top"))
        return made


def _tape(now: Now[LiftedColumn]) -> Tape | None:
    """The level inside against the lift at which levels agree and the highest possible."""
    level = now.value("results.level")
    if level is None:
        return None
    marks = [Mark("mark-level", "results.level", level, now.shown_half_width("results.level"), "level inside")]
    equal, limit = now.value("results.level_equal_lift"), now.value("results.max_level") or 0.0
    if equal is not None:
        marks.append(Mark("mark-equal", "results.level_equal_lift", equal, now.shown_half_width("results.level_equal_lift"), "lift for equal levels"))
    far = max(abs(level), equal or 0.0, float(now.setup.lift[0]), 0.01)
    if limit < 3 * far:
        marks.append(Mark("mark-most", "results.max_level", limit, now.shown_half_width("results.max_level"), "highest possible"))
        far = max(far, limit)
    low = min(0.0, 1.25 * level)
    return Tape("Level inside, above the basin's surface", "length", now.unit("results.level"), span=(low, 1.25 * far), marks=tuple(marks))


def moments(now: Now[LiftedColumn]) -> Timeline | None:
    """The lifting or lowering to the set-up's lift, from where gas was closed in at a level, else from the tube wholly under.

    No law gives its time.
    """
    s = now.setup
    length, lift = float(s.tube_length[0]), float(s.lift[0])
    closed = _closed_at(s)
    start = min(0.02 * length, lift) if closed is None else closed
    if now.value("results.level") is None or abs(lift - start) < 0.02 * length:
        return None
    lifts = np.linspace(start, lift, FRAMES)
    setup, room = now.inputs.made({**now.inputs.nominal(), "setup.lift": lifts})
    with np.errstate(invalid="ignore", divide="ignore"):
        got = cast(Any, predict(setup, room).results)
    levels = np.broadcast_to(got["level"].si, lifts.shape)
    pressures = np.broadcast_to(got["gas_pressure"].si, lifts.shape)
    series = {
        "level": ("level inside, above the basin", "length", tuple(levels.tolist())),
        "pressure": ("pressure at the top, absolute", "pressure", tuple(pressures.tolist())),
    }
    equal, limit = now.value("results.level_equal_lift"), now.value("results.max_level") or 0.0
    marks = tuple(
        (at, words)
        for at, words in ((equal or -1.0, "levels agree"), (limit, "parts from the top"))
        if min(start, lift) < at < max(start, lift) and (words != "parts from the top" or s.trapped_gas is None)
    )
    return Timeline(
        tuple(lifts.tolist()), marks, series, tuple(zip(lifts.tolist(), levels.tolist(), strict=True)), over=("lift", "length", now.unit("results.level"))
    )


def _closed_at(s: LiftedColumn) -> float | None:
    """The lift at which gas was closed in at a stated level [m], None where no level was stated."""
    gas = s.trapped_gas
    return None if gas is None or gas.level is None else float(gas.level[0] + gas.length[0])
