"""Round vessels whose inside diameter is given at some heights and linear between them."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]


def _spans(heights: Floats, diameters: Floats) -> tuple[Floats, Floats]:
    return np.diff(heights, axis=1), np.diff(diameters, axis=1)


def diameter_at(level: Any, heights: Floats, diameters: Floats) -> Any:
    """Inside diameter at a level; beyond the first and last height the nearest diameter.

    level : array
        Above the inner base, shape (rows, ...). [m]
    heights : array
        Rising, shape (rows, k). [m]
    diameters : array
        There, shape (rows, k). [m]
    returns : array
        Diameter, shaped as level. [m]
    Source: [Massey], geometry.
    """
    if heights.shape[1] == 1:
        return diameters[:, 0].reshape(-1, *(1,) * (np.ndim(level) - 1)) + 0 * level
    span, change = _spans(heights, diameters)
    extra = (1,) * (np.ndim(level) - 1)
    found = diameters[:, 0].reshape(-1, *extra) + 0 * level
    for j in range(span.shape[1]):
        width = span[:, j].reshape(-1, *extra)
        found = found + change[:, j].reshape(-1, *extra) * np.clip((level - heights[:, j].reshape(-1, *extra)) / width, 0, 1)
    return found


def volume_below(level: Any, heights: Floats, diameters: Floats) -> Any:
    """Volume of the vessel below a level, as a pile of frustums.

    level : array
        Above the inner base, shape (rows,). [m]
    heights : array
        Rising, shape (rows, k). [m]
    diameters : array
        There, shape (rows, k). [m]
    returns : array
        Volume, shape (rows,). [m^3]
    Source: [Massey], geometry.
    """
    span, change = _spans(heights, diameters)
    if span.shape[1] == 0:
        return np.pi / 4 * diameters[:, 0] ** 2 * level
    below = np.minimum(level, heights[:, 0]) * diameters[:, 0] ** 2
    above = np.maximum(level - heights[:, -1], 0) * diameters[:, -1] ** 2
    total = below + above
    for j in range(span.shape[1]):
        x = np.clip(level - heights[:, j], 0, span[:, j])
        d, s = diameters[:, j], change[:, j] / span[:, j]
        grown = s * x
        total = total + x * (d * d + grown * (d + grown / 3))
    return np.pi / 4 * total
