"""A calibrated gauge's own scale as a strip at true scale, to be laid along its lines."""

from __future__ import annotations

from collections.abc import Sequence

from ..aids.protocol import Graduation
from .strips import LONGEST, Mark, Strip


def gauge_strips(graduations: Sequence[Graduation], line: float) -> tuple[Strip, ...]:
    """The strip, none where there is nothing to print or it would be longer than anybody sticks on.

    graduations: of the gauge. line: how far its lines are apart [m].
    """
    if len(graduations) < 2:
        return ()
    rising = sorted(graduations, key=lambda one: one.lines)
    first = min(0.0, rising[0].lines)
    marks = tuple(Mark((one.lines - first) * line, one.words, spread=one.spread * line) for one in rising)
    zero = "0 at the gauge's line 0" if first == 0 else f"0 at {first:.2f} lines"
    made = Strip("Gauge", zero, marks)
    return (made,) if 0 < made.length <= LONGEST else ()
