"""What goes over the wire about liquids."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from ninja import Schema


class PropertyOut(Schema):
    """One property over its valid range: temperatures [K], values [SI], relative standard uncertainty, source."""

    key: str
    label: str
    kind: str
    source: str
    relative_uncertainty: float
    temperatures: list[float]
    values: list[float]


class CatalogueLiquidOut(Schema):
    name: str
    caution: str
    parameter: str
    parameter_help: str
    properties: list[PropertyOut]


class OwnLiquidIn(Schema):
    name: str
    stated: dict[str, Any]
    note: str = ""


class OwnLiquidOut(OwnLiquidIn):
    id: int
    by: str
    at: datetime
