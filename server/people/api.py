"""People over HTTP: how I like it, who is in the department."""

from __future__ import annotations

from django.http import HttpRequest
from ninja import Router

from server.wire.problems import Problem

from . import queries
from .models import Membership
from .schemas import MemberAddedOut, MemberIn, MemberOut, PreferencesIn, PreferencesOut, RoleIn
from .services.add_member import add_member
from .services.change_member import give_role, remove_member
from .services.keep_preferences import keep_preferences

router = Router(tags=["people"])
REFUSED = {401: Problem, 403: Problem, 404: Problem, 409: Problem, 422: Problem}


@router.patch("/me/preferences", response={200: PreferencesOut, **REFUSED}, operation_id="keep_preferences")
def preferences(request: HttpRequest, body: PreferencesIn) -> PreferencesOut:
    """Keeps the preferences that are named."""
    return PreferencesOut.from_orm(keep_preferences(request.user, body.dict(exclude_none=True)))


def _member(membership: Membership) -> MemberOut:
    return MemberOut.model_validate({"id": membership.pk, "username": membership.person.get_username(), "role": membership.role})


@router.get("/departments/{department}/members", response={200: list[MemberOut], **REFUSED}, operation_id="members")
def members(request: HttpRequest, department: str) -> list[MemberOut]:
    """Everybody in the department."""
    return [_member(m) for m in queries.members(queries.membership_of(request.user, department))]


@router.post("/departments/{department}/members", response={200: MemberAddedOut, **REFUSED}, operation_id="add_member")
def add(request: HttpRequest, department: str, body: MemberIn) -> MemberAddedOut:
    """The head adds a member."""
    membership, password = add_member(queries.head_of(request.user, department), body.username.strip(), body.role)
    return MemberAddedOut(member=_member(membership), first_password=password)


@router.patch("/departments/{department}/members/{member}", response={200: MemberOut, **REFUSED}, operation_id="give_role")
def role(request: HttpRequest, department: str, member: int, body: RoleIn) -> MemberOut:
    """The head gives a member another role; the last head keeps theirs."""
    return _member(give_role(queries.head_of(request.user, department), member, body.role))


@router.delete("/departments/{department}/members/{member}", response={204: None, **REFUSED}, operation_id="remove_member")
def remove(request: HttpRequest, department: str, member: int) -> tuple[int, None]:
    """The head removes a member."""
    remove_member(queries.head_of(request.user, department), member)
    return 204, None
