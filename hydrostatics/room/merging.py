"""What a set-up takes from a room in use: the keys on which it is silent."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from .stated import GRAVITY, PLACE, PRESSURES


def taken_from(stated: Mapping[str, Any], here: Mapping[str, Any]) -> dict[str, Any]:
    """The keys that a set-up takes from a room.

    stated: of the room in use. here: of the set-up's own room. What the set-up states wins: a pressure or an elevation of its
    own leaves the room's pressure out, and what that was worked out from; a gravity or a latitude leaves the room's out.
    """
    taken = {key: value for key, value in stated.items() if key not in here}
    if any(key in here for key in (*PRESSURES, "elevation")):
        left_out = (*PRESSURES, *PLACE) if "elevation" in here or "station_pressure" not in here else PRESSURES
        taken = {key: value for key, value in taken.items() if key not in left_out}
    if any(key in here for key in GRAVITY):
        taken = {key: value for key, value in taken.items() if key not in GRAVITY}
    return taken
