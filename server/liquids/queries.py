"""Scoped reads of a department's own liquids."""

from __future__ import annotations

from django.db.models import QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import OwnLiquid


def liquids_of(membership: Membership, *, archived: bool = False) -> QuerySet[OwnLiquid]:
    """The department's own liquids, or those that were put away, by name."""
    found = OwnLiquid.objects.filter(department=membership.department, archived_at__isnull=not archived)
    return found.select_related("by", "archived_by").order_by("name")


def liquid_of(membership: Membership, liquid_id: int, *, archived: bool = False) -> OwnLiquid:
    """One of them.  Raises NotFoundError."""
    return only(liquids_of(membership, archived=archived).filter(pk=liquid_id), "this liquid")
