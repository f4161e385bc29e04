"""First-order propagation for every demonstration, written once (JCGM 100), in one call of `predict` for all rows."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from .documents.inputs import Inputs, Leaf
from .fields import Part
from .prediction import Code, Prediction, Value, walk
from .room.derived import Room
from .seen_from import with_seen_from

STEP = 1e-3
"""Derivatives are taken over this part of a standard uncertainty."""
_PER_INPUT = 4  # rows of one uncertain input: a step up, a step down, the upper and the lower end of its tolerance
Floats = NDArray[np.float64]


@dataclass(frozen=True)
class Spread:
    """Standard uncertainties of all results and where they come from.

    values: the results with a unit, in order. sd: theirs [SI], shape (v,). shares: of the variance, shape (inputs, v).
    inputs: the uncertain inputs. edges: per code that changes within a tolerance, its label and the inputs that do it.
    unknown: inputs for which no derivative could be taken for some result.
    """

    values: tuple[tuple[str, Value], ...]
    nominal: Floats
    exists: NDArray[np.bool_]
    sd: Floats
    shares: Floats
    inputs: tuple[Leaf, ...]
    edges: dict[str, list[Leaf]]
    unknown: tuple[Leaf, ...]
    index: dict[str, int]
    share_lists: list[list[float]]


def propagate(inputs: Inputs[Part], predict: Callable[[Part, Room], Prediction]) -> tuple[Prediction, Part, Room, Spread]:
    """Predicts the nominal case and, beside it, the rows from which its uncertainty follows.

    inputs: as read. predict: of the demonstration. Returns the prediction (row 0 nominal), the set-up and room of all rows,
    and the spread.
    """
    uncertain = inputs.uncertain()
    rows, valid, steps = _rows(inputs, uncertain)
    setup, room = inputs.made(rows)
    prediction = predicted(predict, setup, room)
    return prediction, setup, room, _spread(prediction, uncertain, valid, steps)


def predicted(predict: Callable[[Part, Room], Prediction], setup: Part, room: Room) -> Prediction:
    """A prediction with what the core adds to every demonstration's: from how far its movement is seen."""
    with np.errstate(invalid="ignore", divide="ignore", over="ignore"):
        made = predict(setup, room)
    return Prediction(with_seen_from(made.results), made.state)


def _rows(inputs: Inputs[Part], uncertain: list[Leaf]) -> tuple[dict[str, Floats], NDArray[np.bool_], Floats]:
    n = len(uncertain)
    count = 1 + _PER_INPUT * n
    rows = inputs.nominal()
    valid = np.ones(count, dtype=np.bool_)
    sd = np.array([leaf.standard_uncertainty for leaf in uncertain])
    steps = sd * STEP
    if not n:
        return rows, valid, steps
    edge = np.array([leaf.half_width or leaf.standard_uncertainty * 3**0.5 for leaf in uncertain])
    columns = np.repeat(np.array([[leaf.si] for leaf in uncertain]), count, axis=1)
    moves = np.stack([steps, -steps, edge, -edge], axis=1)
    own = np.arange(n)[:, None]
    columns[own, 1 + _PER_INPUT * own + np.arange(_PER_INPUT)] += moves
    least, most = np.array([[leaf.least, leaf.most] for leaf in uncertain]).T[:, :, None]
    valid = ((columns >= least) & (columns <= most)).all(axis=0)
    valid[0] = True
    columns = np.clip(columns, least, most)  # a row outside is not counted, but nothing is asked there either
    for leaf, column in zip(uncertain, columns, strict=True):
        rows[leaf.path] = column
    return rows, valid, steps


def _spread(prediction: Prediction, uncertain: list[Leaf], valid: NDArray[np.bool_], steps: Floats) -> Spread:
    count = valid.shape[0]
    values: list[tuple[str, Value]] = []
    codes: list[Code] = [Code(prediction.state, None, "verdict")]
    for path, node in walk(prediction.results):
        if isinstance(node, Value):
            values.append((path, node))
        else:
            codes.append(node)
    table = np.empty((len(values), count))
    exists = np.ones((len(values), count), dtype=np.bool_)
    for v, (_, value) in enumerate(values):
        table[v] = value.si
        if value.exists is not True:
            exists[v] = value.exists
    same = [_as_first(code.numbers, count) for code in codes]
    good = valid.copy()
    for one in same:
        good &= one
    table, exists = table.T, exists.T
    usable = good[:, None] & exists
    up, down = slice(1, None, _PER_INPUT), slice(2, None, _PER_INPUT)
    h = steps[:, None]
    first = table[:1]
    ok_up, ok_down = usable[up], usable[down]
    with np.errstate(invalid="ignore", over="ignore"):
        slope = np.where(ok_up & ok_down, (table[up] - table[down]) / (2 * h), np.where(ok_up, (table[up] - first) / h, (first - table[down]) / h))
        slope = np.where(ok_up | ok_down, slope, 0.0)
        variance = np.square(slope * (h / STEP))
        total = variance.sum(axis=0)
        shares = np.divide(variance, total, out=np.zeros_like(variance), where=total > 0)
    lost = (~(ok_up | ok_down) & exists[0]).any(axis=1)
    index = {path: v for v, (path, _) in enumerate(values)}
    return Spread(
        tuple(values),
        table[0],
        exists[0],
        np.sqrt(total),
        shares,
        tuple(uncertain),
        _edges(codes, same, uncertain, valid),
        tuple(leaf for leaf, gone in zip(uncertain, lost, strict=True) if gone),
        index,
        shares.T.tolist(),
    )


def _as_first(numbers: NDArray[Any], count: int) -> NDArray[np.bool_]:
    same: NDArray[np.bool_] = numbers == numbers[:1]
    if same.ndim > 1:
        same = np.asarray(same.all(axis=1))
    return same if same.shape[0] == count else np.ones(count, dtype=np.bool_)


def _edges(codes: list[Code], same: list[NDArray[np.bool_]], uncertain: list[Leaf], valid: NDArray[np.bool_]) -> dict[str, list[Leaf]]:
    """The codes that come out differently at an end of a tolerance, with the inputs that do it."""
    found: dict[str, list[Leaf]] = {}
    for code, one in zip(codes, same, strict=True):
        if one.all() or not code.label:
            continue
        ends = np.asarray((~one & valid)[1:].reshape(-1, _PER_INPUT)[:, 2:].any(axis=1))
        if ends.any():
            found[code.label] = [leaf for leaf, crosses in zip(uncertain, ends.tolist(), strict=True) if crosses]
    return found
