"""What of a barometer a next one begins with: the air that came out of its water."""

from __future__ import annotations

import math
from typing import Any

from ...nominal import Now
from ...prediction import Stays
from .setup import Barometer


def stays(now: Now[Barometer], moment: Any) -> tuple[Stays, ...]:
    """The air given off, gone up to the closed end, and what of it the water still holds; with or without a moment of the fall.

    Gas that was left in stays the same amount wherever the column stands, so that nothing of it need be told anew.
    """
    s = now.setup
    level, before = now.value("results.level_with_air"), now.value("results.column_height")
    if level is None or before is None or level > before * (1 - 1e-6):
        return ()
    p0, p_v, weight = float(now.room.station_pressure[0]), float(s.liquid.vapour_pressure[0]), float(s.liquid.density[0] * now.room.gravity[0])
    pressure = p0 - weight * level
    length = float(s.tube_length[0]) - level / math.cos(float(s.tilt[0]))
    sd = now.half_width("results.level_with_air") / 2
    gas = {
        "length": now.known_to("setup.tube_length", "length", length, sd),
        "pressure": now.known_to("room.station_pressure", "pressure", pressure, 0.0),
    }
    held = now.exactly("setup.air_saturation", "fraction", (pressure - p_v) / (p0 - p_v))
    return (
        Stays("setup.trapped_gas", gas, "the air that came out of the water, gone up to the closed end"),
        Stays("setup.air_saturation", held, "what air the water still holds"),
    )
