"""What a set-up file can say of the room, and which of its keys stand for the same thing."""

from __future__ import annotations

import numpy as np

from ..errors import Conflict, MissingKey
from ..errors import english as cases
from ..fields import Array, Part, Plain, ReportLine, choice, quantity, report

PRESSURES = ("station_pressure", "sea_level_pressure", "altimeter_setting", "metar")
"""The keys that state a pressure, of which one may stand."""
PLACE = ("elevation", "outdoor_temperature")
"""The keys that tell where a room stands, from which a pressure is worked out."""
GRAVITY = ("gravity", "latitude")
"""The keys from which gravity comes."""


class RoomPart(Part):
    """The room as stated in a set-up file."""

    station_pressure: Array | None = quantity(
        "pressure",
        "Pressure at the bench",
        default=None,
        ge=0,
        le=200e3,
        help="absolute, read in the room; not the weather report's, which is reduced to sea level",
    )
    sea_level_pressure: Array | None = quantity(
        "pressure",
        "Weather report's pressure",
        default=None,
        ge=50e3,
        le=120e3,
        help="as the forecast or the radio gives it, reduced to sea level; needs the elevation",
        first=True,
    )
    altimeter_setting: Array | None = quantity("pressure", "Airfield's QNH", default=None, ge=50e3, le=120e3, help="altimeter setting; needs the elevation")
    metar: ReportLine | None = report(
        "Airfield report (METAR)",
        "pressure",
        help="the whole line of any airfield near, whose own height does not matter; its first Q or A group is used; needs the elevation",
    )
    elevation: Array | None = quantity(
        "height",
        "Elevation",
        default=None,
        ge=-500,
        le=11_000,
        help="of the room above sea level; alone, it gives the standard atmosphere's pressure at that height",
        first=True,
    )
    outdoor_temperature: Array | None = quantity(
        "temperature", "Outdoor temperature", default=None, gt=150, le=400, help="serves the reduction of a weather report's pressure only"
    )
    temperature: Array = quantity("temperature", "Temperature", default="20 degC", gt=0, le=2000, help="of the room and of the liquids")
    relative_humidity: Plain = quantity("fraction", "Relative humidity", default="50 %", ge=0, le=1, help="kept for the record; enters no result")
    ceiling_height: Array | None = quantity("height", "Ceiling height", default=None, gt=0, le=200, help="a taller set-up brings a caution that says what fits")
    gravity: Array | None = quantity("acceleration", "Gravity", default=None, ge=0.1, le=30)
    latitude: Array | None = quantity("angle", "Latitude", default=None, ge=-np.pi / 2, le=np.pi / 2, help="gives gravity, with the elevation")
    constants: str = choice(
        "Constants",
        default="reference",
        words={"reference": "reference", "textbook": "textbook", "engineering": "engineering"},
        help="which roundings the answer uses",
    )

    def refuse(self) -> None:
        stated = [key for key in PRESSURES if getattr(self, key) is not None]
        if len(stated) > 1:
            raise Conflict(stated[1], cases.TWO_PRESSURES, one=stated[0], other=stated[1])
        if stated and stated[0] != "station_pressure" and self.elevation is None:
            raise MissingKey("elevation", cases.ELEVATION_MISSING, one=stated[0])
        if self.gravity is not None and self.latitude is not None:
            raise Conflict("latitude", cases.GRAVITY_AND_LATITUDE)
