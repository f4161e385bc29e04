"""The rows beside the nominal case from which its uncertainty follows."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..documents.inputs import Inputs, Leaf

STEP = 1e-3
"""Derivatives are taken over this part of a standard uncertainty."""
TOGETHER = 16
"""Rows in which all inputs are moved together: what they do to each other shows there."""
FAR_OUT = 0.9
"""How far out in its tolerance each input stands there."""
Floats = NDArray[np.float64]


def half_widths(uncertain: list[Leaf]) -> Floats:
    """How far the tolerance of each input reaches [SI]; for a handbook's own uncertainty as if it were rectangular."""
    return np.array([leaf.half_width or leaf.standard_uncertainty * 3**0.5 for leaf in uncertain])


def alike(there: Mapping[int, NDArray[np.bool_]]) -> list[list[int]]:
    """Results, by number, that exist in the same rows: worked out together, since most do."""
    found: dict[bytes, list[int]] = {}
    for v, rows in there.items():
        found.setdefault(rows.tobytes(), []).append(v)
    return list(found.values())


@dataclass(frozen=True)
class Layout:
    """Where the rows of n uncertain inputs stand: the nominal one, a step up for each, a step down, then (where they are wanted)
    the upper end of each tolerance, the lower end, and rows in which all inputs are moved."""

    n: int
    ends: bool

    def block(self, k: int) -> slice:
        """The rows of block k: 0 steps up, 1 steps down, 2 upper ends, 3 lower ends."""
        return slice(1 + k * self.n, 1 + (k + 1) * self.n)

    @property
    def together(self) -> slice:
        """The rows in which all inputs are moved; none for a single input."""
        return slice(1 + 4 * self.n, self.count)

    @property
    def count(self) -> int:
        """All rows."""
        return 1 + 4 * self.n + (TOGETHER if self.n > 1 else 0) if self.ends else 1 + 2 * self.n


def rows_of(inputs: Inputs[Any], uncertain: list[Leaf], ends: bool) -> tuple[dict[str, Floats], NDArray[np.bool_], Floats, Layout]:
    """Values of all inputs by row, which rows a derivative may use, the steps, and where the rows stand.

    An end outside an input's physical range is taken at the range's end. ends: whether ends and rows of all are wanted.
    """
    layout = Layout(len(uncertain), ends and bool(uncertain))
    rows = inputs.nominal()
    valid = np.ones(layout.count, dtype=np.bool_)
    steps = np.array([leaf.standard_uncertainty for leaf in uncertain]) * STEP
    if not uncertain:
        return rows, valid, steps, layout
    edge = half_widths(uncertain)
    si, least, most = np.array([[leaf.si, leaf.least, leaf.most] for leaf in uncertain]).T
    columns = np.repeat(si[:, None], layout.count, axis=1)
    own = np.arange(layout.n)
    farthest = np.maximum(edge, steps)
    within = bool(((si - farthest >= least) & (si + farthest <= most)).all())  # as nearly always
    for k, moved in enumerate((si + steps, si - steps, si + edge, si - edge)[: 4 if layout.ends else 2]):
        block = layout.block(k)
        columns[own, block.start + own] = moved if within else np.clip(moved, least, most)
        if k < 2 and not within:
            valid[block] = (moved >= least) & (moved <= most)
    if layout.ends and layout.n > 1:
        together = si[:, None] + edge[:, None] * _signs(layout.n)
        columns[:, layout.together] = together if within else np.clip(together, least[:, None], most[:, None])
    for leaf, column in zip(uncertain, columns, strict=True):
        rows[leaf.path] = column
    return rows, valid, steps, layout


@lru_cache(maxsize=16)
def _signs(inputs: int) -> Floats:
    """Where in its tolerance each input stands in the rows of all, -1 to 1: seeded, so that an answer is the same each time.

    Towards the corners, where what inputs do together shows most; each input up in as many rows as down.
    """
    half = np.tile(np.repeat([-FAR_OUT, FAR_OUT], TOGETHER // 2), (inputs, 1))
    return np.random.default_rng(7).permuted(half, axis=1)
