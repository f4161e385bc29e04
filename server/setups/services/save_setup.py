"""A set-up is made, or a new version of it is saved."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from hydrostatics.answer import answer, work_out
from hydrostatics.documents.raw import parse_document
from server.people.models import Membership
from server.rooms.in_room import in_use, merged
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Setup, Version
from ..queries import newest


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
def create_setup(membership: Membership, name: str, text: str, room: int | None = None) -> Version:
    """Saves a document as a new set-up of the department."""
    key, verdict = judged(membership, text, room)
    setup = Setup.objects.create(department=membership.department, name=valid_name(name), demonstration=key)
    _version(setup, membership, text, verdict)
    return newest(setup)


@transaction.atomic
def vary_setup(membership: Membership, setup: Setup, name: str, text: str, room: int | None = None) -> Version:
    """Saves a document as a variation of a set-up, or of its base.  Raises ProblemError for another demonstration."""
    made = create_setup(membership, name, text, room)
    if made.setup.demonstration != setup.demonstration:
        raise ProblemError(kinds.ANOTHER_DEMONSTRATION, "demonstration")
    made.setup.base_id = setup.base_id or setup.pk
    made.setup.save(update_fields=["base"])
    return newest(made.setup)


@transaction.atomic
def save_setup(membership: Membership, setup: Setup, text: str, seen: int, room: int | None = None) -> Version:
    """Saves a new version over the one that was seen.

    Raises ProblemError (conflict), carrying the other version, where somebody saved since; nothing is overwritten.
    """
    key, verdict = judged(membership, text, room)
    held = Setup.objects.select_for_update().get(pk=setup.pk)
    if held.version != seen:
        theirs = newest(held)
        raise ProblemError(
            kinds.CONFLICT,
            document=theirs.document,
            version=theirs.number,
            by=theirs.by.get_username() if theirs.by else "somebody",
            at=theirs.at.isoformat(),
            verdict=theirs.verdict,
        )
    if key != held.demonstration:
        raise ProblemError(kinds.STAYS_ONE_DEMONSTRATION, "demonstration")
    held.version += 1
    held.save(update_fields=["version"])
    _version(held, membership, text, verdict)
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
