"""What was noted last time of the set-ups that are shown: after a lesson, or at a run."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime
from typing import Any

from django.db.models import Q

from server.runs.models import Run

from .models import Lesson

MOST = 3


def noted_of_setups(department: int, setups: Iterable[int], before: Lesson | None = None) -> list[dict[str, Any]]:
    """The last notes of set-ups, the newest first; before: the lesson for which they are wanted, whose own note is not one of them."""
    wanted = set(setups)
    if not wanted:
        return []
    shows = Q()
    for setup in wanted:
        shows |= Q(items__contains=[{"setup": setup}])
    lessons = Lesson.objects.filter(shows, department=department, archived_at=None).exclude(note="").select_related("by").order_by("-starts_at")
    if before is not None:
        lessons = lessons.filter(starts_at__lt=before.starts_at).exclude(pk=before.pk)
    runs = Run.objects.filter(department=department, setup__in=wanted, archived_at=None).exclude(note="").select_related("by").defer("drawing", "document")
    made = [_told(one.name, one.note, one.by, one.starts_at) for one in lessons[:MOST]]
    made += [_told(one.setup_name, one.note, one.by, one.at) for one in runs.order_by("-at")[:MOST]]
    return sorted(made, key=lambda one: one["at"], reverse=True)[:MOST]


def _told(name: str, note: str, by: Any, at: datetime) -> dict[str, Any]:
    return {"name": name, "note": note, "by": by.get_username() if by else "", "at": at}
