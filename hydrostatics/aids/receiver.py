"""A receiver timed while it is pumped down, or while air leaks in."""

from __future__ import annotations

import numpy as np

from ..errors import OutOfRange
from ..fields import Array, Part, quantity
from ..nominal import Now
from ..prediction import Prediction, Saying, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid
from .words import INDEPENDENT

GUARD = "A guard over the jar, goggles, nobody close: glass under outside pressure can give way."


class PumpByTiming(Part):
    """Two pressures and the time between, the pump running."""

    receiver_volume: Array = quantity("volume", "Free gas in the receiver", gt=0, le=10)
    start_pressure: Array = quantity("pressure", "Pressure at the start", gt=0, le=200e3, help="absolute")
    end_pressure: Array = quantity("pressure", "Pressure at the end", gt=0, le=200e3, help="absolute")
    time: Array = quantity("time", "Time between", gt=0, le=1e6)
    ultimate_pressure: Array = quantity("pressure", "Lowest pressure of the pump", ge=0, le=200e3, help="absolute, reached after a long while")

    def refuse(self) -> None:
        """Refuses a pump that does not pump."""
        if not self.start_pressure[0] > self.end_pressure[0] > self.ultimate_pressure[0]:
            raise OutOfRange("end_pressure", refusals.PUMP_DOES_NOT_PUMP)


def predict_pump(s: PumpByTiming, room: Room) -> Prediction:
    """The pump's speed, for all rows."""
    falls, over = s.start_pressure - s.ultimate_pressure, s.end_pressure - s.ultimate_pressure
    good = (falls > 0) & (over > 0)
    speed = s.receiver_volume / s.time * np.log(np.where(good, falls, 1.0) / np.where(good, over, 1.0))
    return Prediction({"pump_speed": Value(speed, "flow", "speed of the pump", good)}, np.zeros(1, dtype=np.intp))


def say_pump(now: Now[PumpByTiming]) -> Saying:
    """What was found, and what it rests on."""
    return Saying(
        "The pump takes {results.pump_speed}.",
        "results.pump_speed",
        cautions=(GUARD,),
        assumptions=(INDEPENDENT, "one speed at all pressures, no leak beside what the lowest pressure holds"),
        sources=("OHanlon", "JCGM100"),
    )


def working_pump(now: Now[PumpByTiming]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    low = float(s.ultimate_pressure[0])
    falls, over = float(s.start_pressure[0]) - low, float(s.end_pressure[0]) - low
    return (
        f"S = V/t ln((p₁ − p_u)/(p₂ − p_u)) = {float(s.receiver_volume[0]):.4g}/{float(s.time[0]):.4g} × ln({falls:.5g}/{over:.5g}) = "
        f"{now.value('results.pump_speed'):.4g} m³/s",
    )


class LeakByRise(Part):
    """Two pressures and the time between, the pump shut off."""

    receiver_volume: Array = quantity("volume", "Free gas in the receiver", gt=0, le=10)
    start_pressure: Array = quantity("pressure", "Pressure at the start", ge=0, le=200e3, help="absolute, the pump just shut off")
    end_pressure: Array = quantity("pressure", "Pressure at the end", gt=0, le=200e3, help="absolute")
    time: Array = quantity("time", "Time between", gt=0, le=1e7)

    def refuse(self) -> None:
        """Refuses a pressure that does not rise."""
        if self.end_pressure[0] <= self.start_pressure[0]:
            raise OutOfRange("end_pressure", refusals.NO_RISE)


def predict_leak(s: LeakByRise, room: Room) -> Prediction:
    """The leak, for all rows."""
    leak = s.receiver_volume * (s.end_pressure - s.start_pressure) / s.time
    return Prediction({"leak": Value(leak, "leak", "leak")}, np.zeros(1, dtype=np.intp))


def say_leak(now: Now[LeakByRise]) -> Saying:
    """What was found, and what it rests on."""
    return Saying(
        "Air comes in at {results.leak}.",
        "results.leak",
        cautions=(GUARD,),
        assumptions=(INDEPENDENT, "what walls and water give off counts as leak: let it stand evacuated before"),
        sources=("OHanlon", "JCGM100"),
    )


def working_leak(now: Now[LeakByRise]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    rise = float(s.end_pressure[0] - s.start_pressure[0])
    return (f"leak = V Δp/t = {float(s.receiver_volume[0]):.4g} × {rise:.5g}/{float(s.time[0]):.4g} = {now.value('results.leak'):.4g} Pa m³/s",)


PUMP_BY_TIMING = MadeAid("pump-by-timing", PumpByTiming, predict_pump, say_pump, working_pump, {"results.pump_speed": ("pump_speed",)})
LEAK_BY_RISE = MadeAid("leak-by-rise", LeakByRise, predict_leak, say_leak, working_leak, {"results.leak": ("leak",)})
