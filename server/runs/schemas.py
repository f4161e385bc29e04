"""What goes over the wire about runs."""

from __future__ import annotations

from datetime import datetime
from typing import Any, Literal

from ninja import Schema

Outcome = Literal["worked", "partly", "failed", "not-done"]


class SeriesIn(Schema):
    path: str
    instrument: str
    readings: list[str]


class RunIn(Schema):
    setup: int
    document: str
    room: int | None = None
    outcome: Outcome
    note: str = ""
    rehearsal: bool = False
    series: list[SeriesIn] = []


class RunPatch(Schema):
    outcome: Outcome | None = None
    note: str | None = None
    series: list[SeriesIn] = []


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


class RunRowOut(Schema):
    id: int
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


class RunOut(RunRowOut):
    document: str
    prediction: dict[str, Any]
    drawing: dict[str, Any]
