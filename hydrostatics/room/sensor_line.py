"""A line that a pressure sensor sends, to the pressure and the temperature in it."""

from __future__ import annotations

import re
from dataclasses import dataclass

from ..errors import OutOfRange, UnreadableQuantity
from ..errors import english as cases
from ..quantities.reading import read_quantity

LONGEST = 200
"""Characters of the longest line that is read."""
LEAST, MOST = 30_000.0, 115_000.0
"""Pressures [Pa] between which the air of a room lies anywhere on Earth."""
_NUMBER = r"(?<![\d.])([+-]?\d{1,6}(?:\.\d{1,6})?)"
_PRESSURE = re.compile(_NUMBER + r"\s*(hPa|mbar|kPa|Pa)\b", re.IGNORECASE)
_TEMPERATURE = re.compile(_NUMBER + r"\s*(?:degC|°C|C)\b")
_UNITS = {"hpa": "hPa", "mbar": "mbar", "kpa": "kPa", "pa": "Pa"}


@dataclass(frozen=True)
class SensorReading:
    """pressure [Pa]; temperature [K], None where the line has none."""

    pressure: float
    temperature: float | None


def read_sensor_line(text: str) -> SensorReading:
    """Reads one line: exactly one pressure with its unit, and a temperature where it has one.

    Raises UnreadableQuantity for garbage and half lines, OutOfRange for a pressure that no room has.
    """
    found = _PRESSURE.findall(text) if len(text) <= LONGEST else []
    if len(found) != 1:
        raise UnreadableQuantity("line", cases.NO_SENSOR_LINE, given=text.strip()[:60])
    (number, unit), warmth = found[0], _TEMPERATURE.findall(text)
    pressure = read_quantity("line", f"{number} {_UNITS[unit.lower()]}", "pressure").si
    if not LEAST <= pressure <= MOST:
        raise OutOfRange("line", cases.NO_ROOMS_PRESSURE, given=f"{number} {unit}")
    temperature = read_quantity("line", f"{warmth[0]} degC", "temperature").si if len(warmth) == 1 else None
    return SensorReading(pressure, temperature)
