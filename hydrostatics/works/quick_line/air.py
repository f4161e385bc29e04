"""The air's pressure at a height: `air at 2900 m`, `air pressure at 9500 ft in inHg`."""

from __future__ import annotations

import re

from ...errors import OutOfRange
from ...errors import english as cases
from ...laws.atmosphere import standard_pressure
from ...quantities.reading import read_quantity
from ...quantities.saying import in_words
from ...quantities.typed import read_typed
from ...room.derived import Room
from .words import unit_words
from .working import USUAL, Row, Said, bare_number, refuse_unit, usual_units

_ASKED = re.compile(
    r"(?:the )?(?:pressure of (?:the )?)?air(?: ?pressure)?(?: is)? (?:at|up at|on) (?P<height>[-+\d.,][^a-z]*[a-z]+)(?:\s*(?:,| in | as | to )\s*(?P<unit>.+))?",
    re.I,
)
LOWEST, HIGHEST = -500.0, 11_000.0
"""Heights [m] between which the standard atmosphere's lowest layer holds, [ISO2533]."""


def air_at(line: str, room: Room) -> Said | None:
    """The standard atmosphere's pressure at the height that a line asks for; None where it asks for something else.

    Raises a Refusal for a height or a unit that is none.
    """
    found = _ASKED.fullmatch(line)
    if found is None:
        return None
    number = re.match(r"[-+\d.,]+(?:[eE][-+]?\d+)?", found["height"])
    assert number is not None
    unit = unit_words(found["height"][number.end() :].split())
    height = read_quantity("text", read_typed("text", f"{number[0]} {unit}", "height", "m").quantity, "height")
    if not LOWEST <= height.si <= HIGHEST:
        raise OutOfRange("text", cases.LINE_BEYOND_AIR, typed=f"{height.number} {height.unit}")
    asked = unit_words(found["unit"].split()) if found["unit"] else "hPa"
    refuse_unit(asked, "pressure")
    pressure = float(standard_pressure(height.si))
    here = float(room.station_pressure[0])
    rows = tuple(
        Row(printed, (bare_number(pressure, 0.0, "pressure", one),), 0 if one == asked and found["unit"] else -1) for one, printed in usual_units(asked, USUAL)
    )
    part = f"{100 * pressure / here:.0f} % of the {in_words(here, 0.0, 'pressure', 'hPa')} here"
    return Said(
        in_words(pressure, 0.0, "pressure", asked),
        "absolute",
        f"1013.25 hPa × (1 − 0.0065 × {height.si:.6g}/288.15)^5.2559, {part}",
        "standard atmosphere (ISO 2533); the day's weather may differ by some 30 hPa",
        "",
        ("",),
        rows,
    )
