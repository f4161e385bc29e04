"""What goes over the wire about the shelf."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Any, Literal

from ninja import Schema
from pydantic import Field

Sort = Literal["vessel", "tube", "cover", "liquid", "gauge", "pump", "hose", "balance", "rule"]
State = Literal["good", "worn", "broken"]


class SizeIn(Schema):
    """A size as it was measured; aid: the document of the aid, where it was measured with one."""

    key: str
    quantity: Annotated[str, Field(max_length=80)]
    how: Annotated[str, Field(max_length=200)] = ""
    aid: dict[str, Any] | None = None


class SizeOut(Schema):
    id: int
    key: str
    label: str
    kind: str
    quantity: str
    how: str
    measured: bool
    by: str
    at: datetime


class ItemIn(Schema):
    name: str
    sort: Sort
    place: Annotated[str, Field(max_length=120)] = ""
    count: int = 1
    state: State = "good"
    lent_to: Annotated[str, Field(max_length=120)] = ""
    lent_until: date | None = None
    borrowed_from: Annotated[str, Field(max_length=120)] = ""
    wanted: bool = False
    note: Annotated[str, Field(max_length=400)] = ""


class NewItemIn(ItemIn):
    """sizes: what is known of it already."""

    sizes: list[SizeIn] = []


class ItemChangeIn(ItemIn):
    """version: the one that was seen; what somebody else has changed since is not overwritten."""

    version: int


class ItemOut(ItemIn):
    id: int
    version: int
    sizes: list[SizeOut]
    by: str
    at: datetime
    archived: bool
    photo_at: datetime | None


class ItemPageOut(ItemOut):
    """One item with every size that was measured of it, the newest first, and what can be shown with it."""

    history: list[SizeOut]
    shows: list[str]


class OnShelfOut(Schema):
    """A size that can be had for a field, and how the thing is that has it."""

    item: int
    name: str
    place: str
    state: str
    lent_to: str
    size: int
    quantity: str
    how: str
    by: str
    at: datetime


class ImportRowOut(Schema):
    """What a line of a file comes to; column: the heading that a refusal is about."""

    line: int
    name: str
    fate: Literal["new", "changed", "as it is", "refused"]
    words: str
    column: str


class ImportOut(Schema):
    """What a file comes to, line by line, and how it was read; kept: whether what is sound was kept."""

    kept: bool
    encoding: str
    separator: str
    rows: list[ImportRowOut]


class SizeNameOut(Schema):
    """A size by name: what it is called, and the kind of quantity that it is."""

    key: str
    label: str
    kind: str


class SizesOut(Schema):
    """Every size that gear can have, and which of them can be had from this shelf."""

    names: list[SizeNameOut]
    there: list[str]
