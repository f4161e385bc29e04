"""How sure a verdict is within the tolerances."""

from __future__ import annotations

import numpy as np

from .rows import half_widths
from .spread import Spread

SURE = (0.02, 0.98)
"""Between these a verdict is in doubt, as the contract states it."""


TRIED, MAY_FAIL = 500, 5
"""What is only proposed is tried in so many draws, and called sure where so few of them fail: then hardly one in fifty of all draws can."""
CLEAR = 2.0
"""A margin this many times what all tolerances together could take off it by a straight line is clear of them."""


def probability(spread: Spread, state: int, deciding: str, by_sign: bool) -> float:
    """The part of what the tolerances allow in which the verdict is not `fails`.

    state: of the nominal case. deciding: path of the result that decides; by_sign: by its sign alone. Draws are made only where
    the state differs at an end of a tolerance, or with every input at the end that lowers (raises) the deciding result; else 1 or 0.
    """
    plain = 1.0 if state < 2 else 0.0
    if spread.draws is None or spread.settled:
        return plain
    if spread.turns:
        return spread.draws.works
    if by_sign and _clear(spread, deciding):
        return plain
    if spread.draws.made and spread.draws.works == plain:
        return plain  # whatever the corners say
    return spread.draws.works if _differs_at_a_corner(spread, state, deciding) else plain


def _clear(spread: Spread, deciding: str) -> bool:
    """Whether a margin is so far from nothing that no corner of the tolerances need be tried."""
    v = spread.index[deciding]
    if v in spread.curved or not spread.exists[v]:
        return False
    most = float(np.abs(np.nan_to_num(spread.slope[v])) @ half_widths(list(spread.inputs)))
    return abs(float(spread.nominal[v])) > CLEAR * most


def _differs_at_a_corner(spread: Spread, state: int, deciding: str) -> bool:
    v = spread.index.get(deciding)
    if v is None:
        return False
    toward = np.sign(np.nan_to_num(spread.slope[v])) * half_widths(list(spread.inputs))
    rows = {}
    for leaf, far in zip(spread.inputs, toward.tolist(), strict=True):
        rows[leaf.path] = np.clip(np.array([leaf.si, leaf.si - far, leaf.si + far]), leaf.least, leaf.most)
    assert spread.draws is not None
    corners = spread.at_rows({**spread.draws.nominal(), **rows}).state
    return bool((corners != state).any())


def sure_with(spread: Spread, changed: dict[str, float]) -> bool:
    """Whether it works as good as surely with some inputs set to other values [SI]: by fewer draws, of which fewer may fail for it."""
    assert spread.draws is not None
    state = spread.at_rows(spread.draws.values(changed, TRIED)).state
    return int(np.count_nonzero(np.broadcast_to(state, (TRIED + 1,))[1:] == 2)) <= MAY_FAIL
