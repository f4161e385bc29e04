"""A curve of one result over one input, laid out as primitives like a section: for the screen, SVG and PNG alike."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import numpy as np

from ..paper.primitives import Primitive, circle, line, path, rectangle, text
from ..quantities.saying import COVERAGE
from ..section.curve import Curve
from .axes import Axes, Axis, Frame

FRAME = Frame()
_STRIP = 5.0  # height of the strip that tells the verdict along the curve
_VERDICT = {0: None, 1: "hatch-up", 2: "ink"}
DRAWN = 160
"""Points of the drawn line."""


def lay_out_curve(curve: Curve, unit_x: str, unit_y: str, marks: Sequence[tuple[float, str]] = ()) -> dict[str, Any]:
    """The drawing: axes in the units told, band at 95 %, line, verdict strip below, today's point; marks at inputs [SI] with words."""
    keep = np.unique(np.linspace(0, curve.x.size - 1, DRAWN).astype(int))
    x, y, spread = curve.x[keep], curve.y[keep], COVERAGE * curve.sd[keep]
    there = curve.exists[keep] & np.isfinite(y)
    across = Axis(float(x[0]), float(x[-1]), curve.input_name, curve.leaf.kind, unit_x, steps=5)
    axes = Axes(FRAME, across, _upright(curve, y[there], spread[there], unit_y))
    items: list[Primitive] = []
    for k, (start, end) in enumerate(_runs(there)):
        part = range(start, end)
        if spread[start:end].max() > 0:
            band = [axes.at(x[i], y[i] + spread[i]) for i in part] + [axes.at(x[i], y[i] - spread[i]) for i in reversed(part)]
            items.append(path(f"band-{k}", band, closed=True, fill="tint-2"))
        items.append(path(f"curve-{k}", [axes.at(x[i], y[i]) for i in part], stroke="ink", width=1.75))
    items += _strip(curve.states[keep], x, axes) + axes.items()
    for k, (si, words) in enumerate(marks):
        if across.holds(si):
            px = axes.across(si)
            items.append(line(f"mark-{k}", (px, FRAME.top), (px, axes.base), "thin", 1, dash=(2, 3)))
            items.append(text(f"mark-{k}-words", px + 3, axes.base - 6 - 13 * k, [(words, 11, 400, "second")], halo="ground"))
    today = curve.leaf.si
    if across.holds(today) and there.any():
        px, py = axes.at(today, float(np.interp(today, x[there], y[there])))
        items += [line("today-line", (px, py), (px, axes.base), "thin", 1, dash=(3, 3)), circle("today", px, py, 4.5, fill="ink")]
    return axes.drawing(items)


def _upright(curve: Curve, y: Any, spread: Any, unit: str) -> Axis:
    """The upright axis: a little more than the curve and its band, from its zero where that is near."""
    value = curve.value
    plain = Axis(0.0, 1.0, curve.result_name, value.kind, unit, steps=4)
    if not y.size:
        return plain
    zero = -plain.shown(0.0) / (plain.shown(1.0) - plain.shown(0.0))  # of the unit told, on its own scale [SI]
    low, high = float((y - spread).min()) - zero, float((y + spread).max()) - zero
    if high - low < 1e-9 * max(abs(high), 1e-9):
        low, high = low - 0.5 * abs(low) - 1e-9, high + 0.5 * abs(high) + 1e-9
    spare = 0.06 * (high - low)
    return Axis((0.0 if 0 <= low < 0.35 * high else low - spare) + zero, high + spare + zero, curve.result_name, value.kind, unit, steps=4)


def _runs(there: Any) -> list[tuple[int, int]]:
    """Stretches of at least two points on which the result exists."""
    edges = np.flatnonzero(np.diff(np.concatenate([[False], there, [False]]).astype(int)))
    return [(int(a), int(b)) for a, b in zip(edges[::2], edges[1::2], strict=True) if b - a > 1]


def _strip(states: Any, x: Any, axes: Axes) -> list[Primitive]:
    """The verdict along the curve, on the lower axis: open where it works, hatched where doubtful, solid where it fails."""
    made: list[Primitive] = []
    start = 0
    for k in range(1, len(states) + 1):
        if k == len(states) or states[k] != states[start]:
            fill = _VERDICT[int(states[start])]
            left, right = axes.across(x[start]), axes.across(x[min(k, len(states) - 1)])
            if fill:
                words = "fails here" if states[start] == 2 else "doubtful here"
                made.append(rectangle(f"verdict-{start}", left, axes.base, right - left, _STRIP, fill, words=words))
            start = k
    return made
