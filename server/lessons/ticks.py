"""What was done of a lesson, as phones tell it."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from server.people.models import Membership

from .models import Lesson, Tick
from .schemas import TickIn


def ticks_of(lesson: Lesson) -> dict[str, dict[str, Any]]:
    """How each thing stands, by its key: what was said of it last."""
    return {
        one.key: {"done": one.done, "words": one.words, "by": one.by.get_username() if one.by else "", "at": one.at}
        for one in lesson.ticks.select_related("by").order_by("at", "pk")
    }


@transaction.atomic
def keep_ticks(membership: Membership, lesson: Lesson, ticks: list[TickIn]) -> None:
    """Keeps ticks; one that was sent before is not kept again."""
    rows = [Tick(lesson=lesson, by=membership.person, **one.model_dump()) for one in ticks]
    Tick.objects.bulk_create(rows, ignore_conflicts=True)
