"""The explicit list of demonstrations."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from .barometer import BAROMETER
from .cartesian_diver import CARTESIAN_DIVER
from .communicating_vessels import COMMUNICATING_VESSELS
from .cooling_flask import COOLING_FLASK
from .depth_pressure import DEPTH_PRESSURE
from .holed_bottle import HOLED_BOTTLE
from .hydraulic_press import HYDRAULIC_PRESS
from .inverted_glass import INVERTED_GLASS
from .lifted_column import LIFTED_COLUMN
from .manometer import MANOMETER
from .protocol import Demonstration
from .sealed_manometer import SEALED_MANOMETER
from .siphon import SIPHON
from .suction_cup import SUCTION_CUP
from .suction_lift import SUCTION_LIFT
from .vacuum_receiver import VACUUM_RECEIVER

ALL_DEMONSTRATIONS: list[Demonstration[Any]] = [
    HOLED_BOTTLE,
    INVERTED_GLASS,
    LIFTED_COLUMN,
    BAROMETER,
    SUCTION_LIFT,
    DEPTH_PRESSURE,
    SUCTION_CUP,
    HYDRAULIC_PRESS,
    COOLING_FLASK,
    SIPHON,
    CARTESIAN_DIVER,
    VACUUM_RECEIVER,
    COMMUNICATING_VESSELS,
    SEALED_MANOMETER,
    MANOMETER,
]


def by_key() -> Mapping[str, Demonstration[Any]]:
    """The demonstrations by the key that files use."""
    return {demonstration.key: demonstration for demonstration in ALL_DEMONSTRATIONS}
