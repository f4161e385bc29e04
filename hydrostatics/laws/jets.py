"""Liquid leaving through a hole, and its flight."""

from __future__ import annotations

from typing import Any

import numpy as np


def torricelli_speed(gravity: Any, head: Any) -> Any:
    """Speed of a jet without loss.

    gravity : array
        [m/s^2]
    head : array
        Depth of the hole below the surface; below zero counts as zero. [m]
    returns : array
        sqrt(2 g h). [m/s]
    Source: [Torricelli].
    """
    return np.sqrt(2 * gravity * np.maximum(head, 0.0))


def orifice_flow(discharge_coefficient: Any, diameter: Any, ideal_speed: Any) -> Any:
    """Volume flow through a round hole.

    discharge_coefficient : array
        Contraction and friction together. [1]
    diameter : array
        Of the hole. [m]
    ideal_speed : array
        Speed without loss. [m/s]
    returns : array
        C_d A v. [m^3/s]
    Source: [Streeter].
    """
    return discharge_coefficient * np.pi / 4 * diameter**2 * ideal_speed


def fall_time(gravity: Any, drop: Any) -> Any:
    """Time of a fall from rest in the vertical.

    gravity : array
        [m/s^2]
    drop : array
        Height fallen. [m]
    returns : array
        sqrt(2 h/g). [s]
    Source: [Torricelli].
    """
    return np.sqrt(2 * np.maximum(drop, 0.0) / gravity)


def landing_speed(speed: Any, gravity: Any, drop: Any) -> Any:
    """Speed at the end of a fall that began with a speed in any direction.

    speed : array
        At the start. [m/s]
    gravity : array
        [m/s^2]
    drop : array
        Height fallen. [m]
    returns : array
        sqrt(v^2 + 2 g h). [m/s]
    Source: [Torricelli].
    """
    return np.sqrt(speed**2 + 2 * gravity * np.maximum(drop, 0.0))


def weber_number(density: Any, speed: Any, diameter: Any, surface_tension: Any) -> Any:
    """Ratio of a jet's inertia to its surface tension; below about 8 it drips.

    density : array
        [kg/m^3]
    speed : array
        [m/s]
    diameter : array
        [m]
    surface_tension : array
        [N/m]
    returns : array
        rho v^2 d/sigma. [1]
    Source: [deGennes].
    """
    return density * speed**2 * diameter / surface_tension
