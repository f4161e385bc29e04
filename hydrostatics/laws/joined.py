"""One level in several vessels at once."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from .vessels import diameter_at

Floats = NDArray[np.float64]
_STEPS = 9
"""Newton's steps within one stretch: 1e-12 of its height on all vessels of the tests."""


@dataclass(frozen=True)
class Joined:
    """Vessels side by side, cut at every height where one of them changes its slope, up to the lowest rim.

    cuts: heights rising, shape (rows, m) [m]. diameters: of each vessel there, shape (rows, n, m) [m]. longer: how many times a
    horizontal section is larger than the section across, shape (rows, n). below: volume of each below each cut, shape (rows, n, m) [m^3].
    """

    cuts: Floats
    diameters: Floats
    longer: Floats
    below: Floats

    @property
    def capacity(self) -> Floats:
        """Volume up to the lowest rim, shape (rows,) [m^3]."""
        return np.asarray(self.below[:, :, -1].sum(axis=1))


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
    rows = max(array.shape[0] for group in (*contours, longer, rims) for array in group)
    rim = np.min(np.stack([np.broadcast_to(one, (rows,)) for one in rims]), axis=0)[:, None]
    inner = [heights[:, 1:-1] for heights, _ in contours if heights.shape[1] > 2]
    cuts = np.concatenate([np.zeros((rows, 1)), *(np.minimum(np.broadcast_to(one, (rows, one.shape[1])), rim) for one in inner), rim], axis=1)
    if inner:
        cuts = np.sort(cuts, axis=1)
    across = np.stack([_at(cuts, heights, diameters) for heights, diameters in contours], axis=1)
    wide = np.stack([np.broadcast_to(one, (rows,)) for one in longer], axis=1)
    first, last = across[:, :, :-1], across[:, :, 1:]
    volumes = np.pi / 12 * wide[:, :, None] * np.diff(cuts, axis=1)[:, None, :] * (first**2 + first * last + last**2)
    below = np.concatenate([np.zeros((*across.shape[:2], 1)), np.cumsum(volumes, axis=2)], axis=2)
    return Joined(cuts, across, wide, below)


def _at(cuts: Floats, heights: Floats, diameters: Floats) -> Floats:
    if heights.shape[1] > 2:
        return np.asarray(diameter_at(cuts, heights, diameters))
    return np.asarray(diameters[:, :1] + (diameters[:, 1:] - diameters[:, :1]) * cuts / heights[:, 1:])


def level_of(vessels: Joined, volume: Any) -> tuple[Floats, Floats, Floats]:
    """The level at which joined vessels hold a volume.

    vessels : array
        See `Joined`. [1]
    volume : array
        Above the junction, from 0 to the capacity, shape (rows,). [m^3]
    returns : (array, array, array)
        Level above the junction, shape (rows,); diameter and volume of each there, shape (rows, n). [m], [m], [m^3]
    Source: [Massey], geometry of frustums.
    """
    total = vessels.below.sum(axis=1)
    rows = max(total.shape[0], np.shape(volume)[0])
    total = np.broadcast_to(total, (rows, total.shape[1]))
    stretch = np.clip((total <= np.broadcast_to(volume, (rows,))[:, None]).sum(axis=1) - 1, 0, total.shape[1] - 2)
    own = np.arange(rows)
    at = np.arange(rows) if vessels.cuts.shape[0] == rows else np.zeros(rows, dtype=np.intp)
    low, high = vessels.cuts[at, stretch], vessels.cuts[at, stretch + 1]
    span = np.where(high > low, high - low, 1.0)
    first = vessels.diameters[at, :, stretch]
    slope = (vessels.diameters[at, :, stretch + 1] - first) / span[:, None]
    wide = np.pi / 4 * vessels.longer[at if vessels.longer.shape[0] > 1 else np.zeros(rows, dtype=np.intp)]
    one, two, three = (wide * first**2).sum(axis=1), (wide * first * slope).sum(axis=1), (wide * slope**2).sum(axis=1) / 3
    wanted = np.clip(volume - total[own, stretch], 0.0, None)
    within = total[own, stretch + 1] - total[own, stretch]
    x = span * np.clip(wanted / np.where(within > 0, within, 1.0), 0, 1)
    for _ in range(_STEPS):
        x = np.clip(x - (x * (one + x * (two + x * three)) - wanted) / (one + x * (2 * two + x * (3 * three))), 0, span)
    x = np.minimum(x, high - low)
    part = x[:, None]
    held = vessels.below[at, :, stretch] + wide * part * (first**2 + part * slope * (first + part * slope / 3))
    return low + x, first + slope * part, held
