"""What a department keeps: counted by versions, so that nobody overwrites unseen, and put away rather than deleted."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from django.conf import settings
from django.db import models
from django.utils import timezone

from .english import CONFLICT
from .problems import ProblemError


class Kept(models.Model):
    """version: counts the changes. archived_at, archived_by: when it was put away, by whom; out of the lists, not gone."""

    version = models.PositiveIntegerField(default=1)
    archived_at = models.DateTimeField(null=True, blank=True)
    archived_by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, blank=True, on_delete=models.SET_NULL, related_name="+")

    class Meta:
        abstract = True

    def put_away(self, person: Any) -> None:
        """Out of the lists; one that is away already stays as it was."""
        if self.archived_at is None:
            self.archived_at, self.archived_by = timezone.now(), person
            self.save(update_fields=["archived_at", "archived_by"])

    def bring_back(self) -> None:
        """Into the lists again.  Raises IntegrityError where its name was given to another meanwhile."""
        self.archived_at = self.archived_by = None
        self.save(update_fields=["archived_at", "archived_by"])


def held_as_seen(row: Kept, seen: int, what: str, by: Any, at: datetime | None, **theirs: Any) -> None:
    """Raises ProblemError (conflict), carrying what the other one kept, where a row is not the version that was seen.

    row: locked for update. by, at: who changed it last, and when. theirs: what stands there now.
    """
    if row.version != seen:
        name = by.get_username() if by else "somebody"
        raise ProblemError(CONFLICT, what=what, version=row.version, by=name, at=at.isoformat() if at else None, **theirs)
