"""What goes over the wire about set-ups; a document travels as text, so that it stays as typed."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from ninja import Field, Schema


class SetupIn(Schema):
    """sent: drawn by the browser once for each new set-up, so that one that is sent again is not made twice."""

    sent: UUID | None = None
    name: str
    document: str
    room: int | None = None
    picks: dict[str, int] = {}


class VaryIn(SetupIn):
    """goes_on: it begins with what stayed of the one before, at a moment of its movement (absent: at its end)."""

    goes_on: bool = False
    moment: int | None = Field(None, ge=0, le=10_000)


class SaveIn(Schema):
    """anew: what stayed of the one where it began was carried over again.  picks: absent leaves them as they were."""

    document: str
    version: int
    room: int | None = None
    anew: bool = False
    picks: dict[str, int] | None = None


class PinIn(Schema):
    """pinned: whether it is to be shown next."""

    pinned: bool


class NameIn(Schema):
    name: str


class SetupRowOut(Schema):
    id: int
    name: str
    demonstration: str
    title: str
    version: int
    verdict: str
    state: str
    doubt: str
    by: str
    at: datetime
    runs: int
    variations: int
    pinned: bool
    archived: bool
    archived_by: str
    archived_at: datetime | None


class VariationOut(Schema):
    """One of a run of variations, the base among them.

    follows: id of the one where it began, at a moment of its movement (none: at its end); outdated: that one was saved since.
    """

    id: int
    name: str
    state: str
    doubt: str
    verdict: str
    follows: int | None
    moment: int | None
    outdated: bool


class PickOut(Schema):
    """A field that was taken from the shelf; newer: what the thing measures by now, where that is something else; gone: it is off the shelf.
    place, state, lent_to, wanted: of the thing, as it is now."""

    path: str
    item: int
    name: str
    size: int
    quantity: str
    newer: int | None
    newer_quantity: str
    gone: bool
    place: str
    state: str
    lent_to: str
    wanted: bool


class UseOut(Schema):
    """A set-up that took a field from a thing, its verdict, and what it would be with the size as it is now; refused: why it cannot be."""

    setup: int
    name: str
    version: int
    path: str
    quantity: str
    newer: int | None
    newer_quantity: str
    verdict: str
    state: str
    doubt: str
    then_verdict: str
    then_state: str
    then_doubt: str
    refused: str


class TakeSizeIn(Schema):
    """A field takes another size from the shelf; version: of the set-up, as it was seen."""

    path: str
    size: int
    version: int


class SetupOut(SetupRowOut):
    """A set-up with its document, the run of variations that it stands in (itself alone where there are none), what is from the shelf."""

    document: str
    run: list[VariationOut]
    picks: list[PickOut]


class VersionOut(Schema):
    number: int
    by: str
    at: datetime
    verdict: str
    state: str
