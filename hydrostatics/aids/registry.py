"""The explicit list of measuring aids."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from .bore_by_filling import BORE_BY_FILLING
from .cup_air_left import CUP_AIR_LEFT
from .density import DENSITY_BY_FLOATING, DENSITY_BY_WEIGHING
from .draining import COEFFICIENT_BY_DRAINING, HOLE_BY_DRAINING
from .gauge_calibration import GAUGE_CALIBRATION
from .gauge_zero import GAUGE_ZERO
from .length_over_stack import LENGTH_OVER_STACK
from .mouth_pressure import MOUTH_PRESSURE
from .profile_by_pouring import PROFILE_BY_POURING
from .protocol import Aid
from .receiver import LEAK_BY_RISE, PUMP_BY_TIMING
from .volume_by_hanging import VOLUME_BY_HANGING
from .volume_by_weighing import VOLUME_BY_WEIGHING

ALL_AIDS: list[Aid[Any]] = [
    BORE_BY_FILLING,
    VOLUME_BY_WEIGHING,
    PROFILE_BY_POURING,
    COEFFICIENT_BY_DRAINING,
    HOLE_BY_DRAINING,
    DENSITY_BY_WEIGHING,
    DENSITY_BY_FLOATING,
    LENGTH_OVER_STACK,
    GAUGE_CALIBRATION,
    GAUGE_ZERO,
    MOUTH_PRESSURE,
    VOLUME_BY_HANGING,
    PUMP_BY_TIMING,
    LEAK_BY_RISE,
    CUP_AIR_LEFT,
]
"""Every measuring aid, in the order of the contract."""


def aids_by_key() -> Mapping[str, Aid[Any]]:
    """The aids by their name in files."""
    return {one.key: one for one in ALL_AIDS}
