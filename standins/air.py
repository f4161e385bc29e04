"""The invented air that both stand-ins measure: a front passes every two days."""

from __future__ import annotations

import math

MEAN, SWING, PERIOD = 94_160.0, 900.0, 172_800.0
"""Pressure at the bench [Pa], how far a front takes it down, and every so many seconds one passes."""


def station_pressure(at: float) -> float:
    """Pressure at the bench [Pa] at a time [s]: a slow fall before the front, a quick rise after it, a daily wave."""
    phase = (at % PERIOD) / PERIOD
    front = phase / 0.7 if phase < 0.7 else (1 - phase) / 0.3
    return MEAN + SWING * (0.5 - front) + 60.0 * math.sin(2 * math.pi * at / 43_200.0)


def temperature(at: float) -> float:
    """Temperature of the room [degC] at a time [s]."""
    return 17.5 + 1.5 * math.sin(2 * math.pi * (at / 86_400.0 - 0.4))
