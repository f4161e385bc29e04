"""One input over a range: the curve of any result, its uncertainty band, and the verdict along it."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..demonstrations.protocol import Demonstration
from ..documents.inputs import Inputs, Leaf
from ..documents.reader import refuse_what_cannot_be
from ..errors import OutOfRange, Refusal, UnknownName
from ..errors import english as cases
from ..prediction import STATES, Prediction, Value, walk
from ..quantities.celsius import kelvin
from ..quantities.kinds import KINDS
from ..section.curve import Curve
from ..uncertainty import STEP, predicted

Floats = NDArray[np.float64]
POINTS = 1000
"""Points of a curve."""
BANDED = 41
"""Points at which the band is worked out; between them it is straight."""


def swept_input(inputs: Inputs[Any], path: str) -> Leaf:
    """The input to be varied.  Raises UnknownName where there is none at that path."""
    leaf = inputs.leaves.get(path)
    if leaf is None or leaf.origin == "handbook":
        known = [p for p, one in inputs.leaves.items() if one.origin != "handbook"]
        raise UnknownName("input", cases.INPUT_UNKNOWN, name=path[:60], known=", ".join(known[:12]))
    return leaf


def usual_range(inputs: Inputs[Any], leaf: Leaf) -> tuple[float, float]:
    """A range around today's value within which the set-up stays possible: a fifth to five times, or the whole of a fraction."""
    least, most = leaf.least, leaf.most
    if leaf.kind == "fraction":
        low, high = max(least, 0.0), min(most, 1.0)
    elif leaf.kind == "temperature":
        low, high = max(least, min(leaf.si, kelvin(0))), max(leaf.si, kelvin(40))
    elif leaf.kind == "angle":
        low, high = max(least, 0.0), min(most, 1.2)
    elif leaf.si == 0:
        low, high = max(least, 0.0), min(most, 1.0)
    else:
        low, high = sorted((leaf.si / 5, leaf.si * 5))
        low, high = max(low, least), min(high, most)
    return possible(inputs, leaf, low, high)


def range_of(inputs: Inputs[Any], leaf: Leaf, low: float | None, high: float | None) -> tuple[float, float]:
    """The range asked for, its usual ends where None, as far as nothing in it is refused.  Raises OutOfRange where it is empty."""
    usual = usual_range(inputs, leaf) if low is None or high is None else (low, high)
    low = usual[0] if low is None else max(low, leaf.least)
    high = usual[1] if high is None else min(high, leaf.most)
    if low < high:
        low, high = possible(inputs, leaf, low, high)
    if not low < high:
        raise OutOfRange("input", cases.RANGE_EMPTY)
    return low, high


def possible(inputs: Inputs[Any], leaf: Leaf, low: float, high: float) -> tuple[float, float]:
    """The part of a range, around today's value, in which nothing is refused."""
    return _edge(inputs, leaf, low), _edge(inputs, leaf, high)


def _edge(inputs: Inputs[Any], leaf: Leaf, end: float) -> float:
    if _allowed(inputs, leaf, end):
        return end
    good, bad = leaf.si, end
    for _ in range(24):
        middle = (good + bad) / 2
        good, bad = (middle, bad) if _allowed(inputs, leaf, middle) else (good, middle)
    return good


def _allowed(inputs: Inputs[Any], leaf: Leaf, si: float) -> bool:
    try:
        refuse_what_cannot_be(inputs, {**inputs.nominal(), leaf.path: np.array([si])})
    except Refusal:
        return False
    return True


def result_at(prediction: Prediction, path: str) -> Value:
    """A result that is a number with a unit.  Raises UnknownName."""
    found = dict(walk(prediction.results)).get(path)
    if not isinstance(found, Value):
        known = [p for p, one in walk(prediction.results) if isinstance(one, Value)]
        raise UnknownName("result", cases.RESULT_UNKNOWN, name=path[:60], known=", ".join(known[:12]))
    return found


