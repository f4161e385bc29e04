"""A course is made, moved by weeks, and copied for another year."""

from __future__ import annotations

from datetime import datetime, timedelta

from django.db import transaction
from django.utils import timezone

from server.people.models import Membership
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Course, Lesson

MOST_WEEKS = 60
COPIED = ("name", "room", "minutes", "ready", "hands", "things", "way", "boiled", "items", "people", "spare", "socket")


def course_name(name: str) -> str:
    """A course's name, trimmed.  Raises ProblemError."""
    trimmed = " ".join(name.split())
    if not 1 <= len(trimmed) <= 120:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a course's name", most=120)
    return trimmed


def save_course(membership: Membership, name: str, course: Course | None = None) -> Course:
    """A new course, or another name for one.  Raises ProblemError."""
    made = course or Course(department=membership.department)
    made.name, made.by = course_name(name), membership.person
    made.save()
    return made


@transaction.atomic
def move_course(membership: Membership, course: Course, weeks: int) -> None:
    """Every bell of a course so many weeks later, at the same time of day though a clock change lies between.  Raises ProblemError."""
    _refuse(weeks)
    for lesson in Lesson.objects.select_for_update(of=("self",)).filter(course=course, archived_at=None):
        lesson.starts_at, lesson.by, lesson.version = later(lesson.starts_at, weeks), membership.person, lesson.version + 1
        lesson.save(update_fields=["starts_at", "by", "version", "at"])


@transaction.atomic
def copy_course(membership: Membership, course: Course, name: str, weeks: int) -> Course:
    """The same lessons again, so many weeks later: with no ticks, no sheets, no notes of their own.  Raises ProblemError."""
    _refuse(weeks)
    made = save_course(membership, name)
    for lesson in Lesson.objects.filter(course=course, archived_at=None).order_by("starts_at", "pk"):
        kept = {key: getattr(lesson, key) for key in COPIED}
        Lesson.objects.create(department=membership.department, course=made, by=membership.person, starts_at=later(lesson.starts_at, weeks), **kept)
    return made


def later(moment: datetime, weeks: int) -> datetime:
    """A moment so many weeks later by the calendar and clock of the place."""
    here = timezone.localtime(moment).replace(tzinfo=None) + timedelta(weeks=weeks)
    return timezone.make_aware(here)


def _refuse(weeks: int) -> None:
    if not 1 <= abs(weeks) <= MOST_WEEKS:
        raise ProblemError(kinds.WEEKS, "weeks")
