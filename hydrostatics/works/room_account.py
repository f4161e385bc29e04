"""From a weather report to the room's pressure, step by step, and what a pressure that is not the room's would have done."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

import numpy as np

from ..answer import work_out
from ..demonstrations.registry import ALL_DEMONSTRATIONS
from ..documents.naming import numbered
from ..documents.reader import read_room, read_room_part
from ..errors import Refusal
from ..laws.atmosphere import reduced_to_sea_level
from ..quantities.saying import in_words
from ..room.derived import Room
from ..room.stated import RoomPart
from ..room.weather import read_report
from .what_if import in_room

STALE = 50.0
"""A pressure that has moved by less than this [Pa] is told as still good."""
SEEN = 0.01
"""A relative change from which a mistaken pressure shows in a number."""


def room_account(stated: Mapping[str, Any], stale: float | None = None, stale_words: str = "") -> dict[str, Any]:
    """The account of a room as stated: steps with their numbers, and each demonstration with the wrong pressure.

    stated: the room part of a set-up file. stale: the pressure [Pa] that stood for the room before, if one did, and what it is
    called. Raises a Refusal.
    """
    room, part = read_room(stated), read_room_part(stated)
    wrong, words = _wrong_pressure(part, room)
    return {
        "station_pressure": float(room.station_pressure[0]),
        "steps": _steps(part, room, stated),
        "how": list(room.how),
        "cautions": [one.words for one in room.cautions],
        "wrong_pressure": wrong,
        "wrong_words": words,
        "mistakes": [] if wrong is None else _mistakes(stated, wrong, words),
        "stale_words": stale_words,
        "stale_mistakes": [] if stale is None or abs(stale - float(room.station_pressure[0])) < STALE else _mistakes(stated, stale, stale_words),
    }


ROUNDED = 50.0
"""Half of the whole hPa to which a Q group is rounded down [Pa]."""


def _of_the_line(line: object) -> list[dict[str, str]]:
    """What an airfield's line says: the group as it stands there, and what its rounding stands for."""
    found = read_report("room.metar", line)
    if not found.group.startswith("Q"):
        return [{"words": f"the airfield's line says {found.group}", "number": f"{found.setting.si / 100:.1f} hPa"}]
    return [
        {"words": f"the airfield's line says {found.group}", "number": f"{(found.setting.si - ROUNDED) / 100:.0f} hPa"},
        {"words": "such a line is rounded down to a whole hPa: half of one is added", "number": f"{found.setting.si / 100:.1f} hPa"},
    ]


def _steps(part: RoomPart, room: Room, stated: Mapping[str, Any]) -> list[dict[str, str]]:
    """Each step as words and its number."""
    made: list[dict[str, str]] = []

    def step(words: str, si: float, kind: str, unit: str) -> None:
        number = f"{si / 100:.1f} hPa" if kind == "pressure" else in_words(si, 0.0, kind, unit)
        made.append({"words": words, "number": number})

    height = None if part.elevation is None else float(part.elevation[0])
    reported = _reported(part)
    if "metar" in stated:
        made += _of_the_line(stated["metar"])
    elif reported is not None:
        step("the report says", reported, "pressure", "hPa")
    if height is not None:
        step("the room stands above sea level", height, "height", "m")
    if part.sea_level_pressure is not None and height is not None:
        outdoor = part.temperature if part.outdoor_temperature is None else part.outdoor_temperature
        step("outdoor air at the room's height", float(outdoor[0]), "temperature", "degC")
    if reported and height is not None:
        what = "altimeter setting" if part.sea_level_pressure is None else "sea-level pressure"
        made.append({"words": f"of the {what}, this part is left up here", "number": f"{float(room.station_pressure[0]) / reported:.5f}"})
    elif part.station_pressure is None and height is not None:
        made.append({"words": "no pressure stated: the standard atmosphere at that height", "number": ""})
    step("pressure at the bench", float(room.station_pressure[0]), "pressure", "hPa")
    step("gravity at the bench", float(room.gravity[0]), "acceleration", "m/s^2")
    return made


def _reported(part: RoomPart) -> float | None:
    for stated in (part.sea_level_pressure, part.altimeter_setting, part.metar):
        if stated is not None:
            return float(stated[0])
    return None


def _wrong_pressure(part: RoomPart, room: Room) -> tuple[float | None, str]:
    """The pressure that a person would take by mistake: the report's, or the room's reduced to sea level."""
    reported = _reported(part)
    if reported is not None:
        return reported, f"the report's {in_words(reported, 0.0, 'pressure', 'hPa')}"
    if part.elevation is None:
        return None, ""
    outdoor = part.temperature if part.outdoor_temperature is None else part.outdoor_temperature
    sea = float(np.asarray(reduced_to_sea_level(room.station_pressure[0], part.elevation[0], outdoor[0])))
    return sea, f"a report's {in_words(sea, 0.0, 'pressure', 'hPa')}, reduced to sea level,"


def _mistakes(stated: Mapping[str, Any], wrong: float, words: str) -> list[dict[str, Any]]:
    """Per demonstration its deciding number here and with the wrong pressure."""
    made = []
    for one in ALL_DEMONSTRATIONS:
        start = {**one.guide.starts[0]["document"], "room": dict(stated)}
        try:
            here = work_out(start)[1]
            there = work_out(in_room(start, {"station_pressure": f"{wrong:.1f} Pa", "gravity": f"{float(here.room.gravity[0]):.6f} m/s^2"}))[1]
        except Refusal:
            continue
        saying = one.say(here)
        told = [p for p in (saying.about, *saying.headline) if p in here.spread.index and p in there.spread.index]
        clear = [p for p in told if _moved(here.value(p), there.value(p)) > SEEN]
        path = clear[0] if clear else max(told, key=lambda p: _moved(here.value(p), there.value(p)))
        a, b = here.value(path), there.value(path)
        if a is None or b is None or _moved(a, b) < 1e-4:
            continue
        value = here.spread.values[here.spread.index[path]][1]
        off = in_words(float(f"{abs(b - a):.2g}"), 0.0, value.kind, here.unit(path))
        made.append(
            {
                "title": one.guide.title,
                "label": numbered(path, value.label),
                "kind": value.kind,
                "shown": here.unit(path),
                "here": a,
                "mistaken": b,
                "here_sd": here.shown_sd(path),
                "mistaken_sd": there.shown_sd(path),
                "words": f"{words} would put the {value.label} {off} too {'high' if b > a else 'low'} here",
            }
        )
    return made


def _moved(a: float | None, b: float | None) -> float:
    """Relative change between two numbers, for choosing what shows the mistake best."""
    if a is None or b is None or a == 0:
        return 0.0
    return abs(b - a) / abs(a) if abs(b) < 1e3 * abs(a) else 0.0
