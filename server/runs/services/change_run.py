"""A run's outcome or note is changed, or readings are added; its prediction stays frozen."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from server.people.models import Membership

from ..models import Run
from .log_run import keep_series


@transaction.atomic
def change_run(membership: Membership, run: Run, *, outcome: str | None, note: str | None, series: list[dict[str, Any]]) -> None:
    """Changes what is named.  Raises a Refusal that names the field."""
    if outcome is not None:
        run.outcome = outcome
    if note is not None:
        run.note = note.replace("\0", "")
    run.save(update_fields=["outcome", "note"])
    for i, one in enumerate(series):
        keep_series(run, one, f"series.{i}", membership)
