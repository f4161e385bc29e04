"""A section laid out once: shapes, dimension lines, lettering and hatching as primitives for one sheet."""

from __future__ import annotations

from typing import Any

from ..paper.primitives import Primitive, circle
from ..section.shapes import Scene
from .figures import Figures
from .geometry import geometry, pressure_end
from .grips import adder_of, handle_of, held
from .instruments import key, marks, rule, tape
from .lettering import RING, dimension_line, drawn_break, label_at
from .placement import Box, Placer
from .window import Paper, Window, fitted


def _around(x: float, y: float) -> Box:
    """The box of a ring."""
    return x - RING - 1, y - RING - 1, x + RING + 1, y + RING + 1


def lay_out(scene: Scene, figures: Figures, paper: Paper, window: Window | None = None) -> dict[str, Any]:
    """The drawing of a section: primitives back to front, handles, adders, and the window they were laid out in.

    scene: in metres. figures: numbers for the lettering. paper: the sheet. window: a frozen one, else the best fit.
    """
    window = window or fitted(scene, paper)
    most = pressure_end(scene)
    curves = {shape.id: window.along(shape.points) for shape in scene.shapes if shape.role in ("jet", "drips")}
    items = geometry(scene, window, most, curves)
    placer = Placer((44, 2, paper.width - paper.clear - 6 if not paper.narrow else paper.width, paper.horizon - 3))
    placer.keep_lines(curves.values())
    over: list[Primitive] = []
    grips = [handle_of(dimension, window, paper, figures) for dimension in scene.dimensions if dimension.handle]
    grips += [held(handle, *window.at(handle.at), window, figures) for handle in scene.handles]
    for grip in grips:  # what one holds, and the gauges, before any lettering
        placer.take(_around(grip["x"], grip["y"]))
    for shape in scene.shapes:
        if shape.role == "gauge":
            outline = window.along(shape.points)
            placer.take((outline[:, 0].min(), outline[:, 1].min(), outline[:, 0].max(), outline[:, 1].max()))
    if window.cut:
        over += drawn_break(scene, window, paper, placer)
    for dimension in scene.dimensions:
        over += dimension_line(dimension, window, paper, figures, placer)
    for label in scene.labels:
        over += label_at(label, window, figures, placer, most, scene)
    for handle in scene.handles:
        x, y = window.at(handle.at)
        over.append(circle(f"{handle.path}:ring", x, y, RING, fill="ground", stroke="ink", width=1.75))
    items += rule(scene, window, paper) + tape(scene, window, paper) + over
    items += key(most, scene, figures.room_pressure, paper)
    return {
        "width": paper.width,
        "height": paper.height,
        "horizon": paper.horizon,
        "clear": paper.clear,
        "window": window.as_json(),
        "items": items,
        "handles": grips,
        "marks": marks(scene, window, paper),
        "adders": [adder_of(adder, window) for adder in scene.adders],
    }
