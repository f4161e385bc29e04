"""Scoped reads of rooms: each starts from a membership."""

from __future__ import annotations

from typing import Any

from django.db.models import QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import Room


def rooms_of(membership: Membership) -> QuerySet[Room]:
    """The department's rooms, by name."""
    return Room.objects.filter(department=membership.department).select_related("by").order_by("name")


def room_of(membership: Membership, room_id: int) -> Room:
    """One room of the department.  Raises NotFoundError."""
    return only(rooms_of(membership).filter(pk=room_id), "this room")


def room_for_person(person: Any, department: str, room_id: int) -> Room:
    """One room of a department of which a person is a member, in one query.  Raises NotFoundError."""
    return only(Room.objects.filter(department__slug=department, department__memberships__person=person, pk=room_id), "this room")
