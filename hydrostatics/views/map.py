"""A map of regions over two inputs, laid out as primitives like a section."""

from __future__ import annotations

from typing import Any

from ..layout.instruments import nice_step
from ..paper.primitives import Primitive, circle, line, path, rectangle, text
from ..prediction import Map
from ..quantities.saying import plain_number, printed_unit, scale_of, shown_unit

WIDTH, HEIGHT, LEFT, FOOT, TOP = 332.0, 232.0, 44.0, 40.0, 8.0
_FILLS = ("tint-2", "tint-7", "tint-n5", "tint-n9")


def lay_out_map(view: Map) -> dict[str, Any]:
    """The map's drawing: regions as rows of equal cells, names inside, axes in the inputs' units, today's point."""
    rows, columns = view.regions.shape
    wide, tall = (WIDTH - LEFT - 8) / columns, (HEIGHT - FOOT - TOP) / rows
    items: list[Primitive] = []
    for r in range(rows):
        start = 0
        for c in range(1, columns + 1):
            if c == columns or view.regions[r, c] != view.regions[r, start]:
                y = HEIGHT - FOOT - (r + 1) * tall
                items.append(
                    rectangle(
                        f"cell-{r}-{start}", LEFT + start * wide, y, (c - start) * wide + 0.3, tall + 0.3, _FILLS[int(view.regions[r, start]) % len(_FILLS)]
                    )
                )
                start = c
    for k, name in enumerate(view.names):
        inside = (view.regions == k).nonzero()
        if len(inside[0]) > rows * columns / 30:
            x, y = LEFT + (inside[1].mean() + 0.5) * wide, HEIGHT - FOOT - (inside[0].mean() + 0.5) * tall
            items.append(text(f"name-{k}", x, y + 4, [(name, 12, 600, "on-deep" if _FILLS[k % 4] == "tint-7" else "on-pale")], anchor="middle"))
    frame = ((LEFT, TOP), (LEFT, HEIGHT - FOOT), (WIDTH - 8, HEIGHT - FOOT))
    items.append(path("frame", frame, stroke="ink"))
    items += _axis(view.x, "x") + _axis(view.y, "y")
    items.append(circle("today", _place(view.x, view.point[0], "x"), _place(view.y, view.point[1], "y"), 5, fill="ink"))
    return {"width": WIDTH, "height": HEIGHT, "horizon": HEIGHT, "clear": 0, "window": None, "items": items, "handles": [], "marks": [], "adders": []}


def _place(axis: tuple[str, float, float, str, str], si: float, which: str) -> float:
    part = (si - axis[1]) / (axis[2] - axis[1])
    return LEFT + part * (WIDTH - LEFT - 8) if which == "x" else HEIGHT - FOOT - part * (HEIGHT - FOOT - TOP)


def _axis(axis: tuple[str, float, float, str, str], which: str) -> list[Primitive]:
    _, low, high, label, kind = axis
    unit = shown_unit(kind, None)
    factor, offset = scale_of(unit, kind)
    step = nice_step((high - low) / factor / 4)
    made: list[Primitive] = []
    k = round((low - offset) / factor / step + 0.5)
    while k * step * factor + offset <= high * (1 + 1e-9):
        at = _place(axis, k * step * factor + offset, which)
        words = plain_number(k * step, 0 if step >= 1 else 2)
        if which == "x":
            made += [
                line(f"x-{k}", (at, HEIGHT - FOOT), (at, HEIGHT - FOOT + 5), "ink"),
                text(f"x-{k}-words", at, HEIGHT - FOOT + 17, [(words, 11, 400, "ink")], anchor="middle"),
            ]
        else:
            made += [line(f"y-{k}", (LEFT - 5, at), (LEFT, at), "ink"), text(f"y-{k}-words", LEFT - 8, at + 4, [(words, 11, 400, "ink")], anchor="end")]
        k += 1
    words = f"{label}, {printed_unit(unit)}"
    made.append(
        text(
            f"{which}-title",
            WIDTH - 8 if which == "x" else 2,
            HEIGHT - 6 if which == "x" else TOP + 2,
            [(words, 11, 600, "second")],
            anchor="end" if which == "x" else "start",
            halo="ground",
        )
    )
    return made
