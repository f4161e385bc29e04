"""Scoped reads of people; every other app starts from `membership_of`."""

from __future__ import annotations

from typing import Any

from django.db.models import QuerySet

from server.wire.problems import ForbiddenError, NotFoundError

from .models import Membership, Preferences


def memberships_of(person: Any) -> QuerySet[Membership]:
    """A person's departments, by name."""
    return Membership.objects.filter(person=person).select_related("department", "room").prefetch_related("department__rooms").order_by("department__name")


def membership_of(person: Any, department: str) -> Membership:
    """A person's membership of a department.  Raises NotFoundError where there is none."""
    try:
        return Membership.objects.select_related("department", "room").get(person=person, department__slug=department)
    except Membership.DoesNotExist:
        raise NotFoundError("this department") from None


def head_of(person: Any, department: str) -> Membership:
    """The membership of a head.  Raises ForbiddenError for the other roles."""
    membership = membership_of(person, department)
    if membership.role != Membership.Role.HEAD:
        raise ForbiddenError
    return membership


def members(membership: Membership) -> QuerySet[Membership]:
    """Everybody in the department of a member."""
    return Membership.objects.filter(department=membership.department).select_related("person").order_by("person__username")


def preferences_of(person: Any) -> Preferences:
    """A person's preferences, the usual ones where none were kept."""
    return Preferences.objects.filter(person=person).first() or Preferences(person=person)
