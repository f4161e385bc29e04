"""What goes over the wire about liquids."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any

from ninja import Schema
from pydantic import Field

from server.wire.drawings import ChartOut


class PointOut(Schema):
    """A property's value [SI] at a temperature [K]."""

    temperature: float
    value: float


class PropertyOut(Schema):
    """One property over its valid range: its number at 20 °C and at both ends, relative standard uncertainty, source, curve."""

    key: str
    label: str
    kind: str
    source: str
    relative_uncertainty: float
    usual: PointOut
    ends: list[PointOut]
    chart: ChartOut


class PropertyNowOut(Schema):
    """A property [SI] at a room's temperature; null where it is not known there."""

    key: str
    label: str
    kind: str
    value: float | None


class LiquidNowOut(Schema):
    """A liquid at a room's temperature, and the height at which it would stand in a barometer there [m]."""

    name: str
    properties: list[PropertyNowOut]
    column: float | None


class LiquidsNowOut(Schema):
    temperature: float
    station_pressure: float
    liquids: list[LiquidNowOut]


class CatalogueLiquidOut(Schema):
    name: str
    caution: str
    parameter: str
    parameter_help: str
    properties: list[PropertyOut]


class OwnLiquidIn(Schema):
    name: str
    stated: dict[str, Any]
    note: Annotated[str, Field(max_length=400)] = ""


class OwnLiquidChangeIn(OwnLiquidIn):
    """version: the one that was seen; what somebody else has kept since is not overwritten."""

    version: int


class OwnLiquidOut(OwnLiquidIn):
    id: int
    version: int
    by: str
    at: datetime
    archived_by: str
    archived_at: datetime | None
