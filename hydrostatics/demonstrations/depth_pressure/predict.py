"""Pressure and force under a surface, for all rows at once."""

from __future__ import annotations

import numpy as np

from ...laws.hydrostatic import hydrostatic_pressure
from ...laws.walls import centre_of_pressure, wall_force
from ...prediction import Code, Node, Prediction, Value
from ...quantities.tables import pressure_in_every_unit
from ...room.derived import Room
from .setup import DepthPressure


def predict(s: DepthPressure, room: Room) -> Prediction:
    """Pressures at the probe, force on its area and on a wall.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho = room.station_pressure, room.gravity, s.liquid.density
    gauge = hydrostatic_pressure(rho, g, s.depth)
    area = np.ones(1) if s.area is None else s.area
    one = np.ones(1)
    width, deep, other = (one, one, 0 * one) if s.wall is None else (s.wall.width, s.wall.depth, s.wall.other_side_depth)
    has_wall = s.wall is not None
    uneven = (deep != other) if has_wall else False
    results: dict[str, Node] = {
        "gauge_pressure": Value(gauge, "pressure", "gauge pressure at the probe", read=True),
        "absolute_pressure": Value(p0 + gauge, "pressure", "absolute pressure at the probe", read=True),
        "force": Value(gauge * area, "force", "force on the area, against the room", s.area is not None),
        "wall_force": Value(wall_force(rho, g, width, deep, other), "force", "net force on the wall", has_wall),
        "centre_of_pressure": Value(centre_of_pressure(deep, other), "length", "centre of pressure, below the deeper surface", uneven, like="setup.wall.depth"),
        "equivalents": {unit: Code(np.zeros(1, dtype=np.intp), value) for unit, value in pressure_in_every_unit(float(gauge[0])).items()},
        "boiling_margin": Value(p0 - s.liquid.vapour_pressure, "pressure", "air's pressure over the vapour's"),
        "effect": Value(np.zeros(1), "length", "movement to be noticed", False),
    }
    return Prediction(results, np.where(s.liquid.vapour_pressure >= p0, 2, 0))
