"""A map of regions over two inputs, laid out as primitives like a section."""

from __future__ import annotations

from itertools import groupby
from typing import Any

from ..layout.figures import Figures
from ..layout.grips import held
from ..layout.window import Window
from ..paper.graduations import nice_step
from ..paper.primitives import Primitive, circle, rectangle, text
from ..prediction import Map
from ..quantities.saying import shown_unit
from ..section.shapes import Handle
from .axes import Axes, Axis, Frame

FRAME = Frame(height=232.0, left=44.0, right=8.0)
_FILLS = ("tint-2", "tint-7", "tint-n5", "tint-n9")


def lay_out_map(view: Map, figures: Figures) -> dict[str, Any]:
    """The map's drawing: regions as rows of equal cells, names inside, axes in the inputs' units, today's point as a ring that drags both."""
    axes = Axes(FRAME, _axis(view.x, figures), _axis(view.y, figures))
    rows, columns = view.regions.shape
    wide, tall = (axes.end - FRAME.left) / columns, (axes.base - FRAME.top) / rows
    items: list[Primitive] = []
    for r, row in enumerate(view.regions.tolist()):
        start = 0
        for region, cells in groupby(row):
            many = len(list(cells))
            place = (FRAME.left + start * wide, axes.base - (r + 1) * tall, many * wide + 0.3, tall + 0.3)
            items.append(rectangle(f"cell-{r}-{start}", *place, _FILLS[region % len(_FILLS)]))
            start += many
    for k, name in enumerate(view.names):
        inside = (view.regions == k).nonzero()
        if len(inside[0]) > rows * columns / 30:
            x, y = FRAME.left + (inside[1].mean() + 0.5) * wide, axes.base - (inside[0].mean() + 0.5) * tall
            items.append(text(f"name-{k}", x, y + 4, [(name, 12, 600, "on-deep" if _FILLS[k % 4] == "tint-7" else "on-pale")], anchor="middle"))
    today = axes.across(view.point[0]), axes.up(view.point[1])
    drawing = axes.drawing([*items, *axes.items(), circle("today", *today, 5, fill="ink")])
    return drawing | {"handles": [_ring(view, axes, figures, *today)]}


def _ring(view: Map, axes: Axes, figures: Figures, x: float, y: float) -> dict[str, Any]:
    """A ring that moves one input up and down and the other across."""
    up = held(_grip(view.y, (0.0, 1.0), axes.y), x, y, Window(1 / _per_unit(axes.y, axes.base - FRAME.top), 0.0, 0.0), figures)
    across = held(_grip(view.x, (1.0, 0.0), axes.x), x, y, Window(1 / _per_unit(axes.x, axes.end - FRAME.left), 0.0, 0.0), figures)
    return up | {"id": f"map:{view.y[0]}", "across": across}


def _grip(told: tuple[str, float, float, str, str], way: tuple[float, float], axis: Axis) -> Handle:
    path, low, high, label, _ = told
    factor = axis.shown(1.0) - axis.shown(0.0)
    return Handle(path, (0.0, 0.0), way, low, high, nice_step((high - low) * factor / 60) / factor, label)


def _per_unit(axis: Axis, long: float) -> float:
    """What one paper unit is worth [SI]."""
    return (axis.high - axis.low) / long


def _axis(told: tuple[str, float, float, str, str], figures: Figures) -> Axis:
    path, low, high, label, kind = told
    return Axis(low, high, label, kind, shown_unit(kind, figures.inputs[path][3]), steps=4)
