"""Places of a parsed document by dotted path: what stands there, and the document with other values there."""

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


def stated_at(document: Any, path: str) -> Any:
    """What a document says at a dotted path, None where it is silent."""
    at = document
    for key in path.split("."):
        try:
            at = at[int(key)] if isinstance(at, list) else at[key]
        except (KeyError, IndexError, TypeError, ValueError):
            return None
    return at
