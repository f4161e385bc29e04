"""The hose in section, and the rise in it: geometry in metres, row 0 only."""

from __future__ import annotations

import numpy as np

from ...nominal import Now
from ...section.outline import basin, box, steady, tube, widening
from ...section.shapes import Dimension, Handle, Label, Mark, Scene, Shape, Tape
from ...section.timeline import Timeline
from .setup import SuctionLift

FRAMES = 41
"""Moments of the rise that are drawn."""


def section(now: Now[SuctionLift], height: float | None = None) -> Scene:
    """The hose over its vessel; height: that the liquid has come to [m], None for where it gets."""
    s = now.setup
    lift, limit = float(s.lift_height[0]), now.value("results.source_limit") or 0.0
    boiling = now.value("results.boiling_limit") or 0.0
    reached = min(lift, limit) if height is None else height
    weight = float(s.liquid.density[0] * now.room.gravity[0])
    wide = widening(float(s.bore[0]), lift)
    half = wide * float(s.bore[0]) / 2
    wall, zero = max(0.15 * half, 0.003 * lift), steady(0.06 * lift)
    top = zero + lift
    across = 4 * half + 0.05 * lift
    at_top = -weight * reached
    shapes = [
        *basin(across, wall, zero, weight * zero, "vessel below"),
        *tube("hose", half, wall, 0.4 * zero, top, closed_top=False, words="hose"),
        Shape("air", "gas", box(-half, zero + reached, half, top), (at_top, at_top), words="lowered pressure above the liquid"),
        Shape("liquid", "liquid", box(-half, 0.4 * zero, half, zero + reached), (weight * 0.6 * zero, at_top), words="liquid in the hose"),
        Shape("surface", "surface", ((0.0, zero + reached),), words="how far it comes"),
        *(_mouth(half, top, lift) if s.source_suction is not None else _pump(half, top, lift)),
    ]
    labels = []
    for id, z, path, words in (
        ("boiling", boiling, "results.boiling_limit", " no suction exceeds"),
        ("source", limit, "results.source_limit", " this source reaches"),
    ):
        if z <= 1.2 * lift:
            shapes.append(Shape(f"line-{id}", "axis", ((-across, zero + z), (across, zero + z)), words=words.strip()))
            labels.append(Label(f"label-{id}", (across, zero + z), path=path, words=words, strong=id == "source"))
    labels.append(Label("label-needed", (3 * half, top), path="results.pressure_needed", words=" needed here"))
    grip = Handle("setup.lift_height", (0.0, top), (0.0, 1.0), 0.01, 200.0, 0.01, "lift, surface to mouth")
    return Scene(
        tuple(shapes),
        (Dimension("setup.lift_height", ((-half - wall, zero), (-half - wall, top)), 1, handle=grip),),
        tuple(labels),
        _tape(now, lift, limit, boiling),
        rule_unit=now.inputs.leaves["setup.lift_height"].unit,
        base="ground",
        widened=wide,
        pressure_unit="kPa",
    )


def _mouth(half: float, top: float, lift: float) -> list[Shape]:
    """Lips and cheeks round the hose's end."""
    across, tall, thick = 3 * half, 0.05 * lift, 0.3
    angle = np.linspace(0, np.pi, 25)
    outer = [(float(-across * np.cos(a)), float(top + tall * np.sin(a))) for a in angle]
    inner = [(float(-across * (1 - thick) * np.cos(a)), float(top + tall * (1 - thick) * np.sin(a))) for a in angle]
    lips = [
        Shape(f"lip-{side}", "cover", box(min(edge * across, edge * 1.3 * half), top - 0.012 * lift, max(edge * across, edge * 1.3 * half), top), words="lips")
        for side, edge in (("left", -1), ("right", 1))
    ]
    return [Shape("mouth", "cover", tuple(outer + inner[::-1]), words="mouth"), *lips]


def _pump(half: float, top: float, lift: float) -> list[Shape]:
    """A pump's body on the hose's end, with its piston's handle."""
    body, grip = 0.045 * lift, 0.012 * lift
    return [
        Shape("pump", "gauge", box(-2 * half, top, 2 * half, top + body), words="pump"),
        Shape("pump-rod", "stand", box(-0.3 * half, top + body, 0.3 * half, top + 1.8 * body), words="piston rod"),
        Shape("pump-handle", "cover", box(-1.4 * half, top + 1.8 * body, 1.4 * half, top + 1.8 * body + grip), words="handle"),
    ]


def _tape(now: Now[SuctionLift], lift: float, limit: float, boiling: float) -> Tape:
    paths = ("results.source_limit", "results.boiling_limit")
    marks = tuple(
        Mark(f"mark-{path.split('.')[1]}", path, at, now.shown_half_width(path), words)
        for path, at, words in zip(paths, (limit, boiling), ("this source", "boils"), strict=True)
    )
    return Tape("Height reached: by this source, and by any", "length", now.unit("results.source_limit"), span=(0.0, 1.2 * max(lift, boiling)), marks=marks)


def moments(now: Now[SuctionLift]) -> Timeline | None:
    """The rise in the hose: in time where the pump's flow is known, else over the height."""
    s = now.setup
    reached = min(float(s.lift_height[0]), now.value("results.source_limit") or 0.0)
    if reached <= 0:
        return None
    heights = np.linspace(0, reached, FRAMES)
    weight = float(s.liquid.density[0] * now.room.gravity[0])
    above = float(now.room.station_pressure[0]) - weight * heights
    series = {
        "height": ("height in the hose", "length", tuple(heights.tolist())),
        "pressure": ("pressure at its top, absolute", "pressure", tuple(above.tolist())),
    }
    whole = now.value("results.time_to_fill")
    mark = "reaches the top" if reached >= float(s.lift_height[0]) else "stops here"
    if whole is None:
        return Timeline(
            tuple(heights.tolist()),
            ((reached, mark),),
            series,
            tuple(heights.tolist()),
            over=("height in the hose", "length", now.unit("results.source_limit")),
        )
    times = heights / float(s.lift_height[0]) * whole
    return Timeline(tuple(times.tolist()), ((float(times[-1]), mark),), series, tuple(heights.tolist()))
