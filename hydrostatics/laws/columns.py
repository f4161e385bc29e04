"""Columns of liquid closed at the top."""

from __future__ import annotations

from typing import Any

import numpy as np

GAS_CONSTANT = 8.314_462_618
"""[J/(mol K)], exact since 2019, [CODATA]."""


def column_under_gas(pressure: Any, weight: Any, length: Any, gas: Any) -> Any:
    """Height at which a column stands under trapped gas that obeys Boyle's law.

    pressure : array
        What drives the column: the air's pressure less the vapour's. [Pa]
    weight : array
        Of the liquid per volume, rho g. [N/m^3]
    length : array
        From the outer surface to the closed end, vertical. [m]
    gas : array
        Dry pressure times length of the gas, vertical; 0 for none. [Pa m]
    returns : array
        Height above the outer surface, the root of (pressure - weight x)(length - x) = gas below the closed end. [m]
    Source: [Massey], with Boyle's law [Boyle].
    """
    against = weight * length
    return 2 * (pressure * length - gas) / (pressure + against + np.sqrt((pressure - against) ** 2 + 4 * weight * gas))


def column_limit(pressure: Any, vapour_pressure: Any, density: Any, gravity: Any) -> Any:
    """Height above which a liquid parts from its closed end and boils there.

    pressure : array
        Of the air on the outer surface. [Pa]
    vapour_pressure : array
        Of the liquid. [Pa]
    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    returns : array
        Height, not below 0. [m]
    Source: [Massey].
    """
    return np.maximum(pressure - vapour_pressure, 0.0) / (density * gravity)


def gas_amount(pressure: Any, volume: Any, temperature: Any) -> Any:
    """Amount of an ideal gas.

    pressure : array
        [Pa]
    volume : array
        [m^3]
    temperature : array
        [K]
    returns : array
        Amount. [mol]
    Source: [CODATA], ideal gas.
    """
    return pressure * volume / (GAS_CONSTANT * temperature)


def card_sink(air_height: Any, dry_pressure: Any, top_pressure: Any, vapour_pressure: Any) -> Any:
    """How far a cover sinks until damp air trapped above the liquid is thin enough.

    air_height : array
        Of the trapped air before. [m]
    dry_pressure : array
        Of its dry part before, at the temperature that it takes on. [Pa]
    top_pressure : array
        That it must come down to. [Pa]
    vapour_pressure : array
        Of the liquid, which stays. [Pa]
    returns : array
        Sink, not below 0; infinite where the top pressure does not exceed the vapour's. [m]
    Source: [Boyle], for the dry part of the air.
    """
    dry = top_pressure - vapour_pressure
    return np.where(dry > 0, air_height * np.maximum(dry_pressure / np.where(dry > 0, dry, 1.0) - 1, 0.0), np.inf)
