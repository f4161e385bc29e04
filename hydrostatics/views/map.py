"""A map of regions over two inputs, laid out as primitives like a section."""

from __future__ import annotations

from typing import Any

from ..paper.primitives import Primitive, circle, rectangle, text
from ..prediction import Map
from ..quantities.saying import shown_unit
from .axes import Axes, Axis, Frame

FRAME = Frame(height=232.0, left=44.0, right=8.0)
_FILLS = ("tint-2", "tint-7", "tint-n5", "tint-n9")


def lay_out_map(view: Map) -> dict[str, Any]:
    """The map's drawing: regions as rows of equal cells, names inside, axes in the inputs' units, today's point."""
    axes = Axes(FRAME, _axis(view.x), _axis(view.y))
    rows, columns = view.regions.shape
    wide, tall = (axes.end - FRAME.left) / columns, (axes.base - FRAME.top) / rows
    items: list[Primitive] = []
    for r in range(rows):
        start = 0
        for c in range(1, columns + 1):
            if c == columns or view.regions[r, c] != view.regions[r, start]:
                place = (FRAME.left + start * wide, axes.base - (r + 1) * tall, (c - start) * wide + 0.3, tall + 0.3)
                items.append(rectangle(f"cell-{r}-{start}", *place, _FILLS[int(view.regions[r, start]) % len(_FILLS)]))
                start = c
    for k, name in enumerate(view.names):
        inside = (view.regions == k).nonzero()
        if len(inside[0]) > rows * columns / 30:
            x, y = FRAME.left + (inside[1].mean() + 0.5) * wide, axes.base - (inside[0].mean() + 0.5) * tall
            items.append(text(f"name-{k}", x, y + 4, [(name, 12, 600, "on-deep" if _FILLS[k % 4] == "tint-7" else "on-pale")], anchor="middle"))
    return axes.drawing([*items, *axes.items(), circle("today", axes.across(view.point[0]), axes.up(view.point[1]), 5, fill="ink")])


def _axis(told: tuple[str, float, float, str, str]) -> Axis:
    _, low, high, label, kind = told
    return Axis(low, high, label, kind, shown_unit(kind, None), steps=4)
