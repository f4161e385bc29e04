"""How an item and its sizes are told."""

from __future__ import annotations

from typing import Any

from hydrostatics.works.size_names import size_names

from .models import Item, Size


def told_size(size: Size) -> dict[str, Any]:
    """One size as the wire carries it."""
    known = size_names().get(size.key)
    return {
        "id": size.pk,
        "key": size.key,
        "label": known.label if known else size.key.replace("_", " "),
        "kind": size.kind,
        "quantity": size.quantity,
        "how": size.how,
        "measured": size.aid is not None,
        "by": size.by.get_username() if size.by else "",
        "at": size.at,
    }


def told_item(item: Item) -> dict[str, Any]:
    """One item with its newest sizes; `newest` as the queries prefetch it."""
    facts = {
        key: getattr(item, key) for key in ("name", "sort", "place", "count", "state", "lent_to", "lent_until", "borrowed_from", "wanted", "note", "version")
    }
    return {
        **facts,
        "id": item.pk,
        "sizes": [told_size(one) for one in getattr(item, "newest", [])],
        "by": item.by.get_username() if item.by else "",
        "at": item.at,
        "archived": item.archived_at is not None,
        "photo_at": item.photo_at,
    }


def shows_with(item: Item) -> list[str]:
    """Titles of the demonstrations that ask for a size of this item, those that ask for most of them first."""
    counts: dict[str, int] = {}
    for size in getattr(item, "newest", []):
        for title in size_names()[size.key].asked_by if size.key in size_names() else ():
            counts[title] = counts.get(title, 0) + 1
    return sorted(counts, key=lambda title: (-counts[title], title))
