"""What a suction lift is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

import numpy as np
from pydantic import WithJsonSchema

from ...fields import Array, Part, liquid, quantity
from ...laws.walls import disc_area
from ...liquids import Liquid

MOUTHS = {"a person, mouth and cheeks (an estimate)": "38 +/- 14 kPa"}
"""Ready choices of how far below the room's pressure a mouth goes: common practice, no published source."""
SOURCES = {
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
    source_pressure: Array | None = quantity(
        "pressure",
        "Pressure at the upper end",
        default=None,
        ge=0,
        le=200e3,
        one_of="source",
        ready=SOURCES,
        help="absolute, the least that the pump can make; better measured: type the height once reached and solve for this",
    )
    source_suction: Array | None = quantity(
        "pressure",
        "Suction below the room",
        default=None,
        ge=0,
        le=200e3,
        one_of="source",
        ready=MOUTHS,
        help="how far below the room's pressure a mouth can go, the same in thin air; better measured: type the height once reached and solve for this",
    )
    pump_flow: Array | None = quantity("flow", "Flow of the pump", default=None, gt=0, le=10)

    @property
    def source(self) -> str:
        """Path of the input that says what lifts."""
        return "setup.source_suction" if self.source_suction is not None else "setup.source_pressure"

    def lowered_to(self, station_pressure: Array) -> Array:
        """The pressure that the source makes at the upper end [Pa]."""
        if self.source_suction is not None:
            return np.maximum(station_pressure - self.source_suction, 0.0)
        assert self.source_pressure is not None
        return self.source_pressure


def taken(s: SuctionLift) -> float:
    """Liquid that fills the hose [m^3]."""
    return float(disc_area(s.bore)[0] * s.lift_height[0])
