"""Scoped reads of lessons: each starts from a membership."""

from __future__ import annotations

from collections.abc import Iterator
from datetime import datetime, timedelta

from django.db.models import Prefetch, QuerySet
from django.utils import timezone

from server.people.models import Membership
from server.wire.problems import only

from .models import Course, Lesson

MOST_READY = 2880
"""Minutes before a bell at which one may begin, at the most."""


def lessons_of(membership: Membership, *, archived: bool = False) -> QuerySet[Lesson]:
    """The department's lessons, or those that were put away, by their bells."""
    found = Lesson.objects.filter(department=membership.department, archived_at__isnull=not archived)
    return found.select_related("by", "room", "archived_by", "course").order_by("starts_at", "pk")


def lesson_of(membership: Membership, lesson: int, *, archived: bool = False) -> Lesson:
    """One lesson of the department.  Raises NotFoundError."""
    return only(lessons_of(membership, archived=archived).filter(pk=lesson), "this lesson")


def coming_of(membership: Membership) -> Iterator[Lesson]:
    """The lessons that are on now or to come, by their bells."""
    begun = timezone.now() - timedelta(hours=8)
    return (one for one in lessons_of(membership).filter(starts_at__gte=begun) if one.ends_at > timezone.now())


def next_of(membership: Membership) -> Lesson | None:
    """The lesson that is on now or comes next."""
    return next(coming_of(membership), None)


def at_the_same_time(lesson: Lesson) -> list[Lesson]:
    """Other lessons of the department at the same time."""
    others = Lesson.objects.filter(department=lesson.department_id, archived_at=None, starts_at__lt=lesson.ends_at).exclude(pk=lesson.pk)
    return [one for one in others if one.ends_at > lesson.starts_at]


def near(lesson: Lesson) -> list[Lesson]:
    """Other lessons of the department before whose bell something may be done at the same time as before this one's."""
    span = timedelta(minutes=MOST_READY)
    others = Lesson.objects.filter(department=lesson.department_id, archived_at=None, starts_at__range=(lesson.starts_at - span, lesson.starts_at + span))
    ready = lesson.starts_at - timedelta(minutes=lesson.ready)
    found = others.exclude(pk=lesson.pk).select_related("room")
    return [one for one in found if one.starts_at > ready and one.starts_at - timedelta(minutes=one.ready) < lesson.starts_at]


def beside(lesson: Lesson) -> list[Lesson]:
    """Other lessons in the same room at the same time."""
    return [one for one in at_the_same_time(lesson) if lesson.room_id is not None and one.room_id == lesson.room_id]


def within(membership: Membership, since: datetime, until: datetime) -> list[Lesson]:
    """The department's lessons whose bells ring within a time, by their bells."""
    return list(lessons_of(membership).filter(starts_at__gte=since, starts_at__lt=until))


def courses_of(membership: Membership) -> QuerySet[Course]:
    """The department's courses, with their lessons by their bells."""
    lessons = Prefetch("lessons", Lesson.objects.filter(archived_at=None).select_related("room").order_by("starts_at", "pk"))
    return Course.objects.filter(department=membership.department, archived_at=None).select_related("by").prefetch_related(lessons)


def course_of(membership: Membership, course: int) -> Course:
    """One course of the department.  Raises NotFoundError."""
    return only(courses_of(membership).filter(pk=course), "this course")
