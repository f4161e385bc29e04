"""Air pressure with height."""

from __future__ import annotations

from typing import Any

import numpy as np

LAPSE_RATE = 0.0065
"""Temperature gradient of the troposphere [K/m], [ISO2533]."""
SEA_LEVEL_TEMPERATURE = 288.15
"""[K], [ISO2533]."""
SEA_LEVEL_PRESSURE = 101_325.0
"""[Pa], [ISO2533]."""
EXPONENT = 9.80665 * 0.028_964_4 / (8.314_32 * LAPSE_RATE)
"""g0 M/(R L), 5.2559, with the gas constant that the standard fixes; [ISO2533]."""
_SPECIFIC = 8.314_32 / 0.028_964_4


def standard_pressure(elevation: Any) -> Any:
    """Pressure of the standard atmosphere below 11 km.

    elevation : array
        Geopotential height above sea level. [m]
    returns : array
        Air pressure. [Pa]
    Source: [ISO2533], eq. 12.
    """
    return SEA_LEVEL_PRESSURE * (1 - LAPSE_RATE * elevation / SEA_LEVEL_TEMPERATURE) ** EXPONENT


def reduced_from_sea_level(sea_level_pressure: Any, elevation: Any, outdoor_temperature: Any) -> Any:
    """Station pressure from a weather report's pressure, undoing its reduction to sea level.

    sea_level_pressure : array
        As the report states it. [Pa]
    elevation : array
        Of the bench above sea level. [m]
    outdoor_temperature : array
        Of the outdoor air at the bench's height. [K]
    returns : array
        Pressure at the bench. [Pa]
    Source: [WMO8], part I, chapter 3, with the lapse rate of [ISO2533].
    """
    return sea_level_pressure * _ratio(elevation, outdoor_temperature)


def reduced_to_sea_level(station_pressure: Any, elevation: Any, outdoor_temperature: Any) -> Any:
    """Pressure at sea level below a station, as a weather report states it.

    station_pressure : array
        At the bench. [Pa]
    elevation : array
        Of the bench above sea level. [m]
    outdoor_temperature : array
        Of the outdoor air at the bench's height. [K]
    returns : array
        Pressure reduced to sea level. [Pa]
    Source: [WMO8], part I, chapter 3, with the lapse rate of [ISO2533].
    """
    return station_pressure / _ratio(elevation, outdoor_temperature)


def _ratio(elevation: Any, outdoor_temperature: Any) -> Any:
    return (1 - LAPSE_RATE * elevation / (outdoor_temperature + LAPSE_RATE * elevation)) ** EXPONENT


def station_from_altimeter(altimeter_setting: Any, elevation: Any) -> Any:
    """Station pressure from an airfield's altimeter setting (QNH); no temperature enters.

    altimeter_setting : array
        QNH. [Pa]
    elevation : array
        Of the bench, as geopotential height. [m]
    returns : array
        Pressure at the bench. [Pa]
    Source: [ISO2533], inverted.
    """
    n = 1 / EXPONENT
    step = SEA_LEVEL_PRESSURE**n * LAPSE_RATE * elevation / SEA_LEVEL_TEMPERATURE
    return np.maximum(altimeter_setting**n - step, 0.0) ** EXPONENT


def layer_thickness(lower_pressure: Any, upper_pressure: Any, temperature: Any, gravity: Any) -> Any:
    """Height climbed between two pressures in dry air of one temperature.

    lower_pressure : array
        At the foot. [Pa]
    upper_pressure : array
        At the top. [Pa]
    temperature : array
        Of the air. [K]
    gravity : array
        [m/s^2]
    returns : array
        Height between them. [m]
    Source: [WMO8], hypsometric equation.
    """
    return _SPECIFIC * temperature / gravity * np.log(lower_pressure / upper_pressure)


def pressure_above(pressure: Any, height: Any, temperature: Any, gravity: Any) -> Any:
    """Pressure some height above a place, in dry air of one temperature.

    pressure : array
        At the place. [Pa]
    height : array
        Above it, negative below. [m]
    temperature : array
        Of the air. [K]
    gravity : array
        [m/s^2]
    returns : array
        Pressure. [Pa]
    Source: [WMO8], hypsometric equation.
    """
    return pressure * np.exp(-height * gravity / (_SPECIFIC * temperature))


def scale_height(temperature: Any, gravity: Any) -> Any:
    """Height in which dry air of one temperature thins to 1/e.

    temperature : array
        Of the air. [K]
    gravity : array
        [m/s^2]
    returns : array
        R T/(M g). [m]
    Source: [WMO8], hypsometric equation.
    """
    return _SPECIFIC * temperature / gravity
