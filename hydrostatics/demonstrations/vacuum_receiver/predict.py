"""When a column under a receiver drops, where it then stands, and what its dissolved air does; for all rows at once."""

from __future__ import annotations

from dataclasses import replace
from functools import partial
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.columns import GAS_CONSTANT, column_under_gas
from ...laws.dissolved_air import dissolved_air
from ...laws.hydrostatic import hydrostatic_pressure
from ...laws.pumping import pump_down_time, pumped_pressure
from ...prediction import Code, Node, Prediction, Series, Value, later
from ...room.derived import Room
from .setup import VacuumReceiver

Floats = NDArray[np.float64]
HOW = ("drops", "stays up", "boils")
DROPS, STAYS, BOILS = range(3)
FRAMES = 60
"""Equal times that are told, as the contract states it."""
LASTS = 7.0
"""Volumes over speeds that they span."""
LOWER = 0.05
"""Part of the height by which set-free air must bring a column lower that does not drop, as the contract states it."""


def predict(s: VacuumReceiver, room: Room) -> Prediction:
    """Times, levels with and without the air that comes out, tension at the top, and the calls.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g, rho, p_v = room.station_pressure, room.gravity, s.liquid.density, s.liquid.vapour_pressure
    height = s.column_height
    boils = p_v >= p0
    pump = np.minimum(s.ultimate_pressure + s.leak / s.pump_speed, p0)
    drop = hydrostatic_pressure(rho, g, height) + p_v
    air = _Air(s, room)
    drops = pump < drop
    at_once = drop >= p0
    time = pump_down_time(p0, np.where(at_once, p0, np.maximum(drop, pump)), pump, s.receiver_volume, s.pump_speed)
    damp_end = np.maximum(pump, p_v)
    damp = pump_down_time(p0, np.where(at_once, p0, np.maximum(drop, damp_end)), np.minimum(damp_end, p0), s.receiver_volume, s.pump_speed)
    level = air.level_without(pump)
    with_air = air.level(pump)
    half = air.half_pressure()
    half_there = air.known & (half > pump)
    half_time = pump_down_time(p0, np.where(half_there, np.minimum(half, p0), p0), pump, s.receiver_volume, s.pump_speed)
    lowered = air.known & (with_air < level - LOWER * height)
    how = np.where(boils, BOILS, np.where(drops, DROPS, STAYS))
    state = np.where(boils, 2, np.where(drops, 0, np.where(lowered, 1, 2)))
    like = "setup.column_height"
    held = np.maximum(pump, p_v) - hydrostatic_pressure(rho, g, height)
    possible = np.minimum(p0, air.saturation * (p0 - p_v) + p_v + hydrostatic_pressure(rho, g, height))
    results: dict[str, Node] = {
        "drop_pressure": Value(drop, "pressure", "pressure at which it drops, absolute", read=True),
        "drop_margin": Value(drop - pump, "pressure", "what the pump goes below that"),
        "end_pressure": Value(pump, "pressure", "lowest pressure, leak and all"),
        "time_to_drop": Value(_finite(time), "time", "time until it drops, at the earliest", drops & ~boils, read=True),
        "time_to_drop_damp": Value(_finite(damp), "time", "time until it drops, at the latest", (damp_end < drop) & ~boils),
        "level_at_ultimate": Value(level, "length", "level in the end, no air coming out", like=like, read=True),
        "top_pressure_at_ultimate": Value(held, "pressure", "pressure at the closed end in the end, were it to hang"),
        "level_with_air": Value(with_air, "length", "level in the end, its air out", air.known, like=like, read=True),
        "bubbles_possible_below": Value(possible, "pressure", "bubbles possible below, absolute"),
        "half_with_air_pressure": Value(half, "pressure", "pressure with its column at half, its air out", air.known, read=True),
        "time_to_half_with_air": Value(_finite(half_time), "time", "time until then", half_there),
        "calls": [_call(s, room, air, pump, call) for call in s.calls],
        "frames": Series(partial(_told, s, room)),
        "escapes": Code(with_air <= -s.mouth_depth, bool((with_air <= -s.mouth_depth)[0]) if bool(air.known[0]) else None),
        "effect": Value(height - level, "length", "drop to be noticed", level < height, like=like),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
    }
    return Prediction(results, state)


def _finite(time: Any) -> Any:
    """A time that is never reached as nothing, since it is not told in that row."""
    return np.where(np.isfinite(time), time, 0.0)


class _Air:
    """The levels of the column at any pressure, without its dissolved air and with what of it comes out."""

    def __init__(self, s: VacuumReceiver, room: Room) -> None:
        self.s = s
        self.p_v = s.liquid.vapour_pressure
        self.weight = s.liquid.density * room.gravity
        self.drive = np.maximum(room.station_pressure - self.p_v, 1e-9)
        self.known: NDArray[np.bool_] = np.array([s.liquid.name == "water"]) & (room.station_pressure > self.p_v)
        saturation = s.air_saturation
        assert saturation is not None
        self.saturation: Floats = saturation
        if s.liquid.name == "water":
            held = dissolved_air(room.temperature, room.station_pressure, self.p_v, s.liquid.density)
            self.all_of_it = held * GAS_CONSTANT * room.temperature * s.column_height  # as a gas, pressure times length
        else:
            self.all_of_it = np.zeros(1)

    def level_without(self, pressure: Any) -> Any:
        """Level where no air comes out [m]."""
        return np.minimum(self.s.column_height, np.maximum(0.0, (pressure - self.p_v) / self.weight))

    def level(self, pressure: Any) -> Any:
        """Level with all the air out that its own pressure does not keep dissolved [m]; not below the mouth, where it escapes."""
        at = np.maximum(pressure, self.p_v) - self.p_v
        longer = self.s.column_height + self.all_of_it / self.drive
        found = column_under_gas(at, self.weight, longer, self.saturation * self.all_of_it)
        gives_off = at - self.weight * found < self.saturation * self.drive
        found = np.where(gives_off & (self.all_of_it > 0), found, self.level_without(pressure))
        return np.maximum(np.minimum(found, self.level_without(pressure)), -self.s.mouth_depth)

    def half_pressure(self) -> Any:
        """Pressure at which the column stands at half its height, its air out [Pa]."""
        length = self.all_of_it / self.s.column_height / self.drive
        return self.p_v + self.weight * self.s.column_height / 2 + self.saturation * length * self.drive / (0.5 + length)


def _call(s: VacuumReceiver, room: Room, air: _Air, pump: Floats, call: Floats) -> dict[str, Node]:
    p0 = room.station_pressure
    comes = call > pump
    like = "setup.column_height"

    def time() -> Any:
        return _finite(pump_down_time(p0, np.where(comes, call, p0), pump, s.receiver_volume, s.pump_speed))

    return {
        "pressure": Value(call + 0.0 * p0, "pressure", "pressure called"),
        "time": Value(later(time), "time", "time of the call", comes, read=True),
        "level": Value(later(lambda: air.level_without(call)), "length", "level then, no air coming out", like=like, read=True),
        "level_with_air": Value(later(lambda: air.level(call)), "length", "level then, its air out", air.known, like=like, read=True),
    }


def frames(s: VacuumReceiver, room: Room, count: int = FRAMES) -> dict[str, Floats]:
    """Equal times of the pump-down of row 0, and pressure and levels then, each of shape (count,); levels with air NaN where not known."""
    first = {
        name: getattr(s, name)[:1] for name in ("column_height", "mouth_depth", "receiver_volume", "pump_speed", "ultimate_pressure", "leak", "air_saturation")
    }
    s = s.model_copy(update=first | {"liquid": s.liquid.first_row()})
    room = replace(room, station_pressure=room.station_pressure[:1], temperature=room.temperature[:1], gravity=room.gravity[:1])
    air, p0 = _Air(s, room), room.station_pressure
    pump = np.minimum(s.ultimate_pressure + s.leak / s.pump_speed, p0)
    time = np.linspace(0, LASTS * float(s.receiver_volume[0] / s.pump_speed[0]), count)
    pressure = np.maximum(pumped_pressure(p0, pump, s.receiver_volume, s.pump_speed, time), air.p_v)
    with_air = np.where(air.known, air.level(pressure), np.nan)
    return {"time": time, "receiver_pressure": pressure, "level": air.level_without(pressure), "level_with_air": with_air}


_KINDS = {"time": "time", "receiver_pressure": "pressure", "level": "length", "level_with_air": "length"}


def _told(s: VacuumReceiver, room: Room) -> dict[str, tuple[str, list[float | None]]]:
    return {key: (_KINDS[key], [None if np.isnan(v) else v for v in column.tolist()]) for key, column in frames(s, room).items()}
