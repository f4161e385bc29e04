"""Points on the Celsius scale to kelvin and back, for the few places that count in degrees."""

from __future__ import annotations

from .units import CELSIUS_ZERO


def kelvin(celsius: float) -> float:
    """A temperature [degC] in kelvin."""
    return celsius + CELSIUS_ZERO


def celsius(kelvin: float) -> float:
    """A temperature [K] in degrees Celsius."""
    return kelvin - CELSIUS_ZERO
