"""Scoped reads of lessons: each starts from a membership."""

from __future__ import annotations

from datetime import timedelta

from django.db.models import QuerySet
from django.utils import timezone

from server.people.models import Membership
from server.wire.problems import only

from .models import Lesson


def lessons_of(membership: Membership, *, archived: bool = False) -> QuerySet[Lesson]:
    """The department's lessons, or those that were put away, by their bells."""
    found = Lesson.objects.filter(department=membership.department, archived_at__isnull=not archived)
    return found.select_related("by", "room", "archived_by").order_by("starts_at", "pk")


def lesson_of(membership: Membership, lesson: int, *, archived: bool = False) -> Lesson:
    """One lesson of the department.  Raises NotFoundError."""
    return only(lessons_of(membership, archived=archived).filter(pk=lesson), "this lesson")


def next_of(membership: Membership) -> Lesson | None:
    """The lesson that is on now or comes next."""
    begun = timezone.now() - timedelta(hours=8)
    return next((one for one in lessons_of(membership).filter(starts_at__gte=begun) if one.ends_at > timezone.now()), None)


def at_the_same_time(lesson: Lesson) -> list[Lesson]:
    """Other lessons of the department at the same time."""
    others = Lesson.objects.filter(department=lesson.department_id, archived_at=None, starts_at__lt=lesson.ends_at).exclude(pk=lesson.pk)
    return [one for one in others if one.ends_at > lesson.starts_at]


def beside(lesson: Lesson) -> list[Lesson]:
    """Other lessons in the same room at the same time."""
    return [one for one in at_the_same_time(lesson) if lesson.room_id is not None and one.room_id == lesson.room_id]
