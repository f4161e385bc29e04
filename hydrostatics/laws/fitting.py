"""A straight line through points."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]


def straight_line(x: Floats, y: Floats) -> tuple[Floats, Floats]:
    """Ordinary least squares of y over x.

    x : array
        Shape (rows, n), at least two of them different. [any]
    y : array
        Shape (rows, n). [any]
    returns : (array, array)
        Intercept and slope, each of shape (rows,). [of y], [of y over x]
    Source: [JCGM100], H.3.
    """
    middle, height = x.mean(axis=1, keepdims=True), y.mean(axis=1, keepdims=True)
    off = x - middle
    spread = np.square(off).sum(axis=1)
    slope = (off * (y - height)).sum(axis=1) / np.where(spread > 0, spread, 1.0)
    return np.asarray(height[:, 0] - slope * middle[:, 0]), np.asarray(slope)


def scatter(residuals: Floats) -> Floats:
    """Standard deviation of points about their fitted line.

    residuals : array
        Shape (rows, n), n at least 3. [any]
    returns : array
        Root of the sum of squares over n - 2, shape (rows,). [same]
    Source: [JCGM100], H.3.
    """
    return np.asarray(np.sqrt(np.square(residuals).sum(axis=1) / (residuals.shape[1] - 2)))
