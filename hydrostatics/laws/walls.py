"""Liquid against upright walls and on flat faces."""

from __future__ import annotations

from typing import Any

import numpy as np


def wall_force(density: Any, gravity: Any, width: Any, depth: Any, other_depth: Any) -> Any:
    """Net force on an upright rectangular wall between two depths of one liquid.

    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    width : array
        Of the wall. [m]
    depth : array
        Of the liquid on this side. [m]
    other_depth : array
        Of the liquid on the other side. [m]
    returns : array
        Force towards the other side. [N]
    Source: [Massey].
    """
    return density * gravity * width * (depth**2 - other_depth**2) / 2


def centre_of_pressure(depth: Any, other_depth: Any) -> Any:
    """Where the net force on an upright wall acts.

    depth : array
        Of the liquid on one side. [m]
    other_depth : array
        Of the liquid on the other side. [m]
    returns : array
        Below the deeper surface; 0 where the two are equal. [m]
    Source: [Massey].
    """
    deep, low = np.maximum(depth, other_depth), np.minimum(depth, other_depth)
    moment = deep * deep * deep / 3 - low**2 / 2 * (deep - low / 3)
    net = (deep**2 - low**2) / 2
    return np.where(net > 0, moment / np.where(net > 0, net, 1.0), 0.0)


def disc_area(diameter: Any) -> Any:
    """Area of a circle.

    diameter : array
        [m]
    returns : array
        Area. [m^2]
    Source: [Massey], geometry.
    """
    return np.pi / 4 * diameter**2
