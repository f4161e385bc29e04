"""The room: what a set-up says of it, and the pressure, temperature and gravity that follow."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from .constants import ConstantSet
from .errors import Conflict
from .fields import Array, Part, choice, quantity
from .laws.atmosphere import standard_pressure
from .laws.gravity import normal_gravity

HIGH_GROUND = 4500.0
"""Above this elevation [m] a room is called a what-if."""
EARTH_GRAVITY = (9.76, 9.84)
"""Gravity at ground level lies in this range [m/s^2] anywhere on Earth."""


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
    elevation: Array | None = quantity(
        "height", "Elevation", default=None, ge=-500, le=11_000, help="alone, it gives the standard atmosphere's pressure at that height"
    )
    temperature: Array = quantity("temperature", "Temperature", default="20 degC", gt=0, le=2000, help="of the room and of the liquids")
    gravity: Array | None = quantity("acceleration", "Gravity", default=None, ge=0.1, le=30)
    latitude: Array | None = quantity("angle", "Latitude", default=None, ge=-np.pi / 2, le=np.pi / 2, help="gives gravity, with the elevation")
    constants: str = choice(
        "Constants",
        default="reference",
        words={"reference": "reference", "textbook": "textbook", "engineering": "engineering"},
        help="which roundings the answer uses",
    )

    def refuse(self) -> None:
        if self.gravity is not None and self.latitude is not None:
            raise Conflict("latitude", "gravity and latitude are both stated", "keep one: gravity follows from the latitude")


@dataclass(frozen=True)
class Room:
    """The room in SI, one value per row; how tells, in words, what was worked out from what."""

    station_pressure: NDArray[np.float64]
    temperature: NDArray[np.float64]
    gravity: NDArray[np.float64]
    constants: ConstantSet
    how: tuple[str, ...]
    what_if: bool


def derive_room(stated: RoomPart, constants: ConstantSet) -> Room:
    """Works out pressure and gravity from what is stated; a default where nothing is.

    stated: SI arrays of shape (rows,) or (1,). constants: the set in use.
    """
    how: list[str] = []
    if stated.station_pressure is not None:
        pressure = stated.station_pressure
        how.append("pressure at the bench as stated")
    elif stated.elevation is not None:
        pressure = standard_pressure(stated.elevation)
        how.append("pressure of the standard atmosphere at the elevation [ISO2533]; today's weather may differ by some 30 hPa")
    else:
        pressure = np.array([constants.atmosphere])
        how.append(f"pressure not stated: one atmosphere of the {constants.name} constants")
    if stated.gravity is not None:
        gravity = stated.gravity
        how.append("gravity as stated")
    elif stated.latitude is not None:
        height = np.zeros(1) if stated.elevation is None else stated.elevation
        gravity = normal_gravity(stated.latitude, height)
        how.append("gravity from the latitude" + (" and elevation" if stated.elevation is not None else ", at sea level") + " [GRS80]")
    else:
        gravity = np.array([constants.gravity])
        how.append(f"gravity not stated: that of the {constants.name} constants")
    low, high = EARTH_GRAVITY
    what_if = not low <= gravity[0] <= high or (stated.elevation is not None and stated.elevation[0] > HIGH_GROUND)
    if what_if:
        how.append("a what-if: no school stands in such a room")
    return Room(pressure, stated.temperature, gravity, constants, tuple(how), bool(what_if))
