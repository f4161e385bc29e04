"""Where a straight line through the nominal case does not tell a result's spread."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from .rows import Floats, Layout

DEPARTS = 0.1
"""The results at both ends of a tolerance may depart from the straight line by this part of what it tells, as the contract states it."""
FELT = 0.05
"""What departs is felt where it would add this part of the standard uncertainty by itself."""
BENT = 0.2
"""The same for a bend that leaves both ends alike, of which the straight line knows nothing."""


TOGETHER_BENT = 0.4
"""The same for what inputs do together, far out in all their tolerances."""


def not_straight(
    table: Floats, told: NDArray[np.bool_] | None, there: NDArray[np.bool_], slope: Floats, sd: Floats, inputs: Floats, layout: Layout
) -> list[int]:
    """Results whose spread a straight line does not tell.

    table: results by row, shape (v, rows). told: where each exists, alike; None where all do in every row. there: whether it exists
    in row 0. slope: derivatives, shape (v, inputs). sd: first-order standard uncertainties, shape (v,). inputs: uncertain
    inputs by row, shape (inputs, rows). layout: where the rows stand.
    """
    own = np.arange(len(inputs))
    nominal, first = inputs[:, 0], table[:, :1]
    high, low, together = layout.block(2), layout.block(3), layout.together
    far = np.maximum(
        inputs[own, high.start + own] - nominal, nominal - inputs[own, low.start + own]
    )  # a tolerance cut off at its range's end is no straight line either
    with np.errstate(invalid="ignore", over="ignore"):  # infinite where a result does not exist
        above, below = table[:, high] - first, table[:, low] - first
        both, noise = above + below, 1e-12 * np.abs(first)
        line = slope * (2 * far)
        apart = np.abs(above - below - line)
        departs = apart > np.maximum(DEPARTS * np.abs(line), FELT * 12**0.5 * sd[:, None])
        departs |= np.abs(both) > BENT * 45**0.5 * sd[:, None] + noise
        departs &= np.isfinite(both)
        if told is not None:
            departs |= ~(told[:, high] & told[:, low])
        bent = departs.any(axis=1)
        if layout.n > 1:
            left = table[:, together] - first
            left -= slope @ (inputs[:, together] - nominal[:, None])
            bent |= np.sqrt(np.einsum("ij,ij->i", left, left) / left.shape[1]) > TOGETHER_BENT * sd + noise[:, 0]
            if told is not None:
                bent |= ~told[:, together].all(axis=1)
    return np.flatnonzero(bent & there).tolist()
