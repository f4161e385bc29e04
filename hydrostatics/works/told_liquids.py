"""The catalogue of liquids as it is shown: each property's curve over its valid range, its number at 20 °C, its source."""

from __future__ import annotations

from functools import cache
from typing import Any

import numpy as np

from ..constants import bibliography
from ..laws.columns import column_limit
from ..liquids import PROPERTIES, Entry, Property
from ..liquids.catalogue import catalogue
from ..quantities.celsius import kelvin
from ..quantities.reading import read_quantity
from ..room.derived import Room
from ..views.property import chart_of_property

POINTS = 33
"""Temperatures of a curve."""
USUAL = kelvin(20)
"""The temperature [K] at which a property is told first."""


@cache
def told_catalogue() -> list[dict[str, Any]]:
    """Every catalogue liquid: properties with drawing, numbers (SI) at both ends and at 20 °C, sources in words."""
    return [
        {
            "name": entry.name,
            "caution": entry.caution,
            "parameter": f"{entry.parameter.key}, here {entry.parameter.default}" if entry.parameter else "",
            "parameter_help": entry.parameter.help if entry.parameter else "",
            "properties": [_told(entry, key, entry.properties[key]) for key in PROPERTIES if key in entry.properties],
        }
        for entry in catalogue().values()
    ]


def liquids_now(room: Room) -> list[dict[str, Any]]:
    """Every catalogue liquid at a room's temperature: its properties [SI], None where not known there, and the barometer height each would give.

    room: worked out, row 0 counts.
    """
    return [_now(entry, float(room.temperature[0]), float(room.station_pressure[0]), float(room.gravity[0])) for entry in catalogue().values()]


def _now(entry: Entry, temperature: float, pressure: float, gravity: float) -> dict[str, Any]:
    more = (read_quantity("", entry.parameter.default, "fraction").si,) if entry.parameter else ()
    found = {
        key: prop.at(temperature, *more) if prop.least <= temperature <= prop.most else None for key, prop in entry.properties.items() if key != "contact_angle"
    }
    density, vapour = found.get("density"), found.get("vapour_pressure", 0.0)
    column = None if density is None or vapour is None else float(column_limit(pressure, vapour, density, gravity))
    return {
        "name": entry.name,
        "properties": [{"key": key, "label": PROPERTIES[key].label, "kind": PROPERTIES[key].kind, "value": value} for key, value in found.items()],
        "column": column,
    }


def _told(entry: Entry, key: str, prop: Property) -> dict[str, Any]:
    more = (read_quantity("", entry.parameter.default, "fraction").si,) if entry.parameter else ()
    temperatures = np.linspace(prop.least, prop.most, POINTS).tolist()
    values = [prop.at(t, *more) for t in temperatures]
    usual = min(max(USUAL, prop.least), prop.most)
    return {
        "key": key,
        "label": PROPERTIES[key].label,
        "kind": PROPERTIES[key].kind,
        "source": bibliography()[prop.source],
        "relative_uncertainty": prop.relative_uncertainty,
        "usual": {"temperature": usual, "value": prop.at(usual, *more)},
        "ends": [{"temperature": t, "value": v} for t, v in ((temperatures[0], values[0]), (temperatures[-1], values[-1]))],
        "chart": chart_of_property(PROPERTIES[key].label, PROPERTIES[key].kind, temperatures, values),
    }
