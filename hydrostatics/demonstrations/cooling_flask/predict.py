"""What a cooling gas leaves to the room's pressure, for all rows at once."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from ...laws.cooling import can_collapse_pressure, cooled_pressure, cooling_duration
from ...laws.walls import disc_area
from ...liquids.water import saturation_pressure
from ...prediction import ESTIMATE, Code, Node, Prediction, Value
from ...room.derived import Room
from ..margin import margin_state
from .setup import CoolingFlask

Floats = NDArray[np.float64]
HOW = ("cools", "steam alone", "not cooled")
COOLS, STEAM, WARM = range(3)
PLUG = 1.5
"""How tall a stopper is, in diameters of the neck, about: so far it is seen to go."""
_STEPS, _CLOSE = 7, 1e-9
"""Newton's steps to the temperature at which the stopper moves, at the most, and how far the last of them goes [K]."""


def predict(s: CoolingFlask, room: Room) -> Prediction:
    """Pressures, forces on stopper and can, and when the stopper moves.

    s, room: leaves of shape (rows,) or (1,). Returns results for all rows.
    """
    p0, hot, final = room.station_pressure, s.hot_temperature, s.final_temperature
    steam: Callable[[Floats], Floats] = saturation_pressure if s.moisture == "saturated" else np.zeros_like
    steam_hot, steam_final = steam(hot), steam(final)
    dry_hot = np.maximum(p0 - steam_hot, 0.0)
    dry = cooled_pressure(dry_hot, hot, final)
    inside = dry + steam_final
    difference = p0 - inside
    has_neck = s.neck_diameter is not None
    area = disc_area(np.ones(1) if s.neck_diameter is None else s.neck_diameter)
    needs = s.needed_force is not None
    needed = np.ones(1) if s.needed_force is None else s.needed_force
    end = (p0 - dry * s.volume / (s.volume - s.stopper_volume) - steam_final) * area
    margin = end - needed
    cools = final < hot
    moves_at, moves = _moves_at(p0 - needed / area, dry_hot, hot, final, steam)
    moves = moves & cools & has_neck & needs
    timed = s.cooling_time is not None
    between = np.where(moves & (moves_at > final), moves_at, (final + hot) / 2)
    duration = cooling_duration(hot, between, final, np.ones(1) if s.cooling_time is None else s.cooling_time)
    condensing = p0 - steam_final
    pushed = np.where(cools, s.volume * difference / np.where(condensing > 0, condensing, 1.0), 0.0)
    plug = np.minimum(pushed / area, PLUG * (0.0 if s.neck_diameter is None else s.neck_diameter))
    collapse, collapses = _collapse(s, difference)
    how = np.where(~cools, WARM, np.where((dry_hot <= 0) & (s.moisture == "saturated"), STEAM, COOLS))
    state = np.zeros(1, dtype=np.intp)
    if needs:
        state = np.maximum(state, margin_state(margin, needed))
    if s.can is not None:
        state = np.maximum(state, margin_state(collapses, collapse))
    results: dict[str, Node] = {
        "final_pressure": Value(inside, "pressure", "pressure inside, cooled and shut", read=True),
        "dry_pressure": Value(dry, "pressure", "of that the dry air"),
        "steam_pressure": Value(steam_final, "pressure", "of that the steam"),
        "air_closed_in": Value(dry_hot / p0, "fraction", "part of the gas closed in that is air"),
        "pressure_difference": Value(difference, "pressure", "pressure difference to the room", read=True),
        "push_force": Value(difference * area, "force", "push on the stopper, cooled", has_neck, like="setup.needed_force", read=True),
        "push_force_end": Value(end, "force", "push on the stopper in the neck", has_neck, like="setup.needed_force"),
        "volume_pushed_in": Value(pushed, "volume", "what the room pushes in if it opens then", like="setup.volume", read=True),
        "margin": Value(margin, "force", "margin over what the stopper needs", has_neck and needs, like="setup.needed_force"),
        "moves_at": Value(moves_at, "temperature", "gas temperature at which it starts to move", moves, like="setup.final_temperature", read=True),
        "time_to_move": Value(duration, "time", "time until it starts to move", moves & timed & (moves_at > final), like="setup.cooling_time", read=True),
        "collapse_pressure": Value(collapse, "pressure", "difference at which the can crumples", s.can is not None, estimate=3 * ESTIMATE),
        "collapse_margin": Value(collapses, "pressure", "margin over that", s.can is not None),
        "effect": Value(plug, "length", "way of the stopper", has_neck & cools),
        "behaviour": Code(how, HOW[int(how[0])], "what happens"),
    }
    return Prediction(results, np.where(cools, state, 2))


def _moves_at(inside: Floats, dry_hot: Floats, hot: Floats, final: Floats, steam: Callable[[Floats], Floats]) -> tuple[Floats, NDArray[np.bool_]]:
    """Temperature [K] at which dry air and steam have come down to a pressure inside [Pa], and where they do before the end."""
    slope, t = dry_hot / hot, hot + 0.0 * (inside + dry_hot + final)
    small = 1e-3
    for _ in range(_STEPS):
        here = steam(t)
        rising = (steam(t + small) - here) / small
        before = t
        t = np.clip(t - (slope * t + here - inside) / np.where(slope + rising > 0, slope + rising, 1.0), final, hot)
        if np.abs(t - before).max() < _CLOSE:
            break
    reached = (slope * final + steam(final + 0.0 * t) <= inside) & (slope + steam(hot) > 0)
    return t, reached


def _collapse(s: CoolingFlask, difference: Floats) -> tuple[Floats, Floats]:
    """The difference that crumples the can, and the margin over it [Pa]."""
    if s.can is None:
        return np.ones(1), np.zeros(1)
    limit = can_collapse_pressure(s.can.collapse_factor, s.can.modulus, s.can.wall, s.can.diameter, s.can.height)
    return limit, difference - limit
