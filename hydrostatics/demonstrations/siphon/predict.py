"""How fast a siphon runs and what is left of the pressure at its crest, for all rows at once."""

from __future__ import annotations

from functools import cache
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.columns import column_limit
from ...laws.jets import torricelli_speed
from ...laws.pipes import friction_factor, hose_speed
from ...laws.walls import disc_area
from ...prediction import Code, Node, Prediction, Value, later
from ...room.derived import Room
from .setup import Siphon

Floats = NDArray[np.float64]
HOW = ("runs", "does not run", "breaks")
RUNS, STILL, BREAKS = range(3)
NODES = 24
"""Gauss-Legendre nodes of the emptying, in the square root of the drop: 1e-5 of a whole quadrature on all hoses of the tests."""


def predict(s: Siphon, room: Room) -> Prediction:
    """Speed, flow, the crest's pressure against the liquid's own, priming and emptying.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho, p_v = room.station_pressure, room.gravity, s.liquid.density, s.liquid.vapour_pressure
    runs = s.drop > 0
    drop = np.where(runs, s.drop, 1.0)
    known = s.liquid.viscosity is not None
    kinematic = np.zeros(1) if s.liquid.viscosity is None else s.liquid.viscosity / rho
    speed = np.where(runs, hose_speed(drop, g, *_hose(s), kinematic), 0.0)
    reynolds = speed * s.bore / np.where(kinematic > 0, kinematic, 1.0)
    friction = s.friction_factor * friction_factor(np.maximum(reynolds, 1e-9), s.roughness / s.bore) if known else np.zeros(1)
    up = s.to_crest
    crest = p0 - rho * g * s.crest - np.where(runs, (1 + s.loss_coefficient + friction * up / s.bore) * rho * speed**2 / 2, 0.0)
    area = disc_area(s.bore)
    flow = area * speed
    breaks = crest <= p_v
    how = np.where(~runs, STILL, np.where(breaks, BREAKS, RUNS))
    limit = column_limit(p0, p_v, rho, g)
    empties, reaches = _emptying(s, g, kinematic)
    like = "setup.crest"
    results: dict[str, Node] = {
        "ideal_speed": Value(np.where(runs, torricelli_speed(g, drop), 0.0), "speed", "speed without any loss"),
        "speed": Value(speed, "speed", "speed in the hose", read=True),
        "flow": Value(flow, "flow", "flow", read=True),
        "reynolds": Value(reynolds, "number", "Reynolds number", known),
        "crest_pressure": Value(crest, "pressure", "pressure at the crest, absolute"),
        "crest_margin": Value(crest - p_v, "pressure", "left at the crest above the liquid's own vapour pressure"),
        "parting_pressure": Value(p_v, "pressure", "pressure at which the liquid parts"),
        "crest_limit": Value(limit, "length", "highest crest that the air holds together, at rest", like=like),
        "time_to_empty": Value(empties, "time", "time to draw the upper vessel down", reaches, read=True),
        "transit_time": Value(s.length / np.where(runs, speed, 1.0), "time", "time from mouth to outlet", runs, read=True),
        "priming_volume": Value(area * (up + s.crest), "volume", "liquid that primes it"),
        "priming_suction": Value(rho * g * s.crest, "pressure", "suction that primes it"),
        "effect": Value(s.bore + 0.0 * s.drop, "length", "stream to be noticed", runs, like="setup.bore"),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
    }
    return Prediction(results, np.where(how > 0, 2, 0))


def _hose(s: Siphon) -> tuple[Floats, Floats, Floats, Floats, Floats]:
    """What of the hose its speed depends on."""
    return s.bore, s.length, s.loss_coefficient, s.friction_factor, s.roughness


@cache
def _nodes() -> tuple[Floats, Floats]:
    x, w = np.polynomial.legendre.leggauss(NODES)
    return (x + 1) / 2, w / 2


def _emptying(s: Siphon, gravity: Floats, kinematic: Floats) -> tuple[Any, Any]:
    """Time to draw the upper vessel down to the hose's mouth [s], and where there is one."""
    if s.upper_area is None or s.draw_depth is None:
        return np.zeros(1), False
    both = 1 + (0.0 if s.lower_area is None else s.upper_area / s.lower_area)
    end = s.drop - s.draw_depth * both
    there = (end > 0) & (s.draw_depth >= 0)
    part, weight = _nodes()
    upper_area, depth = s.upper_area, s.draw_depth

    def integral() -> Floats:
        high, low = np.sqrt(np.where(there, s.drop, 2.0)), np.sqrt(np.where(there, end, 1.0))
        root = low[:, None] + (high - low)[:, None] * part
        speed = hose_speed(root**2, *(column[:, None] for column in (gravity, *_hose(s), kinematic)))
        per_drop = (2 * root / speed * weight).sum(axis=1) * (high - low)
        return np.asarray(upper_area / both * per_drop / disc_area(s.bore) + 0.0 * depth)

    return later(integral), there
