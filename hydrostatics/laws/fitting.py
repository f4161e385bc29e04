"""A straight line through points."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]


def straight_line(x: Floats, y: Floats) -> tuple[Floats, Floats]:
    """Ordinary least squares of y over x.

    x : array
        Shape (n, rows) or (n, 1), at least two of each row different. [any]
    y : array
        Shape (n, rows). [any]
    returns : (array, array)
        Intercept and slope, each of shape (rows,). [of y], [of y over x]
    Source: [JCGM100], H.3.
    """
    n = len(x)
    middle, height = x.sum(axis=0) / n, y.sum(axis=0) / n
    off = x - middle
    spread = np.square(off).sum(axis=0)
    if off.shape[1] == 1:  # the same x in every row: height comes out of the product, but for what rounding leaves of the sum of off
        alone = off[:, 0]
        beside = alone @ y - alone.sum() * height
    else:
        beside = (off * (y - height)).sum(axis=0)
    slope = beside / np.where(spread > 0, spread, 1.0)
    return np.asarray(height - slope * middle), np.asarray(slope)


def scatter(residuals: Floats) -> Floats:
    """Standard deviation of points about their fitted line.

    residuals : array
        Shape (n, rows), n at least 3. [any]
    returns : array
        Root of the sum of squares over n - 2, shape (rows,). [same]
    Source: [JCGM100], H.3.
    """
    return np.asarray(np.sqrt(np.einsum("ij,ij->j", residuals, residuals) / (len(residuals) - 2)))
