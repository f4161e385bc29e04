"""Lessons over HTTP."""

from __future__ import annotations

from typing import Any, Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router

from server.people.queries import membership_of
from server.wire.problems import Problem

from . import queries
from .calendar import as_calendar
from .models import Lesson
from .planning import told_lesson
from .schemas import LessonChangeIn, LessonIn, LessonOut, LessonRowOut
from .services.save_lesson import save_lesson
from .sheets import sheet_pdf

router = Router(tags=["lessons"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/lessons"


def _row(lesson: Lesson) -> dict[str, Any]:
    return {
        **{key: getattr(lesson, key) for key in ("id", "version", "name", "starts_at", "minutes", "at", "archived_at")},
        "room": lesson.room.name if lesson.room else "",
        "shown": len(lesson.items),
        "by": lesson.by.get_username() if lesson.by else "",
        "archived_by": lesson.archived_by.get_username() if lesson.archived_by else "",
    }


@router.get(BASE, response={200: list[LessonRowOut], **REFUSED}, operation_id="lessons")
def listing(request: HttpRequest, department: str, archived: bool = False) -> list[dict[str, Any]]:
    """The department's lessons by their bells, or those that were put away."""
    return [_row(one) for one in queries.lessons_of(membership_of(request.user, department), archived=archived)]


@router.post(BASE, response={200: LessonOut, **REFUSED}, operation_id="create_lesson")
def create(request: HttpRequest, department: str, body: LessonIn) -> dict[str, Any]:
    """A new lesson, planned."""
    return told_lesson(save_lesson(membership_of(request.user, department), None, body))


@router.get(BASE + "/next", response={200: LessonOut | None, **REFUSED}, operation_id="next_lesson")
def coming(request: HttpRequest, department: str) -> dict[str, Any] | None:
    """The lesson that is on now or comes next, planned; null where none is to come."""
    found = queries.next_of(membership_of(request.user, department))
    return told_lesson(found) if found else None


@router.get(BASE + "/{lesson}", response={200: LessonOut, **REFUSED}, operation_id="lesson")
def one(request: HttpRequest, department: str, lesson: int) -> dict[str, Any]:
    """A lesson as it is planned with its set-ups as they stand today."""
    return told_lesson(queries.lesson_of(membership_of(request.user, department), lesson))


@router.put(BASE + "/{lesson}", response={200: LessonOut, **REFUSED}, operation_id="save_lesson")
def save(request: HttpRequest, department: str, lesson: int, body: LessonChangeIn) -> dict[str, Any]:
    """What is planned now; 409 where somebody kept it since."""
    membership = membership_of(request.user, department)
    return told_lesson(save_lesson(membership, queries.lesson_of(membership, lesson), body, body.version))


@router.post(BASE + "/{lesson}/archive", response={204: None, **REFUSED}, operation_id="archive_lesson")
def archive(request: HttpRequest, department: str, lesson: int) -> tuple[int, None]:
    """Out of the list."""
    membership = membership_of(request.user, department)
    queries.lesson_of(membership, lesson).put_away(membership.person)
    return 204, None


@router.post(BASE + "/{lesson}/bring-back", response={204: None, **REFUSED}, operation_id="bring_back_lesson")
def bring_back(request: HttpRequest, department: str, lesson: int) -> tuple[int, None]:
    """Into the list again."""
    queries.lesson_of(membership_of(request.user, department), lesson, archived=True).bring_back()
    return 204, None


@router.get(BASE + "/{lesson}/lesson.ics", response={200: str, **REFUSED}, operation_id="lesson_calendar")
def calendar(request: HttpRequest, department: str, lesson: int) -> HttpResponse:
    """The lesson and its jobs for a calendar, with alarms."""
    membership = membership_of(request.user, department)
    found = queries.lesson_of(membership, lesson)
    address = request.build_absolute_uri(f"/d/{membership.department.slug}/lessons/{found.pk}")
    made = as_calendar(told_lesson(found), found.room.name if found.room else "", address)
    return HttpResponse(made, content_type="text/calendar; charset=utf-8", headers={"Content-Disposition": 'attachment; filename="lesson.ics"'})


@router.get(BASE + "/{lesson}/{kind}.pdf", response={200: str, **REFUSED}, operation_id="lesson_sheet")
def sheet(request: HttpRequest, department: str, lesson: int, kind: Literal["prep", "run"]) -> HttpResponse:
    """The technician's prep sheet, or the teacher's run sheet."""
    found = queries.lesson_of(membership_of(request.user, department), lesson)
    return HttpResponse(sheet_pdf(found, kind), content_type="application/pdf", headers={"Content-Disposition": f'inline; filename="{kind}.pdf"'})
