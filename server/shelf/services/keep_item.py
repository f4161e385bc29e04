"""An item is put on the shelf, changed, measured."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from typing import Any

from django.db import IntegrityError, transaction

from hydrostatics.answer import work_out_aid
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.works.in_marks import read_gauge
from hydrostatics.works.size_names import FULL_SCALE, SMALLEST_MARK, size_names
from server.people.models import Membership
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import ProblemError

from ..models import Item, Size

LONGEST_NAME = 120
MOST_OF_ONE = 10_000


@dataclass(frozen=True)
class Facts:
    """What a person says of an item, but for its sizes."""

    name: str
    sort: str
    place: str = ""
    count: int = 1
    state: str = "good"
    lent_to: str = ""
    lent_until: date | None = None
    wanted: bool = False
    note: str = ""
    borrowed_from: str = ""


@dataclass(frozen=True)
class Measured:
    """A size as it was measured: its key, quantity as typed, how, and the aid's document where there is one."""

    key: str
    quantity: str
    how: str = ""
    aid: dict[str, Any] | None = None


def sound(facts: Facts) -> Facts:
    """The facts with their texts trimmed.  Raises ProblemError for what cannot be."""
    name, place, lent_to, lender = (" ".join(text.split()) for text in (facts.name, facts.place, facts.lent_to, facts.borrowed_from))
    if not 1 <= len(name) <= LONGEST_NAME:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a thing's name", most=LONGEST_NAME)
    if not 1 <= facts.count <= MOST_OF_ONE:
        raise ProblemError(kinds.COUNT_OF_ITEMS, "count")
    if facts.lent_until and not lent_to:
        raise ProblemError(kinds.ITEM_LENT_TO_NOBODY, "lent_to")
    return Facts(name, facts.sort, place, facts.count, facts.state, lent_to, facts.lent_until, facts.wanted, facts.note.strip(), lender)


@transaction.atomic
def keep_item(membership: Membership, before: Item | None, facts: Facts, seen: int = 0) -> Item:
    """Puts an item on the shelf, or changes it; seen: the version that was changed.

    Raises ProblemError: for what cannot be, for a name that another has, and (conflict) where somebody changed it since.
    """
    facts = sound(facts)
    if before:
        before = Item.objects.select_for_update(of=("self",)).select_related("by").get(pk=before.pk)
        held_as_seen(before, seen, f"“{before.name}”", before.by, before.at)
        before.version += 1
    item = before or Item(department=membership.department)
    for key, value in vars(facts).items():
        setattr(item, key, value)
    item.by = membership.person
    try:
        with transaction.atomic():
            item.save()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a thing", name=facts.name) from None
    return item


def bring_item_back(item: Item) -> None:
    """Onto the shelf again.  Raises ProblemError where another has its name by now."""
    try:
        with transaction.atomic():
            item.bring_back()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a thing", name=item.name) from None


def read_size(key: str, quantity: str) -> tuple[str, str]:
    """A size's kind and its quantity as a set-up file has it.  Raises a Refusal, or ProblemError for a size that none asks for."""
    if key not in size_names():
        raise ProblemError(kinds.SIZE_UNKNOWN, "key", key=key[:60])
    text = " ".join(quantity.replace("±", "+/-").split())
    if key in (SMALLEST_MARK, FULL_SCALE):
        return read_gauge("quantity", text)[1], text
    kind = size_names()[key].kinds[0]
    read_quantity("quantity", text, kind)
    return kind, text


@transaction.atomic
def keep_size(membership: Membership, item: Item, found: Measured) -> Size:
    """Keeps a size as the newest of its key; the same said again is kept once.  Raises a Refusal or ProblemError."""
    kind, text = read_size(found.key, found.quantity)
    if found.aid is not None:
        work_out_aid(found.aid)
    Item.objects.select_for_update(of=("self",)).get(pk=item.pk)
    last, how = item.sizes.filter(key=found.key).order_by("-id").first(), found.how.strip()
    if last and (last.quantity, last.how, last.aid) == (text, how, found.aid):
        return last
    return Size.objects.create(item=item, key=found.key, kind=kind, quantity=text, how=how, aid=found.aid, by=membership.person)


@transaction.atomic
def put_on_shelf(membership: Membership, facts: Facts, sizes: Sequence[Measured]) -> Item:
    """A new item with what is known of its sizes: all of it, or nothing.  Raises a Refusal or ProblemError."""
    item = keep_item(membership, None, facts)
    for one in sizes:
        keep_size(membership, item, one)
    return item
