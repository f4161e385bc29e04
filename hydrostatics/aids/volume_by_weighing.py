"""A volume from the liquid that fills it."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ..errors import OutOfRange
from ..fields import Array, Part, liquid, quantity
from ..laws.weighing import air_density, true_mass
from ..liquids import Liquid
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid
from .words import IN_AIR, INDEPENDENT


class VolumeByWeighing(Part):
    """A flask, a bottle, what a diver pushes out: weighed without the liquid and with it."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    empty_mass: Array = quantity("mass", "Empty", ge=0, le=1000, help="dry")
    filled_mass: Array = quantity("mass", "Filled", ge=0, le=1000, help="to where it counts, wiped dry outside, on the same balance")

    def refuse(self) -> None:
        """Refuses a vessel that weighs no more when it is full."""
        if self.filled_mass[0] <= self.empty_mass[0]:
            raise OutOfRange("filled_mass", refusals.FILLED_NOT_HEAVIER)


def predict(s: VolumeByWeighing, room: Room) -> Prediction:
    """The liquid's mass and volume, for all rows."""
    mass = true_mass(s.filled_mass - s.empty_mass, s.liquid.density, air_density(room.station_pressure, room.temperature))
    results = {
        "liquid_mass": Value(mass, "mass", "mass of the liquid", like="measured.filled_mass"),
        "volume": Value(mass / s.liquid.density, "volume", "volume"),
    }
    return Prediction(results, np.zeros(1, dtype=np.intp))


def say(now: Now[VolumeByWeighing]) -> Saying:
    """What was found, and what it rests on."""
    return Saying(
        "It holds {results.volume}.", "results.volume", assumptions=(INDEPENDENT, IN_AIR), sources=("OIML", "JCGM100"), headline=("results.liquid_mass",)
    )


def working(now: Now[VolumeByWeighing]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    difference, rho = float(s.filled_mass[0] - s.empty_mass[0]), float(s.liquid.density[0])
    return (
        f"mass = w (1 − ρₐ/8000)/(1 − ρₐ/ρ) with w = {difference:.5g} kg: {now.value('results.liquid_mass'):.6g} kg",
        f"V = mass/ρ = {now.value('results.liquid_mass'):.6g}/{rho:.6g} = {now.value('results.volume'):.6g} m³",
    )


VOLUME_BY_WEIGHING = MadeAid(
    "volume-by-weighing",
    VolumeByWeighing,
    predict,
    say,
    working,
    {"results.volume": ("volume", "receiver_volume", "seal_volume", "air_volume", "headspace_volume", "link_volume", "stopper_volume", "poured_volume")},
)
