"""A map of regions over two inputs, laid out as primitives like a section."""

from __future__ import annotations

from itertools import groupby
from typing import Any

from ..layout.figures import Figures
from ..layout.grips import held
from ..layout.window import Window
from ..paper.graduations import nice_step
from ..paper.primitives import Primitive, circle, path, text
from ..prediction import Map
from ..quantities.saying import shown_unit
from ..section.shapes import Handle
from .axes import Axes, Axis, Frame

FRAME = Frame(height=232.0, left=44.0, right=8.0)
SEAM = 0.3
"""How far a piece reaches under the next one, so that no line of paper shows between them [paper units]."""
_FILLS = ("tint-2", "tint-7", "tint-n5", "tint-n9")


def lay_out_map(view: Map, figures: Figures) -> dict[str, Any]:
    """The map's drawing: regions of equal cells, names inside, axes in the inputs' units, today's point as a ring that drags both."""
    axes = Axes(FRAME, _axis(view.x, figures), _axis(view.y, figures))
    rows, columns = view.regions.shape
    wide, tall = (axes.end - FRAME.left) / columns, (axes.base - FRAME.top) / rows
    items: list[Primitive] = []
    for region, first, runs in _pieces(view.regions.tolist()):
        edges = [axes.base - tall * r for r in range(first, first + len(runs) + 1)]
        edges[0] += SEAM
        sides = [(start, end, y) for (start, end), *ends in zip(runs, edges, edges[1:], strict=False) for y in ends]
        left = [(FRAME.left + wide * start, y) for start, _, y in sides]
        right = [(FRAME.left + wide * end + SEAM, y) for _, end, y in reversed(sides)]
        items.append(path(f"cell-{first}-{runs[0][0]}", left + right, closed=True, fill=_FILLS[region % len(_FILLS)]))
    for k, name in enumerate(view.names):
        inside = (view.regions == k).nonzero()
        if len(inside[0]) > rows * columns / 30:
            x, y = FRAME.left + (inside[1].mean() + 0.5) * wide, axes.base - (inside[0].mean() + 0.5) * tall
            items.append(text(f"name-{k}", x, y + 4, [(name, 12, 600, "on-deep" if _FILLS[k % 4] == "tint-7" else "on-pale")], anchor="middle"))
    today = axes.across(view.point[0]), axes.up(view.point[1])
    drawing = axes.drawing([*items, *axes.items(), circle("today", *today, 5, fill="ink")])
    return drawing | {"handles": [_ring(view, axes, figures, *today)]}


def _pieces(rows: list[list[int]]) -> list[tuple[int, int, list[tuple[int, int]]]]:
    """Each region in pieces that can be outlined: its number, the row it begins in, and from where to where it reaches in that row and the next ones."""
    made: list[tuple[int, int, list[tuple[int, int]]]] = []
    growing: list[tuple[int, int, list[tuple[int, int]]]] = []
    for r, row in enumerate(rows):
        start, grown = 0, []
        for region, cells in groupby(row):
            end = start + len(list(cells))
            piece = next((one for one in growing if one[0] == region and one[2][-1][0] < end and start < one[2][-1][1]), None)
            if piece is None:
                piece = (region, r, [])
                made.append(piece)
            else:
                growing.remove(piece)
            piece[2].append((start, end))
            grown.append(piece)
            start = end
        growing = grown
    return made


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
