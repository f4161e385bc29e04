"""A next set-up begun where one ended, or at a moment of its movement: what stays, as changes of its document."""

from __future__ import annotations

from typing import Any

from ..demonstrations.protocol import Demonstration
from ..errors import OutOfRange, UnknownName
from ..errors import english as cases
from ..nominal import Now
from ..prediction import Stays


def carry_on(demonstration: Demonstration[Any], now: Now[Any], moment: int | None = None) -> tuple[Stays, ...]:
    """What a next set-up begins with; nothing where this one leaves all as it was.

    moment: number of a moment of its timeline from 0, None for its end. Raises a Refusal for a demonstration that begins anew
    each time, and for a moment that is not on the timeline.
    """
    if demonstration.stays is None:
        raise UnknownName("demonstration", cases.BEGINS_ANEW, title=demonstration.guide.title.lower())
    timeline = demonstration.moments(now) if demonstration.moments else None
    count = len(timeline.states) if timeline else 0
    if moment is not None and not 0 <= moment < max(count, 1):
        raise OutOfRange("moment", cases.NO_SUCH_MOMENT, moment=moment, last=max(count - 1, 0))
    state = None if timeline is None else timeline.states[-1 if moment is None else moment]
    return demonstration.stays(now, state)
