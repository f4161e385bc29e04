"""Tank, probe and wall in section: geometry in metres, row 0 only."""

from __future__ import annotations

from typing import Any

from ...nominal import Now
from ...section.outline import box, steady
from ...section.shapes import Dimension, Handle, Label, Mark, Scene, Shape, Tape
from .setup import DepthPressure


def section(now: Now[DepthPressure], moment: Any = None) -> Scene:
    """The tank with its probe; a wall at the right with the other side's liquid beyond it."""
    s = now.setup
    weight = float(s.liquid.density[0] * now.room.gravity[0])
    probe = float(s.depth[0])
    near, far = (0.0, 0.0) if s.wall is None else (float(s.wall.depth[0]), float(s.wall.other_side_depth[0]))
    deep = steady(max(1.1 * probe, near, far, 0.02))
    surface = 0.03 * deep + deep
    floor = surface - deep
    half = 0.36 * deep
    wall = 0.03 * deep
    name = now.inputs.liquids[0].name
    low = surface - near if s.wall is not None and near > 0 else floor
    shapes = [
        Shape("liquid", "liquid", box(-half, floor, half, surface), (weight * deep, 0.0), words=f"{name}, {weight * deep / 1000:.3g} kPa at the floor"),
        Shape("wall-left", "wall", box(-half - wall, floor - wall, -half, surface + 2 * wall), words="tank"),
        Shape("wall-right", "wall", box(half, floor - wall, half + wall, surface + 2 * wall), words="wall"),
        Shape("floor", "wall", box(-half - wall, floor - wall, half + wall, floor), words="floor"),
        Shape("surface", "surface", ((-0.6 * half, surface),), words="free surface"),
        Shape("probe", "gauge", box(-0.05 * deep, surface - probe - 0.012 * deep, 0.05 * deep, surface - probe + 0.012 * deep), words="probe"),
    ]
    if s.wall is not None and far > 0:
        other = surface - near + far
        shapes.append(
            Shape("other-side", "liquid", box(half + wall, low, half + wall + 0.5 * half, other), (weight * far, 0.0), words=f"{name} on the other side")
        )
        shapes.append(Shape("other-surface", "surface", ((half + wall + 0.25 * half, other),), words="surface on the other side"))
    labels = [
        Label(
            "label-probe",
            (half + wall + (0.52 * half if far > 0 else 0.0), surface - probe),
            path="results.gauge_pressure",
            words=" above the room",
            strong=True,
        ),
        Label("label-foot", (half, floor), gauge=weight * deep, inside=True, pressure=weight * deep, side="over"),
    ]
    if now.value("results.centre_of_pressure") is not None and s.wall is not None:
        centre = max(near, far) - (now.value("results.centre_of_pressure") or 0.0)
        z = surface - near + centre
        shapes.append(Shape("centre", "axis", ((half, z), (half + wall + 0.7 * half, z)), words="centre of pressure"))
        labels.append(Label("label-wall-force", (half + wall + 0.5 * half, z), path="results.wall_force", words=" acts here", strong=True))
    left = -half - wall
    grip = Handle("setup.depth", (0.0, surface - probe), (0.0, -1.0), 0.0, 12_000.0, 0.01 if deep > 2 else 0.001, "depth of the probe")
    dimensions = [Dimension("setup.depth", ((left, surface), (left, surface - probe)), 1, handle=grip)]
    if s.wall is not None:
        against = Handle("setup.wall.depth", (half, surface - near), (0.0, -1.0), 0.0, 500.0, 0.01, "depth against the wall")
        dimensions.append(Dimension("setup.wall.depth", ((left, surface), (left, surface - near)), 0, handle=against))
    return Scene(
        tuple(shapes),
        tuple(dimensions),
        tuple(labels),
        _tape(now),
        rule_unit=now.inputs.leaves["setup.depth"].unit,
        base="floor",
        pressure_unit=now.unit("results.gauge_pressure"),
    )


def _tape(now: Now[DepthPressure]) -> Tape:
    gauge, absolute = now.value("results.gauge_pressure") or 0.0, now.value("results.absolute_pressure") or 0.0
    marks = (
        Mark("mark-gauge", "results.gauge_pressure", gauge, now.shown_half_width("results.gauge_pressure"), "against the room"),
        Mark("mark-absolute", "results.absolute_pressure", absolute, now.shown_half_width("results.absolute_pressure"), "absolute"),
    )
    return Tape("Pressure at the probe: gauge, and absolute", "pressure", now.unit("results.gauge_pressure"), span=(0.0, 1.2 * absolute + 1.0), marks=marks)
