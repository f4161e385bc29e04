"""What the holes of a bottle do, for all rows at once."""

from __future__ import annotations

from functools import cache

import numpy as np
from numpy.typing import NDArray

from ...laws.hydrostatic import capillary_length, hydrostatic_pressure, largest_pinned_hole, largest_side_hole, largest_sliding_hole, meniscus_pressure
from ...laws.jets import (
    fall_time,
    landing_speed,
    left_by_viscosity,
    orifice_flow,
    speed_share,
    torricelli_speed,
    weber_number,
)
from ...laws.vessels import volume_below
from ...prediction import ESTIMATE, Code, Node, Prediction, Value, later
from ...room.derived import Room
from .running_out import Draining, draining_holes, lowered_by_inlet, viscous_heads
from .setup import HoledBottle, stacked

BEHAVIOURS = ("dry", "held", "dripping", "jet", "glugs", "inlet")
DRY, HELD, DRIPPING, JET, GLUGS, INLET = range(6)
DRIPPING_BELOW = 8.0
"""Weber number below which a jet drips, as the contract states it."""
TOGETHER = 1e-9
"""Ranges that differ by less [m] count as landing together."""
Floats = NDArray[np.float64]


def predict(s: HoledBottle, room: Room) -> Prediction:
    """Heads, jets, landings and draining of every hole.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, tension, thick = room.station_pressure, s.liquid.surface_tension, s.liquid.viscosity
    y, d = stacked(s.holes, "height"), stacked(s.holes, "diameter")
    c_v, c_d = stacked(s.holes, "velocity_coefficient"), stacked(s.holes, "discharge_coefficient")
    columns = (room.gravity, s.liquid.density, s.fill_height, s.stand_drop, p0, np.zeros(1) if tension is None else tension)
    heights, diameters = s.contour()
    slowed = viscous_heads(s, room)
    rows = max(*(a.shape[0] for a in (y, d, c_v, c_d, heights, diameters)), *(c.shape[0] for c in columns), 1 if slowed is None else slowed.shape[0])
    zero = np.zeros((rows, len(s.holes)))
    y, d, c_v, c_d = y + zero, d + zero, c_v + zero, c_d + zero
    g, rho, level, drop, p0_, sigma = (column[:, None] + zero[:, :1] for column in columns)
    side = np.array([hole.facing == "side" for hole in s.holes])

    under = level - y
    to_start = meniscus_pressure(sigma, d) / (rho * g)
    head, inlet = lowered_by_inlet(under, y, to_start) if s.cap == "steady" else (under, zero > 0)
    effective = np.maximum(head - to_start / 2, 0)
    ideal_effective = torricelli_speed(g, effective)
    left = np.ones(1) if slowed is None else left_by_viscosity(np.maximum(effective, np.finfo(float).tiny), slowed)
    speed = (c_v if slowed is None else speed_share(left, c_d, c_v)) * ideal_effective
    drips = zero > 0 if tension is None else weber_number(rho, speed, d, sigma) < DRIPPING_BELOW
    behaviour = np.where(head <= 0, DRY, np.where(head < to_start, HELD, np.where(drips, DRIPPING, JET)))
    behaviour = np.where(inlet, INLET, behaviour)

    closed = s.cap == "closed"
    capped: NDArray[np.bool_] = np.asarray((head > 0).all(axis=1) if closed else zero[:, 0] > 0)
    sealing, limits = _sealing(tension, sigma, rho, g, y, d, side) if closed else (np.zeros(rows, dtype=np.intp), (zero, zero, zero[:, 0], zero[:, 0]))
    if closed:
        behaviour = np.where(capped[:, None], np.where((sealing == 0)[:, None], HELD, GLUGS), behaviour)
    runs = (behaviour == DRIPPING) | (behaviour == JET)
    unknown = capped & (sealing > 0)
    known: NDArray[np.bool_] | bool = ~unknown if closed else True
    settled = known if s.refill == "none" else False

    moving = runs.astype(float)
    falling = fall_time(g, y + drop)
    gulping = speed * falling * side  # what an open hole's jet would reach: no gulp of a capped one goes farther
    speed = speed * moving
    flow = orifice_flow(c_d, d, ideal_effective) * left * moving
    start = y + drop
    reach = speed * falling * side
    landing = landing_speed(speed, g, start) * moving

    runs_out = Draining(level[:, 0], heights, diameters, y, inlet, runs, flow)
    if s.refill == "none":
        holes = later(lambda: draining_holes(s, room, runs, slowed))
        stops, lost = later(lambda: runs_out.stop_times(holes())), later(lambda: runs_out.volume_lost(holes()))
    else:
        stops, lost = later(lambda: zero), later(lambda: zero[:, 0])
    ends = settled if tension is not None or thick is None else False  # a thick liquid without a meniscus creeps on for ever
    ideal = torricelli_speed(g, head)
    said = behaviour[0].tolist()
    pressure = hydrostatic_pressure(rho, g, np.maximum(head, 0))
    limited = capped & (tension is not None) if closed else False
    taken = (1 - left) * moving

    def each(i: int) -> dict[str, Node]:
        at = f"setup.holes.{i}"
        return {
            "head": Value(head[:, i], "length", "depth below the surface", like="setup.fill_height"),
            "gauge_pressure": Value(pressure[:, i], "pressure", "gauge pressure at the hole"),
            "ideal_speed": Value(ideal[:, i], "speed", "speed without loss"),
            "ideal_range": Value(ideal[:, i] * falling[:, i], "length", "landing without loss", bool(side[i]), like="setup.stand_drop"),
            "speed": Value(speed[:, i], "speed", "jet speed", known),
            "fall_time": Value(falling[:, i], "time", "time of fall", bool(side[i])),
            "range": Value(reach[:, i], "length", "landing distance", known, like="setup.stand_drop", read=True),
            "landing_speed": Value(landing[:, i], "speed", "speed on landing", known),
            "flow": Value(flow[:, i], "flow", "flow", known, read=True),
            "viscous_loss": Value(taken[:, i], "fraction", "part of the flow lost to viscosity", known if thick is not None else False),
            "head_to_start": Value(to_start[:, i], "length", "depth needed to start", like="setup.fill_height"),
            "behaviour": Code(behaviour[:, i], BEHAVIOURS[said[i]], f"what hole {i + 1} does"),
            "stops_after": Value(lambda: stops()[:, i], "time", "stops after", ends, read=True),
            "critical_diameter": Value(limits[0][:, i], "length", "widest hole that holds", limited, like=f"{at}.diameter", estimate=ESTIMATE),
            "critical_diameter_pinned": Value(limits[1][:, i], "length", "widest hole, rim dry and sharp", limited, like=f"{at}.diameter", estimate=ESTIMATE),
        }

    results: dict[str, Node] = {"holes": [each(i) for i in range(len(s.holes))]}
    running = runs & side
    results |= _overall(reach, running, y, np.square(speed))
    # each range falls with the level while its fall time stays, so the reach at any moment is the reach at the start
    widest = np.where(unknown[:, None], gulping * (head > to_start), np.where(running, reach, 0.0)).max(axis=1)
    results["tray_reach"] = Value(widest, "length", "tray to reach past the wall", like="setup.stand_drop")
    results["jets_cross"] = _crossings(g, speed, start, running)
    results["volume_lost"] = Value(lost, "volume", "liquid lost until all stop", settled, read=True)
    results["time_to_stop"] = Value(lambda: stops().max(axis=1), "time", "until all stop", ends, read=True)
    can_be = s.cap == "steady" and s.refill == "none"
    results["steady_time"] = Value(runs_out.steady_time(), "time", "runs steadily for", inlet.any(axis=1) & runs.any(axis=1) if can_be else False, read=True)
    results["held"] = Code(sealing == 0, bool(sealing[0] == 0) if capped[0] and tension is not None else None, "whether the cap holds it")
    paired = limited if len(s.holes) > 1 else False
    results["pair_limit"] = Value(limits[2], "length", "height apart that two menisci carry", paired, like="setup.fill_height", estimate=ESTIMATE)
    results["seal_margin"] = Value(limits[3], "length", "margin of the menisci", limited, like="setup.holes.0.diameter", estimate=ESTIMATE)
    spare = np.where(inlet, -np.inf, head - to_start).max(axis=1)
    results["start_margin"] = Value(
        np.where(np.isfinite(spare), spare, 0.0), "length", "depth to spare over what starts a jet", np.isfinite(spare) & ~capped, like="setup.fill_height"
    )
    results["first_leak"] = _first_leak(s, rho[:, 0], g[:, 0], head, p0_[:, 0], capped)

    margin = p0_[:, 0] - s.liquid.vapour_pressure
    results["boiling_margin"] = Value(margin, "pressure", "air's pressure over the vapour's")
    none_runs = np.where(runs.any(axis=1) & (margin > 0), 0, 2)
    return Prediction(results, np.where(capped & (margin > 0), sealing, none_runs) if closed else none_runs)


def _sealing(
    tension: Floats | None, sigma: Floats, rho: Floats, g: Floats, y: Floats, d: Floats, side: NDArray[np.bool_]
) -> tuple[NDArray[np.intp], tuple[Floats, Floats, Floats, Floats]]:
    """Whether menisci hold under a cap (0 held, 1 doubtful or not known, 2 leaks), and the limits: sliding, pinned, worst pair's, and the least margin."""
    rows, n = y.shape
    if tension is None:
        return np.ones(rows, dtype=np.intp), (0 * y, 0 * y, np.zeros(rows), np.zeros(rows))
    l_c = capillary_length(sigma, rho, g)
    sliding, pinned = (np.where(side, largest_side_hole(l_c), limit) for limit in (largest_sliding_hole(l_c), largest_pinned_hole(l_c)))
    carried = meniscus_pressure(sigma, d) / (rho * g)
    both = carried[:, :, None] + carried[:, None, :]
    excess = np.where(np.eye(n, dtype=np.bool_), -np.inf, np.abs(y[:, :, None] - y[:, None, :]) - both).reshape(rows, -1)
    worst = excess.argmax(axis=1)
    sealing = np.where((excess > 0).any(axis=1) | (d >= pinned).any(axis=1), 2, np.where((d >= sliding).any(axis=1), 1, 0))
    margin = np.minimum((pinned - d).min(axis=1), -excess.max(axis=1)) if n > 1 else (pinned - d).min(axis=1)
    return sealing, (sliding, pinned, both.reshape(rows, -1)[np.arange(rows), worst], margin)


