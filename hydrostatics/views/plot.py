"""Lines and points over two quantities, as a chart."""

from __future__ import annotations

from typing import Any

import numpy as np

from ..prediction import Floats, Plot
from .chart import Chart, Scale, widened

_SPARE = 0.06


def chart_of_plot(view: Plot) -> dict[str, Any]:
    """The chart: bands, lines with their words at the end, points with their half-widths, axes in the units told."""
    chart = Chart(_scale(view.x, *_ends(view, "x")), _scale(view.y, *_ends(view, "y")))
    for one in view.lines:
        chart.line(one.x, one.y, one.spread, one.words, dashed=one.dashed)
    for dot in view.dots:
        chart.dot(dot.x, dot.y, dot.spread, dot.words)
    return chart.told()


def _ends(view: Plot, axis: str) -> tuple[float, float]:
    found: list[Floats] = [getattr(one, axis) for one in view.lines]
    found += [np.array([getattr(dot, axis) - dot.spread * (axis == "y"), getattr(dot, axis) + dot.spread * (axis == "y")]) for dot in view.dots]
    if axis == "y":
        found += [one.y + sign * one.spread for one in view.lines if one.spread is not None for sign in (-1, 1)]
    every = np.concatenate(found) if found else np.array([0.0, 1.0])
    every = every[np.isfinite(every)]
    return (float(every.min()), float(every.max())) if every.size else (0.0, 1.0)


def _scale(told: tuple[str, str, str], low: float, high: float) -> Scale:
    label, kind, unit = told
    wide = widened(low, high, _SPARE)
    return Scale(label, kind, unit, low if low == 0 else wide[0], wide[1])
