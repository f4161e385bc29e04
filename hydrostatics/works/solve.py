"""The value of one input that brings one result to a target: every one in a range, or the nearest reach."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..demonstrations.protocol import Demonstration
from ..documents.inputs import Inputs, Leaf
from ..prediction import STATES, Prediction, Value, numbered
from ..uncertainty import predicted
from .sweep import branches, range_of, result_at, swept_input

Floats = NDArray[np.float64]
SCAN = 200
"""Points at which a range is scanned, in one call, as the contract states it."""


@dataclass(frozen=True)
class Answers:
    """Inputs [SI] that bring the result to the target, with the verdict there; where none does, the nearest reach.

    nearest: (input, result) whose result comes nearest, both SI; None where the result exists nowhere in the range.
    """

    leaf: Leaf
    result: str
    value: Value
    target: float
    low: float
    high: float
    found: tuple[tuple[float, str], ...]
    nearest: tuple[float, float] | None


def solve(
    demonstration: Demonstration[Any], inputs: Inputs[Any], result: str, target: float, path: str, low: float | None = None, high: float | None = None
) -> Answers:
    """All values of an input in a range that bring a result to a target.

    result: its path. target: SI. path: of the input to change. low, high: SI range, None for the usual one.
    Intervals across which a behaviour or the verdict jumps are dropped; the rest are bracketed.
    Raises UnknownName or OutOfRange.
    """
    leaf = swept_input(inputs, path)
    low, high = range_of(inputs, leaf, low, high)
    x = np.linspace(low, high, SCAN)
    nominal = inputs.nominal()

    def made_at(at: Floats) -> Prediction:
        return predicted(demonstration.predict, *inputs.made({**nominal, path: at}))

    made = made_at(x)
    value = result_at(made, result)
    y = np.broadcast_to(value.si, x.shape) - target
    exists = np.broadcast_to(value.exists, x.shape)
    smooth = exists[1:] & exists[:-1] & ~branches(made, SCAN)
    crossing = smooth & (np.sign(y[1:]) != np.sign(y[:-1])) & (y[1:] != 0)
    roots = list(x[exists & (y == 0)])
    if crossing.any():
        roots += _roots(lambda at: np.broadcast_to(result_at(made_at(at), result).si, at.shape) - target, x[:-1][crossing], x[1:][crossing])
    roots.sort()
    states = np.broadcast_to(made_at(np.array(roots)).state, len(roots)) if roots else ()
    nearest = None
    if not roots and exists.any():
        k = int(np.argmin(np.where(exists, np.abs(y), np.inf)))
        nearest = (float(x[k]), float(y[k] + target))
    return Answers(leaf, result, value, target, low, high, tuple((float(r), STATES[int(s)]) for r, s in zip(roots, states, strict=True)), nearest)


def _roots(f: Callable[[Floats], Floats], left: Floats, right: Floats) -> list[float]:
    """Roots in all brackets at once, elementwise."""
    from scipy.optimize import elementwise

    found = elementwise.find_root(f, (left, right), tolerances={"xrtol": 1e-10, "xatol": 1e-13})
    return [float(root) for root, good in zip(np.atleast_1d(found.x), np.atleast_1d(found.success), strict=True) if good]


def as_json(answers: Answers, as_typed: Callable[[float], str]) -> dict[str, Any]:
    """Answers as JSON values; as_typed writes an SI value as a quantity for the input's path."""
    return {
        "input": {"path": answers.leaf.path, "label": numbered(answers.leaf.path, answers.leaf.label), "kind": answers.leaf.kind, "unit": answers.leaf.unit},
        "result": {"label": numbered(answers.result, answers.value.label), "kind": answers.value.kind},
        "target": answers.target,
        "low": answers.low,
        "high": answers.high,
        "found": [{"value": x, "state": state, "quantity": as_typed(x)} for x, state in answers.found],
        "nearest": None if answers.nearest is None else {"value": answers.nearest[0], "result": answers.nearest[1], "quantity": as_typed(answers.nearest[0])},
    }
