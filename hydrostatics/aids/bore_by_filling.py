"""The bore of a tube from the liquid that fills a known length of it."""

from __future__ import annotations

import math
from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ..errors import Conflict, MissingKey, OutOfRange
from ..fields import Array, Part, liquid, quantity
from ..laws.weighing import air_density, true_mass
from ..liquids import Liquid
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid
from .sections import filled_tube
from .words import IN_AIR, INDEPENDENT


class BoreByFilling(Part):
    """A length of tube, and what fills it: weighed, or poured from a measure."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    length: Array = quantity("length", "Length filled", gt=0, le=100, help="along the tube, between two marks or end to end")
    empty_mass: Array | None = quantity("mass", "Empty", default=None, ge=0, le=100, one_of="filling", help="dry, with its stopper")
    filled_mass: Array | None = quantity("mass", "Filled", default=None, ge=0, le=100, first=True, help="wiped dry outside, on the same balance")
    volume: Array | None = quantity("volume", "Volume that fills it", default=None, gt=0, le=100, one_of="filling", help="from a syringe or burette")

    def refuse(self) -> None:
        """Refuses half of a weighing, and one that is none."""
        if self.volume is not None and self.filled_mass is not None:
            raise Conflict("filled_mass", refusals.WEIGHED_OR_POURED)
        if self.empty_mass is not None:
            if self.filled_mass is None:
                raise MissingKey("filled_mass", refusals.FILLED_MISSING)
            if self.filled_mass[0] <= self.empty_mass[0]:
                raise OutOfRange("filled_mass", refusals.FILLED_NOT_HEAVIER)


def predict(s: BoreByFilling, room: Room) -> Prediction:
    """Volume, area and bore of the length that was filled, for all rows."""
    if s.volume is not None:
        volume = s.volume
    else:
        assert s.filled_mass is not None
        assert s.empty_mass is not None
        air = air_density(room.station_pressure, room.temperature)
        volume = true_mass(s.filled_mass - s.empty_mass, s.liquid.density, air) / s.liquid.density
    bore = np.sqrt(4 * volume / (np.pi * s.length))
    results = {
        "volume": Value(volume, "volume", "volume that fills it"),
        "bore": Value(bore, "sink", "bore"),
        "area": Value(volume / s.length, "area", "inside area"),
    }
    return Prediction(results, np.zeros(1, dtype=np.intp))


def say(now: Now[BoreByFilling]) -> Saying:
    """What was found, and what it rests on."""
    weighed = now.setup.volume is None
    assumptions = (INDEPENDENT, "the mean over the length filled: a tube that narrows has no one bore", *((IN_AIR,) if weighed else ()))
    return Saying(
        "The tube is {results.bore} wide inside.", "results.bore", assumptions=assumptions, sources=("Massey", *(("OIML",) if weighed else ()), "JCGM100")
    )


def working(now: Now[BoreByFilling]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s, volume = now.setup, now.value("results.volume") or 0.0
    lines = [f"bore = √(4 V/(π l)) = √(4 × {volume:.5g}/(π × {float(s.length[0]):.5g})) = {math.sqrt(4 * volume / (math.pi * float(s.length[0]))):.5g} m"]
    if s.filled_mass is not None and s.empty_mass is not None:
        difference = float(s.filled_mass[0] - s.empty_mass[0])
        lines.insert(0, f"V = {difference:.5g} kg, buoyancy of the air taken off, over ρ = {float(s.liquid.density[0]):.6g} kg/m³: {volume:.5g} m³")
    return tuple(lines)


BORE_BY_FILLING = MadeAid(
    "bore-by-filling",
    BoreByFilling,
    predict,
    say,
    working,
    {
        "results.bore": ("bore", "inner_diameter", "link_bore", "input_diameter", "output_diameter", "neck_diameter", "bottom_diameter"),
        "results.area": ("arm_area",),
    },
    section=filled_tube,
)
