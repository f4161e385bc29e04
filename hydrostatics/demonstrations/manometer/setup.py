"""What a manometer is: two ends and the legs between them."""

from __future__ import annotations

from typing import Annotated, ClassVar

import numpy as np
from pydantic import WithJsonSchema

from ...errors import Conflict, MissingKey
from ...fields import Array, Part, Plain, Unknown, choice, group, items, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from . import refusals

WORDS = {
    "atmosphere": "open to the room",
    "vacuum": "closed, without air",
    "unknown": "wanted",
}
"""What an end can be besides a pressure."""


class End(Part):
    """One end of the chain: a pressure, or a word."""

    bare_field: ClassVar[str] = "word"
    pressure: Array | None = quantity("pressure", "pressure, absolute", default=None, ge=0, le=1e9, one_of="end")
    gauge_pressure: Array | None = quantity("pressure", "gauge pressure", default=None, ge=-200e3, le=1e9, one_of="end", help="against the room's")
    word: str | None = choice("what it is", default=None, words=WORDS, one_of="end")


class Leg(Part):
    """One stretch of one liquid."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    drop: Array | Unknown | None = quantity(
        "length", "drop", default=None, ge=-1000, le=1000, first=True, help="downward on the way from the start; negative where it goes up"
    )
    length: Array | None = quantity("length", "length of a sloping leg", default=None, ge=-100, le=100)
    angle: Array | None = quantity("angle", "its angle below the horizontal", default=None, ge=-np.pi / 2, le=np.pi / 2)
    reservoir_ratio: Plain = quantity("number", "tube over reservoir, areas", default="0", ge=0, le=1, help="where the reservoir's level moves as well")

    def refuse(self) -> None:
        """Refuses a leg that is not one."""
        if self.drop is not None and self.length is not None:
            raise Conflict("length", refusals.DROP_AND_LENGTH)
        if self.length is not None and self.angle is None:
            raise MissingKey("angle", refusals.ANGLE_MISSING)
        if self.length is None and self.angle is not None:
            raise Conflict("angle", refusals.ANGLE_ALONE)
        if self.drop is None and self.length is None:
            raise MissingKey("drop", refusals.DROP_MISSING)

    @property
    def known_drop(self) -> Array:
        """Its drop [m]; nothing where it is unknown."""
        if self.length is not None:
            assert self.angle is not None
            found: Array = self.length * (np.sin(self.angle) + self.reservoir_ratio)
            return found
        return np.zeros(1) if self.drop is None or isinstance(self.drop, str) else self.drop


class Manometer(Part):
    """A chain of liquids from one end to the other."""

    start: End = group("Start")
    legs: tuple[Leg, ...] = items(
        "Legs",
        "leg",
        least=1,
        most=20,
        new={"liquid": "water", "drop": "5 cm"},
        help="from the start to the end",
        line="water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm",
    )
    end: End = group("End")
    column_length: Array | None = quantity("length", "Liquid column of a U-tube", default=None, gt=0, le=100, help="all along it; tells how it swings")
    bore: Array | None = quantity("length", "Bore of the U-tube", default=None, gt=0, le=1)
    start_bore: Array | None = quantity("length", "Bore at the start", default=None, gt=0, le=1, help="with the other end's: what capillarity fakes")
    end_bore: Array | None = quantity("length", "Bore at the end", default=None, gt=0, le=1)

    @property
    def wanted(self) -> int | None:
        """Index of the leg whose drop is unknown."""
        return next((i for i, leg in enumerate(self.legs) if isinstance(leg.drop, str)), None)

    def refuse(self) -> None:
        """Refuses more unknowns than a chain can tell."""
        unknown = [i for i, leg in enumerate(self.legs) if isinstance(leg.drop, str)]
        if len(unknown) > 1:
            raise Conflict(f"legs.{unknown[1]}.drop", refusals.TWO_UNKNOWN)
        if unknown and "unknown" in (self.start.word, self.end.word):
            raise Conflict(f"legs.{unknown[0]}.drop", refusals.UNKNOWN_WITH_END)


def taken(s: Manometer) -> float | None:
    """Liquid in the tube [m^3], None where its length or bore is not told."""
    return None if s.column_length is None or s.bore is None else float(disc_area(s.bore)[0] * s.column_length[0])
