"""The words of what a set-up of the receiver cannot be."""

from __future__ import annotations

from ...errors import Case

PUMP_ABOVE_ROOM = Case("pump-above-room", "it is above the room's pressure", "give the lowest pressure that the pump makes, {room} at most")
