"""Scoped reads of rooms: each starts from a membership."""

from __future__ import annotations

from django.db.models import QuerySet

from server.people.models import Membership
from server.project.problems import only

from .models import Room


def rooms_of(membership: Membership) -> QuerySet[Room]:
    """The department's rooms, by name."""
    return Room.objects.filter(department=membership.department).select_related("by").order_by("name")


def room_of(membership: Membership, room_id: int) -> Room:
    """One room of the department.  Raises NotFoundError."""
    return only(rooms_of(membership).filter(pk=room_id), "this room")
