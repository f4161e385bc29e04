"""A set-up is made, or a new version of it is saved."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from django.db import transaction

from hydrostatics.answer import answer, work_out
from hydrostatics.documents.raw import parse_document
from server.people.models import Membership
from server.people.once import once
from server.rooms.in_room import in_use, merged
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import ProblemError

from ..models import Setup, Version
from ..queries import newest
from .keep_picks import keep_picks


def valid_name(name: str) -> str:
    """A set-up's name, trimmed.  Raises ProblemError."""
    trimmed = " ".join(name.split())
    if not 1 <= len(trimmed) <= 120 or "\0" in trimmed:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a name", most=120)
    return trimmed


def judged(membership: Membership, text: str, room: int | None) -> tuple[str, dict[str, Any]]:
    """A document's demonstration and verdict, in the room shown or else the member's.  Raises a Refusal: an invalid draft is never saved."""
    taken = merged(parse_document(text.encode("utf-8", "surrogatepass")), in_use(membership, room))
    demonstration, now = work_out(taken.document)
    verdict: dict[str, Any] = answer(demonstration, now)["verdict"]
    return demonstration.key, verdict


@transaction.atomic
def create_setup(
    membership: Membership, name: str, text: str, room: int | None = None, sent: UUID | None = None, picks: Mapping[str, int] | None = None
) -> Version:
    """Saves a document as a new set-up of the department; one that was sent before comes back as it is.

    picks: by path the size that a field was taken from on the shelf.
    """
    if known := once(membership, Setup, sent):
        return newest(known)
    key, verdict = judged(membership, text, room)
    setup = Setup.objects.create(department=membership.department, name=valid_name(name), demonstration=key, sent=sent)
    _version(setup, membership, text, verdict)
    keep_picks(membership, setup, text, picks or {})
    return newest(setup)


@dataclass(frozen=True)
class GoesOn:
    """A variation begins with what stayed of the one before, at a moment of its movement (None: at its end)."""

    moment: int | None = None


@transaction.atomic
def vary_setup(
    membership: Membership,
    setup: Setup,
    name: str,
    text: str,
    room: int | None = None,
    sent: UUID | None = None,
    goes_on: GoesOn | None = None,
    picks: Mapping[str, int] | None = None,
) -> Version:
    """Saves a document as a variation of a set-up, or of its base.  Raises ProblemError for another demonstration."""
    made = create_setup(membership, name, text, room, sent, picks).setup
    if made.demonstration != setup.demonstration:
        raise ProblemError(kinds.ANOTHER_DEMONSTRATION, "demonstration")
    made.base_id = setup.base_id or setup.pk
    if goes_on:
        made.follows, made.followed, made.moment = setup, setup.version, goes_on.moment
    made.save(update_fields=["base", "follows", "followed", "moment"])
    return newest(made)


@transaction.atomic
def save_setup(
    membership: Membership, setup: Setup, text: str, seen: int, room: int | None = None, *, anew: bool = False, picks: Mapping[str, int] | None = None
) -> Version:
    """Saves a new version over the one that was seen; the same sent again is one version.

    anew: what stayed of the set-up where this one began was carried over again, from what it is now. picks: by path the size that
    a field was taken from on the shelf; None leaves them as they were.
    Raises ProblemError (conflict), carrying the other version, where somebody saved since; nothing is overwritten.
    """
    key, verdict = judged(membership, text, room)
    held = Setup.objects.select_for_update().get(pk=setup.pk)
    theirs = newest(held)
    if (held.version, theirs.by, theirs.document) == (seen + 1, membership.person, text):
        return theirs
    held_as_seen(held, seen, "this set-up", theirs.by, theirs.at, document=theirs.document, verdict=theirs.verdict)
    if key != held.demonstration:
        raise ProblemError(kinds.STAYS_ONE_DEMONSTRATION, "demonstration")
    held.version += 1
    if anew and held.follows:
        held.followed = held.follows.version
    held.save(update_fields=["version", "followed"])
    _version(held, membership, text, verdict)
    keep_picks(membership, held, text, picks)
    return newest(held)


def _version(setup: Setup, membership: Membership, text: str, verdict: dict[str, Any]) -> None:
    Version.objects.create(
        setup=setup,
        number=setup.version,
        document=text,
        verdict=verdict["reason"][:400],
        state=verdict["state"],
        probability=verdict["probability"],
        by=membership.person,
    )
