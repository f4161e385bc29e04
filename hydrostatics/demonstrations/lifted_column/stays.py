"""What of a lifting a next one begins with: the tube where it is held, and the gas that is in it then."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Stays
from .setup import LiftedColumn

LEAST = 1e-9
"""Length of gas [m] below which there is none."""


def stays(now: Now[LiftedColumn], moment: tuple[float, float] | None) -> tuple[Stays, ...]:
    """The closed end's height, and gas let in or closed in, at its length and level then."""
    s = now.setup
    end = now.value("results.level")
    if end is None or now.prediction.state[0] == 2:
        return ()
    lift, level = moment or (float(s.lift[0]), end)
    held = () if lift == float(s.lift[0]) else (Stays("setup.lift", now.exactly("setup.lift", "length", lift), "the tube where it is held then"),)
    if lift - level < LEAST or not (s.vent or now.value("results.dry_gas_pressure")):
        return held
    gas = {
        "length": now.known_to("setup.lift", "length", lift - level, now.half_width("results.gas_length") / 2),
        "level": now.known_to("setup.lift", "length", level, 0.0),
    }
    return (*held, Stays("setup.trapped_gas", gas, "the air let in, if it is closed now" if s.vent else "the gas closed in, as it stands then"))
