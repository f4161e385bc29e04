"""The ways to cool boiled water, and about how long each takes."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from ..laws.letting_cool import cooling_constant, cooling_time
from ..quantities.celsius import kelvin

Way = Literal["day-before", "pot", "bath"]
DENSITY, HEAT_CAPACITY = 960.0, 4200.0
"""Of hot water [kg/m^3], [J/(kg K)]: an estimate needs no more."""
BOILING = kelvin(100)
NEAR = 3.0
"""How far above the room's temperature it may still be [K]: common practice, no published source."""
FACTOR = 1.5
"""By how much an estimate of the time may be off either way."""


@dataclass(frozen=True)
class Cooling:
    """A way to cool: in words, heat transfer coefficient of the vessel's surface [W/(m^2 K)], temperature around it [K], the room's where it is None."""

    words: str
    transfer: float
    around: float | None = None


WAYS: Mapping[Way, Cooling] = {
    "pot": Cooling("in its covered pot", 10.0),
    "bath": Cooling("standing in running cold water, stirred now and then", 200.0, kelvin(12)),
}
"""What takes place on the day; the day before is not timed. Coefficients within the handbook's ranges for gases and liquids [Incropera]."""


def cooling_minutes(way: Way, volume: float, room: float) -> float:
    """About how long boiled water takes to come near the room's temperature, on the safe side [min].

    way: of WAYS. volume: boiled [m^3]. room: its temperature [K]. Zero where it was boiled the day before.
    """
    if way == "day-before":
        return 0.0
    how = WAYS[way]
    around = room if how.around is None else min(how.around, room)
    constant = cooling_constant(volume, DENSITY, HEAT_CAPACITY, how.transfer)
    return float(FACTOR * cooling_time(BOILING, room + NEAR, around, constant) / 60)
