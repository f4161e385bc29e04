"""What squeeze sinks a diver and whether it comes back, for all rows at once."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.floating import buoyancy_margin, pressure_at_volume
from ...prediction import Code, Node, Prediction, Value
from ...room.derived import Room
from .setup import CartesianDiver

Floats = NDArray[np.float64]
FATES = ("too light for a hand", "comes back", "stays down", "sinks by itself")
LIGHT, RETURNS, STAYS, SINKS = range(4)
BOILS = 4
HARD = 0.5
"""Part of what the hand can do from which the squeeze is doubtful, as the contract states it."""
_KELVIN = 0.1
"""Half the step [K] of a derivative by temperature."""


def predict(s: CartesianDiver, room: Room) -> Prediction:
    """Margin afloat, the squeeze that takes it, the depth from which it returns, and the window of ballast.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho, p_v = room.station_pressure, room.gravity, s.liquid.density, s.liquid.vapour_pressure
    per_ballast = 1 - rho / s.ballast_density
    margin, displaced = _margin(s, rho, per_ballast)
    boils = p_v >= p0
    dry = np.where(boils, 1.0, p0 - p_v)
    neutral = s.air_volume - margin / rho
    floats, sinkable = margin > 0, neutral > 0
    there = floats & sinkable & ~boils
    kept = np.where(there, neutral, s.air_volume)
    sink = pressure_at_volume(dry, s.air_volume, kept, p_v)
    squeeze = sink - p0
    force = squeeze * s.finger_area
    hand = s.hand_limit - force
    limit = squeeze / (rho * g)
    returns = s.bottle_depth < limit
    fate = np.where(boils, BOILS, np.where(~floats, SINKS, np.where(~sinkable | (hand < 0), LIGHT, np.where(returns, RETURNS, STAYS))))
    state = np.where(fate == RETURNS, np.where(force > HARD * s.hand_limit, 1, 0), np.where(fate == STAYS, 1, 2))
    wanted = np.ones(1) if s.target_squeeze is None else s.target_squeeze
    window = sinkable & ~boils & (per_ballast != 0)
    gives = np.where(per_ballast != 0, per_ballast, 1.0)

    def ballast(at: Floats) -> Any:
        """Ballast to add for a squeeze to take it just down."""
        return (margin - rho * s.air_volume * at / (dry + at)) / gives

    per_kelvin = rho * s.air_volume * (1 / room.temperature + _per_kelvin(s, room, "vapour_pressure") / dry) + _per_kelvin(s, room, "density") * displaced
    given = s.headspace_volume * squeeze / (sink - p_v) + s.air_volume - kept + s.bottle_compliance * squeeze
    results: dict[str, Node] = {
        "float_margin": Value(margin, "trim", "what it floats with to spare", read=True),
        "neutral_air_volume": Value(neutral, "volume", "air at which it just hovers", like="setup.air_volume"),
        "sink_pressure": Value(sink, "pressure", "pressure that sinks it, absolute", there),
        "squeeze": Value(squeeze, "pressure", "squeeze that sinks it", there, read=True),
        "hand_force": Value(force, "force", "least force of the hand", there, like="setup.hand_limit", read=True),
        "hand_margin": Value(hand, "force", "left of what the hand can do", there, like="setup.hand_limit"),
        "return_limit_depth": Value(limit, "length", "depth from which it still comes back", there, like="setup.bottle_depth", read=True),
        "return_margin": Value(limit - s.bottle_depth, "length", "way to spare for coming back", there, like="setup.bottle_depth"),
        "returns": Code(returns & there, bool(np.asarray(returns)[0]) if bool(np.all(there[:1])) else None, "whether it comes back"),
        "squeeze_volume": Value(given, "volume", "volume that the hand presses in", there, like="setup.headspace_volume"),
        "ballast_to_add": Value(ballast(wanted), "trim", "ballast to add for the squeeze wanted", window & (s.target_squeeze is not None)),
        "ballast_least": Value(ballast(s.hand_limit / s.finger_area), "trim", "least ballast to add, for the hand", window),
        "ballast_most": Value(ballast(rho * g * s.bottle_depth), "trim", "most ballast to add, for coming back", window),
        "margin_per_kelvin": Value(per_kelvin, "mass per kelvin", "what a kelvin does to the margin", ~boils),
        "margin_per_pascal": Value(-rho * s.air_volume / dry, "mass per pascal", "what the weather does to the margin", ~boils),
        "effect": Value(s.bottle_depth + 0.0 * squeeze, "length", "way that it sinks", there & (fate != LIGHT), like="setup.bottle_depth"),
        "fate": Code(fate, (*FATES, "boils")[int(fate[0])], "its fate"),
    }
    return Prediction(results, state)


def _margin(s: CartesianDiver, rho: Floats, per_ballast: Floats) -> tuple[Any, Any]:
    """What it floats with to spare [kg], and the volume that it pushes aside, as far as it is known [m^3]."""
    if s.sinks_with is not None:
        return s.sinks_with * per_ballast, s.air_volume
    assert s.diver_mass is not None
    assert s.diver_solid_volume is not None
    displaced = s.diver_solid_volume + s.air_volume
    return buoyancy_margin(rho, displaced, s.diver_mass), displaced


def _per_kelvin(s: CartesianDiver, room: Room, key: str) -> Any:
    """How a property of the liquid changes with temperature, as far as the catalogue knows it."""
    at = s.liquid.density_at if key == "density" else s.liquid.vapour_pressure_at
    return (at(room.temperature + _KELVIN) - at(room.temperature - _KELVIN)) / (2 * _KELVIN)
