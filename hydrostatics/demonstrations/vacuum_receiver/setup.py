"""What a receiver is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...errors import OutOfRange
from ...fields import Array, ByChoice, Part, Plain, flag, items, liquid, quantity
from ...liquids import Liquid
from ...quantities.saying import in_words
from ...room.derived import Room
from . import refusals

PUMPS = {"water-jet pump": "32 +/- 10 hPa", "hand pump": "160 +/- 40 hPa", "one-stage oil pump, as rated": "0.1 hPa"}
"""Ready choices of the lowest pressure: typical, common practice, no published source."""


class VacuumReceiver(Part):
    """A tube filled with a liquid, mouth down in a basin, under a bell jar."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    column_height: Array = quantity("length", "Closed end above the basin", gt=0, le=20)
    mouth_depth: Array = quantity("length", "Mouth below the basin's surface", default="3 cm", ge=0, le=5)
    degassed: bool = flag("Boiled before, and still full of no air", help="freed of its air; else it holds what tap water does")
    air_saturation: Plain | None = quantity(
        "fraction",
        "Air dissolved in the water",
        default=ByChoice("degassed", {"True": (0.0, 0.0), "False": (1.0, 0.0)}, "practice"),
        ge=0,
        le=1,
        help="tap water about 0.9, boiled water near 0",
    )
    receiver_volume: Array = quantity("volume", "Free gas in the receiver", gt=0, le=10, help="its own volume less what stands in it")
    pump_speed: Array = quantity("flow", "Speed of the pump", gt=0, le=10, help="as rated, or from a pump-down timed")
    ultimate_pressure: Array = quantity("pressure", "Lowest pressure of the pump", ge=0, le=200e3, ready=PUMPS, help="absolute, the gas leaking in left out")
    leak: Array = quantity("leak", "Leak", default="0 Pa*m^3/s", ge=0, le=1e3, help="rise with the pump shut off, times the volume")
    calls: tuple[Array, ...] = items(
        "Pressures to be called", "pressure", least=0, most=12, default=None, new="200 hPa", kind="pressure", ge=0, le=200e3, help="absolute, in equal steps"
    )

    def refuse_in(self, room: Room) -> None:
        """Refuses a pump that does not pump."""
        if self.ultimate_pressure[0] > room.station_pressure[0]:
            raise OutOfRange("ultimate_pressure", refusals.PUMP_ABOVE_ROOM, room=in_words(float(room.station_pressure[0]), 0.0, "pressure", "hPa"))
