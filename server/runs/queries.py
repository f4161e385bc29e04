"""Scoped reads of runs: each starts from a membership."""

from __future__ import annotations

from django.db.models import Prefetch, Q, QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import Correction, Reading, Run, Series


def runs_of(membership: Membership, search: str = "", setup: int | None = None, *, archived: bool = False) -> QuerySet[Run]:
    """The department's runs, or those that were taken back, the newest first, with their readings."""
    found = _whole(Run.objects.filter(department=membership.department, archived_at__isnull=not archived)).defer("drawing", "document")
    if setup is not None:
        found = found.filter(setup_id=setup)
    for word in search.split()[:8]:
        found = found.filter(Q(setup_name__icontains=word) | Q(note__icontains=word) | Q(outcome__icontains=word) | Q(by__username__icontains=word))
    return found.order_by("-at", "-pk")


def run_of(membership: Membership, run_id: int) -> Run:
    """One run of the department.  Raises NotFoundError."""
    return only(_whole(Run.objects.filter(department=membership.department, pk=run_id)), "this run")


def reading_of(membership: Membership, reading_id: int) -> Reading:
    """One reading of the department.  Raises NotFoundError."""
    return only(Reading.objects.select_related("series").filter(series__run__department=membership.department, pk=reading_id), "this reading")


def _whole(runs: QuerySet[Run]) -> QuerySet[Run]:
    corrections = Prefetch("corrections", Correction.objects.select_related("by").order_by("at"))
    readings = Prefetch("readings", Reading.objects.select_related("by").prefetch_related(corrections).order_by("pk"))
    return runs.select_related("by", "setup", "archived_by").prefetch_related(Prefetch("series", Series.objects.prefetch_related(readings).order_by("pk")))
