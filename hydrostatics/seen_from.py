"""From how far back a movement is seen."""

from __future__ import annotations

import math
from collections.abc import Mapping

from .prediction import Node, Value

SMALLEST_ANGLE = math.radians(10 / 60)
"""The angle [rad] that a movement must subtend for a class to notice it: 10 minutes of arc, a rule of thumb, common practice."""


def with_seen_from(results: Mapping[str, Node]) -> dict[str, Node]:
    """The results with `seen_from`, the distance [m] at which `effect` subtends 10 minutes of arc; null where there is none."""
    effect = results.get("effect")
    if not isinstance(effect, Value):
        return dict(results)
    distance = abs(effect.si) / (2 * math.tan(SMALLEST_ANGLE / 2))
    return {**results, "seen_from": Value(distance, "height", "seen from up to", effect.exists)}
