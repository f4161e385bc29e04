"""Bytes to one sound JSON document: duplicate keys, NaN, depth and size are judged here, before anything else sees them."""

from __future__ import annotations

import json
from typing import Any

from ..errors import MalformedDocument
from ..errors import english as cases

LARGEST = 1_000_000
"""Bytes that one document may have."""
DEEPEST = 20
"""Levels of nesting that one document may have."""


class _Twice(dict[str, Any]):
    """An object in which a key stood twice."""

    key: str


class _NotFinite:
    """Stands where NaN or Infinity stood."""


def parse_document(raw: bytes) -> dict[str, Any]:
    """The JSON object in raw bytes.  Raises MalformedDocument, with the path where there is one."""
    if len(raw) > LARGEST:
        raise MalformedDocument("", cases.TOO_LARGE)
    try:
        text = raw.decode("utf-8-sig")
    except UnicodeDecodeError as trouble:
        raise MalformedDocument("", cases.NOT_UTF8, start=trouble.start) from trouble
    if not text.strip():
        raise MalformedDocument("", cases.EMPTY)
    try:
        made = json.loads(text, object_pairs_hook=_object, parse_constant=_not_finite)
    except json.JSONDecodeError as trouble:
        where = f"line {trouble.lineno}, column {trouble.colno}"
        raise MalformedDocument("", cases.NOT_JSON, where=where, msg=trouble.msg) from trouble
    except (RecursionError, ValueError) as trouble:
        if isinstance(trouble, RecursionError):
            raise MalformedDocument("", cases.TOO_DEEP, deepest=DEEPEST) from trouble
        raise MalformedDocument("", cases.ENDLESS_NUMBER) from trouble
    _inspect(made, "", 1)
    if not isinstance(made, dict):
        raise MalformedDocument("", cases.NOT_AN_OBJECT)
    return made


def _object(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    made = dict(pairs)
    if len(made) == len(pairs):
        return made
    seen: set[str] = set()
    twice = _Twice(made)
    twice.key = next(key for key, _ in pairs if key in seen or seen.add(key))  # type: ignore[func-returns-value]
    return twice


def _not_finite(_: str) -> _NotFinite:
    return _NotFinite()


def _inspect(value: Any, path: str, depth: int) -> None:
    if isinstance(value, _NotFinite):
        raise MalformedDocument(path, cases.NOT_FINITE_IN_JSON)
    if not isinstance(value, (dict, list)):
        return
    if depth > DEEPEST:
        raise MalformedDocument("", cases.TOO_DEEP, deepest=DEEPEST)
    if isinstance(value, _Twice):
        raise MalformedDocument(f"{path}.{value.key}".lstrip("."), cases.KEY_TWICE)
    pairs = value.items() if isinstance(value, dict) else enumerate(value)
    for key, item in pairs:
        _inspect(item, f"{path}.{key}".lstrip("."), depth + 1)
