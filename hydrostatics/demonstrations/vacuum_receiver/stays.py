"""What of a pump-down a next one begins with: water that has given off its air."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Stays
from .section import Moment
from .setup import VacuumReceiver


def stays(now: Now[VacuumReceiver], moment: Moment | None) -> tuple[Stays, ...]:
    """The air that the water still holds under the pressure at its top then; the tube is filled with it again."""
    s = now.setup
    if moment is None or now.value("results.level_with_air") is None or s.air_saturation is None:
        return ()
    p0, p_v, weight = float(now.room.station_pressure[0]), float(s.liquid.vapour_pressure[0]), float(s.liquid.density[0] * now.room.gravity[0])
    held = max(max(moment.pressure, p_v) - p_v - weight * moment.with_air, 0.0) / (p0 - p_v)
    if held >= float(s.air_saturation[0]):
        return ()
    typed = now.exactly("setup.air_saturation", "fraction", held)
    return (Stays("setup.air_saturation", typed, "the tube filled again with the same water, which has given off its air"),)
