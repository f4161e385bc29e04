"""A run is taken back, and brought back, by who logged it or by the head."""

from __future__ import annotations

from server.people.models import Membership
from server.wire.english import NOT_YOURS
from server.wire.problems import ForbiddenError

from ..models import Run


def _allowed(membership: Membership, run: Run) -> None:
    if run.by_id != membership.person_id and membership.role != Membership.Role.HEAD:
        raise ForbiddenError(NOT_YOURS)


def take_back(membership: Membership, run: Run) -> None:
    """Out of the log, not gone.  Raises ForbiddenError."""
    _allowed(membership, run)
    run.put_away(membership.person)


def bring_back(membership: Membership, run: Run) -> None:
    """Into the log again.  Raises ForbiddenError."""
    _allowed(membership, run)
    run.bring_back()
