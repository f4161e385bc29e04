"""What goes over the wire about a room's air."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Literal

from ninja import Schema
from pydantic import Field

from server.wire.drawings import ChartOut

from .schemas import RoomBriefOut


class SourceIn(Schema):
    """A sensor on a port or a weather service; tolerance as typed."""

    name: Annotated[str, Field(min_length=1, max_length=80)]
    sort: Literal["sensor", "weather"]
    place: Annotated[str, Field(min_length=1, max_length=200)]
    order: Annotated[int, Field(ge=1, le=99)] = 1
    tolerance: str = "0.5 hPa"
    on: bool = True


class SourceOut(Schema):
    """A source and what it said last [Pa], [K]; asked: a pressure that no weather makes, to be said yes to; trouble: why it is silent."""

    id: int
    name: str
    sort: Literal["sensor", "weather"]
    place: str
    order: int
    tolerance: float
    on: bool
    pressure: float | None
    temperature: float | None
    at: datetime | None
    speaks: bool
    asked: float | None
    asked_at: datetime | None
    asked_of: str
    trouble: str


class AirOut(Schema):
    """The rooms of a department with the pressure that counts in each, and the sources of one of them."""

    rooms: list[RoomBriefOut]
    sources: list[SourceOut]


class TrendOut(Schema):
    """The pressure over some hours before a moment: its chart in hours from then, how it went in words, the pressures [Pa] now and at the start; none if nothing was read."""

    hours: int
    count: int
    at: datetime
    chart: ChartOut | None
    words: str
    now: float | None
    then: float | None
    then_at: datetime | None