def _overall(reach: Floats, running: NDArray[np.bool_], y: Floats, strength: Floats) -> dict[str, Node]:
    """Order of landing and lead; and the drop from which on depth decides: strength goes with the square of the speed."""
    rows, n = reach.shape
    own = np.arange(rows)[:, None]
    far = np.where(running, reach, -1.0)
    order = far.argsort(axis=1, kind="stable")
    ranked = far[own, order]
    together = ranked[:, 1:] - ranked[:, :-1] <= TOGETHER
    if together.any():
        group = np.concatenate([np.zeros((rows, 1), dtype=np.intp), (~together).cumsum(axis=1)], axis=1)
        order = order[own, (group * n + order).argsort(axis=1)]
    count = running.sum(axis=1)
    masked = np.where(np.arange(n) >= n - count[:, None], order, -1)
    best = np.maximum(ranked[:, -1], 0.0)
    lead = best - ranked[:, -2] if n > 1 else best
    drop = later(lambda: _depth_order_drop(running, y, strength))
    landing = [int(i) for i in masked[0] if i >= 0]
    gaps = np.where(ranked[:, :-1] >= 0, ranked[:, 1:] - ranked[:, :-1], np.inf).min(axis=1) if n > 1 else best
    return {
        "farthest": Code(masked[:, -1], landing[-1] if landing else None, "which jet lands farthest"),
        "landing_order": Code(masked, landing, "the order of landing"),
        "stand_drop_for_depth_order": Value(lambda: drop()[0], "length", "deeper lands farther from a drop of", lambda: drop()[1], like="setup.stand_drop"),
        "lead": Value(np.where(count > 1, lead, 0.0), "length", "lead of the farthest jet", count > 1, like="setup.stand_drop"),
        "effect": Value(np.where(count > 1, gaps, 0.0), "length", "smallest gap between landings", count > 1, like="setup.stand_drop"),
    }


