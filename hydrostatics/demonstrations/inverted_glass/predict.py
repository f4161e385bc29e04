"""What holds an inverted glass, for all rows at once."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray

from ...laws.columns import card_sink, column_limit
from ...laws.hydrostatic import capillary_length, hydrostatic_pressure, largest_pinned_hole, largest_sliding_hole, rim_bridge
from ...laws.walls import disc_area
from ...prediction import ESTIMATE, Code, Node, Prediction, Value
from ...room.derived import Room
from .setup import InvertedGlass

Floats = NDArray[np.float64]
TRUE_RIM = (0.05e-3, 0.2e-3)
"""Gaps [m] below which no card, and hardly a card, lies true on a rim; an estimate, common practice."""
WET_RIM = 0.2e-3
"""Gap [m] of a wet rim that carries a cover by surface tension, as the contract states it."""
FLAT = 50.0
"""Gauge pressure [Pa] within which a rubber sheet looks flat, as the contract states it."""
SHAPES = ("dished", "flat", "bulged")


def predict(s: InvertedGlass, room: Room) -> Prediction:
    """Pressures, loads and the sink that thins the trapped air.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, g = room.station_pressure, room.gravity
    rho, p_v, tension = s.liquid.density, s.liquid.vapour_pressure, s.liquid.surface_tension
    area = disc_area(s.mouth_diameter)
    mesh = s.cover.kind == "mesh"
    weight = 0.0 * area if mesh else s.cover.mass * g
    column = hydrostatic_pressure(rho, g, s.fill_height)
    open_top = s.vent
    bottom = p0 + column if open_top else p0 - weight / area
    top = p0 + 0.0 * column if open_top else bottom - column
    closed = not open_top
    air = s.inside_height - s.fill_height
    warm = s.gas_warming.any()
    p_v_warm = s.liquid.vapour_pressure_at(room.temperature + s.gas_warming) if warm else p_v
    boils = (top <= p_v_warm) if closed else np.zeros(1, dtype=np.bool_)
    dry = np.maximum(p0 - s.gas_humidity * p_v, 0.0) * (1 + s.gas_warming / room.temperature)
    drop = card_sink(air, dry, top, p_v_warm)
    l_c = None if tension is None else capillary_length(tension, rho, g)
    limit = np.ones(1) if l_c is None or tension is None else _drop_limit(l_c, tension, area, weight)
    known = l_c is not None
    widest = np.ones(1) if l_c is None else largest_sliding_hole(l_c)
    pinned = np.ones(1) if l_c is None else largest_pinned_hole(l_c)
    opening = s.cover.opening if s.cover.opening is not None else np.ones(1)
    sigma = np.ones(1) if tension is None else tension
    tilt = np.arcsin(np.minimum(1.0, 8 * sigma / (rho * g * s.mouth_diameter * opening)))
    load = column * area + weight
    tallest = column_limit(p0 - weight / area, p_v, rho, g)
    sinks = ~boils if closed else False
    spare = np.minimum(limit - np.where(np.isfinite(drop), drop, 0.0), limit - TRUE_RIM[0])
    results: dict[str, Node] = {
        "bottom_pressure": Value(bottom, "pressure", "pressure at the cover, absolute"),
        "top_pressure": Value(top, "pressure", "pressure at the top, absolute", read=True),
        "air_push": Value(p0 * area, "force", "push of the room's air"),
        "load": Value(load, "force", "weight of liquid and cover"),
        "loaded_mass": Value(load / g, "load", "mass of liquid and cover"),
        "push_to_load": Value(p0 * area / load, "number", "push over load"),
        "max_cover_mass": Value(np.maximum(area * (p0 - p_v - column) / g, 0.0), "mass", "heaviest cover, hydrostatic bound", closed, like="setup.cover.mass"),
        "max_cover_mass_rim": Value(
            2 * sigma * area / (WET_RIM * g), "mass", "heaviest cover on a wet rim", closed and known, like="setup.cover.mass", estimate=ESTIMATE
        ),
        "trapped_air_height": Value(air, "length", "air over the liquid", like="setup.inside_height"),
        "card_drop": Value(np.where(np.isfinite(drop), drop, 0.0), "sink", "sink of the cover", sinks, estimate=ESTIMATE),
        "card_drop_limit": Value(limit, "sink", "gap that a wet rim bridges", closed and known, estimate=ESTIMATE),
        "sink_margin": Value(spare, "sink", "gap to spare under the rim", sinks if known and s.cover.kind in ("card", "plate") else False, estimate=ESTIMATE),
        "height_margin": Value(tallest - s.fill_height, "length", "height to spare below the tallest that holds", closed, like="setup.inside_height"),
        "opening_margin": Value(pinned - opening, "length", "opening to spare", mesh and known and closed, like="setup.cover.opening", estimate=ESTIMATE),
        "max_height": Value(tallest, "length", "tallest column that holds", closed, like="setup.inside_height"),
        "opening_limit": Value(widest, "length", "widest opening that holds", mesh and known, like="setup.cover.opening", estimate=ESTIMATE),
        "opening_limit_pinned": Value(pinned, "length", "widest opening, wires dry and sharp", mesh and known, like="setup.cover.opening", estimate=ESTIMATE),
        "tilt_limit": Value(tilt, "angle", "tilt at which it lets go", mesh and known, estimate=ESTIMATE),
        "cover_force": Value(column * area, "force", "push on the cover", open_top),
        "ports": [_port(s, height, bottom, top, rho * g, p0) for height in s.ports],
        "sheets": _sheets(s, bottom - p0, top - p0),
        "effect": Value(np.zeros(1), "length", "movement to be noticed", False),
    }
    liquid_boils = p_v >= p0
    results["behaviour"] = Code(*_behaviour(s, boils | liquid_boils))
    return Prediction(results, _state(s, drop, limit, widest, pinned, opening, boils | liquid_boils, known))


