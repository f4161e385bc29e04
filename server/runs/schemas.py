"""What goes over the wire about runs."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Schema
from pydantic import Field

from server.wire.drawings import ChartOut

Note = Annotated[str, Field(max_length=4000)]
Typed = Annotated[str, Field(max_length=200)]
Outcome = Literal["worked", "partly", "failed", "not-done"]


class SeriesIn(Schema):
    path: Typed
    instrument: Typed
    readings: list[Typed] = Field(max_length=200)


class RunIn(Schema):
    """sent: drawn by the browser once for each run, so that one that is sent again is not logged twice.

    sure: what was asked about a reading far from its prediction has been answered with yes.
    """

    sent: UUID | None = None
    setup: int
    document: str
    room: int | None = None
    outcome: Outcome
    note: Note = ""
    rehearsal: bool = False
    series: list[SeriesIn] = Field(default=[], max_length=60)
    sure: bool = False


class RunPatch(Schema):
    """version: the one that was seen; what somebody else has changed since is not overwritten."""

    version: int
    outcome: Outcome | None = None
    note: Note | None = None
    series: list[SeriesIn] = Field(default=[], max_length=60)


class TextIn(Schema):
    text: str


class CorrectionOut(Schema):
    text_before: str
    by: str
    at: datetime


class ReadingOut(Schema):
    id: int
    text: str
    si: float
    by: str
    at: datetime
    corrections: list[CorrectionOut]


class SeriesOut(Schema):
    path: str
    label: str
    name: str
    kind: str
    shown: str
    instrument: str
    readings: list[ReadingOut]
    count: int
    mean: float
    standard_error: float
    standard_uncertainty: float
    repeated: bool
    predicted: float | None
    predicted_uncertainty: float | None
    gap: float | None
    chart: ChartOut | None = None


class RunRowOut(Schema):
    id: int
    version: int
    setup: int
    setup_name: str
    outcome: Outcome
    note: str
    rehearsal: bool
    by: str
    at: datetime
    verdict: str
    state: str
    doubt: str
    series: list[SeriesOut]
    archived_by: str
    archived_at: datetime | None


class RunOut(RunRowOut):
    document: str
    prediction: dict[str, Any]
    drawing: dict[str, Any]
