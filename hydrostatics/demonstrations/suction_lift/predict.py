"""How high a lowered pressure lifts, for all rows at once."""

from __future__ import annotations

import numpy as np

from ...laws.columns import column_limit
from ...laws.hydrostatic import hydrostatic_pressure
from ...laws.walls import disc_area
from ...prediction import Code, Node, Prediction, Value
from ...room.derived import Room
from .setup import SuctionLift


def predict(s: SuctionLift, room: Room) -> Prediction:
    """Pressure needed, limits of source and liquid, and what stands in the hose.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho, p_v = room.station_pressure, room.gravity, s.liquid.density, s.liquid.vapour_pressure
    needed = p0 - hydrostatic_pressure(rho, g, s.lift_height)
    source = column_limit(p0, np.maximum(s.lowered_to(p0), p_v), rho, g)
    boiling = column_limit(p0, p_v, rho, g)
    reaches = (s.lift_height <= source) & (p_v < p0)
    boils = needed <= p_v
    volume = disc_area(s.bore) * s.lift_height
    flow = np.ones(1) if s.pump_flow is None else s.pump_flow
    like = "setup.lift_height"
    results: dict[str, Node] = {
        "pressure_needed": Value(needed, "pressure", "pressure needed at the top, absolute", like=s.source),
        "source_limit": Value(source, "length", "height that this source reaches", like=like, read=True),
        "boiling_limit": Value(boiling, "length", "height that no suction exceeds", like=like),
        "lift_margin": Value(source - s.lift_height, "length", "reach to spare over the lift", like=like),
        "reaches": Code(reaches, bool(reaches[0]), "whether it reaches"),
        "boils": Code(boils, bool(boils[0]), "whether it boils at the top"),
        "hose_volume": Value(volume, "volume", "liquid in the hose"),
        "hose_mass": Value(rho * volume, "load", "its mass"),
        "time_to_fill": Value(volume / flow, "time", "time to fill the hose", s.pump_flow is not None, read=True),
        "effect": Value(np.minimum(s.lift_height, source), "length", "movement to be noticed", like=like),
    }
    return Prediction(results, np.where(reaches, 0, 2))
