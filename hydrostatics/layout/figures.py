"""The numbers that a section's lettering needs."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass


@dataclass(frozen=True)
class Figures:
    """What the lettering needs of an answer: results by path as (SI, standard uncertainty, kind, unit), inputs by path as
    (SI, half-width, kind, unit, number as typed), and the room's pressure [Pa]."""

    results: Mapping[str, tuple[float, float, str, str]]
    inputs: Mapping[str, tuple[float, float, str, str, str]]
    room_pressure: float
