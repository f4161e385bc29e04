"""Who is signed in: their departments with the rooms of each, and how they like it."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Router, Schema

from server.people import queries
from server.people.models import Membership
from server.people.schemas import PreferencesOut, Role
from server.rooms.schemas import RoomBriefOut
from server.rooms.telling import brief
from server.wire.problems import Problem

router = Router(tags=["people"])


class DepartmentOut(Schema):
    """A department of mine: its rooms, and which of them I have in use."""

    slug: str
    name: str
    role: Role
    room: int | None
    rooms: list[RoomBriefOut]


class MeOut(Schema):
    username: str
    departments: list[DepartmentOut]
    preferences: PreferencesOut


@router.get("/me", response={200: MeOut, 401: Problem}, operation_id="me")
def me(request: HttpRequest) -> MeOut:
    """The signed-in person, their departments and preferences."""
    departments = [_department(m) for m in queries.memberships_of(request.user)]
    preferences = PreferencesOut.from_orm(queries.preferences_of(request.user))
    return MeOut(username=request.user.get_username(), departments=departments, preferences=preferences)


def _department(membership: Membership) -> DepartmentOut:
    department = membership.department
    rooms = [brief(room) for room in sorted(department.rooms.all(), key=lambda room: room.name) if room.archived_at is None]
    used = membership.room_id if any(room["id"] == membership.room_id for room in rooms) else None
    return DepartmentOut.model_validate({"slug": department.slug, "name": department.name, "role": membership.role, "room": used, "rooms": rooms})
