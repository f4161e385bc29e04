"""A curve of one result over one input, as a chart."""

from __future__ import annotations

import itertools
from collections.abc import Sequence
from typing import Any

import numpy as np

from ..prediction import STATES
from ..quantities.saying import COVERAGE, scale_of
from ..section.curve import Curve
from .chart import Chart, Scale, widened

DRAWN = 160
"""Points of the drawn line."""
_SPARE = 0.06
_NEAR_ZERO = 0.35
"""An axis begins at zero where its lower end is less than this part of its upper one."""


def chart_of_curve(curve: Curve, unit_x: str, unit_y: str, marks: Sequence[tuple[float, str]] = ()) -> dict[str, Any]:
    """The chart: axes in the units told, line and band at 95 %, the verdict along the lower axis, today's point; marks at inputs [SI] with words."""
    keep = np.unique(np.linspace(0, curve.x.size - 1, DRAWN).astype(int))
    x, spread = curve.x[keep], COVERAGE * curve.sd[keep]
    there = curve.exists[keep] & np.isfinite(curve.y[keep])
    y = np.where(there, curve.y[keep], np.nan)
    across = Scale(curve.input_name, curve.leaf.kind, unit_x, float(x[0]), float(x[-1]))
    chart = Chart(across, _upright(curve, y[there], spread[there], unit_y))
    chart.line(x, y, spread)
    _tell_verdict(chart, curve.states[keep], x)
    for si, words in marks:
        chart.mark(si, words)
    today = curve.leaf.si
    if across.low <= today <= across.high and there.any():
        chart.point_out(today, float(np.interp(today, x[there], y[there])))
    return chart.told()


def _upright(curve: Curve, y: Any, spread: Any, unit: str) -> Scale:
    """The upright axis: a little more than the curve and its band, from the zero of its unit where that is near."""
    value = curve.value
    if not y.size:
        return Scale(curve.result_name, value.kind, unit, 0.0, 1.0)
    zero = scale_of(unit, value.kind)[1]  # of the unit told, on its own scale [SI]
    low, high = float((y - spread).min()) - zero, float((y + spread).max()) - zero
    wide = widened(low, high, _SPARE)
    return Scale(curve.result_name, value.kind, unit, (0.0 if 0 <= low < _NEAR_ZERO * high else wide[0]) + zero, wide[1] + zero)


def _tell_verdict(chart: Chart, states: Any, x: Any) -> None:
    """Stretches of the lower axis on which it is doubtful or fails."""
    edges = [0, *(np.flatnonzero(np.diff(states)) + 1).tolist(), len(states)]
    for start, end in itertools.pairwise(edges):
        if states[start]:
            chart.along(float(x[start]), float(x[min(end, len(states) - 1)]), STATES[int(states[start])])
