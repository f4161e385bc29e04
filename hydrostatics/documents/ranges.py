"""Physical ranges of inputs, and how a refusal says what is needed."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ..errors import OutOfRange
from ..quantities.kinds import KINDS
from ..quantities.reading import Quantity

PROPERTY_RANGE: dict[str, dict[str, Any]] = {
    "density": {"x-gt": 0.0, "x-le": 50_000.0},
    "vapour_pressure": {"x-ge": 0.0},
    "surface_tension": {"x-gt": 0.0, "x-le": 10.0},
    "viscosity": {"x-gt": 0.0},
    "contact_angle": {"x-ge": 0.0, "x-le": 3.141592653589793},
}
"""Of a liquid's properties [SI]."""


def needed(extra: dict[str, Any]) -> str:
    """What belongs in a field, for a refusal."""
    kind = extra.get("x-kind")
    if kind and extra["x-field"] != "list":
        return f"{KINDS[kind].noun} is needed, for example {KINDS[kind].example}"
    return {"liquid": "a liquid is needed, for example water", "list": f"a list of {extra.get('x-item', 'item')}s is needed"}.get(
        extra["x-field"], f"{extra['x-label']} is needed"
    )


def in_range(path: str, found: Quantity, extra: Mapping[str, Any]) -> None:
    """Raises OutOfRange where a value leaves the range that its field states."""
    si = found.si
    if (bound := extra.get("x-gt")) is not None and si <= bound:
        words = "above"
    elif (bound := extra.get("x-ge")) is not None and si < bound:
        words = "not below"
    elif (bound := extra.get("x-lt")) is not None and si >= bound:
        words = "below"
    elif (bound := extra.get("x-le")) is not None and si > bound:
        words = "not above"
    else:
        return
    raise OutOfRange(path, f"{found.number} {found.unit}".strip() + " is out of range", f"it must be {words} {_bound(bound, extra['x-kind'])}")


def _bound(bound: float, kind: str) -> str:
    if kind == "fraction":
        return f"{bound:g}; 50 % is written '50 %' or 0.5"
    if kind == "temperature":
        return f"{bound - 273.15:.6g} degC"
    if kind == "angle":
        return f"{bound * 57.29577951308232:.4g} deg"
    return f"{bound:g} {KINDS[kind].si}".removesuffix(" 1")
