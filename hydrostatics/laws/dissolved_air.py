"""Air dissolved in water."""

from __future__ import annotations

from typing import Any

import numpy as np

_CRITICAL = 647.096
_MOLAR_WATER = 0.018_015_268
_HENRY = {"nitrogen": (-9.67578, 4.72162, 11.70585), "oxygen": (-9.44833, 4.43822, 11.42005), "argon": (-8.40954, 4.29587, 10.52779)}
_DRY_AIR = {"nitrogen": 0.780_84, "oxygen": 0.209_46, "argon": 0.009_34}


def henry_constant(gas: str, temperature: Any, vapour_pressure: Any) -> Any:
    """Henry's constant of a gas in water: partial pressure over mole fraction dissolved.

    gas : array
        nitrogen, oxygen or argon. [1]
    temperature : array
        Of the water. [K]
    vapour_pressure : array
        Of the water. [Pa]
    returns : array
        Henry's constant. [Pa]
    Source: [IAPWS-G7], eq. 3 and table 2.
    """
    a, b, c = _HENRY[gas]
    reduced = temperature / _CRITICAL
    tau = 1 - reduced
    return vapour_pressure * np.exp(a / reduced + b * tau**0.355 / reduced + c * reduced**-0.41 * np.exp(tau))


def dissolved_air(temperature: Any, pressure: Any, vapour_pressure: Any, density: Any) -> Any:
    """Air that water holds at saturation: nitrogen, oxygen and argon.

    temperature : array
        Of the water. [K]
    pressure : array
        Of the damp air over it. [Pa]
    vapour_pressure : array
        Of the water. [Pa]
    density : array
        Of the water. [kg/m^3]
    returns : array
        Amount of dissolved gas per volume of water. [mol/m^3]
    Source: [IAPWS-G7]; dry air by [ISO2533].
    """
    fraction = sum(part / henry_constant(gas, temperature, vapour_pressure) for gas, part in _DRY_AIR.items())
    return np.maximum(pressure - vapour_pressure, 0.0) * fraction * density / _MOLAR_WATER
