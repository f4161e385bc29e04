"""A body's volume from what it weighs in air and hanging in a liquid."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ..errors import OutOfRange
from ..fields import Array, Part, liquid, quantity
from ..laws.weighing import air_density, hung_volume
from ..liquids import Liquid
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid
from .words import IN_AIR, INDEPENDENT


class VolumeByHanging(Part):
    """Two weighings of one body."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    dry_mass: Array = quantity("mass", "In air", gt=0, le=1000)
    hanging_mass: Array = quantity("mass", "Hanging in the liquid", ge=0, le=1000, help="by a thread, wholly under, touching nothing, no bubbles on it")

    def refuse(self) -> None:
        """Refuses a body that loses nothing."""
        if self.hanging_mass[0] >= self.dry_mass[0]:
            raise OutOfRange("hanging_mass", refusals.NOT_HEAVIER_DRY)


def predict(s: VolumeByHanging, room: Room) -> Prediction:
    """The volume, for all rows."""
    air = air_density(room.station_pressure, room.temperature)
    return Prediction({"volume": Value(hung_volume(s.dry_mass - s.hanging_mass, s.liquid.density, air), "volume", "volume")}, np.zeros(1, dtype=np.intp))


def say(now: Now[VolumeByHanging]) -> Saying:
    """What was found, and what it rests on."""
    return Saying(
        "Its volume is {results.volume}.",
        "results.volume",
        assumptions=(INDEPENDENT, IN_AIR, "the thread counts for nothing"),
        sources=("Archimedes", "OIML", "JCGM100"),
    )


def working(now: Now[VolumeByHanging]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    air = float(air_density(now.room.station_pressure, now.room.temperature)[0])
    difference, rho = float(s.dry_mass[0] - s.hanging_mass[0]), float(s.liquid.density[0])
    return (f"V = (m₁ − m₂)(1 − ρₐ/8000)/(ρ − ρₐ) = {difference:.5g} × (1 − {air:.4g}/8000)/({rho:.6g} − {air:.4g}) = {now.value('results.volume'):.5g} m³",)


VOLUME_BY_HANGING = MadeAid("volume-by-hanging", VolumeByHanging, predict, say, working, {"results.volume": ("diver_solid_volume", "stopper_volume")})
