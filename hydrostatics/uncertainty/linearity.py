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


def not_straight(table: Floats, told: NDArray[np.bool_], there: NDArray[np.bool_], slope: Floats, sd: Floats, inputs: Floats, layout: Layout) -> list[int]:
    """Results whose spread a straight line does not tell.

    table: results by row, shape (v, rows). told: where each exists, alike. there: whether it exists
    in row 0. slope: derivatives, shape (v, inputs). sd: first-order standard uncertainties, shape (v,). inputs: uncertain
    inputs by row, shape (inputs, rows). layout: where the rows stand.
    """
    own = np.arange(len(inputs))
    nominal, first = inputs[:, 0], table[:, :1]
    high, low, together = layout.block(2), layout.block(3), layout.together
    with np.errstate(invalid="ignore"):  # infinite where a result does not exist
        above, below = table[:, high] - first, table[:, low] - first
    far = np.maximum(
        inputs[own, high.start + own] - nominal, nominal - inputs[own, low.start + own]
    )  # a tolerance cut off at its range's end is no straight line either
    with np.errstate(invalid="ignore", over="ignore"):
        whole = np.abs(2 * slope * far)
        apart = np.abs((above - below) - 2 * slope * far)
        felt = FELT * 12**0.5 * sd[:, None]
        departs = (apart > DEPARTS * whole) & (apart > felt)
        departs |= np.abs(above + below) > BENT * 45**0.5 * sd[:, None] + 1e-12 * np.abs(first)
    gone = ~(told[:, high] & told[:, low])
    departs = np.where(gone, True, departs & np.isfinite(above) & np.isfinite(below))
    if layout.n == 1:
        return np.flatnonzero(departs.any(axis=1) & there).tolist()
    straight = slope @ (inputs[:, together] - nominal[:, None])
    with np.errstate(invalid="ignore", over="ignore"):
        off = np.sqrt(np.mean(np.square(table[:, together] - first - straight), axis=1)) > TOGETHER_BENT * sd + 1e-12 * np.abs(first[:, 0])
    off |= ~told[:, together].all(axis=1)
    return np.flatnonzero((departs.any(axis=1) | off) & there).tolist()
