"""What an input or a result is called."""

from __future__ import annotations

from functools import lru_cache


@lru_cache(4096)
def numbered(path: str, label: str, group: str = "") -> str:
    """Its label, which item of a list it belongs to, counted from 1, and the group of fields that it stands in, where it does."""
    item = next((key for key in path.split(".") if key.isdigit()), None)
    named = label if item is None else f"{label}, no. {int(item) + 1}"
    return f"{named} ({group[:1].lower()}{group[1:]})" if group else named
