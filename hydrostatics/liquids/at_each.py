"""A property at very many temperatures, from a library that takes one at a time."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from functools import lru_cache
from typing import Any

import numpy as np
from numpy.polynomial import chebyshev
from numpy.typing import NDArray

Floats = NDArray[np.float64]
MANY = 64
"""Rows from which a property is a polynomial through it."""
BAND, DEGREE = 60.0, 12
"""So high a degree for each so many kelvin: 1e-9 of its value."""
OTHER_DEGREE = 8
"""Along the root of what else it depends on."""
WHOLE, PART = 5.0, 1 / 64
"""To multiples of these [K, and of that root] a band is widened, so that the next rows find its polynomial made; not where that is
beyond what is known."""
ALWAYS = (-math.inf, math.inf)


def at_each(at: Callable[..., float], over: Sequence[Floats], within: tuple[float, float] = ALWAYS) -> Floats:
    """A property in each row: one by one, where they are many by a polynomial through it.

    at: of a temperature, and of what else it depends on. over: temperatures [K], and that where there is such a thing, not negative; shape
    (rows,) each. within: between which temperatures [K] it is known.
    """
    temperatures, *others = over
    if temperatures.size <= MANY:
        keys = list(zip(*(column.tolist() for column in over), strict=True))
        known = {key: at(*key) for key in dict.fromkeys(keys)}
        return np.array([known[key] for key in keys])
    band = _widened(temperatures, WHOLE, within)
    if not others:
        return _evaluated(chebyshev.chebval, _through(at, band), (temperatures, band))
    root = np.sqrt(others[0])  # a solution's density goes with the root of what is dissolved as well
    beside = _widened(root, PART, (0.0, math.inf))
    return _evaluated(chebyshev.chebval2d, _through_both(at, band, beside), (temperatures, band), (root, beside))


def _widened(values: Floats, to: float, within: tuple[float, float]) -> tuple[float, float]:
    low, high = float(values.min()), float(values.max())
    lower, upper = math.floor(low / to) * to, (math.floor(high / to) + 1) * to
    return low if lower < within[0] else lower, high if upper > within[1] else upper


def _evaluated(how: Callable[..., Any], coefficients: Floats, *given: tuple[Floats, tuple[float, float]]) -> Floats:
    within = ((2 * values - (low + high)) / (high - low) for values, (low, high) in given)
    return np.asarray(how(*within, coefficients))


def _degree(band: tuple[float, float]) -> int:
    return DEGREE * math.ceil((band[1] - band[0]) / BAND)


def _points(unit: Floats, band: tuple[float, float]) -> list[float]:
    points: list[float] = ((band[0] + band[1] + unit * (band[1] - band[0])) / 2).tolist()
    return points


@lru_cache(maxsize=256)
def _through(at: Callable[..., float], band: tuple[float, float]) -> Floats:
    return _interpolated(lambda x: np.array([at(t) for t in _points(x, band)]), _degree(band))


@lru_cache(maxsize=256)
def _through_both(at: Callable[..., float], band: tuple[float, float], beside: tuple[float, float]) -> Floats:
    def along(y: Floats) -> Floats:
        others = [root**2 for root in _points(y, beside)]
        return _interpolated(lambda x: np.array([[at(t, one) for one in others] for t in _points(x, band)]), _degree(band)).T

    return _interpolated(along, OTHER_DEGREE).T


def _interpolated(values: Callable[[Any], Any], degree: int) -> Floats:
    return np.asarray(chebyshev.chebinterpolate(values, degree))
