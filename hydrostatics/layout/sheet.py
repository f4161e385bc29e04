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
from .placement import Placer
from .window import Paper, Window, fitted


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
    if window.cut:
        over += drawn_break(scene, window, paper, placer)
    for dimension in scene.dimensions:
        over += dimension_line(dimension, window, paper, figures, placer)
    for label in scene.labels:
        over += label_at(label, window, figures, placer, most, scene)
    for handle in scene.handles:
        x, y = window.at(handle.at)
        over.append(circle(f"{handle.path}:ring", x, y, RING, fill="ground", stroke="ink", width=1.75))
        placer.take((x - RING, y - RING, x + RING, y + RING))
    items += rule(scene, window, paper) + tape(scene, window, paper) + over
    items += key(most, scene, figures.room_pressure, paper)
    return {
        "width": paper.width,
        "height": paper.height,
        "horizon": paper.horizon,
        "clear": paper.clear,
        "window": window.as_json(),
        "items": items,
        "handles": [handle_of(dimension, window, paper, figures) for dimension in scene.dimensions if dimension.handle]
        + [held(handle, *window.at(handle.at), window, figures) for handle in scene.handles],
        "marks": marks(scene, window, paper),
        "adders": [adder_of(adder, window) for adder in scene.adders],
    }