def _depth_order_drop(running: NDArray[np.bool_], y: Floats, strength: Floats) -> tuple[Floats, NDArray[np.bool_]]:
    """Least drop from which on every deeper running jet lands farther, and whether there is one."""
    first, second = _pairs(y.shape[1])
    if not first.size:
        return np.zeros(y.shape[0]), np.ones(y.shape[0], dtype=np.bool_)
    swap = y[:, first] > y[:, second]
    a, b = strength[:, first], strength[:, second]
    ya, yb = y[:, first], y[:, second]
    # of each pair the deeper hole against the shallower: a drop D cures it where the deeper is the stronger
    stronger = np.where(swap, b - a, a - b)
    missing = np.where(swap, a * ya - b * yb, b * yb - a * ya)
    pair = running[:, first] & running[:, second] & (ya != yb)
    curable = stronger > 0
    needed = np.divide(missing, stronger, out=np.zeros(pair.shape), where=pair & curable)
    return np.maximum(needed.max(axis=1), 0.0), np.asarray(~(pair & ~curable).any(axis=1))


def _crossings(g: Floats, speed: Floats, start: Floats, running: NDArray[np.bool_]) -> list[Node]:
    """Where two jets meet before they land; which pairs do is settled by row 0."""
    first, second = _pairs(speed.shape[1])
    keep = running[0, first] & running[0, second] & ((start[0, first] > start[0, second]) == (speed[0, first] < speed[0, second]))
    first, second = first[keep], second[keep]
    if not first.size:
        return []
    with np.errstate(divide="ignore", invalid="ignore"):
        curve = g / (2 * np.square(speed))
        squared = (start[:, first] - start[:, second]) / (curve[:, first] - curve[:, second])
        height = start[:, first] - curve[:, first] * squared
        meets = (squared > 0) & (height > 0)
        distance = np.sqrt(np.where(meets, squared, 0.0))
    return [
        {
            "holes": Code(np.zeros(1, dtype=np.intp), [int(first[k]), int(second[k])]),
            "distance": Value(distance[:, k], "length", "jets cross at", meets[:, k], like="setup.stand_drop"),
            "height": Value(height[:, k], "length", "above the tray", meets[:, k], like="setup.stand_drop"),
        }
        for k in np.flatnonzero(meets[0]).tolist()
    ]


@cache
def _pairs(n: int) -> tuple[NDArray[np.intp], NDArray[np.intp]]:
    return np.triu_indices(n, 1)


def _first_leak(s: HoledBottle, rho: Floats, g: Floats, head: Floats, p0: Floats, capped: NDArray[np.bool_]) -> Value:
    """Volume that runs before the trapped air is thin enough to hold the rest."""
    label = "runs before the air has thinned"
    if s.bottle_height is None or s.cap != "closed":
        return Value(np.zeros(1), "volume", label, False)
    heights, diameters = s.contour()
    air = volume_below(s.bottle_height, heights, diameters) - volume_below(s.fill_height, heights, diameters)
    held = hydrostatic_pressure(rho, g, head.max(axis=1))
    left = p0 - held - s.liquid.vapour_pressure
    return Value(np.where(left > 0, air * held / left, 0.0), "volume", label, capped & (left > 0))
