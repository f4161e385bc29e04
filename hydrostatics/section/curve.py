"""One result over one input, as it is drawn."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..documents.inputs import Leaf
from ..documents.naming import numbered
from ..prediction import Value

Floats = NDArray[np.float64]


@dataclass(frozen=True)
class Curve:
    """One result over one input, SI.

    x, y: shape (points,). exists: where the result is. sd: standard uncertainty along it. states: index in STATES.
    value: the result's description. leaf: the input's. result: the result's path.
    """

    x: Floats
    y: Floats
    exists: NDArray[np.bool_]
    sd: Floats
    states: NDArray[np.intp]
    value: Value
    leaf: Leaf
    result: str

    @property
    def input_name(self) -> str:
        """What the input is called."""
        return self.leaf.name

    @property
    def result_name(self) -> str:
        """What the result is called."""
        return numbered(self.result, self.value.label)
