"""The two cylinders in section, and the push: geometry in metres, row 0 only."""

from __future__ import annotations

import numpy as np

from ...nominal import Now
from ...section.outline import box, steady
from ...section.shapes import Dimension, Handle, Label, Mark, Scene, Shape, Tape
from ...section.timeline import Timeline
from .setup import HydraulicPress

FRAMES = 41
"""Moments of the push that are drawn."""


def section(now: Now[HydraulicPress], pushed: float | None = None) -> Scene:
    """Both cylinders on the bench; pushed: how far the small piston has gone so far [m], None for the start."""
    s = now.setup
    small, large = float(s.input_diameter[0]) / 2, float(s.output_diameter[0]) / 2
    travel, lift = float(s.input_travel[0]), now.value("results.output_travel") or 0.0
    gone = 0.0 if pushed is None else pushed
    risen = lift * gone / travel if travel else 0.0
    tall = steady(max(1.4 * travel, 1.4 * lift, 2.2 * max(small, large), 0.01))
    wall, pipe, foot = 0.05 * max(small, large), 0.25 * min(small, large), 0.25 * tall
    left, right = -small - 0.35 * tall, large + 0.35 * tall  # axes of the two cylinders
    gauge = now.value("results.pressure") or 0.0
    low = foot + max(0.15 * tall, 0.0)
    surface_left, surface_right = low + travel - gone, low + risen
    shapes = []
    loaded = s.load is not None and float(s.load[0]) > 0
    short = 0.5 if loaded else 1.2  # the load stands within its cylinder, so that its rod is short
    for name, axis, half, level, rod in (("pushed", left, small, surface_left, 1.2), ("lifting", right, large, surface_right, short)):
        shapes += [
            Shape(f"{name}-liquid", "liquid", box(axis - half, foot, axis + half, level), (gauge, gauge), words=f"{gauge / 100:.3g} hPa above the room"),
            Shape(f"{name}-left", "wall", box(axis - half - wall, foot, axis - half, foot + 1.9 * tall), words="cylinder"),
            Shape(f"{name}-right", "wall", box(axis + half, foot, axis + half + wall, foot + 1.9 * tall), words="cylinder"),
            Shape(f"{name}-piston", "cover", box(axis - half, level, axis + half, level + 0.12 * tall), words=f"{name} piston"),
            Shape(f"{name}-rod", "stand", box(axis - half / 5, level + 0.12 * tall, axis + half / 5, level + rod * tall), words="rod"),
        ]
    if loaded:
        on = surface_right + short * tall
        shapes.append(Shape("load", "cover", box(right - 0.8 * large, on, right + 0.8 * large, on + 0.18 * tall), words="the load"))
    shapes.append(Shape("pipe", "liquid", box(left - small, foot - 2 * pipe, right + large, foot), (gauge, gauge), words="joining tube"))
    labels = (
        Label("label-push", (right + large + wall, surface_right + 0.06 * tall), path="results.output_force", words=" lifts", strong=True),
        Label("label-travel", (right + large + wall, low), path="results.output_travel", words=" of travel"),
        Label("label-pressure", (right + large + wall, foot), path="results.pressure", words=" inside"),
    )
    go = Handle("setup.input_travel", (left, surface_left), (0.0, 1.0), 0.0, 10.0, 0.001, "travel of the pushed piston")
    narrow = Handle("setup.input_diameter", (left - small, foot + 1.9 * tall), (-1.0, 0.0), 0.001, 5.0, 0.0005, "pushed piston, diameter")
    wide = Handle("setup.output_diameter", (right + large, foot + 1.9 * tall), (1.0, 0.0), 0.001, 5.0, 0.0005, "lifting piston, diameter")
    dimensions = (
        Dimension("setup.input_travel", ((left - small, low), (left - small, low + travel)), 1, handle=go),
        Dimension("setup.input_diameter", ((left + small, foot + 1.9 * tall), (left - small, foot + 1.9 * tall)), 0, upright=False, handle=narrow),
        Dimension("setup.output_diameter", ((right - large, foot + 1.9 * tall), (right + large, foot + 1.9 * tall)), 0, upright=False, handle=wide),
    )
    return Scene(tuple(shapes), dimensions, labels, _tape(now), rule_unit=now.inputs.leaves["setup.input_travel"].unit, base="bench")


def _tape(now: Now[HydraulicPress]) -> Tape:
    force = now.value("results.output_force") or 0.0
    load = 0.0 if now.setup.load is None else float(now.setup.load[0])
    marks = [Mark("mark-force", "results.output_force", force, now.shown_half_width("results.output_force"), "lifting force")]
    if now.setup.load is not None:
        marks.append(Mark("mark-load", "setup.load", load, float(now.inputs.leaves["setup.load"].half_width), "the load"))
    return Tape("Lifting force", "force", now.unit("results.output_force"), span=(0.0, 1.25 * max(force, load, 1e-3)), marks=tuple(marks))


def moments(now: Now[HydraulicPress]) -> Timeline | None:
    """The push, from the start to the whole travel; no law gives its time."""
    travel, lift = float(now.setup.input_travel[0]), now.value("results.output_travel") or 0.0
    if travel <= 0:
        return None
    gone = np.linspace(0, travel, FRAMES)
    force, push = now.value("results.output_force") or 0.0, float(now.setup.input_force[0])
    series = {
        "risen": ("lifting piston has risen", "length", tuple((gone * lift / travel).tolist())),
        "in": ("work put in", "energy", tuple((gone * push).tolist())),
        "out": ("work got out", "energy", tuple((gone * lift / travel * force).tolist())),
    }
    return Timeline(tuple(gone.tolist()), (), series, tuple(gone.tolist()), over=("push", "length", now.unit("results.output_travel")))
