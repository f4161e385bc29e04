"""A margin over a need: the rule that cup, press and flask share, and what advice aims at."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

SPARE = 0.2
"""Part of the need below which a margin is marginal, as the contract states it."""
ENOUGH = 1.3
"""What there is over what is needed that advice aims at."""


def margin_state(margin: NDArray[np.float64], need: NDArray[np.float64]) -> NDArray[np.intp]:
    """0 works, 1 marginal, 2 fails, per row: below zero it fails, below a fifth of the need it is marginal."""
    return np.where(margin < 0, 2, np.where(margin < SPARE * need, 1, 0))
