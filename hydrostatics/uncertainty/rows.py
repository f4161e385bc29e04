"""The rows beside the nominal case from which its uncertainty follows."""

from __future__ import annotations

from functools import lru_cache
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..documents.inputs import Inputs, Leaf

STEP = 1e-3
"""Derivatives are taken over this part of a standard uncertainty."""
PER_INPUT = 4
"""Rows of one uncertain input: a step up, a step down, the upper and the lower end of its tolerance."""
TOGETHER = 16
"""Rows in which all inputs are moved together: what they do to each other shows there."""
FAR_OUT = 0.9
"""How far out in its tolerance each input stands there."""
Floats = NDArray[np.float64]


def half_widths(uncertain: list[Leaf]) -> Floats:
    """How far the tolerance of each input reaches [SI]; for a handbook's own uncertainty as if it were rectangular."""
    return np.array([leaf.half_width or leaf.standard_uncertainty * 3**0.5 for leaf in uncertain])


def rows_of(inputs: Inputs[Any], uncertain: list[Leaf], together: bool) -> tuple[dict[str, Floats], NDArray[np.bool_], Floats]:
    """Values of all inputs by row, which rows a derivative may use, and the steps.

    Row 0 is nominal; then PER_INPUT rows an input, then TOGETHER rows of all. An end outside an input's physical range is taken
    at the range's end. A single input has no rows of all. together: whether rows of all are wanted.
    """
    n = len(uncertain)
    ends = 1 + PER_INPUT * n
    count = ends + (TOGETHER if together and n > 1 else 0)
    rows = inputs.nominal()
    valid = np.ones(count, dtype=np.bool_)
    steps = np.array([leaf.standard_uncertainty for leaf in uncertain]) * STEP
    if not n:
        return rows, valid, steps
    edge = half_widths(uncertain)
    si, least, most = np.array([[leaf.si, leaf.least, leaf.most] for leaf in uncertain]).T[:, :, None]
    moved = si + np.stack([steps, -steps, edge, -edge], axis=1)
    valid[1:ends] = ((moved >= least) & (moved <= most) | (np.arange(PER_INPUT) >= 2)).ravel()
    columns = np.repeat(si, count, axis=1)
    own = np.arange(n)[:, None]
    columns[own, 1 + PER_INPUT * own + np.arange(PER_INPUT)] = np.clip(moved, least, most)
    if count > ends:
        columns[:, ends:] = np.clip(si + edge[:, None] * _signs(n), least, most)
    for leaf, column in zip(uncertain, columns, strict=True):
        rows[leaf.path] = column
    return rows, valid, steps


@lru_cache(maxsize=16)
def _signs(inputs: int) -> Floats:
    """Where in its tolerance each input stands in the rows of all, -1 to 1: seeded, so that an answer is the same each time.

    Towards the corners, where what inputs do together shows most; each input up in as many rows as down.
    """
    half = np.tile(np.repeat([-FAR_OUT, FAR_OUT], TOGETHER // 2), (inputs, 1))
    return np.random.default_rng(7).permuted(half, axis=1)
