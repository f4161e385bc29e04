"""Air pressure with height."""

from __future__ import annotations

from typing import Any

LAPSE_RATE = 0.0065
"""Temperature gradient of the troposphere [K/m], [ISO2533]."""
SEA_LEVEL_TEMPERATURE = 288.15
"""[K], [ISO2533]."""
SEA_LEVEL_PRESSURE = 101_325.0
"""[Pa], [ISO2533]."""
EXPONENT = 9.80665 * 0.028_964_4 / (8.314_32 * LAPSE_RATE)
"""g0 M/(R L), 5.2559, with the gas constant that the standard fixes; [ISO2533]."""


def standard_pressure(elevation: Any) -> Any:
    """Pressure of the standard atmosphere below 11 km.

    elevation : array
        Geopotential height above sea level. [m]
    returns : array
        Air pressure. [Pa]
    Source: [ISO2533], eq. 12.
    """
    return SEA_LEVEL_PRESSURE * (1 - LAPSE_RATE * elevation / SEA_LEVEL_TEMPERATURE) ** EXPONENT
