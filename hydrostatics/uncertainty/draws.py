"""Draws over all uncertain inputs at once (JCGM 101), made when something first asks for them."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator, Sequence
from functools import cached_property, lru_cache
from statistics import NormalDist
from typing import Any, NamedTuple

import numpy as np

from ..documents.inputs import Inputs, Leaf
from ..prediction import Prediction, Value, walk
from .rows import Floats, alike, half_widths

DRAWS = 2000
"""Draws, as the contract states it."""
SEED = 20_261
HEARD = 0.002
"""A share of a drawn variance below this is the draws' own noise."""


@lru_cache(maxsize=8)
def _strata(inputs: int) -> Floats:
    """A Latin hypercube: each input's tolerance in equal strata, each stratum once, in an order of its own; in -1..1."""
    order = np.random.default_rng(SEED).permuted(np.tile(np.arange(DRAWS), (inputs, 1)), axis=1)
    return 2 * ((order + 0.5) / DRAWS) - 1


@lru_cache(maxsize=1)
def _normal() -> Floats:
    """Quantiles of the normal distribution at the strata's middles."""
    return np.array([NormalDist().inv_cdf((k + 0.5) / DRAWS) for k in range(DRAWS)])


class Drawn(NamedTuple):
    """A result's standard uncertainty [SI], the share that each input has in it, by path, and the part of draws in which it does not exist."""

    sd: float
    shares: dict[str, float]
    gone: float


class Draws:
    """Predictions of many cases that the tolerances allow; row 0 is the nominal one.

    uncertain: the inputs drawn: rectangular over a stated tolerance, normal for a handbook's own uncertainty.
    at_rows: predicts the rows of such values.
    """

    def __init__(self, inputs: Inputs[Any], uncertain: list[Leaf], at_rows: Callable[[dict[str, Floats]], Prediction]) -> None:
        self._inputs, self._uncertain, self._at_rows = inputs, uncertain, at_rows

    def nominal(self) -> dict[str, Floats]:
        """Every input's value as an array of one row."""
        return self._inputs.nominal()

    @cached_property
    def moved(self) -> Floats:
        """The inputs as drawn, less their nominal values [SI], shape (inputs, draws)."""
        where = _strata(len(self._uncertain))
        wide = half_widths(self._uncertain)
        moved = where * wide[:, None]
        for k, leaf in enumerate(self._uncertain):
            if not leaf.half_width:
                moved[k] = leaf.standard_uncertainty * _normal()[((where[k] + 1) * (DRAWS / 2)).astype(int)]
        si, least, most = self._ranges
        return moved if self._within else np.asarray(np.clip(si + moved, least, most) - si)

    @cached_property
    def _within(self) -> bool:
        """Whether every tolerance lies within its input's physical range."""
        (si, least, most), wide = self._ranges[:, :, 0], half_widths(self._uncertain)
        stated = all(leaf.half_width for leaf in self._uncertain)
        return stated and bool(((si - wide > least) & (si + wide < most)).all())

    @cached_property
    def _ranges(self) -> Floats:
        """Nominal value of each input and the ends of its physical range [SI], shape (3, inputs, 1)."""
        return np.array([[leaf.si, leaf.least, leaf.most] for leaf in self._uncertain]).T[:, :, None]

    def values(self, changed: dict[str, float] | None = None, count: int = DRAWS) -> dict[str, Floats]:
        """Values of all inputs, nominal and drawn; changed: inputs that are set to another nominal value [SI]; count: of the draws, the first ones."""
        rows = self._inputs.nominal() | {path: np.array([si]) for path, si in (changed or {}).items()}
        _, least, most = self._ranges
        each = np.zeros((len(self._uncertain), count + 1))
        each[:, 1:] = self.moved[:, :count]
        each += np.array([rows[leaf.path] for leaf in self._uncertain])
        if changed or not self._within:
            np.clip(each, least, most, out=each)
        return rows | dict(zip((leaf.path for leaf in self._uncertain), each, strict=True))

    @property
    def made(self) -> bool:
        """Whether something has asked for them yet."""
        return "prediction" in self.__dict__

    @cached_property
    def prediction(self) -> Prediction:
        """What comes of all draws."""
        return self._at_rows(self.values())

    @cached_property
    def _results(self) -> dict[str, Value]:
        return {path: node for path, node in walk(self.prediction.results) if isinstance(node, Value)}

    def of(self, paths: Sequence[str]) -> dict[str, Drawn]:
        """What the draws tell of results, by their paths; not of those that too few draws have."""
        y = np.empty((len(paths), DRAWS))
        sometimes: dict[int, Any] = {}
        for k, path in enumerate(paths):
            value = self._results[path]
            y[k], there = _drawn(value.si), value.exists
            if there is not True:
                sometimes[k] = _drawn(there)
        exists = np.isfinite(y)
        for k, there in sometimes.items():
            exists[k] &= there
        if exists.all():
            return dict(zip(paths, self._told(y, self.moved), strict=True))
        made: dict[str, Drawn] = {}
        for which in alike(dict(enumerate(exists))):
            there = exists[which[0]]
            count = np.count_nonzero(there)
            if count >= DRAWS // 50:
                drawn = (y[which], self.moved) if count == DRAWS else (y[which][:, there], self.moved[:, there])
                made |= zip((paths[k] for k in which), self._told(*drawn), strict=True)
        return made

    def _told(self, y: Floats, x: Floats) -> Iterator[Drawn]:
        """Of results, shape (results, draws), by inputs, shape (inputs, draws): a share is the squared correlation, where the rest is drawn too."""
        y = y - (y.sum(axis=1) / y.shape[1])[:, None]  # x need not be: what its mean adds to the product is nothing then
        squares, power = np.einsum("ij,ij->i", y, y)[:, None], np.einsum("ij,ij->i", x, x) - np.square(x.sum(axis=1)) / x.shape[1]
        whole = squares * power
        squared = np.divide(np.square(y @ x.T), whole, out=np.zeros(whole.shape), where=whole > 0)
        heard = np.where(squared > HEARD, squared, 0.0)
        total = heard.sum(axis=1, keepdims=True)
        shares = np.divide(heard, total, out=heard, where=total > 0)
        count = y.shape[1]
        for square, row in zip(squares[:, 0].tolist(), shares.tolist(), strict=True):
            by_path = {leaf.path: part for leaf, part in zip(self._uncertain, row, strict=True) if part > 0}
            yield Drawn(math.sqrt(square / (count - 1)), by_path, 1.0 - count / DRAWS)

    @cached_property
    def works(self) -> float:
        """The part of draws in which it does not fail."""
        state = np.broadcast_to(self.prediction.state, (DRAWS + 1,))[1:]
        return float(np.mean(state < 2))


def _drawn(column: Any) -> Any:
    """What a result has in the draws, row 0 apart, or the one value that it has in all."""
    return column[1:] if np.ndim(column) and len(column) > 1 else column
