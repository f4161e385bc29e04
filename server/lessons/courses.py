"""Courses over HTTP: lessons by idea in the order of their bells, what each needs and nothing before it has shown."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any

from django.http import HttpRequest
from ninja import Router, Schema
from pydantic import Field

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.guides.model import IDEAS, Guide
from hydrostatics.lessons.spoken import gaps
from server.people.queries import membership_of
from server.setups.models import Setup
from server.wire.problems import Problem

from . import queries
from .models import Course
from .services.courses import copy_course, move_course, save_course

router = Router(tags=["courses"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/courses"


class CourseIn(Schema):
    name: Annotated[str, Field(min_length=1, max_length=120)]


class MoveIn(Schema):
    """weeks: later, or earlier where it is negative."""

    weeks: int


class CopyIn(MoveIn):
    name: Annotated[str, Field(min_length=1, max_length=120)]


class CourseLessonOut(Schema):
    """A lesson of a course: what it shows, and what it needs that nothing before it has shown."""

    id: int
    name: str
    room: str
    starts_at: datetime
    shown: list[str]
    ideas: list[str]
    gaps: list[str]


class CourseOut(Schema):
    id: int
    name: str
    by: str
    lessons: list[CourseLessonOut]


def _told(membership: Any, courses: list[Course]) -> list[dict[str, Any]]:
    wanted = {item["setup"] for course in courses for lesson in course.lessons.all() for item in lesson.items}
    setups = {one.pk: one for one in Setup.objects.filter(department=membership.department, pk__in=wanted)}
    return [_one(course, setups) for course in courses]


def _one(course: Course, setups: dict[int, Setup]) -> dict[str, Any]:
    lessons = list(course.lessons.all())
    shown = [[setups[item["setup"]] for item in lesson.items if item["setup"] in setups] for lesson in lessons]
    guides: list[list[Guide]] = [[by_key()[one.demonstration].guide for one in row if one.demonstration in by_key()] for row in shown]
    return {
        "id": course.pk,
        "name": course.name,
        "by": course.by.get_username() if course.by else "",
        "lessons": [
            {
                "id": lesson.pk,
                "name": lesson.name,
                "room": lesson.room.name if lesson.room else "",
                "starts_at": lesson.starts_at,
                "shown": [one.name for one in row],
                "ideas": list(dict.fromkeys(IDEAS[guide.choosing.ideas[0]] for guide in mine if guide.choosing)),
                "gaps": missing,
            }
            for lesson, row, mine, missing in zip(lessons, shown, guides, gaps(guides), strict=True)
        ],
    }


@router.get(BASE, response={200: list[CourseOut], **REFUSED}, operation_id="courses")
def listing(request: HttpRequest, department: str) -> list[dict[str, Any]]:
    """The department's courses with their lessons."""
    membership = membership_of(request.user, department)
    return _told(membership, list(queries.courses_of(membership)))


@router.post(BASE, response={200: CourseOut, **REFUSED}, operation_id="create_course")
def create(request: HttpRequest, department: str, body: CourseIn) -> dict[str, Any]:
    """A new course, without lessons."""
    membership = membership_of(request.user, department)
    return _one(save_course(membership, body.name), {})


@router.put(BASE + "/{course}", response={200: CourseOut, **REFUSED}, operation_id="rename_course")
def rename(request: HttpRequest, department: str, course: int, body: CourseIn) -> dict[str, Any]:
    """Another name for a course."""
    membership = membership_of(request.user, department)
    return _told(membership, [save_course(membership, body.name, queries.course_of(membership, course))])[0]


@router.post(BASE + "/{course}/move", response={200: CourseOut, **REFUSED}, operation_id="move_course")
def move(request: HttpRequest, department: str, course: int, body: MoveIn) -> dict[str, Any]:
    """Every bell so many weeks later, at the same time of day."""
    membership = membership_of(request.user, department)
    move_course(membership, queries.course_of(membership, course), body.weeks)
    return _told(membership, [queries.course_of(membership, course)])[0]


@router.post(BASE + "/{course}/copy", response={200: CourseOut, **REFUSED}, operation_id="copy_course")
def copy(request: HttpRequest, department: str, course: int, body: CopyIn) -> dict[str, Any]:
    """The same lessons under another name, so many weeks later."""
    membership = membership_of(request.user, department)
    made = copy_course(membership, queries.course_of(membership, course), body.name, body.weeks)
    return _told(membership, [queries.course_of(membership, made.pk)])[0]


@router.post(BASE + "/{course}/archive", response={204: None, **REFUSED}, operation_id="archive_course")
def archive(request: HttpRequest, department: str, course: int) -> tuple[int, None]:
    """Out of the list; its lessons stay."""
    membership = membership_of(request.user, department)
    queries.course_of(membership, course).put_away(membership.person)
    return 204, None
