"""What of a pouring a next one begins with: what has not run over."""

from __future__ import annotations

from typing import Any

from ...nominal import Now
from ...prediction import Stays
from .predict import OVER
from .setup import CommunicatingVessels

FIGURES = 5e-4
"""Half a step of the four figures that a quantity is typed with: so much less, and none of it is rounded over the rim."""


def stays(now: Now[CommunicatingVessels], moment: Any) -> tuple[Stays, ...]:
    """The liquid that stays in, once the rest has run over the lowest rim; at whatever moment of the swing."""
    most = now.value("results.max_pour")
    if now.code("behaviour") != OVER or most is None:
        return ()
    kept = most * (1 - FIGURES)
    return (Stays("setup.poured_volume", now.exactly("setup.poured_volume", "volume", kept), "what did not run over"),)
