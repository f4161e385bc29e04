"""Physical ranges of inputs, and how a refusal says what is needed."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ..errors import OutOfRange
from ..errors import english as cases
from ..quantities.kinds import KINDS
from ..quantities.reading import Quantity
from ..quantities.saying import typed_text

MOST = 1e30
"""No quantity that is measured is larger, or smaller than one over it, in SI: beyond, numbers overflow before they mean anything."""


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
    if max(abs(si), found.half_width) > MOST or 0 < abs(si) < 1 / MOST:
        raise OutOfRange(
            path, cases.NOTHING_SO_LARGE if abs(si) > 1 or found.half_width > 1 else cases.NOTHING_SO_SMALL, value=f"{found.number} {found.unit}".strip()
        )
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
    raise OutOfRange(
        path,
        cases.OUT_OF_RANGE,
        si=si,
        bound=bound,
        kind=extra["x-kind"],
        value=f"{found.number} {found.unit}".strip(),
        relation=words,
        limit=_bound(bound, extra["x-kind"]),
    )


def _bound(bound: float, kind: str) -> str:
    if kind == "fraction":
        return f"{bound:g}; 50 % is written '50 %' or 0.5"
    unit = KINDS[kind].units[0] if kind in ("temperature", "angle") else KINDS[kind].si.removeprefix("1")
    return typed_text(bound, 0.0, kind, unit)
