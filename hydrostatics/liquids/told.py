"""The catalogue as it is shown: each property's curve over its valid range, with its source."""

from __future__ import annotations

from functools import cache
from typing import Any

import numpy as np

from ..constants import bibliography
from ..quantities.reading import read_quantity
from . import PROPERTIES
from .catalogue import catalogue

POINTS = 33
"""Temperatures of a curve."""


@cache
def told_catalogue() -> list[dict[str, Any]]:
    """Every catalogue liquid: properties over temperature [K] in SI, sources in words, relative standard uncertainties."""
    made = []
    for entry in catalogue().values():
        more = (read_quantity("", entry.parameter.default, "fraction").si,) if entry.parameter else ()
        properties = []
        for key, kind in PROPERTIES.items():
            if key not in entry.properties:
                continue
            prop = entry.properties[key]
            at = np.linspace(prop.least, prop.most, POINTS).tolist()
            properties.append(
                {
                    "key": key,
                    "label": key.replace("_", " "),
                    "kind": kind,
                    "source": bibliography()[prop.source],
                    "relative_uncertainty": prop.relative_uncertainty,
                    "temperatures": at,
                    "values": [prop.at(t, *more) for t in at],
                }
            )
        parameter = entry.parameter
        made.append(
            {
                "name": entry.name,
                "caution": entry.caution,
                "parameter": f"{parameter.key}, here {parameter.default}" if parameter else "",
                "parameter_help": parameter.help if parameter else "",
                "properties": properties,
            }
        )
    return made
