"""What goes out of lessons: files, calendars and sheets."""

from __future__ import annotations

from collections.abc import Callable
from datetime import date, datetime, time, timedelta
from typing import Any, Literal

from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.utils.text import slugify
from ninja import Router

from hydrostatics.answer import work_out
from hydrostatics.documents.raw import parse_document
from server.people.queries import membership_of
from server.rooms.in_room import in_use, merged
from server.setups.queries import newest, setup_of
from server.wire.problems import Problem

from . import queries
from .calendar import as_calendar
from .file import LessonFile, as_file
from .planning import all_planned, planned
from .printed import keep_printed
from .sheets import day_pdf, home_pdf, sheet_pdf

router = Router(tags=["lessons"])
REFUSED = {401: Problem, 404: Problem, 409: Problem, 422: Problem}
BASE = "/departments/{department}/lessons"


@router.get(BASE + "/week.ics", response={200: str, **REFUSED}, operation_id="week_calendar")
def week(request: HttpRequest, department: str, since: date) -> HttpResponse:
    """The lessons of seven days and what is done before them, for a calendar."""
    membership = membership_of(request.user, department)
    begins = timezone.make_aware(datetime.combine(since, time()))
    lessons = queries.within(membership, begins, begins + timedelta(days=7))
    made = as_calendar(all_planned(lessons), _pages(request, membership))
    return HttpResponse(made, content_type="text/calendar; charset=utf-8", headers={"Content-Disposition": 'attachment; filename="week.ics"'})


@router.get(BASE + "/day.pdf", response={200: str, **REFUSED}, operation_id="day_sheet")
def day(request: HttpRequest, department: str, on: date, rooms: str = "") -> HttpResponse:
    """One sheet for all lessons of a day, room by room as one walks.  rooms: their numbers in that order, with commas; others come after them."""
    membership = membership_of(request.user, department)
    begins = timezone.make_aware(datetime.combine(on, time()))
    order = [int(one) for one in rooms.split(",") if one.strip().isdigit()]
    return _pdf(day_pdf(queries.within(membership, begins, begins + timedelta(days=1)), begins, order), "day")


@router.get(BASE + "/{lesson}/lesson.json", response={200: LessonFile, **REFUSED}, operation_id="lesson_file")
def file(request: HttpRequest, department: str, lesson: int) -> HttpResponse:
    """The lesson as a file, with the documents of its set-ups."""
    found = queries.lesson_of(membership_of(request.user, department), lesson)
    name = f'attachment; filename="{slugify(found.name) or "lesson"}.lesson.json"'
    return HttpResponse(as_file(found), content_type="application/json; charset=utf-8", headers={"Content-Disposition": name})


@router.get(BASE + "/{lesson}/lesson.ics", response={200: str, **REFUSED}, operation_id="lesson_calendar")
def calendar(request: HttpRequest, department: str, lesson: int) -> HttpResponse:
    """The lesson and its jobs for a calendar, with alarms."""
    membership = membership_of(request.user, department)
    made = as_calendar([planned(queries.lesson_of(membership, lesson), whole=False)], _pages(request, membership))
    return HttpResponse(made, content_type="text/calendar; charset=utf-8", headers={"Content-Disposition": 'attachment; filename="lesson.ics"'})


@router.get(BASE + "/{lesson}/{kind}.pdf", response={200: str, **REFUSED}, operation_id="lesson_sheet")
def sheet(request: HttpRequest, department: str, lesson: int, kind: Literal["prep", "run", "risk"]) -> HttpResponse:
    """The technician's prep sheet, the teacher's run sheet, or a risk assessment to sign; which version was printed last is kept."""
    made = planned(queries.lesson_of(membership_of(request.user, department), lesson))
    printed = sheet_pdf(made, kind)
    keep_printed(made, kind)
    return _pdf(printed, kind)


def _pdf(made: bytes, name: str) -> HttpResponse:
    return HttpResponse(made, content_type="application/pdf", headers={"Content-Disposition": f'inline; filename="{name}.pdf"'})


def _pages(request: HttpRequest, membership: Any) -> Callable[[int], str]:
    """The address of a lesson's page by its number."""
    return lambda lesson: request.build_absolute_uri(f"/d/{membership.department.slug}/lessons/{lesson}")


@router.get("/departments/{department}/setups/{setup}/home.pdf", response={200: str, **REFUSED}, operation_id="home_sheet")
def home(request: HttpRequest, department: str, setup: int) -> HttpResponse:
    """What is tried at home after a set-up, on one page."""
    membership = membership_of(request.user, department)
    version = newest(setup_of(membership, setup))
    demonstration, now = work_out(merged(parse_document(version.document.encode()), in_use(membership)).document)
    return _pdf(home_pdf(version.setup.name, demonstration, now), "home")
