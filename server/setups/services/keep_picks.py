"""Which fields of a set-up were taken from the shelf: kept as long as the field says what the thing on the shelf said."""

from __future__ import annotations

import json
from collections.abc import Mapping
from typing import Any

from hydrostatics.documents.changing import stated_at
from server.people.models import Membership
from server.shelf.queries import sizes_by_id
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Pick, Setup


def keep_picks(membership: Membership, setup: Setup, text: str, picks: Mapping[str, int] | None) -> None:
    """Keeps what was taken from the shelf; None leaves it as it was, but for fields that say something else by now.

    Raises ProblemError for a size that is not the department's.
    """
    wanted = {one.path: one.size_id for one in setup.picks.all()} if picks is None else dict(picks)
    sizes = sizes_by_id(membership, wanted.values())
    if picks is not None and set(wanted.values()) - set(sizes):
        raise ProblemError(kinds.NOT_PICKED, "picks")
    document = json.loads(text)
    said = {path: size for path, size in wanted.items() if size in sizes and as_typed(stated_at(document, path)) == as_typed(sizes[size].quantity)}
    setup.picks.all().delete()
    Pick.objects.bulk_create([Pick(setup=setup, path=path[:120], size=sizes[size]) for path, size in said.items()])


def as_typed(quantity: Any) -> str:
    """A quantity without what its writing leaves open."""
    return "".join(str(quantity).replace("±", "+/-").split())
