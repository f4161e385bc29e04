"""What a syringe press gains and what it does not, for all rows at once."""

from __future__ import annotations

import numpy as np

from ...laws.walls import disc_area
from ...prediction import Node, Prediction, Value
from ...room.derived import Room
from ..margin import margin_state
from .setup import HydraulicPress


def predict(s: HydraulicPress, room: Room) -> Prediction:
    """Pressure, forces, travels and work.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    small, large = disc_area(s.input_diameter), disc_area(s.output_diameter)
    pressure = np.maximum(s.input_force - s.input_friction, 0.0) / small
    force = np.maximum(pressure * large * s.efficiency - s.output_friction, 0.0)
    travel = s.input_travel * small / large
    load = np.ones(1) if s.load is None else s.load
    margin = force - load
    loaded = s.load is not None
    pushed = s.input_force > 0
    state = margin_state(margin, load) if loaded else np.zeros(1, dtype=np.intp)
    results: dict[str, Node] = {
        "pressure": Value(pressure, "pressure", "gauge pressure inside", read=True),
        "output_force": Value(force, "force", "lifting force", like="setup.input_force", read=True),
        "output_travel": Value(travel, "length", "travel of the lifting piston", like="setup.input_travel", read=True),
        "work_in": Value(s.input_force * s.input_travel, "energy", "work put in"),
        "work_out": Value(force * travel, "energy", "work got out"),
        "advantage": Value(force / np.where(pushed, s.input_force, 1.0), "number", "lifting force over push", pushed),
        "margin": Value(margin, "force", "margin over the load", loaded, like="setup.input_force"),
        "effect": Value(travel, "length", "movement to be noticed", like="setup.input_travel"),
    }
    return Prediction(results, state)
