"""Lines and points over two quantities, laid out as primitives like a section."""

from __future__ import annotations

from typing import Any

import numpy as np

from ..paper.primitives import Primitive, circle, line, path, text
from ..prediction import Floats, Plot
from .axes import Axes, Axis, Frame

FRAME = Frame(height=232.0)
_SPARE = 0.06


def lay_out_plot(view: Plot) -> dict[str, Any]:
    """The plot's drawing: bands, lines with their words at the end, points with their half-widths, axes in the units told."""
    axes = Axes(FRAME, _axis(view.x, *_ends(view, "x"), steps=4), _axis(view.y, *_ends(view, "y"), steps=4))
    items: list[Primitive] = []
    taken: list[float] = []
    for k, one in enumerate(view.lines):
        there = np.isfinite(one.x) & np.isfinite(one.y)
        x, y = one.x[there], one.y[there]
        if one.spread is not None and one.spread.max() > 0:
            far = one.spread[there]
            band = [axes.at(a, b) for a, b in zip(x, y + far, strict=True)] + [axes.at(a, b) for a, b in zip(x[::-1], (y - far)[::-1], strict=True)]
            items.append(path(f"band-{k}", band, closed=True, fill="tint-2"))
        items.append(
            path(f"line-{k}", [axes.at(a, b) for a, b in zip(x, y, strict=True)], stroke="ink", width=1.75, dash=(5, 4) if one.dashed else (), words=one.words)
        )
        if one.words and x.size:
            at = _clear(axes.at(float(x[-1]), float(y[-1]))[1] - 5, taken)
            items.append(text(f"line-{k}-words", axes.end - 2, at, [(one.words, 11, 400, "second")], anchor="end", halo="ground"))
    for k, dot in enumerate(view.dots):
        px, py = axes.at(dot.x, dot.y)
        if dot.spread:
            items.append(line(f"dot-{k}-spread", axes.at(dot.x, dot.y - dot.spread), axes.at(dot.x, dot.y + dot.spread), "ink", 1.25))
        items.append(circle(f"dot-{k}", px, py, 3.5, fill="ground", stroke="ink", width=1.5))
        if dot.words:
            late = px > 0.75 * axes.end
            at = px - 6 if late else px + 6
            items.append(text(f"dot-{k}-words", at, _clear(py - 6, taken), [(dot.words, 11, 400, "second")], anchor="end" if late else "start", halo="ground"))
    return axes.drawing([*items, *axes.items()])


def _clear(y: float, taken: list[float]) -> float:
    """A place for lettering that no other line has taken, moved down until there is one."""
    y = max(y, FRAME.top + 8)
    while any(abs(y - other) < 12 for other in taken):
        y += 4
    taken.append(y)
    return y


def _ends(view: Plot, axis: str) -> tuple[float, float]:
    found: list[Floats] = [getattr(one, axis) for one in view.lines]
    found += [np.array([getattr(dot, axis) - dot.spread * (axis == "y"), getattr(dot, axis) + dot.spread * (axis == "y")]) for dot in view.dots]
    if axis == "y":
        found += [one.y + sign * one.spread for one in view.lines if one.spread is not None for sign in (-1, 1)]
    every = np.concatenate(found) if found else np.array([0.0, 1.0])
    every = every[np.isfinite(every)]
    return (float(every.min()), float(every.max())) if every.size else (0.0, 1.0)


def _axis(told: tuple[str, str, str], low: float, high: float, steps: int) -> Axis:
    label, kind, unit = told
    if high - low < 1e-9 * max(abs(high), 1e-9):
        low, high = low - 0.5 * abs(low) - 1e-9, high + 0.5 * abs(high) + 1e-9
    spare = _SPARE * (high - low)
    return Axis(low if low == 0 else low - spare, high + spare, label, kind, unit, steps)
