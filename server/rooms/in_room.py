"""What a set-up takes from the room in use: the keys that it does not state.  One function, for every prediction."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any

from django.utils import timezone

from hydrostatics.quantities.reading import read_quantity
from hydrostatics.room.merging import taken_from
from hydrostatics.room.stated import PRESSURES
from hydrostatics.seen_from import too_far
from server.people.models import Membership

from .live import air_in, stated_now
from .models import Room
from .queries import room_for_person, room_of

OLD = timedelta(hours=3)
"""A pressure that stands for longer is called old."""


@dataclass(frozen=True)
class Taken:
    """A document with what it took from a room, in words; cautions about it; how far the last seats are [m], 0 where not stated."""

    document: Mapping[str, Any]
    how: tuple[str, ...] = ()
    cautions: tuple[str, ...] = ()
    back_row: float = 0.0

    def told_in(self, answer: dict[str, Any]) -> dict[str, Any]:
        """The answer with where its room came from, and what helps the last seats."""
        if advice := too_far(answer["results"].get("seen_from"), self.back_row):
            verdict = answer["verdict"]
            answer["verdict"] = {**verdict, **{key: [*verdict[key], one] for key, one in (("advice", advice), ("changes", None), ("buttons", ""))}}
        answer["room"]["how"] = [*answer["room"]["how"], *self.how]
        answer["cautions"] = [*self.cautions, *answer["cautions"]]
        return answer


def is_old(pressure_at: datetime | None) -> bool:
    """Whether a pressure stands for more than three hours."""
    return pressure_at is not None and timezone.now() - pressure_at > OLD


def merged(document: Mapping[str, Any], room: Room | None) -> Taken:
    """The document with the room's keys where it is silent, and what is to be said of that."""
    here = document.get("room", {})
    if room is None or not isinstance(here, dict):
        return Taken(document)
    back_row = read_quantity("back_row", room.back_row, "height").si if room.back_row else 0.0
    air = air_in(room)
    taken = taken_from(stated_now(room), here)
    if not taken:
        return Taken(document, back_row=back_row)
    how = [f"taken from the room “{room.name}”: {', '.join(key.replace('_', ' ') for key in taken)}"]
    cautions = []
    if any(key in taken for key in PRESSURES) and not air.typed and air.since:
        how.append(f"its pressure is that of “{air.source}”, {(timezone.now() - air.since).total_seconds():.0f} s old")
    elif any(key in taken for key in PRESSURES) and is_old(room.pressure_at) and room.pressure_at:
        hours = (timezone.now() - room.pressure_at).total_seconds() / 3600
        how.append(f"that pressure is old: it stands since {hours:.0f} h")
        cautions.append(f"The room's pressure is {hours:.0f} h old: read it again before the class.")
    return Taken({**document, "room": {**taken, **here}}, tuple(how), tuple(cautions), back_row)


def in_use(membership: Membership, shown: int | None = None) -> Room | None:
    """The room that stood on the screen, where one is named, else the one that a member has in use.

    What is kept is then what was seen, though another window has switched rooms since. Raises NotFoundError for another department's.
    """
    if shown:
        return room_of(membership, shown)
    return membership.room if membership.room and membership.room.archived_at is None else None


def room_for(person: Any, department: str, room: int) -> Room | None:
    """The room that a prediction is asked for in; None where none is named.  Raises NotFoundError for another department's."""
    return room_for_person(person, department, room) if department and room else None
