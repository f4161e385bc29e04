"""What air a suction cup keeps, from the pull at which it lets go."""

from __future__ import annotations

import numpy as np

from ..fields import Array, Part, quantity
from ..laws.walls import disc_area
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from .protocol import MadeAid


class CupAirLeft(Part):
    """A cup pulled straight off with a spring balance."""

    diameter: Array = quantity("length", "Diameter of the seal", gt=0, le=10, help="across the wet rim that seals, pressed on")
    pull_at_release: Array = quantity("force", "Pull when it lets go", gt=0, le=1e6, help="straight off, slowly; several tries")


def predict(s: CupAirLeft, room: Room) -> Prediction:
    """Pressure inside when it lets go, and the part of its air, for all rows."""
    inside = room.station_pressure - s.pull_at_release / disc_area(s.diameter)
    results = {
        "inside_pressure": Value(inside, "pressure", "pressure inside, absolute"),
        "air_left": Value(inside / room.station_pressure, "fraction", "part of its air left in"),
    }
    return Prediction(results, np.where(inside < 0, 2, 0))


def say(now: Now[CupAirLeft]) -> Saying:
    """What was found, or that it cannot be."""
    fails = int(now.prediction.state[0]) == 2
    reason = (
        "It cannot be: the pull is more than the room's air can hold, {results.inside_pressure} would be left below nothing; measure diameter and pull again."
        if fails
        else "The cup keeps {results.air_left} of its air, {results.inside_pressure}."
    )
    return Saying(
        reason,
        "results.inside_pressure" if fails else "results.air_left",
        cautions=("It lets go at once: pull towards nobody, feet clear.",),
        assumptions=("it lets go when the pull equals the pressure difference on the sealed disc",),
        sources=("JCGM100",),
    )


def working(now: Now[CupAirLeft]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s, p0 = now.setup, float(now.room.station_pressure[0])
    area = float(disc_area(s.diameter)[0])
    return (
        f"inside = p₀ − F/A = {p0:.6g} − {float(s.pull_at_release[0]):.5g}/{area:.4g} = {now.value('results.inside_pressure'):.5g} Pa",
        f"air left = inside/p₀ = {now.value('results.air_left'):.4g}",
    )


CUP_AIR_LEFT = MadeAid("cup-air-left", CupAirLeft, predict, say, working, {"results.air_left": ("air_left",), "results.inside_pressure": ("inside_pressure",)})
