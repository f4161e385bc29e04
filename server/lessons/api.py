"""Lessons over HTTP."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from ninja import Router

from server.people.queries import membership_of
from server.setups.queries import setup_of
from server.wire.problems import Problem

from . import queries
from .coming import coming_with
from .file import LessonFile, take_in
from .models import Lesson
from .noted import noted_of_setups
from .schemas import ComingOut, LessonChangeIn, LessonIn, LessonOut, LessonRowOut, NotedOut, NoteIn, TickOut, TicksIn
from .services.keep_note import keep_note
from .services.save_lesson import save_lesson
from .telling import told_lesson
from .ticks import keep_ticks, ticks_of

router = Router(tags=["lessons"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/lessons"


def _row(lesson: Lesson) -> dict[str, Any]:
    return {
        **{key: getattr(lesson, key) for key in ("id", "version", "name", "starts_at", "minutes", "at", "archived_at")},
        "room": lesson.room.name if lesson.room else "",
        "course": lesson.course_id or 0,
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


@router.post(BASE + "/file", response={200: LessonOut, **REFUSED}, operation_id="take_in_lesson")
def take(request: HttpRequest, department: str, body: LessonFile) -> dict[str, Any]:
    """A lesson from a file; set-ups that the department does not have are made."""
    return told_lesson(take_in(membership_of(request.user, department), body))


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


@router.put(BASE + "/{lesson}/note", response={204: None, **REFUSED}, operation_id="note_lesson")
def note(request: HttpRequest, department: str, lesson: int, body: NoteIn) -> tuple[int, None]:
    """What is to be known next time; it stands first wherever one of its set-ups is prepared or shown again."""
    found = queries.lesson_of(membership_of(request.user, department), lesson)
    keep_note(found, body.note, body.seen)
    return 204, None


@router.post(BASE + "/{lesson}/ticks", response={200: dict[str, TickOut], **REFUSED}, operation_id="tick_lesson")
def tick(request: HttpRequest, department: str, lesson: int, body: TicksIn) -> dict[str, Any]:
    """What was done; a tick that is sent again is one."""
    membership = membership_of(request.user, department)
    found = queries.lesson_of(membership, lesson)
    keep_ticks(membership, found, body.ticks)
    return ticks_of(found)


@router.get("/departments/{department}/setups/{setup}/coming", response={200: list[ComingOut], **REFUSED}, operation_id="coming_of_setup")
def coming_of_setup(request: HttpRequest, department: str, setup: int) -> list[dict[str, Any]]:
    """The next lessons that show a set-up, with what of its gear cannot be had at their hours."""
    membership = membership_of(request.user, department)
    return coming_with(membership, setup_of(membership, setup).pk)


@router.get("/departments/{department}/setups/{setup}/noted", response={200: list[NotedOut], **REFUSED}, operation_id="noted_of_setup")
def noted(request: HttpRequest, department: str, setup: int) -> list[dict[str, Any]]:
    """What was noted of a set-up last, at its runs and after lessons that showed it."""
    membership = membership_of(request.user, department)
    return noted_of_setups(membership.department_id, [setup_of(membership, setup).pk])
