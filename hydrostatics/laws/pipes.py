"""Flow through hoses: friction from laminar to turbulent, and the speed that a head drives."""

from __future__ import annotations

from typing import Any

import numpy as np

LAMINAR, TURBULENT = 2300.0, 4000.0
"""Reynolds numbers up to which a flow is laminar, and from which it is turbulent."""
_STEPS = 5
"""Newton's steps: 1e-9 relative on all hoses of the tests."""


def turbulent_friction(reynolds: Any, relative_roughness: Any) -> Any:
    """Darcy's friction factor of a turbulent flow.

    reynolds : array
        Of the flow, above 0. [1]
    relative_roughness : array
        Height of the roughness over the bore. [1]
    returns : array
        Friction factor. [1]
    Source: [Colebrook], the implicit equation, by Newton's method on 1/sqrt f.
    """
    rough, smooth = relative_roughness / 3.7, 2.51 / reynolds
    x = -2 * np.log10(rough + 13 / reynolds)
    for _ in range(_STEPS):
        inner = rough + smooth * x
        x = x - (x + 2 * np.log10(inner)) / (1 + 2 * smooth / (inner * np.log(10)))
    return 1 / (x * x)


def friction_factor(reynolds: Any, relative_roughness: Any) -> Any:
    """Darcy's friction factor of any flow: laminar, turbulent, and linear in the Reynolds number between.

    reynolds : array
        Of the flow, above 0. [1]
    relative_roughness : array
        Height of the roughness over the bore. [1]
    returns : array
        Friction factor. [1]
    Source: [Poiseuille] below 2300, [Colebrook] from 4000.
    """
    between = (reynolds - LAMINAR) / (TURBULENT - LAMINAR)
    start, end = 64 / LAMINAR, turbulent_friction(TURBULENT, relative_roughness)
    turbulent = turbulent_friction(np.maximum(reynolds, TURBULENT), relative_roughness)
    return np.where(reynolds <= LAMINAR, 64 / reynolds, np.where(reynolds >= TURBULENT, turbulent, start + between * (end - start)))


def hose_speed(head: Any, gravity: Any, bore: Any, length: Any, loss: Any, friction_multiplier: Any, roughness: Any, kinematic_viscosity: Any) -> Any:
    """Mean speed that a head drives through a hose that ends in the open or below a surface.

    head : array
        Between the two surfaces, above 0. [m]
    gravity : array
        [m/s^2]
    bore : array
        Inside diameter of the hose. [m]
    length : array
        Of the hose. [m]
    loss : array
        Minor losses without the exit's, in velocity heads. [1]
    friction_multiplier : array
        By which the friction factor is multiplied. [1]
    roughness : array
        Height of the hose's roughness. [m]
    kinematic_viscosity : array
        Of the liquid; 0 for none. [m^2/s]
    returns : array
        Speed, the root of g head = (1 + loss + f length/bore) speed^2/2. [m/s]
    Source: [Poiseuille], [Colebrook]; energy by [Massey].
    """
    drive, minor, long = gravity * head, 1 + loss, friction_multiplier * length / bore
    per_speed = bore / np.where(kinematic_viscosity > 0, kinematic_viscosity, 1.0)
    creeping = 64 * long / per_speed  # 64/Re times length/bore, times the speed
    laminar = 4 * drive / (creeping + np.sqrt(creeping**2 + 8 * minor * drive))
    moves = kinematic_viscosity > 0
    creeps = laminar * per_speed <= LAMINAR
    if np.all(creeps & moves):
        return laminar
    turbulent = _turbulent_speed(drive, minor, long, roughness / bore / 3.7, per_speed)
    is_turbulent = turbulent * per_speed >= TURBULENT
    speed = np.where(creeps, laminar, turbulent)
    if np.any(moves & ~creeps & ~is_turbulent):
        between = _speed_between(drive, minor, long, roughness / bore, per_speed)
        speed = np.where(creeps | is_turbulent, speed, between)
    return np.where(moves, speed, np.sqrt(2 * drive / minor))


def _speed_between(drive: Any, minor: Any, long: Any, rough: Any, per_speed: Any) -> Any:
    """The root of a cubic, by Newton's method from above: the friction factor rises in a straight line with the speed."""
    start, end = 64 / LAMINAR, turbulent_friction(TURBULENT, rough)
    rising = (end - start) / (TURBULENT - LAMINAR)
    square, cube = minor + (start - LAMINAR * rising) * long, rising * per_speed * long
    speed = np.sqrt(2 * drive / minor)
    for _ in range(2 * _STEPS):
        squared = speed * speed
        speed = speed - ((square + cube * speed) * squared / 2 - drive) / (square * speed + 1.5 * cube * squared)
    return speed


def _turbulent_speed(drive: Any, minor: Any, long: Any, rough: Any, per_speed: Any) -> Any:
    """Colebrook's equation and the balance of energy at once, by Newton's method on x = 1/sqrt f."""
    x: Any = 7.0 + 0.0 * (drive + rough)
    ln10 = np.log(10)
    for _ in range(_STEPS):
        squared = minor + long / x**2
        speed = np.sqrt(2 * drive / squared)
        faster = speed * long / (x * x * x * squared)  # of the speed by x
        reynolds = per_speed * speed
        inner = rough + 2.51 * x / reynolds
        slope = 1 + 2 / (inner * ln10) * 2.51 / reynolds * (1 - x * faster / speed)
        x = np.maximum(x - (x + 2 * np.log10(inner)) / slope, 0.5)
    return np.sqrt(2 * drive / (minor + long / x**2))
