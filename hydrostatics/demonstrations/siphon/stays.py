"""What of a siphon's running a next one begins with: both vessels as they stand."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Stays
from .section import Moment
from .setup import Siphon


def stays(now: Now[Siphon], moment: Moment | None) -> tuple[Stays, ...]:
    """Heights above and below the upper surface, which has sunk, and below which the hose's mouth now dips less."""
    s = now.setup
    if moment is None or moment.sunk <= 0 or s.draw_depth is None or s.upper_area is None:
        return ()
    risen = 0.0 if s.lower_area is None else float(s.upper_area[0] / s.lower_area[0])
    now_at = {
        "crest": (float(s.crest[0]) + moment.sunk, "the crest, now higher above the upper surface"),
        "drop": (float(s.drop[0]) - moment.sunk * (1 + risen), "the outlet, now less far below it"),
        "draw_depth": (max(float(s.draw_depth[0]) - moment.sunk, 0.0), "what is left to draw"),
    }
    return tuple(Stays(f"setup.{key}", now.exactly(f"setup.{key}", "length", si), words) for key, (si, words) in now_at.items())