def sweep(
    demonstration: Demonstration[Any], inputs: Inputs[Any], path: str, result: str, low: float | None = None, high: float | None = None, points: int = POINTS
) -> Curve:
    """The curve of a result over an input.

    path: of the input. result: path of the result. low, high: SI range, None for the usual one. points: 2 or more.
    Raises UnknownName or OutOfRange.
    """
    leaf = swept_input(inputs, path)
    x = np.linspace(*range_of(inputs, leaf, low, high), points)
    setup, room = inputs.made({**inputs.nominal(), path: x})
    made = predicted(demonstration.predict, setup, room)
    value = result_at(made, result)
    y = np.broadcast_to(value.si, x.shape)
    exists = np.broadcast_to(value.exists, x.shape)
    states = np.broadcast_to(made.state, x.shape)
    return Curve(x, y, exists, _band(demonstration, inputs, leaf, result, x), states, value, leaf, result)


def _band(demonstration: Demonstration[Any], inputs: Inputs[Any], leaf: Leaf, result: str, x: Floats) -> Floats:
    """Standard uncertainty along the curve, by central differences at some of its points in one call."""
    uncertain = inputs.uncertain()
    if not uncertain:
        return np.zeros_like(x)
    at = np.linspace(x[0], x[-1], BANDED)
    block = 2 * len(uncertain)
    rows: dict[str, Floats] = dict(inputs.nominal().items())
    rows[leaf.path] = np.repeat(at, block)
    moved = np.empty((BANDED, len(uncertain)))  # in standard uncertainties; one-sided at an end of an input's range
    for k, one in enumerate(uncertain):
        base = rows[one.path] if one.path == leaf.path else np.full(BANDED * block, one.si)
        step = STEP * one.standard_uncertainty
        column = base.reshape(BANDED, block).copy()
        column[:, 2 * k] += step
        column[:, 2 * k + 1] -= step
        column = np.clip(column, one.least, one.most)
        moved[:, k] = (column[:, 2 * k] - column[:, 2 * k + 1]) / one.standard_uncertainty
        rows[one.path] = column.reshape(-1)
    setup, room = inputs.made(rows)
    value = result_at(predicted(demonstration.predict, setup, room), result)
    table = np.broadcast_to(value.si, rows[leaf.path].shape).reshape(BANDED, len(uncertain), 2)
    with np.errstate(invalid="ignore"):
        slopes = np.divide(table[:, :, 0] - table[:, :, 1], moved, out=np.zeros_like(moved), where=moved > 0)
        sd: Floats = np.sqrt(np.nansum(np.square(slopes), axis=1))
    return np.asarray(np.interp(x, at, sd))


def curve_as_json(curve: Curve, most: int = 200) -> dict[str, Any]:
    """A curve as JSON values, thinned to so many points; null where the result does not exist."""
    keep = np.unique(np.linspace(0, curve.x.size - 1, most).astype(int))
    y = [float(v) if e else None for v, e in zip(curve.y[keep], curve.exists[keep], strict=True)]
    return {
        "input": {"path": curve.leaf.path, "label": curve.input_name, "kind": curve.leaf.kind, "unit": curve.leaf.unit, "today": curve.leaf.si},
        "result": {"label": curve.result_name, "kind": curve.value.kind},
        "x": curve.x[keep].tolist(),
        "y": y,
        "sd": curve.sd[keep].tolist(),
        "states": [STATES[int(state)] for state in curve.states[keep]],
    }


def curve_as_csv(curve: Curve) -> str:
    """The whole curve as CSV: input, result, its standard uncertainty (SI), verdict."""
    import csv
    import io

    out = io.StringIO()
    table = csv.writer(out)
    table.writerow(
        [f"{curve.input_name} [{KINDS[curve.leaf.kind].si}]", f"{curve.result_name} [{KINDS[curve.value.kind].si}]", "standard uncertainty", "verdict"]
    )
    for x, y, exists, sd, state in zip(curve.x, curve.y, curve.exists, curve.sd, curve.states, strict=True):
        table.writerow([f"{x:.9g}", f"{y:.9g}" if exists else "", f"{sd:.4g}" if exists else "", STATES[int(state)]])
    return out.getvalue()
