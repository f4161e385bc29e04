"""What goes over the wire about what can be set up."""

from __future__ import annotations

from typing import Any

from ninja import Schema


class StartOut(Schema):
    name: str
    words: str
    document: dict[str, Any]


class DemonstrationOut(Schema):
    key: str
    title: str
    sees: str
    starts: list[StartOut]


class AidOut(Schema):
    """A measuring aid: what it is for, its steps, what to watch for, an example; serves: names of the fields that take it over."""

    key: str
    title: str
    purpose: str
    steps: list[str]
    watch: list[str]
    start: dict[str, Any]
    serves: list[str]


class UnitOut(Schema):
    unit: str
    printed: str
    factor: float
    offset: float


class LiquidPropertyOut(Schema):
    """A property of a liquid: its key in a file, what it is called, and how it is typed."""

    key: str
    label: str
    kind: str
    example: str


class TablesOut(Schema):
    """Units by kind, the default first: SI = factor * number + offset; and what can be known of a liquid."""

    units: dict[str, list[UnitOut]]
    liquid_properties: list[LiquidPropertyOut]


class TypedIn(Schema):
    """A text typed into a field: where it stands, the kind of quantity wanted, the unit that the field shows."""

    path: str
    text: str
    kind: str
    unit: str = ""


class TypedOut(Schema):
    """The quantity as a set-up file writes it; offered where its unit is only the one that the field shows."""

    quantity: str
    offered: bool
