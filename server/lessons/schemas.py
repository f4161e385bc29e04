"""What goes over the wire about lessons."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Annotated, Literal

from ninja import Schema
from pydantic import AfterValidator, AwareDatetime, Field

EARLIEST, LATEST = 2000, 2200
"""Years in which a bell may ring."""


def within_reason(moment: datetime) -> datetime:
    """A moment in UTC, whatever zone it was sent in.  Raises ValueError for a year in which nobody teaches."""
    if not EARLIEST <= moment.year < LATEST:
        raise ValueError(f"a bell rings between the years {EARLIEST} and {LATEST}")
    return moment.astimezone(UTC)


Quarters = Annotated[float, Field(ge=0, le=240, multiple_of=0.25)]
Bell = Annotated[AwareDatetime, AfterValidator(within_reason)]
Count = Annotated[int, Field(ge=0, le=9)]


class ItemIn(Schema):
    """What is shown, and minutes for showing it, for asking, and for putting it back, in quarter minutes."""

    setup: int
    minutes: Quarters
    asking: Quarters = 2
    reset: Quarters = 1


class ThingsIn(Schema):
    hob: Count = 1
    sink: Count = 1
    pump: Count = 1


class LessonIn(Schema):
    """room: number of the room, 0 where none is named. ready: minutes before the bell at which one can begin. boiled: as typed."""

    name: Annotated[str, Field(min_length=1, max_length=120)]
    room: int = 0
    starts_at: Bell
    minutes: Annotated[float, Field(ge=5, le=480, multiple_of=0.25)] = 45
    ready: Annotated[int, Field(ge=0, le=2880)] = 180
    hands: Annotated[int, Field(ge=1, le=4)] = 2
    things: ThingsIn = ThingsIn()
    way: Literal["day-before", "bath", "pot"] = "bath"
    boiled: Annotated[str, Field(min_length=1, max_length=40)] = "3 L"
    items: Annotated[list[ItemIn], Field(max_length=12)] = []


class LessonChangeIn(LessonIn):
    """version: the one that was seen; what somebody else has kept since is not overwritten."""

    version: int


class RowOut(ItemIn):
    """An item in the running order, with when it begins; archived: its set-up was put away."""

    name: str
    begins: datetime
    ends: datetime
    archived: bool


class SlotOut(Schema):
    """A job in its time; hands: which pairs of them, counted from 1; item: which one it is for, counted from 0."""

    words: str
    item: int
    begins: datetime
    ends: datetime
    minutes: int
    hands: list[int]
    needs: list[str]


class CureOut(Schema):
    """What would resolve a conflict: settings of the lesson by their names; `without` takes an item out."""

    words: str
    changes: dict[str, float | int | str]


class ConflictOut(Schema):
    words: str
    item: int | None
    cures: list[CureOut]


class LessonRowOut(Schema):
    id: int
    version: int
    name: str
    room: str
    starts_at: datetime
    minutes: float
    shown: int
    by: str
    at: datetime
    archived_by: str
    archived_at: datetime | None


class LessonOut(LessonChangeIn):
    """A lesson as it is planned today. begins: of the first job. proved: no later beginning can do. early: what is done the day before."""

    id: int
    by: str
    at: datetime
    archived_at: datetime | None
    rows: list[RowOut]
    slots: list[SlotOut] | None
    begins: datetime | None
    proved: bool
    early: list[str]
    conflicts: list[ConflictOut]
