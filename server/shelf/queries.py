"""Scoped reads of a department's shelf."""

from __future__ import annotations

from collections.abc import Iterable

from django.db.models import Prefetch, QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import Item, Photo, Size

WORDS = 8
"""Words of a search that are looked for."""


def newest_sizes() -> QuerySet[Size]:
    """Of each item's sizes the newest of each key, by key."""
    return Size.objects.order_by("item_id", "key", "-id").distinct("item_id", "key").select_related("by")


def items_of(
    membership: Membership, search: str = "", *, sort: str = "", state: str = "", wanted: bool | None = None, archived: bool = False
) -> QuerySet[Item]:
    """The department's items with their newest sizes; search: words of name, place or note."""
    found = Item.objects.filter(department=membership.department, archived_at__isnull=not archived)
    if sort:
        found = found.filter(sort=sort)
    if state:
        found = found.filter(state=state)
    if wanted is not None:
        found = found.filter(wanted=wanted)
    for word in search.split()[:WORDS]:
        found = found.filter(name__icontains=word) | found.filter(place__icontains=word) | found.filter(note__icontains=word)
    return found.select_related("by", "archived_by").prefetch_related(Prefetch("sizes", newest_sizes(), to_attr="newest")).order_by("name", "pk")


def item_of(membership: Membership, item_id: int) -> Item:
    """One item of the department, put away or not, with its newest sizes.  Raises NotFoundError."""
    found = Item.objects.filter(department=membership.department, pk=item_id).select_related("by", "archived_by")
    return only(found.prefetch_related(Prefetch("sizes", newest_sizes(), to_attr="newest")), "this thing")


def history_of(item: Item) -> QuerySet[Size]:
    """Every size that was measured of an item, the newest first."""
    return item.sizes.select_related("by").order_by("-id")


def sizes_for(membership: Membership, key: str) -> QuerySet[Size]:
    """The newest sizes of a key of all that is on the shelf now, by item."""
    return newest_sizes().filter(key=key, item__department=membership.department, item__archived_at=None, item__wanted=False).select_related("item", "by")


def keys_on(membership: Membership) -> list[str]:
    """Which sizes can be had from the shelf."""
    found = Size.objects.filter(item__department=membership.department, item__archived_at=None, item__wanted=False)
    return sorted(set(found.values_list("key", flat=True).distinct()))


def sizes_by_id(membership: Membership, ids: Iterable[int]) -> dict[int, Size]:
    """Sizes of the department by their ids, those that are not there left out."""
    return {one.pk: one for one in Size.objects.filter(pk__in=list(ids), item__department=membership.department).select_related("item")}


def newest_of(sizes: Iterable[Size]) -> dict[tuple[int, str], Size]:
    """The newest size by item and key, for the items of some sizes."""
    items = {one.item_id for one in sizes}
    return {(one.item_id, one.key): one for one in newest_sizes().filter(item__in=items)}


def size_of(item: Item, size_id: int) -> Size:
    """One size of an item.  Raises NotFoundError."""
    return only(Size.objects.filter(item=item, pk=size_id), "this size")


def photo_of(membership: Membership, item_id: int) -> Photo:
    """The photo of one of the department's items.  Raises NotFoundError."""
    return only(Photo.objects.filter(item__department=membership.department, item=item_id), "this photo")
