"""Where lettering stands: never on other lettering, a ring, or a line that must be seen."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

import numpy as np
from numpy.typing import NDArray

Box = tuple[float, float, float, float]
"""left, top, right, bottom."""


class Placer:
    """Keeps what is taken and finds room among candidates, the best first."""

    def __init__(self, bounds: Box) -> None:
        self.bounds = bounds
        self.boxes: list[Box] = []
        self._lines: NDArray[np.float64] | None = None

    def keep_lines(self, lines: Iterable[NDArray[np.float64]]) -> None:
        """Takes curves that lettering must not touch, as the boxes of their pieces."""
        pieces = []
        for array in lines:
            if len(array) > 1:
                pieces.append(np.concatenate([np.minimum(array[:-1], array[1:]), np.maximum(array[:-1], array[1:])], axis=1))
        self._lines = np.concatenate(pieces) if pieces else None

    def take(self, box: Box) -> None:
        """Takes a place that is given."""
        self.boxes.append(box)

    def free(self, box: Box) -> bool:
        """Whether a box lies within the bounds and on nothing that is taken."""
        left, top, right, bottom = box
        if left < self.bounds[0] or top < self.bounds[1] or right > self.bounds[2] or bottom > self.bounds[3]:
            return False
        if any(left < box[2] and right > box[0] and top < box[3] and bottom > box[1] for box in self.boxes):
            return False
        lines = self._lines
        if lines is None:
            return True
        return not bool(((lines[:, 0] < right) & (lines[:, 2] > left) & (lines[:, 1] < bottom) & (lines[:, 3] > top)).any())

    def place(self, candidates: Iterable[Box]) -> Box | None:
        """The first candidate that is free, taken; None where none is."""
        for box in candidates:
            if self.free(box):
                self.boxes.append(box)
                return box
        return None


def spread_along(centres: Sequence[float], widths: Sequence[float], least: float, most: float, gap: float) -> list[float] | None:
    """Centres moved as little as may be so that boxes on one line do not overlap; None where they do not fit.

    centres: wanted, in any order. widths: of the boxes. least, most: ends of the line. gap: between boxes.
    """
    if sum(widths) + gap * (len(widths) - 1) > most - least:
        return None
    order = sorted(range(len(centres)), key=lambda i: centres[i])
    made = list(centres)
    edge = least
    for i in order:
        made[i] = max(made[i], edge + widths[i] / 2)
        edge = made[i] + widths[i] / 2 + gap
    edge = most
    for i in reversed(order):
        made[i] = min(made[i], edge - widths[i] / 2)
        edge = made[i] - widths[i] / 2 - gap
    return made
