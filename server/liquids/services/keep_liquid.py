"""An own liquid is kept: its properties are read as a set-up file's would be, so that it can be used in one."""

from __future__ import annotations

from typing import Any

from django.db import IntegrityError, transaction

from hydrostatics.documents.reader import read_liquid
from hydrostatics.liquids.catalogue import catalogue
from server.people.models import Membership
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import ProblemError

from ..models import OwnLiquid


@transaction.atomic
def keep_liquid(membership: Membership, before: OwnLiquid | None, name: str, stated: dict[str, Any], note: str, seen: int = 0) -> OwnLiquid:
    """Keeps a liquid under its name.  seen: the version that was changed.

    Raises a Refusal that names the property, or ProblemError: for the name, and (conflict) where somebody kept this liquid since.
    """
    trimmed = " ".join(name.split())
    if not 1 <= len(trimmed) <= 80 or "\0" in trimmed:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a liquid's name", most=80)
    if trimmed in catalogue():
        raise ProblemError(kinds.NAME_OF_THE_CATALOGUE, "name", name=trimmed)
    read_liquid("stated", stated)
    if before:
        before = OwnLiquid.objects.select_for_update(of=("self",)).select_related("by").get(pk=before.pk)
        theirs = {"name": before.name, "stated": before.stated, "note": before.note}
        held_as_seen(before, seen, f"the liquid “{before.name}”", before.by, before.at, theirs=theirs)
        before.version += 1
    liquid = before or OwnLiquid(department=membership.department)
    liquid.name, liquid.stated, liquid.note, liquid.by = trimmed, stated, note, membership.person
    try:
        with transaction.atomic():
            liquid.save()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a liquid", name=trimmed) from None
    return liquid


def bring_liquid_back(liquid: OwnLiquid) -> None:
    """Into the list again.  Raises ProblemError where another liquid has its name by now."""
    try:
        with transaction.atomic():
            liquid.bring_back()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a liquid", name=liquid.name) from None
