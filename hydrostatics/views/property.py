"""A property of a liquid over the temperatures for which it is known, as a chart."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import numpy as np

from ..quantities.saying import scale_of, shown_unit
from .chart import Chart, Scale

_SPARE = 0.08


def chart_of_property(label: str, kind: str, temperatures: Sequence[float], values: Sequence[float]) -> dict[str, Any]:
    """The chart of a property's curve.

    label, kind: of the property. temperatures [K], values [SI]: of the curve, at least two. A constant stands in the middle.
    """
    low, high = min(values), max(values)
    unit = shown_unit(kind, None)
    spare = _SPARE * (high - low) or 0.5 * abs(high) or scale_of(unit, kind)[0]
    across = Scale("temperature", "temperature", shown_unit("temperature", None), temperatures[0], temperatures[-1])
    chart = Chart(across, Scale(label, kind, unit, low - spare, high + spare))
    chart.line(np.array(temperatures), np.array(values))
    return chart.told()
