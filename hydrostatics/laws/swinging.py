"""Liquid that swings to and fro in joined tubes, and how long it takes to stand still."""

from __future__ import annotations

from typing import Any

import numpy as np

HUNDREDTH = np.log(100)
"""Time constants in which a swing falls to a hundredth."""


def swing_rate(gravity: Any, inertia: Any, upright: Any) -> Any:
    """Undamped angular frequency of the liquid in two upright arms and what joins them.

    gravity : array
        [m/s^2]
    inertia : array
        Sum of length over area along the liquid. [1/m]
    upright : array
        Sum of one over area of the two surfaces. [1/m^2]
    returns : array
        sqrt(g upright/inertia). [rad/s]
    Source: [Newton], Book II, proposition 44, for arms of any area.
    """
    return np.sqrt(gravity * upright / inertia)


def creeping_rate(kinematic_viscosity: Any, bore: Any) -> Any:
    """Rate at which laminar friction damps a slow movement.

    kinematic_viscosity : array
        Of the liquid. [m^2/s]
    bore : array
        Of the tube in which it moves. [m]
    returns : array
        16 nu/d^2. [1/s]
    Source: [Poiseuille].
    """
    return 16 * kinematic_viscosity / bore**2


def layer_rate(kinematic_viscosity: Any, rate: Any, bore: Any) -> Any:
    """Rate at which the wall's thin layer damps a quick swing.

    kinematic_viscosity : array
        Of the liquid. [m^2/s]
    rate : array
        Angular frequency of the swing. [rad/s]
    bore : array
        Of the tube in which it moves. [m]
    returns : array
        sqrt(2 nu omega)/d. [1/s]
    Source: [Stokes], the oscillating boundary layer.
    """
    return np.sqrt(2 * kinematic_viscosity * rate) / bore


def settling_time(rate: Any, damping: Any) -> Any:
    """Time in which a swing, or a creep, falls to a hundredth.

    rate : array
        Undamped angular frequency. [rad/s]
    damping : array
        [1/s]
    returns : array
        ln 100/(damping - sqrt(max(0, damping^2 - rate^2))). [s]
    Source: [Newton], the damped oscillator.
    """
    return HUNDREDTH / (damping - np.sqrt(np.maximum(damping**2 - rate**2, 0.0)))
