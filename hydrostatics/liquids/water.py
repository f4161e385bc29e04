"""Ordinary water, after the releases of IAPWS."""

from __future__ import annotations

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from ..quantities.celsius import kelvin
from . import Entry, Property
from .at_each import at_each

_FREEZING, _BOILING = kelvin(0), kelvin(100)


@lru_cache(maxsize=4096)
def _density(temperature: float) -> float:
    from chemicals.iapws import iapws97_rho
    from chemicals.vapor_pressure import Psat_IAPWS

    return float(iapws97_rho(temperature, max(101_325.0, 1.01 * Psat_IAPWS(temperature))))


@lru_cache(maxsize=4096)
def _vapour_pressure(temperature: float) -> float:
    from chemicals.vapor_pressure import Psat_IAPWS

    return float(Psat_IAPWS(temperature))


def saturation_pressure(temperature: NDArray[np.float64]) -> NDArray[np.float64]:
    """Vapour pressure of water [Pa] at temperatures [K], one per row; below freezing that of water that has not frozen."""
    return at_each(_vapour_pressure, [temperature])


@lru_cache(maxsize=4096)
def _surface_tension(temperature: float) -> float:
    from chemicals.interface import sigma_IAPWS

    return float(sigma_IAPWS(temperature))


@lru_cache(maxsize=4096)
def _viscosity(temperature: float) -> float:
    from chemicals.viscosity import mu_IAPWS

    return float(mu_IAPWS(temperature, _density(temperature)))


def _clean_glass(temperature: float) -> float:
    return 0.0


WATER = Entry(
    "water",
    {
        "density": Property(_density, "IAPWS-IF97", _FREEZING, _BOILING),
        "vapour_pressure": Property(_vapour_pressure, "IAPWS-IF97", _FREEZING, _BOILING),
        "surface_tension": Property(_surface_tension, "IAPWS-R1", _FREEZING, _BOILING),
        "viscosity": Property(_viscosity, "IAPWS-R12", _FREEZING, _BOILING),
        "contact_angle": Property(_clean_glass, "practice", _FREEZING, _BOILING),
    },
)
