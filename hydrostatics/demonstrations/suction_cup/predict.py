"""What holds a suction cup, for all rows at once."""

from __future__ import annotations

import numpy as np

from ...laws.walls import disc_area
from ...prediction import Code, Node, Prediction, Value
from ...room.derived import Room
from ..margin import margin_state
from .setup import SuctionCup


def predict(s: SuctionCup, room: Room) -> Prediction:
    """Pressure difference, force and what it carries.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0 = room.station_pressure
    inside = s.inside_pressure if s.inside_pressure is not None else p0 * (np.zeros(1) if s.air_left is None else s.air_left)
    area = disc_area(s.diameter)
    difference = p0 - inside
    pressed = difference * area
    holding = pressed * s.friction_coefficient if s.pull_direction == "along" else pressed
    pull = np.ones(1) if s.pull_force is None else s.pull_force
    margin = holding - pull
    pulled = s.pull_force is not None
    state = margin_state(margin, pull) if pulled else np.zeros(1, dtype=np.intp)
    results: dict[str, Node] = {
        "pressure_difference": Value(difference, "pressure", "pressure difference"),
        "pressing_force": Value(pressed, "force", "force that presses it on", like="setup.pull_force"),
        "holding_force": Value(holding, "force", "holding force", like="setup.pull_force", read=True),
        "held_mass": Value(holding / room.gravity, "load", "mass that it holds"),
        "limit_force": Value(p0 * area, "force", "force with nothing left inside", like="setup.pull_force"),
        "margin": Value(margin, "force", "margin over the pull", pulled, like="setup.pull_force"),
        "effect": Value(np.zeros(1), "length", "movement to be noticed", False),
        "pushed_off": Code(difference < 0, bool(difference[0] < 0), "whether the air inside pushes it off"),
    }
    return Prediction(results, state)
