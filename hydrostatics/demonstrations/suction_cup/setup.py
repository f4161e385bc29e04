"""What a suction cup is: its measures, in the order of measuring."""

from __future__ import annotations

from ...errors import OutOfRange
from ...fields import Array, Part, Plain, quantity
from . import refusals


class SuctionCup(Part):
    """A cup, plunger or pair of hemispheres held by the outside air."""

    diameter: Array = quantity("length", "Diameter of the seal", gt=0, le=10, help="across the wet rim that seals, pressed on")
    air_left: Plain | None = quantity(
        "fraction", "Air left in", default=None, ge=0, le=1, one_of="inside", help="part of its air that stays when pressed flat; it springs back to its volume"
    )
    inside_pressure: Array | None = quantity("pressure", "Pressure inside", default=None, ge=0, le=200e3, one_of="inside", help="absolute, from a gauge")
    pull_force: Array | None = quantity("force", "Pull", default=None, gt=0, le=1e6, help="spring balance, square to the face")

    def refuse(self) -> None:
        if self.air_left is not None and self.air_left[0] > 1:
            raise OutOfRange("air_left", refusals.MORE_THAN_ALL_AIR)
