"""What a document says, as inputs by path, and the typed set-up and room built from them for any number of rows."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from typing import Any, Generic, NamedTuple, TypeVar

import numpy as np
from numpy.typing import NDArray

from ..constants import ConstantSet
from ..fields import Part
from ..liquids import PROPERTIES, Entry, Liquid
from ..room.derived import Room, derive_room
from ..room.stated import RoomPart

S = TypeVar("S", bound=Part)
Values = Mapping[str, NDArray[np.float64]]
Build = Callable[[Values], Any]
"""Makes one node of the set-up from the values by path."""


class Leaf(NamedTuple):
    """One numeric input: SI value, half-width [SI], kind, and where it came from.

    standard_uncertainty is the half-width over sqrt 3 (rectangular, JCGM 100 4.3.7), or a handbook's own.
    number, unit: as typed.  origin: 'typed', 'default' or 'handbook'.
    """

    path: str
    kind: str
    si: float
    half_width: float
    standard_uncertainty: float
    unit: str
    number: str
    label: str
    origin: str
    source: str = ""
    least: float = -np.inf
    most: float = np.inf


@dataclass
class LiquidInput:
    """A liquid as stated: catalogue entry (or none), the paths of the properties stated outright, and that of what it depends on."""

    path: str
    entry: Entry | None
    stated: dict[str, str] = field(default_factory=dict)
    handbook: dict[str, str] = field(default_factory=dict)
    fixed_density: float | None = None
    assumptions: list[str] = field(default_factory=list)
    parameter: str = ""

    @property
    def name(self) -> str:
        """What the liquid is called in words."""
        return self.entry.name if self.entry else "liquid"

    def build(self, values: Values) -> Liquid:
        """The liquid's properties, at the room's temperature where they come from the catalogue."""
        made: dict[str, NDArray[np.float64] | None] = {}
        for key in PROPERTIES:
            if key in self.stated:
                made[key] = values[self.stated[key]]
            elif key == "density" and self.fixed_density is not None:
                made[key] = np.array([self.fixed_density])
            elif self.entry and key in self.entry.properties:
                at = self.entry.properties[key].at
                if self.parameter:
                    pairs = np.broadcast_arrays(values["room.temperature"], values[self.parameter])
                    found = np.array([at(t, p) for t, p in zip(*(a.tolist() for a in pairs), strict=True)])
                else:
                    found = np.array([at(t) for t in values["room.temperature"].tolist()])
                made[key] = found * values[self.handbook[key]] if key in self.handbook else found
            else:
                made[key] = np.zeros(1) if key in ("vapour_pressure", "contact_angle") else None
        return Liquid(self.name, **made)  # type: ignore[arg-type]


@dataclass(frozen=True)
class Inputs(Generic[S]):
    """A document as read: its numeric inputs by path, the choices in it, and how to build the set-up from values."""

    document: Mapping[str, Any]
    leaves: Mapping[str, Leaf]
    liquids: tuple[LiquidInput, ...]
    constants: ConstantSet
    build_setup: Build
    build_room: Build

    def nominal(self) -> dict[str, NDArray[np.float64]]:
        """Every input's value as an array of one row."""
        return {path: np.array([leaf.si]) for path, leaf in self.leaves.items()}

    def uncertain(self) -> list[Leaf]:
        """The inputs that carry a tolerance, in the order of the document."""
        return [leaf for leaf in self.leaves.values() if leaf.standard_uncertainty > 0]

    def made(self, values: Values) -> tuple[S, Room]:
        """Set-up and room for the rows of these values."""
        stated: RoomPart = self.build_room(values)
        room = derive_room(stated, self.constants)
        # a default that stands for the room's pressure follows it however it was worked out
        derived = {"room.station_pressure": room.station_pressure, "room.gravity": room.gravity}
        setup: S = self.build_setup({**values, **derived})
        return setup, room
