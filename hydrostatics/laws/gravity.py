"""Gravity with latitude and height."""

from __future__ import annotations

from typing import Any

import numpy as np

STANDARD = 9.806_65
"""Standard gravity [m/s^2], [ISO2533]."""
EQUATOR = 9.780_326_771_5
"""Normal gravity at the equator [m/s^2], [GRS80]."""
_K, _E2 = 0.001_931_851_353, 0.006_694_380_022_90
FREE_AIR = -3.086e-6
"""Change with height [m/s^2 per m], [GRS80], to first order."""


def normal_gravity(latitude: Any, elevation: Any) -> Any:
    """Normal gravity of the reference ellipsoid, with the free-air term.

    latitude : array
        Geographic latitude. [rad]
    elevation : array
        Height above the ellipsoid, taken as above sea level. [m]
    returns : array
        Gravity. [m/s^2]
    Source: [GRS80], Somigliana's closed formula.
    """
    s2 = np.sin(latitude) ** 2
    return EQUATOR * (1 + _K * s2) / np.sqrt(1 - _E2 * s2) + FREE_AIR * elevation
