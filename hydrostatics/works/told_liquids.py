"""The catalogue of liquids as it is shown: each property's curve over its valid range, its number at 20 °C, its source."""

from __future__ import annotations

from functools import cache
from typing import Any

import numpy as np

from ..constants import bibliography
from ..liquids import PROPERTIES, Entry, Property
from ..liquids.catalogue import catalogue
from ..quantities.celsius import kelvin
from ..quantities.reading import read_quantity
from ..views.property import lay_out_property

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
        "drawing": lay_out_property(PROPERTIES[key].label, PROPERTIES[key].kind, temperatures, values),
    }
