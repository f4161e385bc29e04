"""What a barometer is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...errors import OutOfRange
from ...fields import Array, Part, Plain, SameAs, group, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid
from . import refusals


class TrappedGas(Part):
    """Gas over the column, as it was when trapped."""

    length: Array = quantity("length", "length", ge=0, le=100, help="along the tube, when it was trapped")
    pressure: Array = quantity(
        "pressure", "total pressure", default=SameAs("room.station_pressure"), ge=0, le=300e3, help="the room's, where a bubble stayed in"
    )


class Barometer(Part):
    """A tube closed at its upper end, standing in a reservoir of the same liquid."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    tube_length: Array = quantity("length", "Tube, surface to closed end", gt=0, le=100, help="along the tube, from the reservoir's surface")
    tilt: Array = quantity("angle", "Tilt from upright", default="0 deg", ge=0, lt=1.5533)
    bore: Array = quantity("length", "Bore", gt=0, le=1, help="from the mass of water that fills a known length")
    trapped_gas: TrappedGas | None = group("Gas left in", optional=True, help="a bubble that stayed when the tube was filled")
    air_saturation: Plain | None = quantity("fraction", "Air dissolved in the water", default=None, ge=0, le=1, help="tap water about 0.9, boiled water near 0")

    def refuse(self) -> None:
        """Refuses gas that does not fit."""
        gas = self.trapped_gas
        if gas is not None and gas.length[0] > self.tube_length[0]:
            raise OutOfRange("trapped_gas.length", refusals.GAS_LONGER_THAN_TUBE)


def taken(s: Barometer) -> float:
    """Liquid that fills the tube [m^3]; what stands in its basin comes on top."""
    return float(disc_area(s.bore)[0] * s.tube_length[0])
