"""How far a mouth lowers the pressure, from the height to which it lifts a liquid."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ..fields import Array, Part, liquid, quantity
from ..laws.hydrostatic import hydrostatic_pressure
from ..liquids import Liquid
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from .protocol import MadeAid


class MouthPressure(Part):
    """The height reached."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    height: Array = quantity("length", "Height reached", gt=0, le=100, help="above the surface, held for a moment; several tries, each by itself")


def predict(s: MouthPressure, room: Room) -> Prediction:
    """The pressure that lifts so high, for all rows."""
    suction = hydrostatic_pressure(s.liquid.density, room.gravity, s.height)
    pressure = room.station_pressure - suction
    results = {
        "pressure": Value(pressure, "pressure", "pressure at the mouth, absolute"),
        "suction": Value(suction, "pressure", "suction below the room"),
    }
    return Prediction(results, np.where(pressure < s.liquid.vapour_pressure, 2, 0))


def say(now: Now[MouthPressure]) -> Saying:
    """What was found, or that it cannot be."""
    fails = int(now.prediction.state[0]) == 2
    reason = (
        "It cannot be: so high a column would need {results.suction} of suction, and the liquid boils before that."
        if fails
        else "The mouth makes {results.suction} of suction."
    )
    return Saying(
        reason,
        "results.suction",
        cautions=("Clean mouthpiece for each person, drinkable liquid alone, stop at the first dizziness.",),
        assumptions=("the liquid at rest at its highest",),
        sources=("JCGM100",),
        headline=("results.pressure",),
    )


def working(now: Now[MouthPressure]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    rho, g, h = float(s.liquid.density[0]), float(now.room.gravity[0]), float(s.height[0])
    return (
        f"suction = ρ g h = {rho:.5g} × {g:.5g} × {h:.4g} = {now.value('results.suction'):.5g} Pa",
        f"pressure = p₀ − ρ g h = {float(now.room.station_pressure[0]):.6g} − {now.value('results.suction'):.5g} = {now.value('results.pressure'):.5g} Pa",
    )


MOUTH_PRESSURE = MadeAid(
    "mouth-pressure", MouthPressure, predict, say, working, {"results.suction": ("source_suction",), "results.pressure": ("source_pressure",)}
)
