"""A chain of twenty legs that exists in the tests alone: what a compound manometer of that size will cost."""

from __future__ import annotations

from typing import Annotated, Any

import numpy as np
from pydantic import WithJsonSchema

from hydrostatics.fields import Array, Part, items, liquid, quantity
from hydrostatics.liquids import Liquid
from hydrostatics.nominal import Now
from hydrostatics.prediction import Code, Prediction, Saying, Value
from hydrostatics.room.derived import Room

LIQUIDS = ("water", "mercury", "vegetable oil", "glycerol")


class Leg(Part):
    """One leg of the chain."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("liquid")
    length: Array = quantity("length", "length", gt=0, le=20)
    tilt: Array = quantity("angle", "tilt", default="0 deg", ge=0, le=1.5)
    bore: Array = quantity("length", "bore", gt=0, le=1)


class Legs(Part):
    """The chain."""

    legs: tuple[Leg, ...] = items("Legs", "leg", least=1, most=20)
    start: Array = quantity("pressure", "start", ge=0)


def predict(s: Legs, room: Room) -> Prediction:
    """A ledger of running pressures, a line per leg."""
    length, tilt, density = (
        np.stack(np.broadcast_arrays(*columns))
        for columns in ((leg.length for leg in s.legs), (leg.tilt for leg in s.legs), (leg.liquid.density for leg in s.legs))
    )
    drop = length * np.cos(tilt)
    change = density * room.gravity * drop
    pressure = s.start + np.cumsum(change, axis=0)
    ledger = [
        {
            "drop": Value(drop[i], "length", "drop"),
            "change": Value(change[i], "pressure", "change"),
            "pressure": Value(pressure[i], "pressure", "pressure at its end"),
            "way": Code(np.zeros(1, dtype=np.intp), "down"),
        }
        for i in range(len(s.legs))
    ]
    results: dict[str, Any] = {"ledger": ledger, "end": Value(pressure[-1], "pressure", "pressure at the end")}
    return Prediction(results, np.zeros(1, dtype=np.intp))


def say(now: Now[Legs]) -> Saying:
    """One sentence."""
    return Saying("The end stands at {results.end}.", "results.end")


def chain(legs: int = 20) -> dict[str, Any]:
    """A document of so many legs, with 78 uncertain inputs at twenty."""
    made = []
    for i in range(legs):
        leg = {"liquid": LIQUIDS[i % 4], "length": f"{10 + i} +/- 0.1 cm", "tilt": f"{i} +/- 0.5 deg", "bore": "4 mm"}
        made.append(leg | ({"bore": "4 +/- 0.1 mm"} if i < legs // 4 else {}))
    room = {"temperature": "20 +/- 1 degC", "station_pressure": "941 +/- 0.5 hPa", "gravity": "9.81 +/- 0.001 m/s^2"}
    return {"anchorage": 1, "demonstration": "chain", "room": room, "setup": {"start": "1000 hPa", "legs": made}}
