"""The liquids that have a name."""

from __future__ import annotations

from collections.abc import Mapping

from . import Entry
from .water import WATER

CATALOGUE: Mapping[str, Entry] = {entry.name: entry for entry in (WATER,)}
"""Every catalogue liquid by the name that a set-up file uses."""
