"""Every place in a range where a function of one number comes to zero: crossings, touches, and stretches on which it stays there."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]
Known = NDArray[np.bool_]
Function = Callable[[Floats], tuple[Floats, Known]]
"""Values at some points, and where there are any; points in any number and order."""
SAME = 1e-7
"""A value this small against the largest seen is zero: the digits of a root that a person types."""
HALVINGS = 45


def zeros(f: Function, x: Floats, y: Floats, there: Known) -> list[tuple[float, float]]:
    """Where f is zero, as (low, high), the two alike for a single place.

    f: see Function. x: rising, points at which it was looked at; y, there: what f gave. An interval in which f itself jumps over
    zero has none.
    """
    x, y, there = _with_edges(f, x, y, there)
    scale = float(np.max(np.abs(y[there]), initial=0.0))
    small = SAME * scale
    flat = there & (np.abs(y) <= max(1e-12 * scale, 0.0))
    found = _stretches(f, x, flat, 1e-12 * scale)
    with_sign = there & ~flat
    crosses = with_sign[1:] & with_sign[:-1] & (np.sign(y[1:]) != np.sign(y[:-1]))
    single = list(_crossings(f, x[:-1][crosses], x[1:][crosses], small)) if crosses.any() else []
    low = np.abs(y)
    lowest = (low[1:-1] <= low[2:]) & (low[1:-1] <= low[:-2]) & ((low[1:-1] < low[2:]) | (low[1:-1] < low[:-2]))
    # a dip that comes down to zero within its cell is no higher at the point than what it falls from a neighbour
    lowest &= low[1:-1] <= np.maximum(low[2:], low[:-2]) - low[1:-1]
    dips = with_sign[1:-1] & with_sign[2:] & with_sign[:-2] & lowest & ~crosses[1:] & ~crosses[:-1]
    if dips.any():
        k = np.flatnonzero(dips) + 1
        single += _touches(f, x[k - 1], x[k], x[k + 1], small)
    found += [(one, one) for one in single if not any(a <= one <= b for a, b in found)]
    return sorted(found)


def _with_edges(f: Function, x: Floats, y: Floats, there: Known) -> tuple[Floats, Floats, Known]:
    """The points, and beside them the last ones that have a value before it goes missing."""
    flips = np.flatnonzero(there[1:] != there[:-1])
    if not flips.size:
        return x, y, there
    inside = np.where(there[flips], x[flips], x[flips + 1])
    outside = np.where(there[flips], x[flips + 1], x[flips])
    for _ in range(HALVINGS):
        middle = (inside + outside) / 2
        _, has = f(middle)
        inside, outside = np.where(has, middle, inside), np.where(has, outside, middle)
    more, has = f(inside)
    x, order = np.unique(np.concatenate([x, inside]), return_index=True)
    return x, np.concatenate([y, more])[order], np.concatenate([there, has])[order]


def _crossings(f: Function, left: Floats, right: Floats, small: float) -> list[float]:
    """Roots in all brackets at once; a bracket in which f jumps over zero has none."""
    from scipy.optimize import elementwise

    found = elementwise.find_root(lambda at: f(at)[0], (left, right), tolerances={"xrtol": 1e-12, "xatol": 1e-14})
    at = np.atleast_1d(found.x)
    y, has = f(at)
    good = has & np.isfinite(at) & (np.abs(y) <= small)
    return [float(one) for one in at[good]]


def _touches(f: Function, left: Floats, middle: Floats, right: Floats, small: float) -> list[float]:
    """Places where |f| dips to zero without crossing it."""
    from scipy.optimize import elementwise

    found = elementwise.find_minimum(lambda at: np.abs(f(at)[0]), (left, middle, right), tolerances={"xrtol": 1e-12, "xatol": 1e-14}, maxiter=200)
    at, least = np.atleast_1d(found.x), np.atleast_1d(found.f_x)
    return [float(one) for one, value in zip(at, least, strict=True) if value <= small]


def _stretches(f: Function, x: Floats, flat: Known, tiny: float) -> list[tuple[float, float]]:
    """Runs of points at which f is zero, each with its ends."""
    if not flat.any():
        return []
    padded = np.concatenate([[False], flat, [False]]).astype(int)
    first, last = np.flatnonzero(np.diff(padded) == 1), np.flatnonzero(np.diff(padded) == -1) - 1
    made = []
    for a, b in zip(first.tolist(), last.tolist(), strict=True):
        if a == b:
            made.append((float(x[a]), float(x[a])))
        else:
            made.append((_end(f, x, a, a - 1, tiny), _end(f, x, b, b + 1, tiny)))
    return made


def _end(f: Function, x: Floats, inside: int, outside: int, tiny: float) -> float:
    if not 0 <= outside < len(x):
        return float(x[inside])
    on, off = float(x[inside]), float(x[outside])
    for _ in range(HALVINGS):
        middle = (on + off) / 2
        y, has = f(np.array([middle]))
        on, off = (middle, off) if has[0] and abs(y[0]) <= tiny else (on, middle)
    return on
