"""Scoped reads of rooms: each starts from a membership."""

from __future__ import annotations

from typing import Any

from django.db.models import QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import AirSource, Room


def rooms_of(membership: Membership, *, archived: bool = False) -> QuerySet[Room]:
    """The department's rooms, or those that were put away, by name."""
    found = Room.objects.filter(department=membership.department, archived_at__isnull=not archived)
    return found.select_related("by", "archived_by").order_by("name")


def room_of(membership: Membership, room_id: int, *, archived: bool = False) -> Room:
    """One room of the department.  Raises NotFoundError."""
    return only(rooms_of(membership, archived=archived).filter(pk=room_id), "this room")


def room_for_person(person: Any, department: str, room_id: int) -> Room:
    """One room of a department of which a person is a member, in one query.  Raises NotFoundError."""
    return only(Room.objects.filter(department__slug=department, department__memberships__person=person, archived_at=None, pk=room_id), "this room")


def source_of(membership: Membership, room_id: int, source_id: int) -> AirSource:
    """One source of a room of the department.  Raises NotFoundError."""
    found = AirSource.objects.filter(room__department=membership.department, room=room_id, pk=source_id)
    return only(found.select_related("room"), "this source")
