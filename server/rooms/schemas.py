"""What goes over the wire about rooms."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any

from ninja import Schema
from pydantic import Field


class RoomBriefOut(Schema):
    """A room for the top line: its pressure [Pa], since when, whether that is old, and where it is from."""

    id: int
    name: str
    version: int
    station_pressure: float
    pressure_at: datetime | None
    old: bool
    source: str


class RoomDetailOut(RoomBriefOut):
    stated: dict[str, Any]
    back_row: str
    temperature: float
    gravity: float
    how: list[str]
    cautions: list[str]
    by: str
    at: datetime
    archived_by: str
    archived_at: datetime | None


class RoomIn(Schema):
    """sure: the questions that were asked about it have been answered with yes."""

    name: str
    stated: dict[str, Any]
    back_row: str = ""
    sure: bool = False


class RoomChangeIn(RoomIn):
    """version: the one that was seen; what somebody else has kept since is not overwritten."""

    version: int


class PressureIn(Schema):
    """A pressure as typed; sure: the questions that were asked about it have been answered with yes."""

    text: Annotated[str, Field(min_length=1, max_length=80)]
    sure: bool = False


class AccountIn(Schema):
    """What is typed so far; stale: the pressure [Pa] that stood for the room before, and since when in words."""

    stated: dict[str, Any]
    stale: float | None = None
    stale_words: str = ""


class QuestionOut(Schema):
    path: str
    words: str


class RoomSavedOut(Schema):
    """The saved room, or the questions that have to be answered first."""

    room: RoomDetailOut | None
    questions: list[QuestionOut]


class StepOut(Schema):
    words: str
    number: str


class MistakeOut(Schema):
    """What one demonstration would read here, and with a pressure that is not the room's."""

    title: str
    label: str
    kind: str
    shown: str
    here: float | None
    mistaken: float | None
    here_sd: float
    mistaken_sd: float
    words: str


class AccountOut(Schema):
    """From report to room, step by step, and what a wrong pressure would have done."""

    station_pressure: float
    steps: list[StepOut]
    how: list[str]
    cautions: list[str]
    wrong_pressure: float | None
    wrong_words: str
    mistakes: list[MistakeOut]
    stale_words: str
    stale_mistakes: list[MistakeOut]