def _drop_limit(l_c: Floats, tension: Floats, area: Floats, weight: Floats) -> Floats:
    bridge = rim_bridge(l_c)
    heavy = weight > 0
    return np.asarray(np.where(heavy, np.minimum(bridge, 2 * tension * area / np.where(heavy, weight, 1.0)), bridge))


def _state(
    s: InvertedGlass, drop: Floats, limit: Floats, widest: Floats, pinned: Floats, opening: Floats, boils: NDArray[np.bool_], known: bool
) -> NDArray[np.intp]:
    """0 works, 1 marginal, 2 fails, per row."""
    kind = s.cover.kind
    if s.vent:
        works: Any = np.zeros(1, dtype=np.intp) if kind == "sheet" else np.full(1, 2)
    elif kind == "sheet":
        works = np.zeros(1, dtype=np.intp)
    elif not known:
        works = np.ones(1, dtype=np.intp)
    elif kind == "mesh":
        works = np.where(opening <= widest, 0, np.where(opening <= pinned, 1, 2))
    else:
        works = np.where(drop <= limit / 2, 0, np.where(drop <= limit, 1, 2))
        works = np.maximum(works, np.where(limit < TRUE_RIM[0], 2, np.where(limit < TRUE_RIM[1], 1, 0)))
    return np.asarray(np.where(boils, 2, works))


def _behaviour(s: InvertedGlass, boils: NDArray[np.bool_]) -> tuple[NDArray[Any], str, str]:
    """How it stands: boils off, pours, or is closed."""
    pours = s.vent and s.cover.kind != "sheet"
    numbers = np.where(boils, 2, int(pours))
    return numbers, ("closed", "pours", "boils")[int(numbers[0])], "behaviour"


def _port(s: InvertedGlass, height: Floats, bottom: Floats, top: Floats, weight: Floats, p0: Floats) -> dict[str, Node]:
    """Pressure at a port; one above the liquid reads the gas."""
    pressure = np.where(height <= s.fill_height, bottom - weight * height, top)
    return {
        "pressure": Value(pressure, "pressure", "pressure at the port, absolute"),
        "gauge_pressure": Value(pressure - p0, "pressure", "gauge pressure at the port", read=True),
    }


def _sheets(s: InvertedGlass, bottom: Floats, top: Floats) -> list[Node]:
    """What a rubber sheet at either end shows."""
    ends = ([("top", top)] if s.top_sheet else []) + ([("bottom", bottom)] if s.cover.kind == "sheet" else [])
    made: list[Node] = []
    for end, gauge in ends:
        shape = np.where(gauge < -FLAT, 0, np.where(gauge > FLAT, 2, 1))
        made.append(
            {
                "end": Code(np.zeros(1, dtype=np.intp), end),
                "gauge_pressure": Value(gauge, "pressure", f"gauge pressure behind the {end} sheet"),
                "shape": Code(shape, SHAPES[int(shape[0])], f"the shape of the {end} sheet"),
            }
        )
    return made
