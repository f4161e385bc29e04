"""Weighing in air."""

from __future__ import annotations

from typing import Any

from .columns import GAS_CONSTANT

MOLAR_AIR = 0.028_964_4
"""Molar mass of dry air [kg/mol], [ISO2533]."""
WEIGHTS = 8000.0
"""Density of the weights to which a balance is adjusted [kg/m^3], [OIML]."""


def air_density(pressure: Any, temperature: Any) -> Any:
    """Density of dry air.

    pressure : array
        [Pa]
    temperature : array
        [K]
    returns : array
        p M/(R T). [kg/m^3]
    Source: [ISO2533].
    """
    return pressure * MOLAR_AIR / (GAS_CONSTANT * temperature)


def true_mass(reading: Any, density: Any, air: Any) -> Any:
    """Mass of what a balance, adjusted with weights of 8000 kg/m^3, reads in air.

    reading : array
        Of the balance, or a difference of two. [kg]
    density : array
        Of what is weighed. [kg/m^3]
    air : array
        Density of the air. [kg/m^3]
    returns : array
        w (1 - rho_a/8000)/(1 - rho_a/rho). [kg]
    Source: [OIML], buoyancy.
    """
    return reading * (1 - air / WEIGHTS) / (1 - air / density)


def weighed_density(reading: Any, volume: Any, air: Any) -> Any:
    """Density of what fills a known volume, from what a balance reads of it in air.

    reading : array
        Difference of the readings, full less empty. [kg]
    volume : array
        [m^3]
    air : array
        Density of the air. [kg/m^3]
    returns : array
        w (1 - rho_a/8000)/V + rho_a, the buoyancy solved with it. [kg/m^3]
    Source: [OIML], buoyancy.
    """
    return reading * (1 - air / WEIGHTS) / volume + air


def hung_volume(difference: Any, density: Any, air: Any) -> Any:
    """Volume of a body from what a balance loses when it hangs in a liquid.

    difference : array
        Reading in air less reading in the liquid. [kg]
    density : array
        Of the liquid. [kg/m^3]
    air : array
        Density of the air. [kg/m^3]
    returns : array
        (m1 - m2)(1 - rho_a/8000)/(rho - rho_a). [m^3]
    Source: [Archimedes] with [OIML], buoyancy.
    """
    return difference * (1 - air / WEIGHTS) / (density - air)
