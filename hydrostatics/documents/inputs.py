"""What a document says, as inputs by path, and the typed set-up and room built from them for any number of rows."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property, partial
from typing import Any, Generic, NamedTuple, TypeVar

import numpy as np
from numpy.typing import NDArray

from ..constants import ConstantSet
from ..fields import Part
from ..liquids import Entry, Liquid, Property
from ..liquids.at_each import at_each
from ..room.derived import Room, derive_room
from ..room.stated import RoomPart
from .naming import numbered
from .sorts import SETUP, Sort

S = TypeVar("S", bound=Part)
Values = Mapping[str, NDArray[np.float64]]
Build = Callable[["Rows"], Any]
"""Makes one node of the set-up from the values by path."""


class Leaf(NamedTuple):
    """One numeric input: SI value, half-width [SI], kind, and where it came from.

    standard_uncertainty is the half-width over sqrt 3 (rectangular, JCGM 100 4.3.7), or a handbook's own.
    number, unit: as typed.  origin: 'typed', 'default' or 'handbook'. step: what it can be had in [SI], 0 where anything can.
    group: label of the group of fields that it stands in, empty where it stands by itself.
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
    step: float = 0.0
    group: str = ""

    @property
    def name(self) -> str:
        """What it is called, with the item and the group that it belongs to."""
        return numbered(self.path, self.label, self.group)


class Rows(dict[str, NDArray[np.float64]]):
    """The values of all inputs for some rows, and what follows from several of them, worked out once for each distinct one."""

    def __init__(self, values: Mapping[str, NDArray[np.float64]]) -> None:
        super().__init__(values)
        self._moved: dict[tuple[str, ...], tuple[NDArray[np.intp], list[NDArray[np.float64]], int]] = {}
        self._known: dict[tuple[str, str, tuple[str, ...]], NDArray[np.float64]] = {}

    def property(self, entry: Entry, key: str, over: tuple[str, ...]) -> NDArray[np.float64]:
        """A catalogue property in every row; over: the inputs that it depends on."""
        asked = (entry.name, key, over)
        if asked not in self._known:
            self._known[asked] = self._each(entry.properties[key], over)
        return self._known[asked]

    def _each(self, prop: Property, over: tuple[str, ...]) -> NDArray[np.float64]:
        given = [self[path] for path in over]
        nominal = prop.at(*(float(column[0]) for column in given))
        if all(column.shape[0] == 1 for column in given):
            return np.array([nominal])
        if over not in self._moved:
            whole = np.broadcast_arrays(*given)
            moved = np.flatnonzero(np.logical_or.reduce([column != column[0] for column in whole]))
            self._moved[over] = moved, [column[moved] for column in whole], whole[0].shape[0]
        moved, columns, rows = self._moved[over]
        if not moved.size:
            return np.array([nominal])
        made = np.full(rows, nominal)
        made[moved] = at_each(prop.at, columns, (prop.least, prop.most))
        return made


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

    def build(self, rows: Rows) -> Liquid:
        """The liquid, its properties at the room's temperature where they come from the catalogue."""
        return Liquid(self.name, partial(self._property, rows), partial(self._property_at, rows))

    def _property_at(self, rows: Rows, key: str, temperature: NDArray[np.float64]) -> NDArray[np.float64]:
        """A property at another temperature [K], as far as the catalogue knows it; as stated where it is."""
        if key in self.stated or self.entry is None or key not in self.entry.properties:
            found = self._property(rows, key)
            assert found is not None, key
            return found
        prop = self.entry.properties[key]
        known = np.atleast_1d(np.clip(temperature, prop.least, prop.most))
        over = np.broadcast_arrays(known, rows[self.parameter]) if self.parameter else (known,)
        found = at_each(prop.at, over, (prop.least, prop.most))
        return found * rows[self.handbook[key]] if key in self.handbook else found

    def _property(self, rows: Rows, key: str) -> NDArray[np.float64] | None:
        if key in self.stated:
            return rows[self.stated[key]]
        if key == "density" and self.fixed_density is not None:
            return np.array([self.fixed_density])
        if self.entry and key in self.entry.properties:
            over = ("room.temperature", self.parameter) if self.parameter else ("room.temperature",)
            found = rows.property(self.entry, key, over)
            return found * rows[self.handbook[key]] if key in self.handbook else found
        return np.zeros(1) if key in ("vapour_pressure", "contact_angle") else None


@dataclass(frozen=True)
class Inputs(Generic[S]):
    """A document as read: its numeric inputs by path, the choices in it, and how to build the set-up from values."""

    document: Mapping[str, Any]
    leaves: Mapping[str, Leaf]
    liquids: tuple[LiquidInput, ...]
    constants: ConstantSet
    build_setup: Build
    build_room: Build
    sort: Sort = SETUP

    def nominal(self) -> dict[str, NDArray[np.float64]]:
        """Every input's value as an array of one row."""
        return dict(self._nominal)

    @cached_property
    def _nominal(self) -> dict[str, NDArray[np.float64]]:
        return {path: np.array([leaf.si]) for path, leaf in self.leaves.items()}

    def uncertain(self) -> list[Leaf]:
        """The inputs that carry a tolerance, in the order of the document."""
        return [leaf for leaf in self.leaves.values() if leaf.standard_uncertainty > 0]

    @cached_property
    def alone(self) -> tuple[S, Room]:
        """Set-up and room of the nominal case, every array of one row."""
        return self.made(self._nominal)

    def made(self, values: Values) -> tuple[S, Room]:
        """Set-up and room for the rows of these values."""
        stated: RoomPart = self.build_room(Rows(values))
        room = derive_room(stated, self.constants)
        # a default that stands for the room's pressure follows it however it was worked out
        derived = {"room.station_pressure": room.station_pressure, "room.gravity": room.gravity}
        setup: S = self.build_setup(Rows({**values, **derived}))
        return setup, room
