"""A lesson is kept: its set-ups and its room are the department's own."""

from __future__ import annotations

from django.db import transaction

from hydrostatics.quantities.reading import read_quantity
from server.people.models import Membership
from server.rooms.queries import room_of
from server.setups.models import Setup
from server.wire import english as kinds
from server.wire.kept import held_as_seen
from server.wire.problems import ProblemError

from ..models import Lesson
from ..queries import course_of
from ..schemas import LessonIn

SETTINGS = ("starts_at", "minutes", "ready", "hands", "way", "boiled", "spare")


@transaction.atomic
def save_lesson(membership: Membership, before: Lesson | None, body: LessonIn, seen: int = 0) -> Lesson:
    """Keeps a lesson.  Raises a Refusal or a ProblemError, a conflict where somebody kept it since."""
    if before:
        before = Lesson.objects.select_for_update(of=("self",)).select_related("by").get(pk=before.pk)
        held_as_seen(before, seen, f"the lesson “{before.name}”", before.by, before.at)
    name = " ".join(body.name.split())
    if not name:
        raise ProblemError(kinds.NAME_LENGTH, "name", what="a lesson's name", most=120)
    boiled = read_quantity("boiled", body.boiled, "volume").si
    if not 0 < boiled <= 0.05:
        raise ProblemError(kinds.BOILED, "boiled")
    socket = body.socket.strip()
    if socket and not 0 <= read_quantity("socket", socket, "length").si <= 50:
        raise ProblemError(kinds.SOCKET, "socket")
    wanted = {item.setup for item in body.items}
    there = set(Setup.objects.filter(department=membership.department, pk__in=wanted).values_list("pk", flat=True))
    for i, item in enumerate(body.items):
        if item.setup not in there:
            raise ProblemError(kinds.NO_SUCH_SETUP, f"items.{i}.setup")
    lesson = before or Lesson(department=membership.department)
    lesson.name, lesson.by = name, membership.person
    lesson.room = room_of(membership, body.room) if body.room else None
    lesson.course = course_of(membership, body.course) if body.course else None
    lesson.people, lesson.socket = [" ".join(one.split()) for one in body.people], socket
    for key in SETTINGS:
        setattr(lesson, key, getattr(body, key))
    lesson.things = body.things.model_dump()
    lesson.items = [item.model_dump() for item in body.items]
    lesson.version = lesson.version + 1 if before else 1
    lesson.save()
    return lesson
