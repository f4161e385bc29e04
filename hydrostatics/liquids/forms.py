"""How a record's coefficients become a property: one function per published form."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from functools import lru_cache
from typing import Any

from ..quantities.celsius import celsius

Made = Callable[[float], float]


def _line(c: Mapping[str, Any]) -> Made:
    """A straight line: value + slope (T - at)."""
    return lambda temperature: float(c["value"] + c["slope"] * (temperature - c["at"]))


def _expansion(c: Mapping[str, Any]) -> Made:
    """A density that falls with cubic expansion: value/(1 + rate (T - at)), after [WMO8]."""
    return lambda temperature: float(c["value"] / (1 + c["rate"] * (temperature - c["at"])))


def _table(c: Mapping[str, Any]) -> Made:
    """Straight between tabulated temperatures, in the logarithm of the value."""
    import numpy as np

    logs = np.log(c["values"])
    return lambda temperature: float(np.exp(np.interp(celsius(temperature), c["celsius"], logs)))


def _reduced_density(c: Mapping[str, Any]) -> Made:
    """Liquid density by powers of the reduced distance from the critical point, [VDI]."""
    from chemicals.dippr import EQ116

    return lambda temperature: float(EQ116(temperature, c["critical_temperature"], c["critical_density"], c["a"], c["b"], c["c"], c["d"]))


def _wagner(c: Mapping[str, Any]) -> Made:
    """Vapour pressure by Wagner's equation with exponents 2.5 and 5, [VDI]."""
    from chemicals.vapor_pressure import Wagner

    return lambda temperature: float(Wagner(temperature, c["critical_temperature"], c["critical_pressure"], c["a"], c["b"], c["c"], c["d"]))


def _reduced_tension(c: Mapping[str, Any]) -> Made:
    """Surface tension a (1 - T/Tc)^n, [Mulero]."""
    from chemicals.dippr import EQ106

    return lambda temperature: float(EQ106(temperature, c["critical_temperature"], c["a"], c["n"], 0.0, 0.0, 0.0))


def _ppds9(c: Mapping[str, Any]) -> Made:
    """Liquid viscosity by the atlas's form for viscosity, [VDI]."""
    from chemicals.viscosity import PPDS9

    return lambda temperature: float(PPDS9(temperature, c["a"], c["b"], c["c"], c["d"], c["e"]))


def _huber(c: Mapping[str, Any]) -> Made:
    """Vapour pressure of mercury, [Huber]."""
    import math

    def at(temperature: float) -> float:
        tau = 1 - temperature / c["critical_temperature"]
        return float(c["critical_pressure"] * math.exp(c["critical_temperature"] / temperature * sum(a * tau**n for a, n in c["terms"])))

    return at


def _share_of_water(c: Mapping[str, Any]) -> Made:
    """Vapour pressure as a share of pure water's."""
    from .water import WATER

    water = WATER.properties["vapour_pressure"].at
    return lambda temperature: float(c["share"] * water(temperature))


FORMS: Mapping[str, Callable[[Mapping[str, Any]], Made]] = {
    "line": _line,
    "expansion": _expansion,
    "table": _table,
    "reduced-density": _reduced_density,
    "wagner": _wagner,
    "reduced-tension": _reduced_tension,
    "ppds9": _ppds9,
    "huber": _huber,
    "share-of-water": _share_of_water,
}
"""The closed list of forms that a record may name."""


def evaluator(form: str, coefficients: Mapping[str, Any]) -> Made:
    """A property of temperature [K] in SI, made when first asked for: the library behind a form is imported only then."""

    @lru_cache(maxsize=1)
    def made() -> Made:
        return FORMS[form](coefficients)

    return lambda temperature: made()(temperature)
