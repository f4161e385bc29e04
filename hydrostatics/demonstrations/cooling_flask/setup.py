"""What a cooling flask is: its measures, in the order of measuring."""

from __future__ import annotations

from typing import Literal

from ...errors import Conflict, MissingKey, OutOfRange
from ...fields import Array, Part, Plain, choice, group, quantity
from ...quantities.celsius import kelvin
from . import refusals

STOPPERS = {
    "peeled egg, wet neck 8 mm narrower (an estimate)": "8 +/- 4 N",
    "peeled egg, wet neck 4 mm narrower (an estimate)": "3 +/- 2 N",
    "water balloon on a wide neck (an estimate)": "4 +/- 2 N",
}
"""Ready choices of what a stopper needs: estimates, common practice, no published source."""
SURROUNDINGS = {"in air (an estimate)": "7 +/- 2 min", "in cold water (an estimate)": "30 +/- 10 s"}
"""Ready choices of the time to 1/e: estimates, common practice, no published source."""


class Can(Part):
    """A thin round can that the room crumples."""

    diameter: Array = quantity("length", "diameter", gt=0, le=2)
    height: Array = quantity("length", "height", gt=0, le=3)
    wall: Array = quantity("length", "wall", default="0.10 +/- 0.01 mm", gt=0, le=0.01, help="of the side, beside the seams")
    modulus: Array = quantity("pressure", "modulus", default="70 GPa", gt=0, le=1e12, help="of the metal: aluminium 70 GPa, steel 200 GPa")
    collapse_factor: Plain = quantity("number", "part of the formula", default="0.7 +/- 0.3", gt=0, le=2, help="dents and seams take this much of it")


class CoolingFlask(Part):
    """A flask or can closed while its gas is hot, then left to cool."""

    volume: Array = quantity("volume", "Volume", gt=0, le=10, help="water that fills it, weighed")
    moisture: Literal["dry", "saturated"] = choice(
        "Gas closed in", words={"dry": "dry air", "saturated": "air and steam, over a little water"}, help="steam where water boiled or wet paper stood in it"
    )
    hot_temperature: Array = quantity("temperature", "Temperature when closed", gt=200, le=640, help="a thermometer in the gas, not on the flame")
    final_temperature: Array = quantity("temperature", "Temperature at the end", gt=150, le=640)
    neck_diameter: Array | None = quantity("length", "Neck, inside diameter", default=None, gt=0, le=1)
    stopper_volume: Array = quantity(
        "volume", "Stopper inside the flask", default="0 mL", ge=0, le=10, help="when its widest part is in the neck; an egg 25 mL"
    )
    needed_force: Array | None = quantity(
        "force",
        "Force that the stopper needs",
        default=None,
        gt=0,
        le=1e5,
        ready=STOPPERS,
        help="pushed through the wet neck with kitchen scales under the flask",
    )
    cooling_time: Array | None = quantity(
        "time", "Time of cooling to 1/e", default=None, gt=0, le=1e6, ready=SURROUNDINGS, help="two readings of a thermometer give it"
    )
    can: Can | None = group("Can", optional=True)

    def refuse(self) -> None:
        """Refuses what has nothing to push on, and what the flask cannot hold."""
        if self.neck_diameter is None and self.can is None:
            raise MissingKey("neck_diameter", refusals.NOTHING_TO_PUSH)
        if self.needed_force is not None and self.neck_diameter is None:
            raise Conflict("needed_force", refusals.FORCE_WITHOUT_NECK)
        if self.stopper_volume[0] >= self.volume[0]:
            raise OutOfRange("stopper_volume", refusals.STOPPER_FILLS_FLASK)
        if self.moisture == "saturated" and min(self.final_temperature[0], self.hot_temperature[0]) < kelvin(0):
            raise OutOfRange("final_temperature", refusals.FREEZES)
