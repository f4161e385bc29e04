"""A property at very many temperatures, from a library that takes one at a time."""

from __future__ import annotations

import math
from collections.abc import Callable

import numpy as np
from numpy.polynomial import Chebyshev
from numpy.typing import NDArray

MANY, BAND, DEGREE = 64, 60.0, 12
"""Distinct temperatures from which a property is a polynomial through it, of so high a degree for each so many kelvin: 1e-9 of its value."""


def at_each(at: Callable[[float], float], temperatures: NDArray[np.float64]) -> NDArray[np.float64]:
    """A property at each temperature [K]: once for each distinct one, a polynomial through it where those are many."""
    distinct, back = np.unique(temperatures, return_inverse=True)
    if distinct.size <= MANY:
        return np.array([at(one) for one in distinct.tolist()])[back]
    low, high = float(distinct[0]), float(distinct[-1])
    return np.asarray(Chebyshev.interpolate(np.vectorize(at), DEGREE * math.ceil((high - low) / BAND), (low, high))(temperatures))
