"""One level in several vessels at once."""

from __future__ import annotations

from dataclasses import dataclass
from functools import reduce
from typing import Any

import numpy as np
from numpy.typing import NDArray

from .vessels import diameter_at

Floats = NDArray[np.float64]
_STEPS, _FOUND = 9, 1e-14
"""Newton's steps within one stretch at the most, 1e-12 of its height on all vessels of the tests, and the part of it below which a step is none."""


@dataclass(frozen=True)
class Joined:
    """Vessels side by side, cut at every height where one of them changes its slope, up to the lowest rim; the rows come last.

    cuts: heights rising, shape (m, rows) [m]. diameters: of each vessel there, shape (n, m, rows) [m]. longer: how many times a
    horizontal section is larger than the section across, shape (n, rows). below: volume of each below each cut, shape (n, m, rows) [m^3].
    """

    cuts: Floats
    diameters: Floats
    longer: Floats
    below: Floats

    @property
    def capacity(self) -> Floats:
        """Volume up to the lowest rim, shape (rows,) [m^3]."""
        return np.asarray(self.below[:, -1].sum(axis=0))


def joined(contours: list[tuple[Floats, Floats]], longer: list[Floats], rims: list[Floats]) -> Joined:
    """Vessels made ready for one level.

    contours : array
        Heights and diameters of each from the junction up, each of shape (rows, k). [m]
    longer : array
        How many times a horizontal section is larger than the section across, each of shape (rows,). [1]
    rims : array
        Height of each rim above the junction, each of shape (rows,). [m]
    returns : array
        The vessels, see `Joined`. [1]
    Source: [Massey], geometry of frustums.
    """
    rows, n = max(array.shape[0] for group in (*contours, longer, rims) for array in group), len(contours)
    rim = reduce(np.minimum, rims)
    inner = [height for heights, _ in contours for height in heights.T[1:-1]]
    cuts = np.zeros((len(inner) + 2, rows))
    for k, height in enumerate(inner, 1):
        np.minimum(height, rim, out=cuts[k])
    if sum(heights.shape[1] > 2 for heights, _ in contours) > 1:
        cuts[1:-1].sort(axis=0)
    cuts[-1] = rim
    across, wide = np.empty((n, len(cuts), rows)), np.empty((n, rows))
    for k, (heights, diameters) in enumerate(contours):
        across[k], wide[k] = _at(cuts, heights, diameters), longer[k]
    first, last = across[:, :-1], across[:, 1:]
    below = np.zeros(across.shape)
    np.cumsum(np.pi / 12 * wide[:, None] * np.diff(cuts, axis=0) * (first * (first + last) + last * last), axis=1, out=below[:, 1:])
    return Joined(cuts, across, wide, below)


def _at(cuts: Floats, heights: Floats, diameters: Floats) -> Floats:
    if heights.shape[1] > 2:
        return np.asarray(diameter_at(cuts.T, heights, diameters).T)
    return np.asarray(diameters[:, 0] + (diameters[:, 1] - diameters[:, 0]) / heights[:, 1] * cuts)


def level_of(vessels: Joined, volume: Any) -> tuple[Floats, Floats, Floats]:
    """The level at which joined vessels hold a volume.

    vessels : array
        See `Joined`. [1]
    volume : array
        Above the junction, from 0 to the capacity, shape (rows,). [m^3]
    returns : (array, array, array)
        Level above the junction, shape (rows,); diameter and volume of each there, shape (n, rows). [m], [m], [m^3]
    Source: [Massey], geometry of frustums.
    """
    total = vessels.below.sum(axis=0)
    stretch = np.clip((total <= volume).sum(axis=0) - 1, 0, len(total) - 2)
    (low, high), (foot, top) = _ends(vessels.cuts, stretch), _ends(total, stretch)
    (first, last), below = _ends(vessels.diameters, stretch), _ends(vessels.below, stretch)[0]
    span = np.where(high > low, high - low, 1.0)
    slope = (last - first) / span
    wide = np.pi / 4 * vessels.longer
    flat, bent = wide * first, wide * slope
    one, two, three = (flat * first).sum(axis=0), (flat * slope).sum(axis=0), (bent * slope).sum(axis=0) / 3
    wanted = np.maximum(volume - foot, 0.0)
    x = span * np.minimum(wanted / np.where(top > foot, top - foot, 1.0), 1.0)
    for _ in range(_STEPS):
        step = (x * (one + x * (two + x * three)) - wanted) / (one + x * (2 * two + x * (3 * three)))
        x = np.minimum(np.maximum(x - step, 0.0), span)
        if (np.abs(step) <= _FOUND * span).all():
            break
    x = np.minimum(x, high - low)
    more = x * slope
    held = below + wide * x * (first * (first + more) + more * more / 3)
    return low + x, first + more, held


def _ends(array: Floats, stretch: NDArray[np.intp]) -> tuple[Floats, Floats]:
    """What stands at both ends of each row's stretch, the last axis but one being along the cuts; one row may stand for all."""
    k = int(stretch[0])
    if (stretch == k).all():
        return array[..., k, :], array[..., k + 1, :]
    own = np.arange(len(stretch)) if array.shape[-1] == len(stretch) else np.zeros(len(stretch), dtype=np.intp)
    return array[..., stretch, own], array[..., stretch + 1, own]
