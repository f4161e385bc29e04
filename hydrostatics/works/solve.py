"""The value of one input that brings one result to a target: every one in a range, or the nearest reach."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

from ..demonstrations.protocol import Demonstration
from ..documents.inputs import Inputs, Leaf
from ..documents.naming import numbered
from ..prediction import STATES, Prediction, Value
from ..uncertainty import predicted
from .roots import zeros
from .sweep import range_of, result_at, swept_input

Floats = NDArray[np.float64]
SCAN = 200
"""Points at which a range is scanned, in one call, as the contract states it."""


NOTHING = 1e-15
"""What rounding leaves where a result is on the target whatever the input is [SI]."""


class Found(NamedTuple):
    """Inputs [SI] that give the target, from low to high, alike for a single one, and the verdict there."""

    low: float
    high: float
    state: str


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
    found: tuple[Found, ...]
    nearest: tuple[float, float] | None


def solve(
    demonstration: Demonstration[Any], inputs: Inputs[Any], result: str, target: float, path: str, low: float | None = None, high: float | None = None
) -> Answers:
    """All values of an input in a range that bring a result to a target.

    result: its path. target: SI. path: of the input to change. low, high: SI range, None for the usual one.
    A place where the result itself jumps over the target is no answer; a verdict that changes there does not matter.
    Raises UnknownName or OutOfRange.
    """
    leaf = swept_input(inputs, path)
    low, high = range_of(inputs, leaf, low, high)
    x = np.linspace(low, high, SCAN)
    nominal = inputs.nominal()

    def made_at(at: Floats) -> Prediction:
        return predicted(demonstration.predict, *inputs.made({**nominal, path: at}))

    def off(at: Floats) -> tuple[Floats, NDArray[np.bool_]]:
        value = result_at(made_at(at), result)
        away = np.broadcast_to(value.si, at.shape) - target
        return np.where(np.abs(away) < NOTHING, 0.0, away), np.broadcast_to(value.exists, at.shape)

    y, exists = off(x)
    roots = zeros(off, x, y, exists)
    at = np.array([(one + to) / 2 for one, to in roots])
    states = np.broadcast_to(made_at(at).state, len(roots)) if roots else ()
    nearest = None
    if not roots and exists.any():
        k = int(np.argmin(np.where(exists, np.abs(y), np.inf)))
        nearest = (float(x[k]), float(y[k] + target))
    found = tuple(Found(one, to, STATES[int(s)]) for (one, to), s in zip(roots, states, strict=True))
    return Answers(leaf, result, result_at(made_at(x[:1]), result), target, low, high, found, nearest)


def as_json(answers: Answers, as_typed: Callable[[float], str]) -> dict[str, Any]:
    """Answers as JSON values; as_typed writes an SI value as a quantity for the input's path."""
    return {
        "input": {"path": answers.leaf.path, "label": answers.leaf.name, "kind": answers.leaf.kind, "unit": answers.leaf.unit},
        "result": {"label": numbered(answers.result, answers.value.label), "kind": answers.value.kind},
        "target": answers.target,
        "low": answers.low,
        "high": answers.high,
        "found": [
            {"value": one.low, "state": one.state, "quantity": as_typed(one.low), "upto": as_typed(one.high) if one.high > one.low else None}
            for one in answers.found
        ],
        "nearest": None if answers.nearest is None else {"value": answers.nearest[0], "result": answers.nearest[1], "quantity": as_typed(answers.nearest[0])},
    }
