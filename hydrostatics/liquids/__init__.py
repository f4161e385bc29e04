"""Liquids: catalogue entries and a person's own, as arrays of properties at the room's temperature."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..fields import NUMBER_SCHEMA, QUANTITY_SCHEMA


@dataclass(frozen=True)
class PropertyKind:
    """What a property of a liquid is: its kind of quantity, what it is called, how it is typed, its physical range [SI]."""

    kind: str
    label: str
    example: str
    bounds: Mapping[str, float]

    def keywords(self) -> dict[str, Any]:
        """Its keywords as a field of a form."""
        return {"x-kind": self.kind, "x-label": self.label, "x-example": self.example, **{f"x-{name}": bound for name, bound in self.bounds.items()}}


PROPERTIES: Mapping[str, PropertyKind] = {
    "density": PropertyKind("density", "density", "921 +/- 2 kg/m^3", {"gt": 0.0, "le": 50_000.0}),
    "vapour_pressure": PropertyKind("pressure", "vapour pressure", "0 Pa", {"ge": 0.0}),
    "surface_tension": PropertyKind("surface tension", "surface tension", "33 mN/m", {"gt": 0.0, "le": 10.0}),
    "viscosity": PropertyKind("viscosity", "viscosity", "60 mPa*s", {"gt": 0.0}),
    "contact_angle": PropertyKind("angle", "contact angle", "20 deg", {"ge": 0.0, "le": np.pi}),
}
"""Each property by its key in a file, in the order in which they are told."""
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
    """A liquid of the catalogue: its name, its properties, the caution that choosing it always yields, what else it depends on, and
    whether it is for computing alone and never poured."""

    name: str
    properties: Mapping[str, Property]
    caution: str = ""
    parameter: Parameter | None = None
    computed_only: bool = False


class Liquid:
    """A liquid's properties in SI, one value per row, each worked out when first asked for; None where it is not known.

    known: gives the property of a key, or None. known_at: the same at other temperatures [K], one per row.
    """

    def __init__(
        self, name: str, known: Callable[[str], NDArray[np.float64] | None], known_at: Callable[[str, NDArray[np.float64]], NDArray[np.float64]]
    ) -> None:
        self.name = name
        self._known = known
        self._known_at = known_at

    def first_row(self) -> Liquid:
        """The same liquid with its nominal properties alone."""

        def known(key: str) -> NDArray[np.float64] | None:
            found = self._known(key)
            return None if found is None else found[:1]

        return Liquid(self.name, known, lambda key, temperature: self._known_at(key, temperature)[:1])

    @cached_property
    def density(self) -> NDArray[np.float64]:
        """[kg/m^3]"""
        return self._certain("density")

    @cached_property
    def vapour_pressure(self) -> NDArray[np.float64]:
        """[Pa]"""
        return self._certain("vapour_pressure")

    @cached_property
    def surface_tension(self) -> NDArray[np.float64] | None:
        """[N/m]"""
        return self._known("surface_tension")

    @cached_property
    def viscosity(self) -> NDArray[np.float64] | None:
        """[Pa s]"""
        return self._known("viscosity")

    @cached_property
    def contact_angle(self) -> NDArray[np.float64]:
        """[rad]"""
        return self._certain("contact_angle")

    def density_at(self, temperature: NDArray[np.float64]) -> NDArray[np.float64]:
        """Density [kg/m^3] at another temperature than the room's [K]; the room's where the liquid states one."""
        return self._known_at("density", temperature)

    def vapour_pressure_at(self, temperature: NDArray[np.float64]) -> NDArray[np.float64]:
        """Vapour pressure [Pa] at another temperature than the room's [K]; the room's where the liquid states one."""
        return self._known_at("vapour_pressure", temperature)

    def _certain(self, key: str) -> NDArray[np.float64]:
        found = self._known(key)
        assert found is not None, key
        return found

    @classmethod
    def schema(cls) -> dict[str, Any]:
        """How a liquid stands in a set-up file, as JSON Schema."""
        keys: dict[str, Any] = {"name": {"type": "string", "maxLength": 80}}
        keys |= {key: {**QUANTITY_SCHEMA, "x-field": "quantity", **prop.keywords()} for key, prop in PROPERTIES.items()}
        keys[PARAMETER] = {**NUMBER_SCHEMA, "x-field": "number", "x-kind": "fraction", "x-label": PARAMETER, "x-example": "35 g/kg"}
        return {"anyOf": [{"type": "string", "maxLength": 80}, {"type": "object", "properties": keys, "additionalProperties": False}]}
