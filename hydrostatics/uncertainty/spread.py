"""What a prediction's results are uncertain by, and where that comes from."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any, TypeVar

import numpy as np
from numpy.typing import NDArray

from ..documents.inputs import Leaf
from ..prediction import Prediction, Value, walk
from .draws import Draws
from .rows import Floats

T = TypeVar("T")


@dataclass(frozen=True)
class Spread:
    """Standard uncertainties of all results and where they come from.

    values: the results with a unit, in order. sd: theirs [SI], shape (v,). shares: of the variance, by path of the input.
    inputs: the uncertain inputs. edges: per code that changes within a tolerance, its label and the inputs that do it.
    unknown: inputs for which no derivative could be taken for some result. slope: of each result by each input, shape (v, inputs).
    curved: results whose spread is that of draws, with the share of draws in which they do not exist. turns: inputs at an end of
    whose tolerance the verdict's state differs. settled: whether no input moves it. draws: over all inputs at once; None where they are left out.
    """

    values: tuple[tuple[str, Value], ...]
    nominal: Floats | Sequence[float]
    exists: NDArray[np.bool_] | Sequence[bool]
    sd: Floats
    shares: list[dict[str, float]]
    inputs: tuple[Leaf, ...]
    edges: dict[str, list[Leaf]]
    unknown: tuple[Leaf, ...]
    index: dict[str, int]
    slope: Floats
    turns: tuple[Leaf, ...]
    settled: bool
    at_rows: Callable[[dict[str, Floats]], Prediction]
    curved: dict[int, float] = field(default_factory=dict)
    draws: Draws | None = None

    def slope_of(self, result: str, path: str, moved: float) -> float:
        """How a result changes with an input [SI over SI]: as it is known, else between its nominal value and another."""
        known = next((float(self.slope[self.index[result], k]) for k, leaf in enumerate(self.inputs) if leaf.path == path), 0.0)
        if known:
            return known
        assert self.draws is not None
        rows = self.draws.nominal()
        at = float(rows[path][0])
        rows[path] = np.array([at, moved])
        value = dict(walk(self.at_rows(rows).results))[result]
        both = np.broadcast_to(value.si, (2,))
        slope = float(both[1] - both[0]) / (moved - at)
        return slope if np.isfinite(slope) and np.all(value.exists) else 0.0


class _Each(Sequence[T]):
    """What there is of each result of row 0, worked out when it is asked for: at a glance, or for a small section, little is."""

    def __init__(self, values: tuple[tuple[str, Value], ...], tell: Callable[[Value], T]) -> None:
        self._values, self._tell = values, tell

    def __len__(self) -> int:
        return len(self._values)

    def __getitem__(self, v: Any) -> Any:
        return self._tell(self._values[v][1])


def sure(values: tuple[tuple[str, Value], ...], index: dict[str, int], settled: bool, at_rows: Callable[[dict[str, Floats]], Prediction]) -> Spread:
    """Of a case in which nothing is uncertain."""
    nominal, exists = _Each(values, lambda value: float(value.si[0])), _Each(values, lambda value: bool(np.all(value.exists)))
    none, shares = np.zeros(len(values)), [dict[str, float]() for _ in values]
    return Spread(values, nominal, exists, none, shares, (), {}, (), index, np.zeros((len(values), 0)), (), settled, at_rows)
