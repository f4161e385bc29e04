"""A set-up is copied, renamed, archived, brought back."""

from __future__ import annotations

from server.people.models import Membership

from ..models import Setup, Version
from ..queries import newest
from .save_setup import create_setup, valid_name


def copy_setup(membership: Membership, setup: Setup) -> Version:
    """A new set-up with the newest document of another."""
    picks = {one.path: one.size_id for one in setup.picks.all()}
    return create_setup(membership, f"{setup.name[:108]}, copy", newest(setup).document, picks=picks)


def rename_setup(setup: Setup, name: str) -> Version:
    """Another name, the same document."""
    setup.name = valid_name(name)
    setup.save(update_fields=["name"])
    return newest(setup)


def pin_setup(setup: Setup, *, pinned: bool) -> Version:
    """To be shown next, or not any more."""
    setup.pinned = pinned
    setup.save(update_fields=["pinned"])
    return newest(setup)


def archive_setup(membership: Membership, setup: Setup) -> Version:
    """Out of the list with its variations, not out of the log."""
    setup.put_away(membership.person)
    setup.variations.filter(archived_at__isnull=True).update(archived_at=setup.archived_at, archived_by=membership.person)
    return newest(setup)


def bring_back(setup: Setup) -> Version:
    """Back into the list, with the variations that went with it."""
    if setup.archived_at:
        setup.variations.filter(archived_at=setup.archived_at).update(archived_at=None, archived_by=None)
    setup.bring_back()
    return newest(setup)
