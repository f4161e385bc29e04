"""The running order from the bell: each item with its variations, then half-minute recalls of what was shown."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

RECALL = 0.5
"""How long a demonstration is recalled before the end [min]."""


@dataclass(frozen=True)
class Variation:
    """The same thing again with one change: in words, minutes for showing it and for putting it back."""

    words: str
    minutes: float
    reset: float


@dataclass(frozen=True)
class Minutes:
    """What an item takes [min]: showing, asking, putting back; its variations; whether it comes back as a recall."""

    showing: float
    asking: float = 0.0
    reset: float = 0.0
    variations: tuple[Variation, ...] = ()
    recall: bool = False

    @property
    def whole(self) -> float:
        """All of it but the recall [min]."""
        return self.asking + self.showing + self.reset + sum(one.minutes + one.reset for one in self.variations)


@dataclass(frozen=True)
class Row:
    """A stretch of the running order: minutes after the bell at which it begins and ends; item: which one it is of; recall: it comes back."""

    item: int
    start: float
    end: float
    recall: bool = False


def running(items: Sequence[Minutes]) -> tuple[Row, ...]:
    """The items one after the other, then those that come back."""
    made, at = [], 0.0
    for k, one in enumerate(items):
        made.append(Row(k, at, at + one.whole))
        at += one.whole
    for k, one in enumerate(items):
        if one.recall:
            made.append(Row(k, at, at + RECALL, True))
            at += RECALL
    return tuple(made)
