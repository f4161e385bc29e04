"""What of a cooling a next one begins with: a flask at the temperature that it has come to."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Stays
from .section import Moment
from .setup import CoolingFlask


def stays(now: Now[CoolingFlask], moment: Moment | None) -> tuple[Stays, ...]:
    """The gas at its temperature then, once the room's air was let in and the flask closed again."""
    if moment is None:
        return ()
    typed = now.exactly("setup.hot_temperature", "temperature", moment.temperature)
    return (Stays("setup.hot_temperature", typed, "opened at the temperature it has then, and closed again"),)
