"""What a plugged manometer is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...errors import OutOfRange
from ...fields import Array, Part, Plain, SameAs, items, liquid, quantity
from ...liquids import Liquid
from ...quantities.saying import in_words
from ...room.derived import Room
from . import refusals

READING = "level difference, positive when the open side stands lower"


class Stop(Part):
    """A place on the way where it is read."""

    elevation: Array | None = quantity("height", "elevation", default=None, ge=-500, le=9000, first=True)
    temperature: Array = quantity("temperature", "air temperature", default=SameAs("room.temperature"), gt=150, le=400)
    reading: Array | None = quantity("length", "reading", default=None, ge=-20, le=20, help=READING, first=True)
    station_pressure: Array | None = quantity("pressure", "pressure there", default=None, gt=0, le=200e3, help="where a barometer stands there as well")


class SealedManometer(Part):
    """Two upright pipes joined below, liquid in them, one of them plugged."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    arm_area: Array = quantity("area", "Area of one arm", gt=0, le=0.1, help="an arm that takes 0.21 mL to the millimetre has 210 mm²")
    seal_volume: Array = quantity("volume", "Gas behind the plug", gt=0, le=0.1, help="water that fills it from the level to the plug, weighed")
    seal_pressure: Array = quantity("pressure", "Pressure when sealed", gt=0, le=200e3, help="a barometer's, a quarter of an hour after plugging")
    seal_temperature: Array = quantity("temperature", "Temperature when sealed", default=SameAs("room.temperature"), gt=150, le=400)
    seal_reading: Array = quantity(
        "length", "Reading when sealed", default="0 +/- 2 mm", ge=-20, le=20, help="a quarter of an hour after plugging: pushing the plug in squeezes the gas"
    )
    seal_humidity: Plain = quantity("fraction", "Damp when sealed", default="100 %", ge=0, le=1, help="less only if it was sealed and read at once")
    gas_lag: Array = quantity(
        "temperature difference", "Gas warmer than the air", default="0 +/- 1 K", ge=-100, le=100, help="at readings; shaded and wrapped it is nothing"
    )
    reading: Array | None = quantity("length", "Reading here", default=None, ge=-20, le=20, help=READING)
    stops: tuple[Stop, ...] = items("Stops on the way", "stop", least=0, most=12, default=None, new={}, help="own places, from the shore to the ridge")

    def refuse(self) -> None:
        """Refuses a gas that would be gone."""
        most = float(2 * self.seal_volume[0] / self.arm_area[0] + self.seal_reading[0])
        named = [("reading", self.reading), *((f"stops.{i}.reading", stop.reading) for i, stop in enumerate(self.stops))]
        for path, reading in named:
            if reading is not None and reading[0] >= most:
                raise OutOfRange(path, refusals.NO_GAS_LEFT, most=in_words(most, 0.0, "length", "cm"))

    def refuse_in(self, room: Room) -> None:
        """Refuses a sealing that leaves no gas pressure."""
        if self.seal_pressure[0] <= self.liquid.density[0] * room.gravity[0] * self.seal_reading[0]:
            raise OutOfRange("seal_reading", refusals.SEALED_TOO_LOW)
