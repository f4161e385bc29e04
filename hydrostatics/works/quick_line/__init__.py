"""The quick line: a quantity in other units, gauge or absolute, a height of one liquid as another, read as people type it."""

from __future__ import annotations

from ...errors import OutOfRange, Refusal, UnreadableQuantity
from ...errors import english as cases
from ...room.derived import Room
from .air import air_at
from .nearest import nearest
from .reading import LONGEST, read_line
from .words import EXAMPLES, plain
from .working import Said, work

__all__ = ["EXAMPLES", "LONGEST", "Said", "quick_line"]


def quick_line(text: str, room: Room) -> Said:
    """Answers one line in a room.

    Raises a Refusal that says what is wrong, and the nearest line that can be read where there is one.
    """
    if len(text) > LONGEST:
        raise UnreadableQuantity("text", cases.LINE_UNREADABLE, typed=text[:60], known="; ".join(EXAMPLES))
    try:
        return air_at(plain(text), room) or work(read_line(text), room)
    except OutOfRange:
        raise
    except Refusal as refusal:
        if close := nearest(text, lambda other: work(read_line(other), room)):
            raise UnreadableQuantity("text", cases.LINE_NEAREST, why=str(refusal.at("")), nearest=close) from refusal
        raise
