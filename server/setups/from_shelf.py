"""What set-ups took from the shelf, and what a thing that was measured again changes in their verdicts."""

from __future__ import annotations

import json
from typing import Any

from hydrostatics.answer import answer, work_out
from hydrostatics.documents.changing import with_changes
from hydrostatics.doubt import in_short
from hydrostatics.errors import Refusal
from server.people.models import Membership
from server.rooms.in_room import in_use, merged
from server.shelf.models import Item, Size
from server.shelf.queries import newest_of, sizes_by_id
from server.wire import english as kinds
from server.wire.problems import ProblemError

from .models import Pick, Setup, Version
from .queries import newest, newest_versions
from .services.save_setup import save_setup


def told_picks(setup: Setup) -> list[dict[str, Any]]:
    """The fields of a set-up that are from the shelf, and which thing was measured again since."""
    picks = list(setup.picks.select_related("size__item").order_by("path"))
    newer = newest_of(one.size for one in picks)
    return [
        {
            "path": one.path,
            "item": one.size.item_id,
            "name": one.size.item.name,
            "size": one.size_id,
            "quantity": one.size.quantity,
            "gone": one.size.item.archived_at is not None,
            **{key: getattr(one.size.item, key) for key in ("place", "state", "lent_to", "wanted")},
            **_newer(one.size, newer.get((one.size.item_id, one.size.key))),
        }
        for one in picks
    ]


def _newer(size: Size, last: Size | None) -> dict[str, Any]:
    other = last if last and last.quantity != size.quantity else None
    return {"newer": other.pk if other else None, "newer_quantity": other.quantity if other else ""}


def uses_of(membership: Membership, item: Item) -> list[dict[str, Any]]:
    """The set-ups that took a field from a thing, with their verdicts now and with its newest sizes; nothing is changed."""
    found = Pick.objects.filter(size__item=item, setup__department=membership.department, setup__archived_at=None)
    picks = list(found.select_related("setup", "size").order_by("setup__name", "path"))
    newer = newest_of(one.size for one in picks)
    room = in_use(membership, None)
    versions = newest_versions(one.setup for one in picks)
    return [_use(one, versions[one.setup_id], newer.get((item.pk, one.size.key)), room) for one in picks]


def _use(pick: Pick, version: Version, last: Size | None, room: Any) -> dict[str, Any]:
    made: dict[str, Any] = {
        "setup": pick.setup_id,
        "name": pick.setup.name,
        "version": version.number,
        "path": pick.path,
        "quantity": pick.size.quantity,
        "verdict": version.verdict,
        "state": version.state,
        "doubt": in_short(version.probability),
        "then_verdict": "",
        "then_state": "",
        "then_doubt": "",
        "refused": "",
        **_newer(pick.size, last),
    }
    if made["newer"] is None or last is None:
        return made
    document = json.loads(version.document)
    try:
        now, then = (_verdict(one, room) for one in (document, with_changes(document, [(pick.path, last.quantity)])))
    except Refusal as refusal:
        return made | {"refused": refusal.message}
    told = {"verdict": now["reason"], "state": now["state"], "doubt": now["doubt"]}
    return made | told | {"then_verdict": then["reason"], "then_state": then["state"], "then_doubt": then["doubt"]}


def _verdict(document: dict[str, Any], room: Any) -> dict[str, Any]:
    demonstration, now = work_out(merged(document, room).document)
    verdict: dict[str, Any] = answer(demonstration, now)["verdict"]
    return verdict


def take_size(membership: Membership, setup: Setup, path: str, size: int, seen: int) -> Version:
    """Saves a set-up with a field as the thing on the shelf measures it.  Raises ProblemError, or a Refusal where that cannot be."""
    found = sizes_by_id(membership, [size]).get(size)
    if found is None or not setup.picks.filter(path=path, size__item=found.item, size__key=found.key).exists():
        raise ProblemError(kinds.NOT_PICKED, "size")
    document = with_changes(json.loads(newest(setup).document), [(path, found.quantity)])
    picks = {one.path: one.size_id for one in setup.picks.all()} | {path: size}
    return save_setup(membership, setup, json.dumps(document, ensure_ascii=False, indent=2), seen, picks=picks)
