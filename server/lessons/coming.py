"""The lessons to come in which a set-up is shown, and what of its gear cannot be had at their hours."""

from __future__ import annotations

from typing import Any

from server.people.models import Membership

from .gear import gear_conflicts
from .queries import coming_of

MOST = 3


def coming_with(membership: Membership, setup: int) -> list[dict[str, Any]]:
    """The next lessons that show a set-up, each with what is in the way of its own things."""
    lessons = [one for one in coming_of(membership) if any(item["setup"] == setup for item in one.items)]
    return [
        {
            "lesson": one.pk,
            "name": one.name,
            "starts_at": one.starts_at,
            "room": one.room.name if one.room else "",
            "in_the_way": [conflict["words"] for conflict in gear_conflicts(one, setup)],
        }
        for one in lessons[:MOST]
    ]
