"""Gas that cools in a closed vessel, and a thin can that it leaves to the room's pressure."""

from __future__ import annotations

from typing import Any

import numpy as np


def cooled_pressure(dry_pressure: Any, hot_temperature: Any, temperature: Any) -> Any:
    """Pressure of a dry gas that has cooled at one volume.

    dry_pressure : array
        When hot. [Pa]
    hot_temperature : array
        When it was closed in. [K]
    temperature : array
        It has cooled to. [K]
    returns : array
        Pressure. [Pa]
    Source: [Amontons].
    """
    return dry_pressure * temperature / hot_temperature


def cooling_duration(hot_temperature: Any, temperature: Any, final_temperature: Any, cooling_time: Any) -> Any:
    """Time in which something cools to a temperature between.

    hot_temperature : array
        At the beginning. [K]
    temperature : array
        To be reached, above the final one. [K]
    final_temperature : array
        That it tends to. [K]
    cooling_time : array
        In which the difference falls to 1/e. [s]
    returns : array
        Time. [s]
    Source: [NewtonScale].
    """
    return cooling_time * np.log((hot_temperature - final_temperature) / (temperature - final_temperature))


def can_collapse_pressure(collapse_factor: Any, modulus: Any, wall: Any, diameter: Any, height: Any) -> Any:
    """Pressure difference that buckles a thin round can between its ends, an order of magnitude.

    collapse_factor : array
        Part of the formula's value that a real, dented can stands. [1]
    modulus : array
        Of its material. [Pa]
    wall : array
        Thickness of its side. [m]
    diameter : array
        [m]
    height : array
        [m]
    returns : array
        2.6 factor E (t/D)^2.5 D/L. [Pa]
    Source: [Windenburg], eq. 9 without its small second term.
    """
    return 2.6 * collapse_factor * modulus * (wall / diameter) ** 2.5 * diameter / height
