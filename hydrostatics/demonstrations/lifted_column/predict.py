"""Where the liquid stands in a lifted tube, for all rows at once."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from ...laws.columns import column_limit, column_under_gas, gas_amount
from ...laws.walls import disc_area
from ...prediction import Code, Node, Prediction, Value
from ...room.derived import Room
from .setup import LiftedColumn

Floats = NDArray[np.float64]
HOW = ("closed", "open", "gas escapes", "mouth out", "boils", "vapour above")
CLOSED, OPEN, ESCAPES, OUT, BOILS, VAPOUR = range(6)


def predict(s: LiftedColumn, room: Room) -> Prediction:
    """Level inside, pressures, and the gas that stays.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, rho, p_v = room.station_pressure, s.liquid.density, s.liquid.vapour_pressure
    weight = rho * room.gravity
    area = disc_area(s.bore)
    mouth = s.tube_length - s.lift
    out = mouth < 0
    gas = s.trapped_gas
    length = np.zeros(1) if gas is None else gas.length
    dry = _dry(s, p0, p_v, weight)
    # gas told to be no denser than the vapour is vapour alone: nothing dry was closed in
    has_gas: NDArray[np.bool_] = np.asarray(dry * length > 0)
    level: Floats
    if s.vent:
        level = np.minimum(0.0, s.lift) + 0.0 * p0
        escapes = np.zeros(1, dtype=np.bool_)
    else:
        level = column_under_gas(p0 - p_v, weight, s.lift, dry * length)
        escapes = (level < -mouth) & has_gas
        level = np.where(escapes, -mouth, level)
    pressure = p0 + 0.0 * level if s.vent else p0 - weight * level
    gas_length = s.lift - level
    left = np.where(escapes, (pressure - p_v) * gas_length, dry * length)
    limit = column_limit(p0, p_v, rho, room.gravity)
    boils = p_v >= p0
    vapour = ~boils & (gas_length > 1e-12) & ~has_gas if not s.vent else np.zeros(1, dtype=np.bool_)
    how = np.where(boils, BOILS, np.where(out, OUT, np.where(escapes, ESCAPES, OPEN if s.vent else np.where(vapour, VAPOUR, CLOSED))))
    inside = ~out
    closed = inside & (not s.vent)
    results: dict[str, Node] = {
        "level": Value(level, "length", "level inside, above the basin", inside, like="setup.lift", read=True),
        "gas_pressure": Value(pressure, "pressure", "pressure at the top, absolute", inside, read=True),
        "dry_gas_pressure": Value(np.maximum(pressure - p_v, 0.0) * has_gas, "pressure", "dry gas alone", closed),
        "gas_length": Value(gas_length, "length", "length of the gas", inside, like="setup.lift", read=True),
        "dry_gas_amount": Value(gas_amount(left, area, room.temperature), "amount", "amount of dry gas", closed),
        "level_equal_lift": Value(_equal_lift(left, p0, p_v), "length", "lift at which the levels agree", closed & has_gas, like="setup.lift"),
        "max_level": Value(limit, "length", "highest level possible here", like="setup.lift"),
        "mouth_depth": Value(mouth, "length", "mouth below the basin's surface", like="setup.lift"),
        "ports": [_port(height, level, pressure, p0, weight, inside) for height in s.ports],
        "effect": Value(np.abs(level), "length", "movement to be noticed", inside, like="setup.lift"),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
    }
    return Prediction(results, np.where((how == OUT) | (how == BOILS), 2, 0))


def _dry(s: LiftedColumn, p0: Floats, p_v: Floats, weight: Floats) -> Floats:
    """Dry pressure of the gas as it was when closed in [Pa]."""
    gas = s.trapped_gas
    if gas is None:
        return np.zeros(1)
    total = gas.pressure if gas.pressure is not None else p0 - weight * (np.zeros(1) if gas.level is None else gas.level)
    return np.maximum(total - p_v, 0.0)


def _equal_lift(gas: Floats, p0: Floats, p_v: Floats) -> Floats:
    """Lift at which the gas is at the room's pressure."""
    drive = p0 - p_v
    return np.asarray(np.where(drive > 0, gas / np.where(drive > 0, drive, 1.0), 0.0))


def _port(height: Floats, level: Floats, pressure: Floats, p0: Floats, weight: Floats, inside: NDArray[np.bool_]) -> dict[str, Node]:
    at = np.where(height <= level, p0 - weight * height, pressure)
    return {
        "pressure": Value(at, "pressure", "pressure at the port, absolute", inside),
        "gauge_pressure": Value(at - p0, "pressure", "gauge pressure at the port", inside, read=True),
    }
