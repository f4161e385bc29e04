"""Salt water of any salinity: the density of sea water's equation of state, the rest by ratio to pure water."""

from __future__ import annotations

from functools import lru_cache

from ..quantities.celsius import celsius, kelvin
from . import Entry, Parameter, Property
from .water import WATER

_FREEZING, _WARM = kelvin(0), kelvin(40)
REFERENCE_RATIO = 35.165_04 / 35
"""Absolute over practical salinity of standard sea water, [TEOS10]; the salinity stated is taken as practical."""


@lru_cache(maxsize=4096)
def _density(temperature: float, salinity: float) -> float:
    """At 1 atm, [TEOS10]; salinity as a mass fraction."""
    import gsw

    absolute = 1000 * salinity * REFERENCE_RATIO
    return float(gsw.rho_t_exact(absolute, celsius(temperature), 0.0))


def _vapour_pressure(temperature: float, salinity: float) -> float:
    """Raoult's law for sea salt, [Sharqawy], eq. 31."""
    s = 1000 * salinity
    return WATER.properties["vapour_pressure"].at(temperature) / (1 + 0.57357 * s / (1000 - s))


def _surface_tension(temperature: float, salinity: float) -> float:
    """Rises a little with salt, [Nayar], eq. 8."""
    s = 1000 * salinity
    return WATER.properties["surface_tension"].at(temperature) * (1 + 3.766e-4 * s + 2.347e-6 * s * celsius(temperature))


def _viscosity(temperature: float, salinity: float) -> float:
    """[Sharqawy], eqs. 22 and 23."""
    t = celsius(temperature)
    a = 1.541 + 1.998e-2 * t - 9.52e-5 * t**2
    b = 7.974 - 7.561e-2 * t + 4.724e-4 * t**2
    return WATER.properties["viscosity"].at(temperature) * (1 + a * salinity + b * salinity**2)


SALT_WATER = Entry(
    "salt water",
    {
        "density": Property(_density, "TEOS10", _FREEZING, _WARM),
        "vapour_pressure": Property(_vapour_pressure, "Sharqawy", _FREEZING, _WARM, 0.001),
        "surface_tension": Property(_surface_tension, "Nayar", _FREEZING, _WARM, 0.005),
        "viscosity": Property(_viscosity, "Sharqawy", _FREEZING, _WARM, 0.01),
        "contact_angle": Property(lambda temperature, salinity: 0.0, "practice", _FREEZING, _WARM),
    },
    parameter=Parameter("salinity", "35 g/kg", 0.0, 0.042, "grams of salt in a kilogram of salt water"),
)
