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


EQUIVALENTS = ("Pa", "kPa", "hPa", "mbar", "bar", "psi", "atm", "mmHg", "cmHg", "inHg", "mmH2O", "mH2O", "ftH2O", "torr")
"""The units in which a gauge pressure is told beside its own, conventional units of [SP811]."""


def pressure_in_every_unit(pressure: float) -> dict[str, float]:
    """A pressure [Pa] as plain numbers in every unit of the trade."""
    return {unit: pressure / scale_of(unit, "pressure")[0] for unit in EQUIVALENTS}
