"""The unit table for display, exported to the screens so that no factor is written twice."""

from __future__ import annotations

from typing import Any

from .kinds import KINDS
from .saying import printed_unit, scale_of


def unit_table() -> dict[str, list[dict[str, Any]]]:
    """Units offered for each kind, the default first: SI = factor * number + offset."""
    made = {}
    for kind, entry in KINDS.items():
        rows = []
        for text in entry.units:
            factor, offset = scale_of(text, kind)
            rows.append({"unit": text, "printed": printed_unit(text), "factor": factor, "offset": offset})
        made[kind] = rows
    return made
