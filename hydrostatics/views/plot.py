"""Lines and points over two quantities, as a chart."""

from __future__ import annotations

from typing import Any

import numpy as np

from ..prediction import Floats, Plot
from .chart import Chart, Scale, widened

_SPARE = 0.06


def chart_of_plot(view: Plot) -> dict[str, Any]:
    """The chart: bands, lines with their words at the end, points with their half-widths, axes in the units told."""
    x, y, spread = np.array([(dot.x, dot.y, dot.spread) for dot in view.dots]).reshape(-1, 3).T
    bands = [one.y + sign * one.spread for one in view.lines if one.spread is not None for sign in (-1, 1)]
    across, upright = _ends([x, *(one.x for one in view.lines)]), _ends([y - spread, y + spread, *bands, *(one.y for one in view.lines)])
    chart = Chart(_scale(view.x, *across), _scale(view.y, *upright))
    for one in view.lines:
        chart.line(one.x, one.y, one.spread, one.words, dashed=one.dashed)
    chart.points(x, y, spread, [dot.words for dot in view.dots])
    return chart.told()


def _ends(shown: list[Floats]) -> tuple[float, float]:
    """The least and the greatest that is shown; 0 and 1 where nothing is."""
    every = np.concatenate(shown)
    if not np.isfinite(every).all():
        every = every[np.isfinite(every)]
    return (float(every.min()), float(every.max())) if every.size else (0.0, 1.0)


def _scale(told: tuple[str, str, str], low: float, high: float) -> Scale:
    label, kind, unit = told
    wide = widened(low, high, _SPARE)
    return Scale(label, kind, unit, low if low == 0 else wide[0], wide[1])
