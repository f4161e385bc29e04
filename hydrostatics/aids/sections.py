"""Small sections of the aids where a picture says what is measured; metres, z = 0 where the thing stands, row 0 alone."""

from __future__ import annotations

from typing import Any

from ..nominal import Now
from ..section.outline import box, tube, widening
from ..section.shapes import Label, Scene, Shape

_WALL = 0.06
"""Thickness of a drawn wall, as a part of the width it encloses; nobody measures it."""


def filled_tube(now: Now[Any]) -> Scene:
    """A tube with the length of liquid that was weighed or poured; drawn wider where it would be a line."""
    s = now.setup
    long, bore = float(s.length[0]), now.value("results.bore") or 0.0
    times = widening(bore, long, 1 / 16)
    half = times * bore / 2
    wall = max(_WALL * 2 * half, 0.004 * long)
    pressure = _weight(now) * long
    shapes = [
        *tube("tube", half, wall, 0.0, 1.08 * long, closed_top=False, words="tube"),
        Shape("stopper", "wall", box(-half - wall, -2 * wall, half + wall, 0.0), words="stopper"),
        Shape("liquid", "liquid", box(-half, 0.0, half, long), (pressure, 0.0), words=f"{now.inputs.liquids[0].name} that fills the length"),
    ]
    labels = (Label("label-bore", (half + wall, 0.6 * long), path="results.bore", words=" inside", strong=True),)
    return _scene(now, shapes, labels, "measured.length", times)


def dipped_gauge(now: Now[Any]) -> Scene:
    """The depths to which a probe was dipped, below one surface."""
    points = now.setup.points
    depths = [float(point.depth[0]) for point in points]
    deep = 1.12 * max(depths)
    half, wall, weight = 0.32 * deep, 0.03 * deep, _weight(now)
    shapes = [
        Shape("liquid", "liquid", box(-half, wall, half, deep + wall), (weight * deep, 0.0), words=now.inputs.liquids[0].name),
        Shape("left", "wall", box(-half - wall, 0.0, -half, 1.08 * deep), words="vessel"),
        Shape("right", "wall", box(half, 0.0, half + wall, 1.08 * deep), words="vessel"),
        Shape("floor", "wall", box(-half - wall, 0.0, half + wall, wall), words="vessel"),
        Shape("surface", "surface", ((-0.6 * half, deep + wall),), words="surface"),
    ]
    for i, depth in enumerate(depths):
        z = deep + wall - depth
        shapes.append(Shape(f"probe-{i}", "gauge", box(-0.05 * deep, z - 0.008 * deep, 0.05 * deep, z + 0.008 * deep), words=f"point {i + 1}"))
    labels = tuple(
        Label(f"label-{i}", (half + wall, deep + wall - depth), path=f"results.points.{i}.pressure")
        for i, depth in sorted(enumerate(depths), key=lambda one: one[1])
        if depth > 0
    )
    return _scene(now, shapes, labels, "measured.points.0.depth")


def draining_vessel(now: Now[Any]) -> Scene:
    """A straight vessel with its hole, and the two marks between which the surface was timed."""
    s = now.setup
    half, first, last = float(s.inner_diameter[0]) / 2, float(s.start_head[0]), float(s.end_head[0])
    hole = float(s.hole_diameter[0]) if hasattr(s, "hole_diameter") else now.value("results.hole_diameter") or 0.0
    wall = _WALL * max(half, 0.2 * first)
    below = max(2.5 * hole, 0.06 * first)
    low = below - hole / 2
    top = below + 1.12 * first
    weight = _weight(now)
    shapes = [
        Shape("fallen", "liquid", box(-half, 0.0, half, below + last), (weight * (below + last), 0.0), words="left at the end"),
        Shape("start", "axis", ((-half, below + first), (half, below + first)), words="surface at the start"),
        Shape("left", "wall", box(-half - wall, 0.0, -half, top), words="vessel"),
        Shape("right-below", "wall", box(half, 0.0, half + wall, low), words="vessel"),
        Shape("right-above", "wall", box(half, low + hole, half + wall, top), words="vessel"),
        Shape("floor", "wall", box(-half - wall, -wall, half + wall, 0.0), words="vessel"),
        Shape("surface", "surface", ((-0.6 * half, below + last),), words="surface at the end"),
    ]
    known = "measured.hole_diameter" in now.inputs.leaves
    path = "results.discharge_coefficient" if known else "results.hole_diameter"
    labels = (Label("label-hole", (half + wall, below), path=path, strong=True),)
    return _scene(now, shapes, labels, "measured.start_head")


def poured_profile(now: Now[Any]) -> Scene:
    """The vessel as the pourings tell it: a step of its own diameter between each two marks."""
    heights = [0.0, *(float(mark.height[0]) for mark in now.setup.marks)]
    across = [now.value(f"results.profile.{i}.diameter") or 0.0 for i in range(len(now.setup.marks))]
    wall = _WALL * max(across) / 2
    shapes = [Shape("floor", "wall", box(-across[0] / 2 - wall, -wall, across[0] / 2 + wall, 0.0), words="base")]
    for i, wide in enumerate(across):
        half, low, high = wide / 2, heights[i], heights[i + 1]
        shapes += [
            Shape(f"step-{i}", "liquid", box(-half, low, half, high), (0.0, 0.0), words=f"step {i + 1}"),
            Shape(f"left-{i}", "wall", box(-half - wall, low, -half, high), words=f"wall of step {i + 1}"),
            Shape(f"right-{i}", "wall", box(half, low, half + wall, high), words=f"wall of step {i + 1}"),
        ]
    labels = tuple(
        Label(f"label-{i}", (wide / 2 + wall, (heights[i] + heights[i + 1]) / 2), path=f"results.profile.{i}.diameter") for i, wide in enumerate(across)
    )
    return _scene(now, shapes, labels, "measured.marks.0.height")


def _scene(now: Now[Any], shapes: list[Shape], labels: tuple[Label, ...], rule: str, times: float = 1.0) -> Scene:
    """A section without tape or anything to hold, its rule in the unit of an input."""
    return Scene(tuple(shapes), (), labels, None, rule_unit=now.inputs.leaves[rule].unit or "cm", base="bench", widened=times)


def _weight(now: Now[Any]) -> float:
    """What a metre of the liquid weighs on its foot [Pa/m]."""
    return float(now.setup.liquid.density[0] * now.room.gravity[0])
