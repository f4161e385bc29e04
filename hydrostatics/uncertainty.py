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
LEAST_SHARE = 1e-9
"""A smaller share of a variance is not told."""
_PER_INPUT = 4  # rows of one uncertain input: a step up, a step down, the upper and the lower end of its tolerance
Floats = NDArray[np.float64]


@dataclass(frozen=True)
class Spread:
    """Standard uncertainties of all results and where they come from.

    values: the results with a unit, in order. sd: theirs [SI], shape (v,). shares: of the variance, by path of the input.
    inputs: the uncertain inputs. edges: per code that changes within a tolerance, its label and the inputs that do it.
    unknown: inputs for which no derivative could be taken for some result.
    """

    values: tuple[tuple[str, Value], ...]
    nominal: Floats
    exists: NDArray[np.bool_]
    sd: Floats
    shares: list[dict[str, float]]
    inputs: tuple[Leaf, ...]
    edges: dict[str, list[Leaf]]
    unknown: tuple[Leaf, ...]
    index: dict[str, int]


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
    si, least, most = np.array([[leaf.si, leaf.least, leaf.most] for leaf in uncertain]).T[:, :, None]
    moved = si + np.stack([steps, -steps, edge, -edge], axis=1)
    valid[1:] = ((moved >= least) & (moved <= most)).ravel()
    columns = np.repeat(si, count, axis=1)
    own = np.arange(n)[:, None]
    # a row outside is not counted, but nothing is asked there either
    columns[own, 1 + _PER_INPUT * own + np.arange(_PER_INPUT)] = np.clip(moved, least, most)
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
    there = np.ones(len(values), dtype=np.bool_)
    by_row: dict[int, NDArray[np.bool_]] = {}  # results whose rows say for themselves whether they exist
    for v, (_, value) in enumerate(values):
        table[v] = value.si
        exists = value.exists
        if isinstance(exists, np.ndarray) and exists.shape[0] == count:
            by_row[v] = exists
        elif exists is not True:
            there[v] = np.all(exists)
    partly: dict[int, NDArray[np.bool_]] = {}  # results that exist in some rows alone
    if by_row:
        told: NDArray[np.bool_] = np.array(list(by_row.values()))
        there[list(by_row)] = told[:, 0]
        partly = {v: by_row[v] for v, row in zip(by_row, told, strict=True) if not row.all()}
    same = [_as_first(code.numbers, count) for code in codes]
    good: NDArray[np.bool_] = np.logical_and.reduce([valid, *same])
    slope, found = _slopes(table, good, steps)
    for v, exists in partly.items():
        own, has = _slopes(table[v : v + 1], good & exists, steps)
        slope[v], found[v] = own[0], has[0]
    with np.errstate(invalid="ignore", over="ignore"):
        variance = np.square(slope * (steps / STEP))
        total = variance.sum(axis=1)
    lost: NDArray[np.bool_] = np.any(~found & there[:, None], axis=0)
    return Spread(
        tuple(values),
        table[:, 0],
        there,
        np.sqrt(total),
        _shares(variance, total, uncertain),
        tuple(uncertain),
        _edges(codes, same, uncertain, valid),
        tuple(leaf for leaf, gone in zip(uncertain, lost.tolist(), strict=True) if gone),
        {path: v for v, (path, _) in enumerate(values)},
    )


def _slopes(table: Floats, good: NDArray[np.bool_], steps: Floats) -> tuple[Floats, NDArray[np.bool_]]:
    """Derivatives by each input within the nominal case's branch, and whether there is one, both shape (v, inputs).

    table: results, shape (v, rows). good: rows of the nominal branch. One-sided where only one side is of the branch.
    """
    up, down, first = table[:, 1::_PER_INPUT], table[:, 2::_PER_INPUT], table[:, :1]
    above, below = good[1::_PER_INPUT], good[2::_PER_INPUT]
    with np.errstate(invalid="ignore", over="ignore"):
        slope = (up - down) / (2 * steps)
        for one_sided, number in ((above & ~below, 1), (below & ~above, -1)):
            if one_sided.any():
                moved = (up if number > 0 else down)[:, one_sided]
                slope[:, one_sided] = number * (moved - first) / steps[one_sided]
    either = above | below
    slope[:, ~either] = 0.0
    return slope, np.broadcast_to(either, slope.shape).copy()


def _shares(variance: Floats, total: Floats, uncertain: list[Leaf]) -> list[dict[str, float]]:
    """Per result the shares of its variance that are worth telling, by path of the input."""
    made: list[dict[str, float]] = [{} for _ in range(variance.shape[0])]
    paths = [leaf.path for leaf in uncertain]
    results, inputs = np.nonzero(variance > LEAST_SHARE * total[:, None])
    parts = variance[results, inputs] / total[results]
    for v, i, share in zip(results.tolist(), inputs.tolist(), parts.tolist(), strict=True):
        made[v][paths[i]] = share
    return made


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
