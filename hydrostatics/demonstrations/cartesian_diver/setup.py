"""What a diver is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Annotated

from pydantic import WithJsonSchema

from ...errors import Conflict, MissingKey
from ...fields import Array, Part, liquid, quantity
from ...liquids import Liquid
from . import refusals

HANDS = {"one hand (an estimate)": "100 +/- 40 N", "both hands (an estimate)": "180 +/- 60 N", "a small child's hand (an estimate)": "45 +/- 20 N"}
"""Ready choices of what a hand squeezes with: estimates, common practice, no published source."""
BOTTLES = {
    "round 1.5 L soft bottle (an estimate)": "0.15 +/- 0.1 mL/kPa",
    "flat-sided soft bottle (an estimate)": "0.6 +/- 0.3 mL/kPa",
    "glass": "0 mL/kPa",
}
"""Ready choices of how much a bottle gives: estimates, common practice, no published source."""


class CartesianDiver(Part):
    """A diver that floats in a full, capped bottle, the air in it open to the water below."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    air_volume: Array = quantity("volume", "Air in the diver", gt=0, le=1, help="at the surface, in the open: weighed full of water and trimmed")
    sinks_with: Array | None = quantity(
        "mass",
        "Ballast that just sinks it",
        default=None,
        ge=0,
        le=100,
        one_of="weight",
        help="clips or wire hung on it in an open glass: far surer than weighing",
    )
    diver_mass: Array | None = quantity("mass", "Diver's mass", default=None, gt=0, le=100, one_of="weight", help="all its solids, dry")
    diver_solid_volume: Array | None = quantity(
        "volume", "Volume of its solids", default=None, ge=0, le=1, help="what it pushes up in a measuring cylinder, without its air; with its mass"
    )
    bottle_depth: Array = quantity("length", "Way down", gt=0, le=20, help="from where it floats to where it rests: inside depth less its own length")
    headspace_volume: Array = quantity("volume", "Air under the cap", ge=0, le=10, help="little of it: all of it has to be squeezed too")
    finger_area: Array = quantity("area", "Dent of the hand", gt=0, le=1, help="the effective area of the dent, several times a fingertip's")
    target_squeeze: Array | None = quantity("pressure", "Squeeze wanted", default=None, gt=0, le=1e6, help="to be told what ballast gives it")
    ballast_density: Array = quantity("density", "Density of the ballast", default="7850 kg/m^3", gt=0, le=25_000, help="steel unless stated")
    hand_limit: Array = quantity("force", "What the hand can do", default="100 +/- 40 N", gt=0, le=1e4, ready=HANDS)
    bottle_compliance: Array = quantity("compliance", "How much the bottle gives", default="0.15 +/- 0.1 mL/kPa", ge=0, le=1e-4, ready=BOTTLES)

    @property
    def trim(self) -> str:
        """Path of the input that says how heavy it is."""
        return "setup.sinks_with" if self.sinks_with is not None else "setup.diver_mass"

    def refuse(self) -> None:
        """Refuses half of a weighing."""
        if self.diver_mass is not None and self.diver_solid_volume is None:
            raise MissingKey("diver_solid_volume", refusals.SOLID_MISSING)
        if self.sinks_with is not None and self.diver_solid_volume is not None:
            raise Conflict("diver_solid_volume", refusals.SOLID_NOT_NEEDED)
