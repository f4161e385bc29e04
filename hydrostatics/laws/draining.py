"""A vessel that drains through several holes at once, quasi-steadily."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

import numpy as np
from numpy.typing import NDArray

from .vessels import diameter_at, volume_below

Floats = NDArray[np.float64]
NODES = 12
"""Gauss-Legendre nodes per stretch of level: 1e-9 relative on 300 random vessels, against 1e-6 asked."""


@dataclass(frozen=True)
class Holes:
    """What of a set of holes decides the draining, each of shape (rows, n).

    strength: C_d A sqrt(2 g) [m^2.5/s]. datum: level at which a hole's outflow would be zero [m]. stop: level at which it
    stops [m], not below its datum. runs: whether it runs at the start.
    """

    strength: Floats
    datum: Floats
    stop: Floats
    runs: NDArray[np.bool_]


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
    Source: [Streeter]; dt = A(H) dH / sum of the flows, Gauss-Legendre in the square root of the head that vanishes first.
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
    datum, stop = (np.take_along_axis(a, order, axis=1).T[:, :, None] for a in (holes.datum, stops))
    strength = np.take_along_axis(np.where(holes.runs, holes.strength, 0.0), order, axis=1).T[:, :, None]
    open_ = (strength > 0) & (stop <= low)
    nearest = np.where(open_, datum, -np.inf).max(axis=0)
    nearest = np.where(nearest > -np.inf, nearest, low)
    first, last = np.sqrt(np.maximum(low - nearest, 0)), np.sqrt(np.maximum(high - nearest, 0))
    x, w = _nodes()
    span = (last - first)[:, :, None]
    root = first[:, :, None] + span * x**2  # clustered at the foot, where the next hole's root is nearest
    above = root**2
    level = nearest[:, :, None] + above
    flow = np.zeros(level.shape)
    for k in range(n):
        part = slice(None) if inner else slice(None, k + 1)
        head = above[:, part] + (nearest - datum[k])[:, part, None]
        np.sqrt(np.maximum(head, 0, out=head), out=head)
        head *= (strength[k] * open_[k])[:, part, None]
        flow[:, part] += head
    across = diameter_at(level, heights, diameters) if heights.shape[1] > 1 else diameters[:, :, None]
    root *= (np.pi * span) * across**2
    rate = np.divide(root, flow, out=np.zeros_like(flow), where=flow > 0)
    return low, rate @ (x * w)


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
