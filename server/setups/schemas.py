"""What goes over the wire about set-ups; a document travels as text, so that it stays as typed."""

from __future__ import annotations

from datetime import datetime
from uuid import UUID

from ninja import Schema


class SetupIn(Schema):
    """sent: drawn by the browser once for each new set-up, so that one that is sent again is not made twice."""

    sent: UUID | None = None
    name: str
    document: str
    room: int | None = None


class SaveIn(Schema):
    document: str
    version: int
    room: int | None = None


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
    """One of a run of variations, the base among them."""

    id: int
    name: str
    state: str
    doubt: str
    verdict: str


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
