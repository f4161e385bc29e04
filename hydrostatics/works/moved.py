"""What another pressure of the air moves in a set-up: its deciding result then and now."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ..answer import work_out
from ..errors import Refusal
from ..prediction import STATES
from ..quantities.saying import said
from ..room.stated import PRESSURES
from .what_if import in_room

LEAST = 1e-4
"""Part of a result below which nothing has moved."""
TWO_FIGURES = 10.0
"""A change is told as if its standard uncertainty were a tenth of it: to two figures."""


def moved(document: Mapping[str, Any], now: float, then: float) -> str:
    """In words what a change of the room's pressure [Pa] moves; empty where nothing that can be told.

    document: merged with its room. A set-up with a pressure of its own moves with no weather.
    """
    try:
        both = [work_out(in_room(dict(document), {"station_pressure": f"{pressure:.1f} Pa"}), drawn=False) for pressure in (now, then)]
    except Refusal:
        return ""
    (demonstration, here), (_, before) = both
    states = [int(one.prediction.state[0]) for one in (here, before)]
    about = demonstration.say(here).about
    value, was = here.value(about), before.value(about)
    turned = f"it {_state(states[0])} now, and {_did(states[1])} then" if states[0] != states[1] else ""
    if value is None or was is None or abs(value - was) <= LEAST * max(abs(value), abs(was)):
        return turned
    shown = here.spread.values[here.spread.index[about]][1]
    change = value - was
    kind, unit = ("temperature difference", "K") if shown.kind == "temperature" else (shown.kind, here.unit(about))
    if unit == "m" and abs(change) < 1:
        unit = "cm"
    number, _, printed = said(abs(change), abs(change) / TWO_FIGURES, kind, unit)
    told = f"{shown.label} {f'{number} {printed}'.strip()} {'more' if change > 0 else 'less'}"
    return f"{told}; {turned}" if turned else told


def states_pressure(document: Mapping[str, Any]) -> bool:
    """Whether a set-up states a pressure of its own, so that no weather moves it."""
    room = document.get("room", {})
    return isinstance(room, dict) and any(key in room for key in PRESSURES)


def _state(state: int) -> str:
    return {"works": "works", "marginal": "is doubtful", "fails": "fails"}[STATES[state]]


def _did(state: int) -> str:
    return {"works": "worked", "marginal": "was doubtful", "fails": "failed"}[STATES[state]]
