"""What a suction cup is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Literal

from ...errors import OutOfRange
from ...fields import Array, Part, Plain, choice, quantity
from . import refusals


class SuctionCup(Part):
    """A cup, plunger or pair of hemispheres held by the outside air."""

    diameter: Array = quantity("length", "Diameter of the seal", gt=0, le=10, help="across the wet rim that seals, pressed on")
    air_left: Plain | None = quantity(
        "fraction", "Air left in", default=None, ge=0, le=1, one_of="inside", help="part of its air that stays when pressed flat; it springs back to its volume"
    )
    inside_pressure: Array | None = quantity("pressure", "Pressure inside", default=None, ge=0, le=200e3, one_of="inside", help="absolute, from a gauge")
    pull_force: Array | None = quantity("force", "Pull", default=None, gt=0, le=1e6, help="spring balance")
    pull_direction: Literal["straight", "along"] = choice(
        "Pull", default="straight", words={"straight": "straight off the face", "along": "along the wall"}, help="a hook under load is pulled along the wall"
    )
    friction_coefficient: Plain = quantity(
        "number",
        "Friction of cup on wall",
        default="0.4 +/- 0.2",
        gt=0,
        le=5,
        when=("pull_direction", "along"),
        help="the pull along over the force it is pressed on with; better measured with a spring balance",
    )

    def refuse(self) -> None:
        if self.air_left is not None and self.air_left[0] > 1:
            raise OutOfRange("air_left", refusals.MORE_THAN_ALL_AIR)
