"""The room worked out: pressure, temperature and gravity that follow from what is stated."""

from __future__ import annotations

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from ..constants import ConstantSet
from ..laws.atmosphere import reduced_from_sea_level, reduced_to_sea_level, standard_pressure, station_from_altimeter
from ..laws.gravity import normal_gravity
from ..quantities.saying import in_words, typed_text
from .stated import RoomPart

HIGH_GROUND = 4500.0
"""Above this elevation [m] a room is called a what-if."""
EARTH_GRAVITY = (9.76, 9.84)
"""Gravity at ground level lies in this range [m/s^2] anywhere on Earth."""
WEATHER = (87_000.0, 108_500.0)
"""Pressure at sea level [Pa] stays within this range in any weather on record."""
TEMPERATURE_MATTERS = 300.0
"""Above this elevation [m] the outdoor temperature is asked for in a reduction."""


class Caution(NamedTuple):
    """What a person should mind about a room: a code for rules, the key it is about, words for the person."""

    code: str
    key: str
    words: str


IMPLAUSIBLE = "implausible-pressure"
"""Code of the caution that no weather makes the pressure at that height."""


@dataclass(frozen=True)
class Room:
    """The room in SI, one value per row.

    how: in words, what was worked out from what. cautions: what a person should mind about it. ceiling: of row 0 [m], or None.
    outdoor: temperature of the outdoor air, elevation above sea level, where stated.
    """

    station_pressure: NDArray[np.float64]
    temperature: NDArray[np.float64]
    gravity: NDArray[np.float64]
    constants: ConstantSet
    how: tuple[str, ...]
    what_if: bool
    cautions: tuple[Caution, ...] = ()
    ceiling: float | None = None
    outdoor: NDArray[np.float64] | None = None
    elevation: NDArray[np.float64] | None = None

    @property
    def outdoor_temperature(self) -> NDArray[np.float64]:
        """Of the outdoor air [K]; the room's where none is stated."""
        return self.temperature if self.outdoor is None else self.outdoor


def derive_room(stated: RoomPart, constants: ConstantSet) -> Room:
    """Works out pressure and gravity from what is stated; a default where nothing is.

    stated: SI arrays of shape (rows,) or (1,). constants: the set in use.
    """
    pressure, told, cautions = _pressure(stated, constants)
    gravity, gravity_told = _gravity(stated, constants)
    how = [told, gravity_told]
    low, high = EARTH_GRAVITY
    what_if = not low <= gravity[0] <= high or (stated.elevation is not None and stated.elevation[0] > HIGH_GROUND)
    if what_if:
        how.append("a what-if: no school stands in such a room")
    else:
        cautions += _implausible(stated, pressure)
    ceiling = None if stated.ceiling_height is None else float(stated.ceiling_height[0])
    return Room(
        pressure, stated.temperature, gravity, constants, tuple(how), bool(what_if), tuple(cautions), ceiling, stated.outdoor_temperature, stated.elevation
    )


def _pressure(stated: RoomPart, constants: ConstantSet) -> tuple[NDArray[np.float64], str, list[Caution]]:
    if stated.station_pressure is not None:
        return stated.station_pressure, "pressure at the bench as stated", []
    height = stated.elevation
    if height is None:
        return np.array([constants.atmosphere]), f"pressure not stated: one atmosphere of the {constants.name} constants", []
    at = _said(height, "height", "m")
    if stated.sea_level_pressure is not None:
        outdoor = stated.temperature if stated.outdoor_temperature is None else stated.outdoor_temperature
        pressure = reduced_from_sea_level(stated.sea_level_pressure, height, outdoor)
        of = "the room's temperature" if stated.outdoor_temperature is None else "outdoors"
        told = (
            f"pressure at the bench {_said(pressure, 'pressure', 'hPa')}, from the report's {_said(stated.sea_level_pressure, 'pressure', 'hPa')} "
            f"at sea level, up to {at}, air at {_said(outdoor, 'temperature', 'degC')} ({of}) [WMO8]"
        )
        cautions: list[Caution] = []
        if stated.outdoor_temperature is None and height[0] > TEMPERATURE_MATTERS:
            ten = float(reduced_from_sea_level(stated.sea_level_pressure[0], height[0], outdoor[0] - 10) - pressure[0])
            words = f"State the outdoor temperature: ten degrees colder outdoors than in the room moves the pressure by {abs(ten) / 100:.1f} hPa at {at}."
            cautions = [Caution("outdoor-temperature", "outdoor_temperature", words)]
        return pressure, told, cautions
    setting, name = (stated.altimeter_setting, "QNH") if stated.altimeter_setting is not None else (stated.metar, "the report's pressure group")
    if setting is not None:
        pressure = station_from_altimeter(setting, height)
        told = f"pressure at the bench {_said(pressure, 'pressure', 'hPa')}, from {name} of {_said(setting, 'pressure', 'hPa')} and {at} [ISO2533]"
        return pressure, told, []
    return standard_pressure(height), f"pressure of the standard atmosphere at {at} [ISO2533]; today's weather may differ by some 30 hPa", []


def _gravity(stated: RoomPart, constants: ConstantSet) -> tuple[NDArray[np.float64], str]:
    if stated.gravity is not None:
        return stated.gravity, "gravity as stated"
    if stated.latitude is not None:
        height = np.zeros(1) if stated.elevation is None else stated.elevation
        words = "gravity from the latitude" + (" and elevation" if stated.elevation is not None else ", at sea level") + " [GRS80]"
        return normal_gravity(stated.latitude, height), words
    return np.array([constants.gravity]), f"gravity not stated: that of the {constants.name} constants"


def _implausible(stated: RoomPart, pressure: NDArray[np.float64]) -> list[Caution]:
    """A caution where pressure and elevation do not belong together on any day's weather."""
    if stated.elevation is None or stated.station_pressure is None:
        return []
    outdoor = stated.temperature if stated.outdoor_temperature is None else stated.outdoor_temperature
    sea = float(reduced_to_sea_level(pressure[0], stated.elevation[0], outdoor[0]))
    if WEATHER[0] <= sea <= WEATHER[1]:
        return []
    metres, feet = in_both(float(stated.elevation[0]))
    words = (
        f"{_said(pressure, 'pressure', 'hPa')} at {metres} ({feet}) would be {sea / 100:.0f} hPa at sea level, "
        "which no weather makes: is the elevation in metres, and is the pressure the bench's and not a weather report's?"
    )
    return [Caution(IMPLAUSIBLE, "elevation", words)]


def in_both(height: float) -> tuple[str, str]:
    """A height [m] in the two units that are mistaken for one another."""
    return typed_text(height, 0.0, "height", "m", step=1), typed_text(height, 0.0, "height", "ft", step=1)


def _said(si: NDArray[np.float64], kind: str, unit: str) -> str:
    if kind == "pressure":  # to a tenth of a hectopascal, which a report's rounding needs
        return f"{float(si[0]) / 100:.1f} hPa"
    return in_words(round(float(si[0]), 1) if kind == "height" else float(si[0]), 0.0, kind, unit)
