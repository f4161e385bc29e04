"""A vessel that drains through several holes at once, quasi-steadily."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

import numpy as np
from numpy.typing import NDArray

from .vessels import diameter_at, volume_below

Floats = NDArray[np.float64]
NODES = 12
"""Gauss-Legendre nodes per stretch of level: 6e-8 relative at most on 400 random vessels, against 1e-6 asked."""


@dataclass(frozen=True)
class Holes:
    """What of a set of holes decides the draining, each of shape (rows, n).

    strength: C_d A sqrt(2 g) [m^2.5/s]. datum: level at which a hole's outflow would be zero [m]. stop: level at which it
    stops [m], not below its datum. runs: whether it runs at the start. viscous_head: `laws.jets.viscous_head` [m]; None for a
    liquid that loses nothing to viscosity. A hole's flow at a level is strength (sqrt(level - datum + viscous) - sqrt viscous).
    """

    strength: Floats
    datum: Floats
    stop: Floats
    runs: NDArray[np.bool_]
    viscous_head: Floats | None = None


@cache
def _nodes() -> tuple[Floats, Floats]:
    x, w = np.polynomial.legendre.leggauss(NODES)
    return (x + 1) / 2, w / 2


def stretch_times(start: Floats, holes: Holes, heights: Floats, diameters: Floats, marks: Floats | None = None) -> tuple[Floats, Floats]:
    """Time that the level takes for each stretch between two events.

    start : array
        Level at the start, shape (rows,). [m]
    holes : Holes
        See there. [1]
    heights : array
        Of the vessel's profile, shape (rows, k). [m]
    diameters : array
        Of the vessel's profile, shape (rows, k). [m]
    marks : array
        Levels at which times are wanted besides, shape (rows, m). [m]
    returns : (array, array)
        Lower end of each stretch and time taken for it, falling, shape (rows, s). [m], [s]
    Source: [Streeter], with [Dagan] for what viscosity takes; dt = A(H) dH / sum of the flows, Gauss-Legendre in the square
    root of the head that vanishes first.
    """
    rows, n = holes.datum.shape
    top = start[:, None] + np.zeros((rows, 1))
    stops = np.where(holes.runs, holes.stop, top)
    inner = [heights] if heights.shape[1] > 1 else []
    inner += [] if marks is None else [marks]
    levels = stops
    if inner:
        foot = stops.min(axis=1, keepdims=True)
        levels = np.concatenate([stops, *(np.clip(np.broadcast_to(i, (rows, i.shape[1])), foot, top) for i in inner)], axis=1)
    low = -np.sort(-levels, axis=1)
    high = np.concatenate([top, low[:, :-1]], axis=1)
    # the highest to stop comes first: where stretches are from stop to stop, hole k runs in the first k + 1 of them
    order = np.argsort(-stops, axis=1, kind="stable")
    own = np.arange(rows)
    ordered = [holes.datum, stops, np.where(holes.runs, holes.strength, 0.0)] + ([] if holes.viscous_head is None else [holes.viscous_head])
    datum, stop, strength, *viscous = (a[own[:, None], order].T for a in ordered)
    worked = _worked_out_in(start, holes, heights, diameters, low, (datum, stop, strength, *viscous), bool(inner))
    stretch, row = np.nonzero(((worked == own[:, None]) & (low < high)).T)
    time = np.zeros(low.shape)
    at = low[row, stretch]
    runs = np.where(stop[:, row] <= at, strength[:, row], 0.0)
    # from stop to stop, hole k runs in none of the stretches after the k-th: worth finding for more rows than one
    last = [len(row)] * n if inner or rows == 1 else np.searchsorted(stretch, np.arange(1, n + 1)).tolist()
    thick = viscous[0][:, row] if viscous else None
    time[row, stretch] = _times(at, high[row, stretch], datum[:, row], runs, thick, last, heights[row % len(heights)], diameters[row % len(diameters)])
    return low, time[worked, np.arange(low.shape[1])]


def _worked_out_in(
    start: Floats, holes: Holes, heights: Floats, diameters: Floats, low: Floats, sorted_holes: tuple[Floats, ...], mixed: bool
) -> NDArray[np.intp]:
    """Row in which each stretch is worked out, shape (rows, s): its own, or one where it is the same.

    Along a sweep only the first stretch changes, and a hole's tolerance leaves those below it as they are.
    mixed: whether a stretch may begin or end elsewhere than at a hole's stop.
    """
    own = np.arange(len(start))
    if len(own) == 1:
        return np.zeros(low.shape, dtype=np.intp)
    of_holes = (holes.datum, holes.stop, holes.strength) + (() if holes.viscous_head is None else (holes.viscous_head,))
    each = np.concatenate([np.broadcast_to(a, (len(own), a.shape[1])) for a in (*of_holes, heights, diameters)], axis=1)
    mark = (each * np.sqrt(np.arange(2.0, each.shape[1] + 2))).sum(axis=1)  # one figure a row; the same for the same
    order = np.lexsort((-start, mark))
    alike = order[np.searchsorted(mark[order], mark)]  # of the rows with the same holes and vessel, the one that starts highest
    alike = np.where((each == each[alike]).all(axis=1), alike, own)
    highest = int(np.argmax(start))
    moved: NDArray[np.bool_] = np.logical_or.reduce([a != a[:, highest, None] for a in sorted_holes])
    moved = np.logical_or.reduce(moved, axis=0, keepdims=True) if mixed else np.maximum.accumulate(moved[::-1])[::-1]
    vessel = each[:, len(of_holes) * holes.datum.shape[1] :]
    other = moved.T | (vessel != vessel[highest]).any(axis=1, keepdims=True)
    high = np.concatenate([start[:, None], low[:, :-1]], axis=1)
    found = np.where((low == low[alike]) & (high == high[alike]), alike[:, None], own[:, None])
    found = np.where(~other & (low == low[highest]) & (high == high[highest]), highest, found)
    return np.take_along_axis(found, found, axis=0)  # what is the same as one that is the same as a third


def _times(low: Floats, high: Floats, datum: Floats, strength: Floats, viscous: Floats | None, upto: list[int], heights: Floats, diameters: Floats) -> Floats:
    """Times [s] of stretches from high to low [m]; a column of datum [m] and strength [m^2.5/s] each, 0 where a hole has stopped.

    viscous: of each hole in each stretch its viscous head [m]. upto: of each hole, how many of the first stretches it can run in.
    """
    nearest = np.where(strength > 0, datum, -np.inf).max(axis=0)
    nearest = np.where(nearest > -np.inf, nearest, low)
    first, last = np.sqrt(np.maximum(low - nearest, 0)), np.sqrt(np.maximum(high - nearest, 0))
    datum = np.minimum(datum, nearest)  # of a hole that has stopped too, so that no root is of less than nothing
    x, w = _nodes()
    span = last - first
    root = first + span * x[:, None] ** 2  # clustered at the foot, where the next hole's root is nearest
    above = root**2
    flow = np.zeros(above.shape)
    still = None if viscous is None else np.sqrt(viscous)
    for k, end in enumerate(upto):
        over = nearest[:end] - datum[k, :end]
        fall = above[:, :end] + (over if viscous is None else over + viscous[k, :end])
        np.sqrt(fall, out=fall)
        if still is not None:
            fall -= still[k, :end]
        fall *= strength[k, :end]
        flow[:, :end] += fall
    across = diameter_at((nearest + above).T, heights, diameters).T
    root *= np.pi * span * across**2
    rate = np.divide(root, flow, out=np.zeros_like(flow), where=flow > 0)
    return np.asarray((x * w) @ rate)


def stop_times(start: Floats, holes: Holes, heights: Floats, diameters: Floats) -> Floats:
    """When each hole stops, with all holes draining together.

    start : array
        Level at the start, shape (rows,). [m]
    holes : Holes
        See there. [1]
    heights : array
        Of the vessel's profile, shape (rows, k). [m]
    diameters : array
        Of the vessel's profile, shape (rows, k). [m]
    returns : array
        Time, 0 where a hole does not run, shape (rows, n). [s]
    Source: as stretch_times, [Streeter].
    """
    low, time = stretch_times(start, holes, heights, diameters)
    return np.where(holes.runs, ((low[:, :, None] >= holes.stop[:, None, :]) * time[:, :, None]).sum(axis=1), 0.0)


def volume_lost(start: Floats, holes: Holes, heights: Floats, diameters: Floats) -> Floats:
    """Volume that runs out until the last hole stops.

    start : array
        Level at the start, shape (rows,). [m]
    holes : Holes
        See there. [1]
    heights : array
        Of the vessel's profile, shape (rows, k). [m]
    diameters : array
        Of the vessel's profile, shape (rows, k). [m]
    returns : array
        Volume, 0 where none runs, shape (rows,). [m^3]
    Source: [Massey], geometry.
    """
    foot = np.where(holes.runs, holes.stop, start[:, None]).min(axis=1)
    return np.asarray(volume_below(start, heights, diameters) - volume_below(foot, heights, diameters))
