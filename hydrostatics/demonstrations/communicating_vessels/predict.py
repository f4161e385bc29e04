"""Where one liquid stands in joined vessels, what weighs where, and how they swing; for all rows at once."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.hydrostatic import capillary_rise, hydrostatic_pressure
from ...laws.joined import Joined, joined, level_of
from ...laws.swinging import creeping_rate, layer_rate, settling_time, swing_rate
from ...laws.walls import disc_area
from ...prediction import Code, Node, Prediction, Value, later
from ...room.derived import Room
from .setup import CommunicatingVessels, Vessel, columns

Floats = NDArray[np.float64]
HOW = ("stands", "overflows", "does not show", "boils")
STANDS, OVER, EMPTY, BOILS = range(4)
NOTHING = 1e-9
"""Part of a weight below which what a wall carries is what rounding leaves."""
FACTOR = 0.5
"""How far off the settling time may be, as part of it, as the contract states it."""


def vessels_of(s: CommunicatingVessels) -> Joined:
    """The set-up's vessels made ready for one level."""
    return joined([one.contour() for one in s.vessels], [one.longer for one in s.vessels], [one.height for one in s.vessels])


def predict(s: CommunicatingVessels, room: Room) -> Prediction:
    """Level, pressure at the feet, volumes, weights, forces, capillary rises and the swing.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    boils = s.liquid.vapour_pressure >= room.station_pressure
    shapes = vessels_of(s)
    wanted = s.poured_volume - s.link
    how = np.where(boils, BOILS, np.where(wanted > shapes.capacity, OVER, np.where(wanted <= 0, EMPTY, STANDS)))
    return Prediction(later(lambda: _results(s, room, shapes, wanted, how)), np.where(how > 0, 2, 0))


def _results(s: CommunicatingVessels, room: Room, shapes: Joined, wanted: Floats, how: NDArray[np.intp]) -> dict[str, Node]:
    g, rho, most = room.gravity, s.liquid.density, shapes.capacity
    level, across, held = level_of(shapes, np.clip(wanted, 0.0, most))
    pressure = hydrostatic_pressure(rho, g, level)
    index = np.where(wanted > most, np.argmin(columns([one.height for one in s.vessels]), axis=1), -1)
    tension = s.liquid.surface_tension
    sigma = np.ones(1) if tension is None else tension
    like = "setup.vessels.0.height"

    def each(k: int, one: Vessel) -> dict[str, Node]:
        weight = later(lambda: rho * g * held[k])
        force = later(lambda: pressure * disc_area(one.foot) / np.cos(one.lean))

        def carried() -> Floats:
            share = weight() - force()
            return np.where(np.abs(share) < NOTHING * weight(), 0.0, share)

        def rise() -> Floats:
            return np.asarray(capillary_rise(sigma, s.liquid.contact_angle, rho, g, across[k]))

        return {
            "volume": Value(held[k], "volume", "liquid in it", like="setup.poured_volume", read=True),
            "weight": Value(weight, "force", "weight of what is in it"),
            "base_force": Value(force, "force", "force on its foot"),
            "wall_share": Value(carried, "force", "what its wall carries, negative where it presses down"),
            "surface_diameter": Value(across[k], "length", "diameter at the surface", like=like),
            "capillary_rise": Value(rise, "sink", "stands higher by capillarity", tension is not None),
        }

    period, settles, swings, timed = _swing(s, level, rho, g)
    return {
        "level": Value(level, "length", "level above the junction", like=like, read=True),
        "base_pressure": Value(pressure, "pressure", "gauge pressure at the junction", read=True),
        "vessels": [each(k, one) for k, one in enumerate(s.vessels)],
        "overflows": Code(index, None if index[0] < 0 else int(index[0])),
        "max_pour": Value(most + s.link, "volume", "most that can be poured", like="setup.poured_volume"),
        "pour_margin": Value(most - wanted, "volume", "room left below the lowest rim", like="setup.poured_volume"),
        "shown_volume": Value(wanted, "volume", "poured beyond what the joining tube holds", like="setup.poured_volume"),
        "swing_period": Value(period, "time", "time of a swing", swings, read=True),
        "settling_time": Value(settles, "time", "time to stand still, to a hundredth", timed, estimate=FACTOR, read=True),
        "effect": Value(level + 0.0 * wanted, "length", "level to be noticed", wanted > 0, like=like),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
    }


def swinging(s: CommunicatingVessels) -> bool:
    """Whether the two-arm law holds: two upright cylinders and a joining tube of known size."""
    plain = all(not one.profile and one.top_diameter is None and one.path_length is None and one.tilt is None for one in s.vessels)
    return len(s.vessels) == 2 and plain and s.link_bore is not None and s.link_length is not None


def rates(s: CommunicatingVessels, level: Any, rho: Any, g: Any) -> tuple[Any, Any, Any]:
    """Undamped rate of the swing, and what creeping and what the wall's layer take off it [1/s]."""
    one, other = (disc_area(vessel.foot) for vessel in s.vessels)
    assert s.link_bore is not None
    assert s.link_length is not None
    inertia = level / one + level / other + s.link_length / disc_area(s.link_bore)
    omega = swing_rate(g, inertia, 1 / one + 1 / other)
    viscosity = s.liquid.viscosity
    nu = np.zeros(1) if viscosity is None else viscosity / rho
    return omega, creeping_rate(nu, s.link_bore), layer_rate(nu, omega, s.link_bore)


def _swing(s: CommunicatingVessels, level: Floats, rho: Floats, g: Floats) -> tuple[Any, Any, Any, Any]:
    """Period and settling time [s], and where there is one."""
    if not swinging(s):
        return np.zeros(1), np.zeros(1), False, False
    omega, creep, layer = rates(s, level, rho, g)
    swings = creep < omega
    period = 2 * np.pi / np.where(swings, omega - layer, 1.0)
    known = s.liquid.viscosity is not None
    damping = np.maximum(creep, layer) if known else np.ones(1)
    return period, settling_time(omega, damping), swings, known
