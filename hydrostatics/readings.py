"""Readings of a result at a run, against its prediction."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from .errors import OutOfRange
from .errors import english as cases
from .quantities.reading import Quantity, read_quantity
from .quantities.repeats import standard_error

MOST = 1e15
"""The largest reading [SI]."""


@dataclass(frozen=True)
class Series:
    """What several readings of one result come to, in SI.

    standard_uncertainty: sqrt(s^2/n + a^2/3), a the half-width of the instrument; the first term is absent for one reading,
    and repeated is False then. Source: [JCGM100], 4.2.3 and 4.3.7.
    """

    count: int
    mean: float
    standard_error: float
    instrument: float
    standard_uncertainty: float
    repeated: bool


def read_reading(path: str, text: str, kind: str) -> Quantity:
    """One reading as typed, in any fitting unit, small enough that means and gaps of it can be computed.  Raises a Refusal."""
    found = read_quantity(path, text, kind)
    if max(abs(found.si), found.half_width) > MOST:
        raise OutOfRange(path, cases.READING_TOO_LARGE, value=text.strip()[:60])
    return found


def series(values: Sequence[float], half_width: float) -> Series:
    """The mean of readings and its standard uncertainty.

    values: SI, at least one. half_width: of the instrument [SI]. Raises ValueError for none.
    """
    n = len(values)
    if n == 0:
        raise ValueError("a series holds at least one reading")
    mean = math.fsum(values) / n
    error = standard_error(values) if n > 1 else 0.0
    return Series(n, mean, error, half_width, math.hypot(error, half_width / math.sqrt(3)), n > 1)


def gap(mean: float, reading_uncertainty: float, prediction: float, prediction_uncertainty: float) -> float | None:
    """How far off the prediction was, in standard uncertainties of the two together; None where both are exact.

    All in SI. Source: [JCGM100], the combined standard uncertainty of a difference.
    """
    together = math.hypot(reading_uncertainty, prediction_uncertainty)
    return (mean - prediction) / together if together > 0 else None
