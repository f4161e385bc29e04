"""A run's outcome or note is changed, or readings are added; its prediction stays frozen."""

from __future__ import annotations

from typing import Any

from django.db import transaction
from django.utils import timezone

from server.people.models import Membership
from server.wire.kept import held_as_seen

from ..models import Run
from .log_run import keep_series


def changed_now(membership: Membership, run: Run) -> None:
    """Counts a change of a run that is locked for update."""
    run.version += 1
    run.changed_by, run.changed_at = membership.person, timezone.now()
    run.save(update_fields=["version", "changed_by", "changed_at"])


@transaction.atomic
def change_run(membership: Membership, run: Run, *, seen: int, outcome: str | None, note: str | None, series: list[dict[str, Any]]) -> None:
    """Changes what is named.  seen: the version that was changed.

    Raises a Refusal that names the field, or ProblemError (conflict) where somebody changed the run since; nothing is overwritten.
    """
    run = Run.objects.select_for_update(of=("self",)).select_related("changed_by").get(pk=run.pk)
    held_as_seen(run, seen, "this run", run.changed_by, run.changed_at, theirs={"outcome": run.outcome, "note": run.note})
    if outcome is not None:
        run.outcome = outcome
    if note is not None:
        run.note = note.replace("\0", "")
    changed_now(membership, run)
    run.save(update_fields=["outcome", "note"])
    for i, one in enumerate(series):
        keep_series(run, one, f"series.{i}", membership)
