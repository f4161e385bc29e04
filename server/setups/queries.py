"""Scoped reads of set-ups: each starts from a membership."""

from __future__ import annotations

from collections.abc import Iterable

from django.db.models import Count, F, Q, QuerySet

from server.people.models import Membership
from server.wire.problems import only

from .models import Setup, Version

KEPT = Q(setup__runs__archived_at=None)
"""Runs that nobody took back."""


def setups_of(membership: Membership, search: str = "", *, archived: bool = False, demonstration: str = "", variations: bool = False) -> QuerySet[Version]:
    """The newest versions of the department's set-ups, newest first, with their set-up, who saved them and how many runs.

    variations: whether they are listed too, as they are where something is searched for.
    """
    found = Version.objects.filter(setup__department=membership.department, number=F("setup__version"), setup__archived_at__isnull=not archived)
    if not archived and not search and not variations:
        found = found.filter(setup__base__isnull=True)
    if demonstration:
        found = found.filter(setup__demonstration=demonstration)
    for word in search.split()[:8]:
        found = found.filter(setup__name__icontains=word) | found.filter(verdict__icontains=word)
    return (
        found.select_related("setup", "by", "setup__archived_by")
        .annotate(run_count=Count("setup__runs", filter=KEPT, distinct=True), variation_count=Count("setup__variations", distinct=True))
        .order_by("-at", "-pk")
    )


def pinned_of(membership: Membership) -> QuerySet[Version]:
    """The newest versions of the set-ups that are to be shown next, by name."""
    found = Version.objects.filter(setup__department=membership.department, number=F("setup__version"), setup__archived_at=None, setup__pinned=True)
    return found.select_related("setup").order_by("setup__name", "pk")


def setup_of(membership: Membership, setup_id: int) -> Setup:
    """One set-up of the department.  Raises NotFoundError."""
    return only(Setup.objects.filter(department=membership.department, pk=setup_id), "this set-up")


def newest(setup: Setup) -> Version:
    """The newest version of a set-up, with who saved it."""
    return (
        Version.objects.select_related("setup", "by", "setup__archived_by")
        .annotate(run_count=Count("setup__runs", filter=KEPT))
        .get(setup=setup, number=setup.version)
    )


def newest_versions(setups: Iterable[Setup]) -> dict[int, Version]:
    """The newest version of each set-up, by its id."""
    found = Version.objects.filter(setup__in={one.pk for one in setups}, number=F("setup__version")).select_related("setup")
    return {one.setup_id: one for one in found}


def run_of_variations(setup: Setup) -> QuerySet[Version]:
    """The newest versions of a set-up's base and of all its variations, the base first, then in the order they were made."""
    base = setup.base_id or setup.pk
    found = Version.objects.filter(number=F("setup__version"), setup__department=setup.department_id, setup__archived_at__isnull=True)
    found = found.filter(setup=base) | found.filter(setup__base=base)
    return found.select_related("setup", "setup__follows").order_by("setup__pk")


def versions(setup: Setup) -> QuerySet[Version]:
    """Every version of a set-up, the newest first."""
    return setup.versions.select_related("by").order_by("-number")
