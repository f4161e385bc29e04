"""A parsed document with some of its places changed, as advice and what is carried over change them."""

from __future__ import annotations

import json
from collections.abc import Iterable, Mapping
from typing import Any


def with_changes(document: Mapping[str, Any], changes: Iterable[tuple[str, Any]]) -> dict[str, Any]:
    """A copy of a document of JSON values with other values at dotted paths; objects on the way are made."""
    made: dict[str, Any] = json.loads(json.dumps(document))
    for path, value in changes:
        at: Any = made
        keys = path.split(".")
        for key in keys[:-1]:
            at = at[int(key)] if isinstance(at, list) else at.setdefault(key, {})
        at[int(keys[-1]) if isinstance(at, list) else keys[-1]] = value
    return made
