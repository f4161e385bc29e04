"""Several readings of one quantity, taken together."""

from __future__ import annotations

import math
import statistics
from collections.abc import Sequence
from functools import cache

from .reading import Quantity

FEWEST, MOST = 2, 30
"""Readings that may stand for one quantity."""
_NORMAL = 1.96
"""Coverage factor of the normal distribution at 95 %."""


def mean_of(readings: Sequence[Quantity]) -> Quantity:
    """The mean, with the tolerance that reads back as its standard uncertainty.

    The scatter's part is s/sqrt n (JCGM 100, 4.2.3), widened by Student's t over 1.96 since few readings know little of their own
    scatter; the largest stated tolerance is added in squares and does not shrink with the number of readings.
    """
    values = [one.si for one in readings]
    n = len(values)
    scatter = standard_error(values) * student(n - 1) / _NORMAL
    tolerance = max(one.half_width for one in readings) / math.sqrt(3)
    return Quantity(statistics.fmean(values), math.sqrt(3) * math.hypot(scatter, tolerance), readings[0].number, readings[0].unit)


def standard_error(values: Sequence[float]) -> float:
    """Standard deviation of the mean of at least two readings, s/sqrt n.  Source: JCGM 100, 4.2.3."""
    return statistics.stdev(values) / math.sqrt(len(values))


@cache
def student(freedom: int) -> float:
    """Student's t at 97.5 % for so many degrees of freedom, from 1."""
    from scipy.special import stdtrit

    return float(stdtrit(freedom, 0.975))
