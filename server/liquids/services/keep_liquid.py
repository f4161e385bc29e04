"""An own liquid is kept: its properties are read as a set-up file's would be, so that it can be used in one."""

from __future__ import annotations

from typing import Any

from django.db import IntegrityError, transaction

from hydrostatics.documents.reader import read_liquid
from hydrostatics.liquids.catalogue import catalogue
from server.people.models import Membership
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import OwnLiquid


def keep_liquid(membership: Membership, before: OwnLiquid | None, name: str, stated: dict[str, Any], note: str) -> OwnLiquid:
    """Keeps a liquid under its name.  Raises a Refusal that names the property, or a ProblemError that names the name."""
    trimmed = " ".join(name.split())
    if not 1 <= len(trimmed) <= 80 or "\0" in trimmed:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a liquid's name", most=80)
    if trimmed in catalogue():
        raise ProblemError(kinds.NAME_OF_THE_CATALOGUE, "name", name=trimmed)
    read_liquid("stated", stated)
    liquid = before or OwnLiquid(department=membership.department)
    liquid.name, liquid.stated, liquid.note, liquid.by = trimmed, stated, note.replace("\0", "")[:400], membership.person
    try:
        with transaction.atomic():
            liquid.save()
    except IntegrityError:
        raise ProblemError(kinds.NAME_TAKEN, "name", what="a liquid", name=trimmed) from None
    return liquid
