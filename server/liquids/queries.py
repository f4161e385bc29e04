"""Scoped reads of a department's own liquids."""

from __future__ import annotations

from django.db.models import QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import OwnLiquid


def liquids_of(membership: Membership) -> QuerySet[OwnLiquid]:
    """The department's own liquids, by name."""
    return OwnLiquid.objects.filter(department=membership.department).select_related("by").order_by("name")


def liquid_of(membership: Membership, liquid_id: int) -> OwnLiquid:
    """One of them.  Raises NotFoundError."""
    return only(liquids_of(membership).filter(pk=liquid_id), "this liquid")
