"""The cup on its face in section: geometry in metres, row 0 only."""

from __future__ import annotations

from typing import Any

import numpy as np

from ...nominal import Now
from ...section.outline import box
from ...section.shapes import Dimension, Handle, Label, Mark, Scene, Shape, Tape
from .setup import SuctionCup


def section(now: Now[SuctionCup], moment: Any = None) -> Scene:
    """A dome on a flat face, its handle above."""
    s = now.setup
    half = float(s.diameter[0]) / 2
    wall = 0.09 * half
    face = 0.22 * half
    bulge = 0.62 * half
    angle = np.linspace(0, np.pi, 33)
    inner = [(float(-half * np.cos(a)), float(face + bulge * np.sin(a))) for a in angle]
    outer = [(float(-(half + wall) * np.cos(a)), float(face + (bulge + wall) * np.sin(a))) for a in angle]
    inside = -(now.value("results.pressure_difference") or 0.0)
    top = face + bulge + wall
    shapes = (
        Shape("face", "wall", box(-1.5 * half, 0.0, 1.5 * half, face), words="smooth face"),
        Shape("air", "gas", tuple(inner), (inside, inside), words=f"air left inside, {inside / 100:+.3g} hPa against the room"),
        Shape("cup", "wall", tuple(inner + outer[::-1]), words="cup"),
        Shape("handle", "cover", box(-0.12 * half, top - 0.3 * wall, 0.12 * half, top + 0.55 * half), words="handle"),
    )
    wide = Handle("setup.diameter", (half, top + 0.6 * half), (1.0, 0.0), 0.005, 10.0, 0.001, "diameter of the seal", gain=2.0)
    along = s.pull_direction == "along"
    labels = [
        Label(
            "label-force",
            (0.12 * half, top + 0.5 * half),
            path="results.holding_force",
            words=" holds it along the wall" if along else " holds it",
            strong=True,
        ),
        *([Label("label-pressed", (half, face + 0.5 * bulge), path="results.pressing_force", words=" presses it on")] if along else []),
        Label("label-inside", (0.7 * half, face + 0.1 * bulge), gauge=inside, inside=True, pressure=inside, side="over"),
    ]
    return Scene(
        shapes,
        (Dimension("setup.diameter", ((-half, top + 0.6 * half), (half, top + 0.6 * half)), 0, upright=False, handle=wide),),
        tuple(labels),
        _tape(now),
        rule_unit=now.inputs.leaves["setup.diameter"].unit,
        base="bench",
    )


def _tape(now: Now[SuctionCup]) -> Tape:
    limit = now.value("results.limit_force") or 0.0
    marks = [
        Mark("mark-holds", "results.holding_force", now.value("results.holding_force") or 0.0, now.shown_half_width("results.holding_force"), "holds"),
        Mark("mark-limit", "results.limit_force", limit, now.shown_half_width("results.limit_force"), "nothing left inside"),
    ]
    pull = 0.0 if now.setup.pull_force is None else float(now.setup.pull_force[0])
    low = min(0.0, 1.1 * marks[0].at)
    return Tape(
        "Holding force, and the most that the air can do", "force", now.unit("results.limit_force"), span=(low, 1.2 * max(limit, pull)), marks=tuple(marks)
    )
