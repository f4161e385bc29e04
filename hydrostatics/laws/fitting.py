"""A straight line through points."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]


def straight_line(x: Floats, y: Floats) -> tuple[Floats, Floats]:
    """Ordinary least squares of y over x.

    x : array
        Shape (n, rows), at least two of each row different. [any]
    y : array
        Shape (n, rows). [any]
    returns : (array, array)
        Intercept and slope, each of shape (rows,). [of y], [of y over x]
    Source: [JCGM100], H.3.
    """
    middle, height = x.mean(axis=0), y.mean(axis=0)
    off = x - middle
    spread = np.square(off).sum(axis=0)
    slope = (off * (y - height)).sum(axis=0) / np.where(spread > 0, spread, 1.0)
    return np.asarray(height - slope * middle), np.asarray(slope)


def scatter(residuals: Floats) -> Floats:
    """Standard deviation of points about their fitted line.

    residuals : array
        Shape (n, rows), n at least 3. [any]
    returns : array
        Root of the sum of squares over n - 2, shape (rows,). [same]
    Source: [JCGM100], H.3.
    """
    return np.asarray(np.sqrt(np.square(residuals).sum(axis=0) / (len(residuals) - 2)))
