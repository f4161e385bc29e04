"""The pressures along a chain of liquids, for all rows at once."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.hydrostatic import capillary_rise
from ...laws.swinging import creeping_rate, layer_rate, settling_time, swing_rate
from ...prediction import Code, Judged, Node, Prediction, Value, later
from ...room.derived import Room
from .setup import End, Manometer

Floats = NDArray[np.float64]
SLACK = 1.0
"""Pascal by which a pressure may lie below the liquid's own vapour pressure, as the contract states it."""
SIGMAS, MILLIMETRE = 3.0, 1e-3
"""Standard uncertainties, and height of the densest leg [m], beyond both of which ends do not meet, as the contract states it."""
WAYS = {1: "down: the pressure rises", -1: "up: the pressure falls", 0: "level: nothing changes"}


def predict(s: Manometer, room: Room) -> Prediction:
    """Difference, both ends, the ledger leg by leg, what is left over, the swing.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g = room.station_pressure, room.gravity
    weights = _stacked([leg.liquid.density * g for leg in s.legs])
    vapours = _stacked([leg.liquid.vapour_pressure for leg in s.legs])
    drops = _stacked([leg.known_drop for leg in s.legs])
    first, last = _end(s.start, p0, vapours[:, 0]), _end(s.end, p0, vapours[:, -1])
    wanted = s.wanted
    if wanted is not None:
        assert first is not None
        assert last is not None
        others = (weights * drops).sum(axis=1)
        found = (last - first - others) / weights[:, wanted]
        drops = _put(drops, found, wanted)
    changes = weights * drops
    whole = changes.sum(axis=1)
    start = first if first is not None else None if last is None else last - whole
    end = last if last is not None else None if first is None else first + whole
    placed = start is not None
    ground = np.zeros(1) if start is None else start
    running = ground[:, None] + np.cumsum(changes, axis=1)
    before = running - changes
    meets = first is not None and last is not None and wanted is None
    closure = running[:, -1] - (ground if last is None else last) if meets else 0.0 * whole
    boils = placed & np.any(np.minimum(before, running) < vapours - SLACK, axis=1)
    least = MILLIMETRE * weights.max(axis=1)

    def judge(uncertainty: float) -> NDArray[np.intp]:
        apart = meets & (np.abs(closure) > np.maximum(least, SIGMAS * uncertainty))
        return np.where(boils | apart, 2, 0)

    def results() -> dict[str, Node]:
        ends = {name: np.zeros(1) if value is None else value for name, value in (("start", start), ("end", end))}
        period, settles, swings, timed = _swing(s, g)
        return {
            "difference": Value(-whole if not meets else ends["start"] - ends["end"], "pressure", "start above end", read=True),
            "start_pressure": Value(ends["start"], "pressure", "pressure at the start, absolute", placed),
            "end_pressure": Value(ends["end"], "pressure", "pressure at the end, absolute", placed),
            "start_gauge": Value(ends["start"] - p0, "pressure", "gauge pressure at the start", placed, read=True),
            "end_gauge": Value(ends["end"] - p0, "pressure", "gauge pressure at the end", placed, read=True),
            "ledger": [_line(s, i, drops, changes, running, placed) for i in range(len(s.legs))],
            "closure": Value(closure, "pressure", "left over where the ends should meet", meets),
            "swing_period": Value(period, "time", "time of a swing", swings, read=True),
            "settling_time": Value(settles, "time", "time to stand still, to a hundredth", timed, estimate=0.5, read=True),
            "capillary_difference": _capillary(s, g),
            "boils": Code(boils, bool(boils[0])),
            "effect": Value(_tallest(drops), "length", "difference of levels to be noticed", like=_like(s, 0)),
        }

    return Prediction(later(results), judge(0.0), Judged("results.closure", judge) if meets else None)


def _tallest(drops: Floats) -> Floats:
    """The largest difference of levels of any leg, that of row 0 deciding which."""
    return np.abs(drops[:, int(np.argmax(np.abs(drops[0])))])


def _stacked(columns: list[Floats]) -> Floats:
    return np.stack(np.broadcast_arrays(*columns), axis=1)


def _put(drops: Floats, found: Floats, at: int) -> Floats:
    made = np.repeat(drops, found.shape[0] // drops.shape[0], axis=0) if drops.shape[0] < found.shape[0] else drops.copy()
    made[:, at] = found
    return made


def _end(end: End, p0: Floats, vapour: Floats) -> Floats | None:
    """The absolute pressure at an end [Pa], None where it is wanted."""
    if end.pressure is not None:
        return end.pressure
    if end.gauge_pressure is not None:
        return end.gauge_pressure + p0
    return {"atmosphere": p0, "vacuum": vapour, "unknown": None}[str(end.word)]


def _like(s: Manometer, i: int) -> str:
    leg = s.legs[i]
    return f"setup.legs.{i}.{'length' if leg.length is not None else 'drop'}"


def _line(s: Manometer, i: int, drops: Floats, changes: Floats, running: Floats, placed: bool) -> dict[str, Node]:
    drop = drops[:, i]
    way = np.sign(drop).astype(np.intp)
    like = _like(s, i) if not isinstance(s.legs[i].drop, str) else next((_like(s, k) for k in range(len(s.legs)) if not isinstance(s.legs[k].drop, str)), "")
    return {
        "liquid": Code(np.zeros(1, dtype=np.intp), s.legs[i].liquid.name),
        "drop": Value(drop, "length", "drop", like=like, read=True),
        "change": Value(changes[:, i], "pressure", "change of pressure"),
        "pressure": Value(running[:, i], "pressure", "pressure after it, absolute", placed),
        "words": Code(way, WAYS[int(way[0])]),
    }


def densest(s: Manometer) -> int:
    """Index of the leg of the densest liquid, row 0 deciding."""
    return max(range(len(s.legs)), key=lambda i: float(s.legs[i].liquid.density[0]))


def _swing(s: Manometer, g: Floats) -> tuple[Any, Any, Any, Any]:
    """Period and settling time [s] of a U-tube's liquid, and where there is one."""
    if s.column_length is None:
        return np.zeros(1), np.zeros(1), False, False
    omega = swing_rate(g, s.column_length, 2.0)
    liquid = s.legs[densest(s)].liquid
    if s.bore is None or liquid.viscosity is None:
        return 2 * np.pi / omega, np.zeros(1), True, False
    nu = liquid.viscosity / liquid.density
    creep, layer = creeping_rate(nu, s.bore), layer_rate(nu, omega, s.bore)
    swings = creep < omega
    return 2 * np.pi / np.where(swings, omega - layer, 1.0), settling_time(omega, np.maximum(creep, layer)), swings, True


def _capillary(s: Manometer, g: Floats) -> Value:
    """The first leg's rise less the last one's."""
    ends = ((s.legs[0].liquid, s.start_bore), (s.legs[-1].liquid, s.end_bore))
    rises = []
    for liquid, bore in ends:
        if bore is None or liquid.surface_tension is None:
            return Value(np.zeros(1), "sink", "difference that capillarity fakes", False)
        rises.append(capillary_rise(liquid.surface_tension, liquid.contact_angle, liquid.density, g, bore))
    return Value(rises[0] - rises[1], "sink", "difference that capillarity fakes")
