"""A set-up in other rooms, side by side."""

from __future__ import annotations

import tomllib
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from importlib.resources import files
from typing import Any

from ..answer import work_out
from ..demonstrations.protocol import Demonstration
from ..documents.naming import numbered
from ..errors import Refusal
from ..nominal import Now
from ..prediction import STATES
from ..room.stated import GRAVITY, PLACE, PRESSURES
from ..verdict import reason_of


@dataclass(frozen=True)
class WhatIf:
    """A room to imagine: its key, name, what it states, and a sentence of sense."""

    key: str
    name: str
    room: Mapping[str, Any]
    sense: str


@cache
def rooms() -> tuple[WhatIf, ...]:
    """The rooms of rooms.toml."""
    raw = tomllib.loads(files(__package__).joinpath("rooms.toml").read_text("utf-8"))
    return tuple(WhatIf(one["key"], one["name"], one["room"], one["sense"]) for one in raw["room"])


def in_room(document: Mapping[str, Any], room: Mapping[str, Any]) -> dict[str, Any]:
    """The document moved to another room: what that room states replaces what stood for the same thing here."""
    here = dict(document.get("room", {}))
    for keys in ((*PRESSURES, *PLACE), GRAVITY):
        if any(key in room for key in keys):
            here = {key: value for key, value in here.items() if key not in keys}
    here.pop("ceiling_height", None)
    return {**document, "room": {**here, **room}}


def what_if(document: Mapping[str, Any], extra: Sequence[WhatIf] = ()) -> list[dict[str, Any]]:
    """Verdict and deciding numbers in each room, today's first.

    document: parsed. extra: rooms of a person's own. A room that the set-up cannot be taken to says why instead.
    """
    demonstration, now = work_out(document)
    saying = demonstration.say(now)
    shown = tuple(dict.fromkeys((saying.about, *saying.headline)))
    made = [_column("today", "Here, today", "", demonstration, now, shown)]
    for one in (*rooms(), *extra):
        try:
            other = work_out(in_room(document, one.room))[1]
            made.append(_column(one.key, one.name, one.sense, demonstration, other, shown))
        except Refusal as refusal:
            made.append({"key": one.key, "name": one.name, "sense": one.sense, "refused": str(refusal), "state": "", "reason": "", "values": [], "room": None})
    return made


def _column(key: str, name: str, sense: str, demonstration: Demonstration[Any], now: Now[Any], shown: Sequence[str]) -> dict[str, Any]:
    values = []
    for path in shown:
        at = now.spread.index.get(path)
        value = None if at is None else now.spread.values[at][1]
        values.append(
            {
                "path": path,
                "label": numbered(path, value.label) if value else path,
                "kind": value.kind if value else "number",
                "shown": now.unit(path) if value else "",
                "value": now.value(path) if value else None,
                "standard_uncertainty": now.shown_sd(path) if at is not None else 0.0,
            }
        )
    room = {key: float(getattr(now.room, key)[0]) for key in ("station_pressure", "temperature", "gravity")}
    state = STATES[int(now.prediction.state[0])]
    return {"key": key, "name": name, "sense": sense, "refused": "", "state": state, "reason": reason_of(demonstration, now), "values": values, "room": room}
