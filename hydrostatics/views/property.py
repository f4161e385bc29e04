"""A property of a liquid over the temperatures for which it is known."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from ..paper.primitives import path
from ..quantities.saying import scale_of, shown_unit
from .axes import Axes, Axis, Frame

FRAME = Frame(width=280.0, height=132.0, left=52.0, foot=34.0)


def lay_out_property(label: str, kind: str, temperatures: Sequence[float], values: Sequence[float]) -> dict[str, Any]:
    """The drawing of a property's curve.

    label, kind: of the property. temperatures [K], values [SI]: of the curve, at least two. A constant stands in the middle.
    """
    low, high = min(values), max(values)
    unit = shown_unit(kind, None)
    spare = 0.08 * (high - low) or 0.5 * abs(high) or scale_of(unit, kind)[0]
    across = Axis(temperatures[0], temperatures[-1], "temperature", "temperature", shown_unit("temperature", None), steps=4)
    axes = Axes(FRAME, across, Axis(low - spare, high + spare, label, kind, unit, steps=4))
    line = [axes.at(t, v) for t, v in zip(temperatures, values, strict=True)]
    return axes.drawing([*axes.items(), path("curve", line, stroke="ink", width=1.5)])
