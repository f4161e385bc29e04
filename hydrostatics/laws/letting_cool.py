"""How long boiled water takes to cool in its vessel: an estimate, since nobody knows the lid and the draught."""

from __future__ import annotations

from typing import Any

import numpy as np


def cooling_constant(volume: Any, density: Any, heat_capacity: Any, transfer: Any) -> Any:
    """Time constant of a vessel as tall as it is wide, its content mixed, over its whole surface.

    volume : array
        Of the liquid. [m^3]
    density : array
        [kg/m^3]
    heat_capacity : array
        Of the liquid. [J/(kg K)]
    transfer : array
        Heat transfer coefficient of the vessel's surface, walls and lid counted in. [W/(m^2 K)]
    returns : array
        rho V c/(h A), A = (3/2) pi (4 V/pi)^(2/3). [s]
    Source: [Incropera], lumped capacitance.
    """
    area = 1.5 * np.pi * np.cbrt(4 * volume / np.pi) ** 2
    return density * volume * heat_capacity / (transfer * area)


def cooling_time(start: Any, wanted: Any, around: Any, constant: Any) -> Any:
    """Time until something hot has cooled to a temperature by Newton's law.

    start : array
        [K]
    wanted : array
        [K]
    around : array
        Of the air or the bath, below what is wanted. [K]
    constant : array
        Time constant. [s]
    returns : array
        tau ln((T0 - Ta)/(T - Ta)). [s]
    Source: [Incropera], lumped capacitance.
    """
    return constant * np.log((start - around) / (wanted - around))
