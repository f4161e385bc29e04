"""The note for next time is kept, and nobody's is overwritten unseen."""

from __future__ import annotations

from django.db import transaction

from server.wire.english import CONFLICT
from server.wire.problems import ProblemError

from ..models import Lesson


@transaction.atomic
def keep_note(lesson: Lesson, note: str, seen: str) -> None:
    """Keeps a lesson's note.  seen: the one that stood there when it was opened.  Raises ProblemError (conflict) where another stands there now."""
    now = Lesson.objects.select_for_update().get(pk=lesson.pk)
    note = note.strip()
    if now.note not in (seen, note):
        what = f"the note of the lesson “{now.name}”"
        raise ProblemError(CONFLICT, what=what, by="Somebody", at=None, version=now.version, theirs={"note": now.note})
    now.note = note
    now.save(update_fields=["note"])
