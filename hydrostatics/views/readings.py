"""What was read, one after another, against what was predicted, as a chart."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import numpy as np

from ..quantities.saying import COVERAGE, shown_unit
from ..readings import Series
from .chart import Chart, Scale, widened

_SPARE = 0.08


def chart_of_readings(label: str, kind: str, unit: str, read: Sequence[float], got: Series, predicted: float, uncertainty: float) -> dict[str, Any]:
    """The chart: a point for each reading in its order, their mean with its band, the prediction dashed with its own, both at 95 %.

    label, kind: of the result. unit: the one told, the kind's first where it is empty. read [SI]. got: of the readings.
    predicted, uncertainty: of the result, standard [SI].
    """
    unit = shown_unit(kind, unit or None)
    x = np.array([0.5, len(read) + 0.5])
    half, own = COVERAGE * uncertainty, COVERAGE * got.standard_uncertainty
    every = [*read, predicted - half, predicted + half, got.mean - own, got.mean + own]
    chart = Chart(Scale("reading", "number", "", 0.5, len(read) + 0.5, whole=True), Scale(label, kind, unit, *widened(min(every), max(every), _SPARE)))
    chart.line(x, np.full(2, predicted), np.full(2, half), "predicted", dashed=True)
    chart.line(x, np.full(2, got.mean), None, "mean")
    n = len(read)
    chart.points(np.array([*range(1, n + 1), n + 0.35]), np.array([*read, got.mean]), np.array([*[0.0] * n, own]), [""] * (n + 1))
    return chart.told()
