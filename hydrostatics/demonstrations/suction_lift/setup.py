"""What a suction lift is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...fields import Array, Part, liquid, quantity
from ...liquids import Liquid

SOURCES = {
    "a person, mouth and cheeks (an estimate)": "63 +/- 14 kPa",
    "water-jet pump": "3.2 +/- 1 kPa",
    "hand pump": "16 +/- 4 kPa",
    "one-stage oil pump, as rated": "6 Pa",
    "two-stage oil pump, as rated": "0.4 Pa",
}
"""Ready choices of what lifts: typical, common practice, no published source."""


class SuctionLift(Part):
    """A liquid lifted through a tube by lowering the pressure at its upper end."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    bore: Array = quantity("length", "Bore", gt=0, le=1, help="enters no height, only volume and time")
    lift_height: Array = quantity("length", "Lift, surface to mouth", gt=0, le=200, help="vertical, from the liquid's surface to the upper end")
    source_pressure: Array = quantity(
        "pressure",
        "Pressure at the upper end",
        ge=0,
        le=200e3,
        ready=SOURCES,
        help="absolute, the least that mouth or pump can make; better measured: type the height once reached and solve for this",
    )
    pump_flow: Array | None = quantity("flow", "Flow of the pump", default=None, gt=0, le=10)
