"""What of a draining a next one begins with: the surface where it stands."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Stays
from .body import Moment
from .setup import HoledBottle


def stays(now: Now[HoledBottle], moment: Moment | None) -> tuple[Stays, ...]:
    """The surface at a moment, to be read as the first one was."""
    if moment is None or now.setup.refill == "constant-head":
        return ()
    return (Stays("setup.fill_height", now.exactly("setup.fill_height", "length", moment.level), "the surface where it stands then"),)
