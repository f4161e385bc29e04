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


class VaryIn(SetupIn):
    """goes_on: it begins with what stayed of the one before, at a moment of its movement (absent: at its end)."""

    goes_on: bool = False
    moment: int | None = Field(None, ge=0, le=10_000)


class SaveIn(Schema):
    """anew: what stayed of the one where it began was carried over again."""

    document: str
    version: int
    room: int | None = None
    anew: bool = False


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


class SetupOut(SetupRowOut):
    """A set-up with its document, and the run of variations that it stands in (itself alone where there are none)."""

    document: str
    run: list[VariationOut]


class VersionOut(Schema):
    number: int
    by: str
    at: datetime
    verdict: str
    state: str
