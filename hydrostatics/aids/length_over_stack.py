"""A small length from many of the same, laid side by side."""

from __future__ import annotations

import numpy as np

from ..errors import OutOfRange
from ..fields import Array, Part, Plain, quantity
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid


class LengthOverStack(Part):
    """How long so many are together."""

    length: Array = quantity("length", "All together", gt=0, le=100, help="pressed close, not squeezed")
    count: Plain = quantity("number", "How many", ge=1, le=100_000, help="count twice")

    def refuse(self) -> None:
        """Refuses what is no count."""
        if self.count[0] != round(float(self.count[0])):
            raise OutOfRange("count", refusals.NO_WHOLE_NUMBER, given=f"{float(self.count[0]):g}")


def predict(s: LengthOverStack, room: Room) -> Prediction:
    """The length of one, for all rows."""
    return Prediction({"each": Value(s.length / s.count, "sink", "length of each")}, np.zeros(1, dtype=np.intp))


def say(now: Now[LengthOverStack]) -> Saying:
    """What was found, and what it rests on."""
    return Saying("Each is {results.each}.", "results.each", assumptions=("all alike, and no gaps between them",), sources=("JCGM100",))


def working(now: Now[LengthOverStack]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    return (f"each = {float(s.length[0]):.5g}/{float(s.count[0]):.0f} = {now.value('results.each'):.5g} m",)


LENGTH_OVER_STACK = MadeAid("length-over-stack", LengthOverStack, predict, say, working, {"results.each": ("wall", "opening")})
