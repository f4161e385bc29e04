"""What a chart shows, in the units told: lines with their bands, points, the verdict along the lower axis, marks; a page draws it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..quantities.saying import printed_unit, scale_of

Floats = NDArray[np.float64]
FIGURES = 7
"""Significant figures of a plotted number: more than a screen can show."""
_EACH = f"%.{FIGURES}g "


@dataclass(frozen=True)
class Scale:
    """A quantity along an axis: label, kind, the unit it is told in, its ends [SI]; whole: a count, which has no halves."""

    label: str
    kind: str
    unit: str
    low: float
    high: float
    whole: bool = False

    def shown(self, si: Any) -> Any:
        """Values in the unit told."""
        factor, offset = scale_of(self.unit, self.kind)
        return (si - offset) / factor

    def long(self, si: Any) -> Any:
        """Differences in the unit told."""
        return si / scale_of(self.unit, self.kind)[0]

    def told(self) -> dict[str, Any]:
        """The axis as JSON values."""
        return {"label": self.label, "unit": printed_unit(self.unit), "ends": _plain(self.shown(np.array([self.low, self.high]))), "whole": self.whole}


@dataclass
class Chart:
    """Two axes and what stands on them; everything added is SI, a value that is not finite is a gap."""

    x: Scale
    y: Scale
    lines: list[dict[str, Any]] = field(default_factory=list)
    dots: list[dict[str, Any]] = field(default_factory=list)
    strip: list[dict[str, Any]] = field(default_factory=list)
    marks: list[dict[str, Any]] = field(default_factory=list)
    today: list[float] | None = None

    def line(self, x: Floats, y: Floats, spread: Floats | None = None, words: str = "", *, dashed: bool = False) -> None:
        """A line: values, half-width of its band at 95 %, the words at its end."""
        far = self.y.long(spread) if spread is not None and (spread > 0).any() else None
        self.lines.append({"words": words, "dashed": dashed, "x": _plain(self.x.shown(x)), "y": _plain(self.y.shown(y)), "spread": _plain(far)})

    def points(self, x: Floats, y: Floats, spread: Floats, words: Sequence[str]) -> None:
        """Points: values, half-width upright at 95 %, words beside each."""
        each = (_plain(self.x.shown(x)), _plain(self.y.shown(y)), _plain(self.y.long(spread)), words)
        self.dots += [{"x": a, "y": b, "spread": c, "words": beside} for a, b, c, beside in zip(*each, strict=True)]

    def along(self, low: float, high: float, state: str) -> None:
        """A stretch of the lower axis on which the verdict is not a plain yes."""
        self.strip.append({"ends": _plain([self.x.shown(low), self.x.shown(high)]), "state": state})

    def mark(self, x: float, words: str) -> None:
        """An upright line with words; none where the axis does not reach."""
        if self.x.low <= x <= self.x.high:
            self.marks.append({"x": _plain([self.x.shown(x)])[0], "words": words})

    def point_out(self, x: float, y: float) -> None:
        """The point that holds as the set-up stands now."""
        self.today = _plain([self.x.shown(x), self.y.shown(y)])

    def told(self) -> dict[str, Any]:
        """The chart as JSON values."""
        return {
            "x": self.x.told(),
            "y": self.y.told(),
            "lines": self.lines,
            "dots": self.dots,
            "strip": self.strip,
            "marks": self.marks,
            "today": self.today,
        }


def widened(low: float, high: float, spare: float) -> tuple[float, float]:
    """Ends with so much of their distance to spare on both sides; around one value, half of its size."""
    if high - low < 1e-9 * max(abs(high), 1e-9):
        low, high = low - 0.5 * abs(low) - 1e-9, high + 0.5 * abs(high) + 1e-9
    more = spare * (high - low)
    return low - more, high + more


def _plain(values: Any) -> list[Any]:
    """Numbers with no more figures than can be seen; None where there is none."""
    if values is None:
        return []
    numbers = values.tolist() if isinstance(values, np.ndarray) else [*map(float, values)]
    told = _EACH * len(numbers) % tuple(numbers)  # all at once: a chart has hundreds
    plain = [float(text) for text in told.split()]
    return plain if "n" not in told else [one if math.isfinite(one) else None for one in plain]  # as nan and inf are written
