"""What goes over the wire about lessons."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Annotated, Literal
from uuid import UUID

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


Name = Annotated[str, Field(max_length=40)]


class VariationIn(Schema):
    """The same thing again with one change: in words, and its own minutes."""

    words: Annotated[str, Field(min_length=1, max_length=200)]
    minutes: Quarters = 3
    reset: Quarters = 1


class ItemMinutes(Schema):
    """Minutes of an item for showing it, for asking, and for putting it back, in quarter minutes; its variations; say: what hands over to the
    next one, empty where what is proposed is said; recall: it comes back before the end."""

    minutes: Quarters
    asking: Quarters = 2
    reset: Quarters = 1
    variations: Annotated[list[VariationIn], Field(max_length=8)] = []
    say: Annotated[str, Field(max_length=400)] = ""
    recall: bool = False


class ItemIn(ItemMinutes):
    """What is shown: the number of its set-up."""

    setup: int


class ThingsIn(Schema):
    hob: Count = 1
    sink: Count = 1
    pump: Count = 1
    jug: Count = 2


class LessonFacts(Schema):
    """What a lesson is, wherever it is kept.

    ready: minutes before the bell at which one can begin. people: whose hands they are. spare: minutes after the next bell until the place is
    wanted again. boiled, socket: as typed.
    """

    name: Annotated[str, Field(min_length=1, max_length=120)]
    starts_at: Bell
    minutes: Annotated[float, Field(ge=5, le=480, multiple_of=0.25)] = 45
    ready: Annotated[int, Field(ge=0, le=2880)] = 180
    hands: Annotated[int, Field(ge=1, le=4)] = 2
    things: ThingsIn = ThingsIn()
    way: Literal["day-before", "bath", "pot"] = "bath"
    boiled: Annotated[str, Field(min_length=1, max_length=40)] = "3 L"
    people: Annotated[list[Name], Field(max_length=4)] = []
    spare: Annotated[float, Field(ge=0, le=480)] | None = None
    socket: Annotated[str, Field(max_length=40)] = ""


class LessonIn(LessonFacts):
    """room, course: their numbers, 0 where there is none."""

    room: int = 0
    course: int = 0
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
    proposed: str


class RecallOut(Schema):
    """An item that comes back for half a minute before the end."""

    item: int
    begins: datetime
    ends: datetime


class SlotOut(Schema):
    """A job in its time; key: by which it is ticked; who: whose hands; item: which one it is for, counted from 0."""

    key: str
    words: str
    item: int
    begins: datetime
    ends: datetime
    minutes: int
    who: list[str]
    needs: list[str]


class EarlyOut(Schema):
    """A job of the day before."""

    key: str
    words: str
    item: int


class ClearOut(Schema):
    """Something to do after the bell, and who does it; fragile: glass, or somebody else's, before the rest."""

    key: str
    words: str
    item: int
    minutes: float
    who: str
    fragile: bool


class DryOut(Schema):
    """What the dry run of an item reads, and what was predicted."""

    key: str
    item: int
    words: str
    predicted: str


class TickOut(Schema):
    """How a job stands: done or not, a reading as typed, who said so last, and when."""

    done: bool
    words: str
    by: str
    at: datetime


class TickIn(Schema):
    """sent: what the phone calls it, so that it arrives once however often it is sent."""

    sent: UUID
    key: Annotated[str, Field(min_length=1, max_length=120)]
    done: bool
    words: Annotated[str, Field(max_length=60)] = ""
    at: Bell


class TicksIn(Schema):
    ticks: Annotated[list[TickIn], Field(max_length=200)]


class StaleOut(Schema):
    """A sheet that was printed of what does not hold any more."""

    kind: str
    words: str


class NoteIn(Schema):
    """seen: the note that stood there when it was opened."""

    note: Annotated[str, Field(max_length=2000)]
    seen: Annotated[str, Field(max_length=2000)] = ""


class ComingOut(Schema):
    """A lesson to come that shows a set-up; in_the_way: what of its gear cannot be had at that hour, in words."""

    lesson: int
    name: str
    starts_at: datetime
    room: str
    in_the_way: list[str]


class NotedOut(Schema):
    """What was noted at the last lesson or run of a set-up that is shown."""

    name: str
    note: str
    by: str
    at: datetime


class CureOut(Schema):
    """What would resolve a conflict: settings of the lesson by their names; `without` takes an item out, `days` moves the bell, `nobody` takes a
    name from the hands."""

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
    course: int
    starts_at: datetime
    minutes: float
    shown: int
    by: str
    at: datetime
    archived_by: str
    archived_at: datetime | None


class LessonOut(LessonChangeIn):
    """A lesson as it is planned today.

    begins: of the first job. proved: no later beginning can do. early: what is done the day before. closing: the line it ends on. cleared:
    minutes after it until all is put away; litres: what is poured away. ticks: by the key of what was done.
    """

    id: int
    by: str
    at: datetime
    archived_at: datetime | None
    rows: list[RowOut]
    slots: list[SlotOut] | None
    begins: datetime | None
    proved: bool
    early: list[EarlyOut]
    conflicts: list[ConflictOut]
    recalls: list[RecallOut]
    closing: str
    clearing: list[ClearOut]
    cleared: float
    litres: str
    dry: list[DryOut]
    ticks: dict[str, TickOut]
    stale: list[StaleOut]
    noted: list[NotedOut]
    note: str
    course_name: str
