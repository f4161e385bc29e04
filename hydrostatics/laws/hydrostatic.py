"""Liquids at rest."""

from __future__ import annotations

from typing import Any

import numpy as np


def hydrostatic_pressure(density: Any, gravity: Any, depth: Any) -> Any:
    """Gauge pressure below a free surface.

    density : array
        Of the liquid. [kg/m^3]
    gravity : array
        [m/s^2]
    depth : array
        Below the surface. [m]
    returns : array
        Pressure above that at the surface. [Pa]
    Source: [Massey].
    """
    return density * gravity * depth


def capillary_length(surface_tension: Any, density: Any, gravity: Any) -> Any:
    """Length at which weight and surface tension balance.

    surface_tension : array
        [N/m]
    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    returns : array
        sqrt(sigma/(rho g)). [m]
    Source: [deGennes], ch. 2.
    """
    return np.sqrt(surface_tension / (density * gravity))


SLIDING_ZERO = 1.841_183_781_340_659
"""First zero of J1', [AbramowitzStegun], table 9.5: a meniscus free to slide on its rim tips over first in this mode."""
PINNED_ZERO = 3.831_705_970_207_512
"""First zero of J1, [AbramowitzStegun], table 9.5: a meniscus pinned on a sharp rim."""


def largest_sliding_hole(capillary_length: Any) -> Any:
    """Largest circular hole that a meniscus free to slide carries, facing down.

    capillary_length : array
        [m]
    returns : array
        Diameter. [m]
    Source: [Maxwell], with [AbramowitzStegun], table 9.5.
    """
    return 2 * SLIDING_ZERO * capillary_length


def largest_pinned_hole(capillary_length: Any) -> Any:
    """Largest circular hole that a meniscus pinned on a dry sharp rim carries, facing down.

    capillary_length : array
        [m]
    returns : array
        Diameter. [m]
    Source: [Maxwell], with [AbramowitzStegun], table 9.5.
    """
    return 2 * PINNED_ZERO * capillary_length


def largest_side_hole(capillary_length: Any) -> Any:
    """Largest hole in an upright wall that a meniscus carries with the vessel closed above.

    capillary_length : array
        [m]
    returns : array
        sqrt(8) capillary lengths. [m]
    Source: [deGennes], ch. 2, from the balance of rho g d and 8 sigma/d.
    """
    return np.sqrt(8.0) * capillary_length


def meniscus_pressure(surface_tension: Any, diameter: Any) -> Any:
    """Pressure that a hemispherical meniscus on a round hole holds back.

    surface_tension : array
        [N/m]
    diameter : array
        Of the hole. [m]
    returns : array
        4 sigma/d. [Pa]
    Source: [deGennes], ch. 2 (Laplace).
    """
    return 4 * surface_tension / diameter


def jurin_height(surface_tension: Any, contact_angle: Any, density: Any, gravity: Any, bore: Any) -> Any:
    """Rise of a liquid in a narrow tube.

    surface_tension : array
        [N/m]
    contact_angle : array
        Of the liquid on the tube. [rad]
    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    bore : array
        Inside diameter of the tube. [m]
    returns : array
        Rise, negative where the liquid does not wet the tube. [m]
    Source: [Jurin]; it overstates where the bore exceeds two capillary lengths.
    """
    return 4 * surface_tension * np.cos(contact_angle) / (density * gravity * bore)


def capillary_rise(surface_tension: Any, contact_angle: Any, density: Any, gravity: Any, bore: Any) -> Any:
    """Rise of a liquid in a tube that need not be narrow.

    surface_tension : array
        [N/m]
    contact_angle : array
        Of the liquid on the tube. [rad]
    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    bore : array
        Inside diameter of the tube. [m]
    returns : array
        Rise, negative where the liquid does not wet the tube. [m]
    Source: [Jurin], over 1 + 0.042 (d/l_c)^2: a fit to the Young-Laplace equation, within 4 % up to 4.5 capillary lengths.
    """
    wide = np.square(bore) * density * gravity / surface_tension
    return jurin_height(surface_tension, contact_angle, density, gravity, bore) / (1 + 0.042 * wide)


WIDE_BORE = 4.5
"""Bore in capillary lengths above which the fit of `capillary_rise` is rough."""


def rim_bridge(capillary_length: Any) -> Any:
    """Widest gap below a rim that a wet edge bridges, an estimate.

    capillary_length : array
        [m]
    returns : array
        Gap. [m]
    Source: [deGennes], ch. 2: height of a puddle's edge at 90 degrees, sqrt 2 capillary lengths.
    """
    return np.sqrt(2) * capillary_length
