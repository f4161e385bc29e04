"""A curve of one result over one input, laid out as primitives like a section: for the screen, SVG and PNG alike."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

import numpy as np

from ..layout.instruments import nice_step
from ..paper.primitives import Primitive, circle, line, path, rectangle, text
from ..quantities.saying import COVERAGE, plain_number, printed_unit, scale_of
from ..section.curve import Curve

WIDTH, HEIGHT, LEFT, FOOT, TOP, RIGHT = 332.0, 208.0, 50.0, 40.0, 20.0, 10.0
_STRIP = 5.0  # height of the strip that tells the verdict along the curve
_VERDICT = {0: None, 1: "hatch-up", 2: "ink"}
DRAWN = 160
"""Points of the drawn line."""


def lay_out_curve(curve: Curve, unit_x: str, unit_y: str, marks: Sequence[tuple[float, str]] = ()) -> dict[str, Any]:
    """The drawing: axes in the units told, band at 95 %, line, verdict strip below, today's point; marks at inputs [SI] with words."""
    fx, ox = scale_of(unit_x, curve.leaf.kind)
    fy, oy = scale_of(unit_y, curve.value.kind)
    keep = np.unique(np.linspace(0, curve.x.size - 1, DRAWN).astype(int))
    x, y = (curve.x[keep] - ox) / fx, (curve.y[keep] - oy) / fy
    spread = COVERAGE * curve.sd[keep] / abs(fy)
    there = curve.exists[keep] & np.isfinite(y)
    low, high = _limits(y[there], spread[there])
    span = (float(x[0]), float(x[-1]))

    def at(a: float, b: float) -> tuple[float, float]:
        px = LEFT + (a - span[0]) / (span[1] - span[0]) * (WIDTH - LEFT - RIGHT)
        py = HEIGHT - FOOT - (min(max(b, low), high) - low) / (high - low) * (HEIGHT - FOOT - TOP)
        return px, py

    items: list[Primitive] = []
    for k, (start, end) in enumerate(_runs(there)):
        part = range(start, end)
        if spread[start:end].max() > 0:
            band = [at(x[i], y[i] + spread[i]) for i in part] + [at(x[i], y[i] - spread[i]) for i in reversed(part)]
            items.append(path(f"band-{k}", band, closed=True, fill="tint-2"))
        items.append(path(f"curve-{k}", [at(x[i], y[i]) for i in part], stroke="ink", width=1.75))
    items += _strip(curve.states[keep], x, at)
    items.append(path("frame", ((LEFT, TOP), (LEFT, HEIGHT - FOOT), (WIDTH - RIGHT, HEIGHT - FOOT)), stroke="ink"))
    items += _axis_x(span, at, f"{curve.leaf.label}, {printed_unit(unit_x)}".rstrip(", "))
    items += _axis_y((low, high), at, span[0], f"{curve.value.label}, {printed_unit(unit_y)}".rstrip(", "))
    for k, (si, words) in enumerate(marks):
        if span[0] <= (si - ox) / fx <= span[1]:
            px = at((si - ox) / fx, low)[0]
            items.append(line(f"mark-{k}", (px, TOP), (px, HEIGHT - FOOT), "thin", 1, dash=(2, 3)))
            items.append(text(f"mark-{k}-words", px + 3, HEIGHT - FOOT - 6 - 13 * k, [(words, 11, 400, "second")], halo="ground"))
    today = (curve.leaf.si - ox) / fx
    if span[0] <= today <= span[1] and there.any():
        here = float(np.interp(today, x[there], y[there]))
        px, py = at(today, here)
        items += [line("today-line", (px, py), (px, HEIGHT - FOOT), "thin", 1, dash=(3, 3)), circle("today", px, py, 4.5, fill="ink")]
    return {"width": WIDTH, "height": HEIGHT, "horizon": HEIGHT, "clear": 0, "window": None, "items": items, "handles": [], "marks": [], "adders": []}


def _limits(y: Any, spread: Any) -> tuple[float, float]:
    """The range of the upright axis, a little more than the curve and its band."""
    if not y.size:
        return 0.0, 1.0
    low, high = float((y - spread).min()), float((y + spread).max())
    if high - low < 1e-9 * max(abs(high), 1e-9):
        low, high = low - 0.5 * abs(low) - 1e-9, high + 0.5 * abs(high) + 1e-9
    spare = 0.06 * (high - low)
    return (0.0 if 0 <= low < 0.35 * high else low - spare), high + spare


def _runs(there: Any) -> list[tuple[int, int]]:
    """Stretches of at least two points on which the result exists."""
    edges = np.flatnonzero(np.diff(np.concatenate([[False], there, [False]]).astype(int)))
    return [(int(a), int(b)) for a, b in zip(edges[::2], edges[1::2], strict=True) if b - a > 1]


def _strip(states: Any, x: Any, at: Any) -> list[Primitive]:
    """The verdict along the curve, on the lower axis: open where it works, hatched where doubtful, solid where it fails."""
    made: list[Primitive] = []
    start = 0
    for k in range(1, len(states) + 1):
        if k == len(states) or states[k] != states[start]:
            fill = _VERDICT[int(states[start])]
            left, right = at(x[start], 0)[0], at(x[min(k, len(states) - 1)], 0)[0]
            if fill:
                words = "fails here" if states[start] == 2 else "doubtful here"
                made.append(rectangle(f"verdict-{start}", left, HEIGHT - FOOT, right - left, _STRIP, fill, words=words))
            start = k
    return made


def _axis_x(span: tuple[float, float], at: Any, title: str) -> list[Primitive]:
    made: list[Primitive] = []
    step = nice_step((span[1] - span[0]) / 5)
    places = max(0, -math.floor(math.log10(step) + 1e-9))
    for k in range(math.ceil(span[0] / step - 1e-9), math.floor(span[1] / step + 1e-9) + 1):
        px = at(k * step, 0)[0]
        made.append(line(f"x-{k}", (px, HEIGHT - FOOT), (px, HEIGHT - FOOT + 5), "ink"))
        made.append(text(f"x-{k}-words", px, HEIGHT - FOOT + 17, [(plain_number(k * step, places), 11, 400, "ink")], anchor="middle"))
    made.append(text("x-title", WIDTH - RIGHT, HEIGHT - 6, [(title, 11, 600, "second")], anchor="end", halo="ground"))
    return made


def _axis_y(limits: tuple[float, float], at: Any, left: float, title: str) -> list[Primitive]:
    made: list[Primitive] = []
    step = nice_step((limits[1] - limits[0]) / 4)
    places = max(0, -math.floor(math.log10(step) + 1e-9))
    for k in range(math.ceil(limits[0] / step - 1e-9), math.floor(limits[1] / step + 1e-9) + 1):
        py = at(left, k * step)[1]
        made.append(line(f"y-{k}", (LEFT - 5, py), (LEFT, py), "ink"))
        made.append(text(f"y-{k}-words", LEFT - 8, py + 4, [(plain_number(k * step, places), 11, 400, "ink")], anchor="end"))
    made.append(text("y-title", 2, TOP - 8, [(title, 11, 600, "second")], halo="ground"))
    return made
