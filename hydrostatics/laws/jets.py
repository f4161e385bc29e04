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


def viscous_coefficient(factor: Any, viscosity: Any, diameter: Any, length: Any) -> Any:
    """Pressure per mean velocity that viscosity takes in a round hole and the bore behind it.

    factor : array
        How well the two laws are known to hold here, about 1. [1]
    viscosity : array
        Dynamic. [Pa s]
    diameter : array
        Of the hole. [m]
    length : array
        Of the bore; 0 for a sharp edge. [m]
    returns : array
        factor (6 pi mu/d + 32 mu l/d^2). [Pa s/m]
    Source: [Sampson], [Dagan]: the creeping flow's loss at the hole and Poiseuille's in the bore, added.
    """
    return factor * viscosity * (6 * np.pi / diameter + 32 * length / diameter**2)


def viscous_head(coefficient: Any, discharge_coefficient: Any, density: Any, gravity: Any) -> Any:
    """Head at which viscosity takes as much as the jet's own loss; well above it a hole runs as without viscosity.

    coefficient : array
        Pressure per mean velocity that viscosity takes. [Pa s/m]
    discharge_coefficient : array
        Of the hole without viscosity. [1]
    density : array
        [kg/m^3]
    gravity : array
        [m/s^2]
    returns : array
        a^2 C_d^2/(2 rho^2 g). [m]
    Source: [Streeter] with [Dagan]: rho g h = rho V^2/(2 C_d^2) + a V solved for V.
    """
    return np.square(coefficient * discharge_coefficient / density) / (2 * gravity)


def left_by_viscosity(head: Any, viscous_head: Any) -> Any:
    """Part of the flow without viscosity that is left with it.

    head : array
        That drives the flow, above 0. [m]
    viscous_head : array
        See there. [m]
    returns : array
        sqrt(h)/(sqrt(c) + sqrt(h + c)), 1 without viscosity. [1]
    Source: [Streeter] with [Dagan].
    """
    return np.sqrt(head) / (np.sqrt(viscous_head) + np.sqrt(head + viscous_head))


def speed_share(left: Any, discharge_coefficient: Any, velocity_coefficient: Any) -> Any:
    """Velocity coefficient of a jet that viscosity slows: the contraction fades as the flow does.

    left : array
        Part of the flow that viscosity leaves. [1]
    discharge_coefficient : array
        Without viscosity. [1]
    velocity_coefficient : array
        Without viscosity. [1]
    returns : array
        Jet speed over sqrt(2 g h); C_v without viscosity. [1]
    Source: [practice], an estimate.
    """
    return discharge_coefficient * left / (1 - (1 - discharge_coefficient / velocity_coefficient) * left)


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
