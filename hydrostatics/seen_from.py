"""From how far back a movement is seen."""

from __future__ import annotations

import math
from collections.abc import Mapping
from typing import Any

from .prediction import ESTIMATE, Node, Value

SMALLEST_ANGLE = math.radians(10 / 60)
"""The angle [rad] that a movement must subtend for a class to notice it: 10 minutes of arc, a rule of thumb, common practice."""


def with_seen_from(results: Mapping[str, Node]) -> dict[str, Node]:
    """The results with `seen_from`, the distance [m] at which `effect` subtends 10 minutes of arc; null where there is none."""
    effect = results.get("effect")
    if not isinstance(effect, Value):
        return dict(results)
    distance = abs(effect.si) / (2 * math.tan(SMALLEST_ANGLE / 2))
    return {**results, "seen_from": Value(distance, "height", "seen from up to", effect.exists, estimate=ESTIMATE)}


def too_far(seen_from: Mapping[str, Any] | None, back_row: float) -> str:
    """Advice where the last seats [m] are farther than the movement is seen from; empty where they are not.

    seen_from: the result as the answer tells it, None where nothing moves.
    """
    if not seen_from or not back_row or seen_from["value"] >= back_row:
        return ""
    return (
        f"From the back row, {back_row:.3g} m away, what moves here is hardly seen: it is from up to {seen_from['value']:.2g} m (a rule of thumb). "
        "Make it taller, dye the liquid, let a marker float on it, hold a white card behind it, or set up a lens."
    )
