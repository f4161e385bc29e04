"""The tables that every view needs: units by kind, and what can be known of a liquid."""

from __future__ import annotations

from typing import Any

from hydrostatics.liquids import PROPERTIES
from hydrostatics.quantities.tables import unit_table


def all_tables() -> dict[str, Any]:
    """Units, and the properties of a liquid in the order in which they are told."""
    properties = [{"key": key, "label": one.label, "kind": one.kind, "example": one.example} for key, one in PROPERTIES.items()]
    return {"units": unit_table(), "liquid_properties": properties}
