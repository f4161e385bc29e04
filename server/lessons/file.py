"""A lesson as a file: whole, with the documents of its set-ups, so that another department can take it in."""

from __future__ import annotations

import json
from typing import Annotated, Any, Literal

from django.db import transaction
from ninja import Schema
from pydantic import ConfigDict, Field

from server.people.models import Membership
from server.rooms.models import Room
from server.setups.models import Version
from server.setups.services.save_setup import create_setup

from .models import Lesson
from .planning import versions_of
from .schemas import ItemIn, ItemMinutes, LessonFacts, LessonIn
from .services.save_lesson import save_lesson

FORMAT = 1


class FileItem(ItemMinutes):
    """An item of a lesson's file: its set-up's name and document, as a set-up file has it."""

    name: Annotated[str, Field(min_length=1, max_length=120)]
    document: dict[str, Any]


class FileLesson(LessonFacts):
    """A lesson of a file; room: by its name."""

    model_config = ConfigDict(extra="forbid")

    room: Annotated[str, Field(max_length=120)] = ""
    items: Annotated[list[FileItem], Field(max_length=12)] = []


class LessonFile(Schema):
    """A file *.lesson.json."""

    model_config = ConfigDict(extra="forbid")

    anchorage: Literal[1]
    lesson: FileLesson


def as_file(lesson: Lesson) -> str:
    """A lesson as a file.  What was put away of its set-ups since is in it as it was saved last."""
    versions = versions_of([lesson])
    items = []
    for item in lesson.items:
        if version := versions.get(item["setup"]):
            rest = {key: value for key, value in item.items() if key != "setup"}
            items.append({"name": version.setup.name, **rest, "document": json.loads(version.document)})
    facts = {key: getattr(lesson, key) for key in FileLesson.model_fields if key not in ("room", "items")}
    made = FileLesson.model_validate({**facts, "room": lesson.room.name if lesson.room else "", "items": items})
    told = {"anchorage": FORMAT, "lesson": made.model_dump(mode="json")}
    return json.dumps(told, indent=2, ensure_ascii=False) + "\n"


@transaction.atomic
def take_in(membership: Membership, file: LessonFile) -> Lesson:
    """A lesson from a file: a set-up that the department has under its name and with its document is taken, any other is made.

    Raises a Refusal or a ProblemError, and keeps nothing then.
    """
    room = Room.objects.filter(department=membership.department, name=file.lesson.room, archived_at=None).first() if file.lesson.room else None
    items = [
        ItemIn(setup=_setup(membership, one, room), **{key: value for key, value in one.model_dump().items() if key not in ("name", "document")})
        for one in file.lesson.items
    ]
    facts = {key: value for key, value in file.lesson.model_dump().items() if key not in ("room", "items")}
    return save_lesson(membership, None, LessonIn(**facts, room=room.pk if room else 0, items=items))


def _setup(membership: Membership, item: FileItem, room: Room | None) -> int:
    """The number of an item's set-up, made where the department has none like it."""
    for version in Version.objects.filter(setup__department=membership.department, setup__name=item.name, setup__archived_at=None).order_by("-number"):
        if json.loads(version.document) == item.document:
            return int(version.setup_id)
    return int(create_setup(membership, item.name, json.dumps(item.document, ensure_ascii=False), room.pk if room else None).setup_id)
