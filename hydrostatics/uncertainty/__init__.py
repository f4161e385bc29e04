"""Uncertainty of every demonstration, written once: first-order propagation (JCGM 100), draws where a straight line does not hold."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..documents.inputs import Inputs, Leaf
from ..fields import Part
from ..prediction import Code, Node, Prediction, Value, later, walk
from ..room.derived import Room
from ..seen_from import with_seen_from
from .draws import Draws
from .linearity import not_straight
from .rows import STEP, Floats, Layout, alike, rows_of
from .spread import Spread, sure

__all__ = ["STEP", "Spread", "predicted", "propagate"]
_IGNORED: Any = {"invalid": "ignore", "divide": "ignore", "over": "ignore"}
"""What rows may meet that are out of a case: what does not exist there is said by `exists`."""
LEAST_SHARE = 1e-9
"""A smaller share of a variance is not told."""


def propagate(inputs: Inputs[Part], predict: Callable[[Part, Room], Prediction], drawn: bool = True) -> tuple[Prediction, Part, Room, Spread]:
    """Predicts the nominal case and, beside it, the rows from which its uncertainty follows.

    inputs: as read. predict: of the demonstration. drawn: whether the ends of tolerances are tried, and draws made where a straight
    line does not hold (not while a handle is dragged). Returns the prediction (row 0 nominal), the set-up and room of all rows, and the spread.
    """
    uncertain = inputs.uncertain()
    rows, valid, steps, layout = rows_of(inputs, uncertain, drawn)
    setup, room = inputs.made(rows)
    prediction = predicted(predict, setup, room)

    known: list[float] = []  # the standard uncertainty by which a state is judged, once it is known

    def at_rows(values: dict[str, Floats]) -> Prediction:
        made = predicted(predict, *inputs.made(values))
        return made.knowing(known[0]) if known else made

    draws = Draws(inputs, uncertain, at_rows) if drawn and uncertain else None
    spread = _spread(prediction, rows, uncertain, valid, steps, layout, at_rows, draws, known)
    return prediction.knowing(known[0]) if known else prediction, setup, room, spread


def predicted(predict: Callable[[Part, Room], Prediction], setup: Part, room: Room) -> Prediction:
    """A prediction with what the core adds to every demonstration's: from how far its movement is seen."""
    with np.errstate(**_IGNORED):
        made = predict(setup, room)

    def seen() -> Mapping[str, Node]:
        with np.errstate(**_IGNORED):
            return with_seen_from(made.results)

    return replace(made, made=later(seen))


def _spread(
    prediction: Prediction,
    rows: dict[str, Floats],
    uncertain: list[Leaf],
    valid: NDArray[np.bool_],
    steps: Floats,
    layout: Layout,
    at_rows: Callable[[dict[str, Floats]], Prediction],
    draws: Draws | None,
    known: list[float],
) -> Spread:
    count = valid.shape[0]
    values: list[tuple[str, Value]] = []
    codes: list[Code] = [Code(prediction.state, None, "the verdict")]
    for path, node in walk(prediction.results):
        if isinstance(node, Value):
            values.append((path, node))
        elif isinstance(node, Code):
            codes.append(node)
    index = {path: v for v, (path, _) in enumerate(values)}
    settled = prediction.judged is None and len(prediction.state) == 1
    scattered = [(v, value) for v, (_, value) in enumerate(values) if value.own]
    if not (uncertain or scattered):
        known += [] if prediction.judged is None else [0.0]
        return sure(tuple(values), index, settled, at_rows)
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
    slope, found = _slopes(table, good, steps, layout)
    for which in alike(partly):
        slope[which], found[which] = _slopes(table[which], good & partly[which[0]], steps, layout)
    with np.errstate(invalid="ignore", over="ignore"):
        variance = np.square(slope * (steps / STEP))
        total = variance.sum(axis=1)
    lost: NDArray[np.bool_] = np.any(~found & there[:, None], axis=0)
    for v, value in scattered:
        total[v] += value.own**2
    sd, shares = np.sqrt(total), _shares(variance, total, uncertain)
    if prediction.judged is not None:
        judging = next(v for v, (path, _) in enumerate(values) if path == prediction.judged.path)
        known.append(float(sd[judging]) if there[judging] else 0.0)
        same[0] = _as_first(prediction.knowing(known[0]).state, count)
    at_ends = _at_ends(same, layout)
    curved: dict[int, float] = {}
    if draws is not None:
        in_row: NDArray[np.bool_] | None = None
        if partly:
            in_row = np.ones(table.shape, dtype=np.bool_)
            for v, exists in partly.items():
                in_row[v] = exists
        bent = not_straight(table, in_row, there, slope, sd, np.stack([rows[leaf.path] for leaf in uncertain]), layout)
        drawn = draws.of([values[v][0] for v in bent]) if bent else {}
        for v in bent:
            if values[v][0] in drawn:
                sd[v], shares[v], curved[v] = drawn[values[v][0]]
    for v, value in scattered:
        if v in curved:
            by_inputs = float(sd[v])
            sd[v] = np.hypot(by_inputs, value.own)
            shares[v] = {path: part * (by_inputs / sd[v]) ** 2 for path, part in shares[v].items()}
        shares[v][value.own_from] = float((value.own / sd[v]) ** 2)
    return Spread(
        tuple(values),
        table[:, 0],
        there,
        sd,
        shares,
        tuple(uncertain),
        _edges(codes, at_ends, uncertain),
        tuple(leaf for leaf, gone in zip(uncertain, lost.tolist(), strict=True) if gone),
        index,
        slope,
        tuple(leaf for leaf, turns in zip(uncertain, at_ends[0].tolist(), strict=True) if turns),
        settled,
        at_rows,
        curved,
        draws,
    )


def _slopes(table: Floats, good: NDArray[np.bool_], steps: Floats, layout: Layout) -> tuple[Floats, NDArray[np.bool_]]:
    """Derivatives by each input within the nominal case's branch, and whether there is one, both shape (v, inputs).

    table: results, shape (v, rows). good: rows of the nominal branch. One-sided where only one side is of the branch.
    """
    ups, downs = layout.block(0), layout.block(1)
    up, down, first, above, below = table[:, ups], table[:, downs], table[:, :1], good[ups], good[downs]
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


def _at_ends(same: list[NDArray[np.bool_]], layout: Layout) -> NDArray[np.bool_]:
    """Whether each code differs at an end of each input's tolerance, shape (codes, inputs); none where the ends are left out."""
    if not layout.ends:
        return np.zeros((len(same), layout.n), dtype=np.bool_)
    differs = ~np.array(same)
    return np.asarray(differs[:, layout.block(2)] | differs[:, layout.block(3)])


def _edges(codes: list[Code], at_ends: NDArray[np.bool_], uncertain: list[Leaf]) -> dict[str, list[Leaf]]:
    """The codes that come out differently at an end of a tolerance, with the inputs that do it."""
    found: dict[str, list[Leaf]] = {}
    for code, ends in zip(codes, at_ends, strict=True):
        if code.label and ends.any():
            found[code.label] = [leaf for leaf, crosses in zip(uncertain, ends.tolist(), strict=True) if crosses]
    return found
