"""Liquids: catalogue entries and a person's own, as arrays of properties at the room's temperature."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

PROPERTIES: Mapping[str, str] = {
    "density": "density",
    "vapour_pressure": "pressure",
    "surface_tension": "surface tension",
    "viscosity": "viscosity",
    "contact_angle": "angle",
}
"""Each property and its kind of quantity, in the order in which they are told."""
PARAMETER = "salinity"
"""The key of what a catalogue liquid may depend on besides temperature."""


@dataclass(frozen=True)
class Parameter:
    """What a catalogue liquid depends on besides temperature: a dimensionless key of the liquid's object, its default and range."""

    key: str
    default: str
    least: float
    most: float
    help: str


@dataclass(frozen=True)
class Property:
    """One sourced property: at(temperature [K], parameter if the liquid has one) in SI, source key, valid range [K],
    relative standard uncertainty."""

    at: Callable[..., float]
    source: str
    least: float
    most: float
    relative_uncertainty: float = 0.0


@dataclass(frozen=True)
class Entry:
    """A liquid of the catalogue: its name, its properties, the caution that choosing it always yields, what else it depends on."""

    name: str
    properties: Mapping[str, Property]
    caution: str = ""
    parameter: Parameter | None = None


@dataclass(frozen=True)
class Liquid:
    """A liquid's properties in SI, one value per row; None where the property is not known."""

    name: str
    density: NDArray[np.float64]
    vapour_pressure: NDArray[np.float64]
    surface_tension: NDArray[np.float64] | None
    viscosity: NDArray[np.float64] | None
    contact_angle: NDArray[np.float64]

    @classmethod
    def schema(cls) -> dict[str, Any]:
        """How a liquid stands in a set-up file, as JSON Schema."""
        from ..fields import NUMBER_SCHEMA, QUANTITY_SCHEMA

        keys: dict[str, Any] = {"name": {"type": "string", "maxLength": 80}}
        keys |= {key: {**QUANTITY_SCHEMA, "x-kind": kind, "x-label": key.replace("_", " ")} for key, kind in PROPERTIES.items()}
        keys[PARAMETER] = {**NUMBER_SCHEMA, "x-kind": "fraction", "x-label": PARAMETER}
        return {"anyOf": [{"type": "string", "maxLength": 80}, {"type": "object", "properties": keys, "additionalProperties": False}]}
