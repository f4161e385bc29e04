"""Advice that is tried before it is given: of several changes the first that makes a set-up work."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any, NamedTuple

from ..nominal import Now
from ..quantities.reading import read_quantity


class Change(NamedTuple):
    """An input set to about a value [SI], rounded to two figures as a size that one would fetch: up or down.

    exact: to five figures instead, a number that has to come out.
    """

    path: str
    si: float
    up: bool = True
    exact: bool = False


Changes = tuple[tuple[str, str], ...]
"""What an advice changes: path and quantity as typed."""


def typed(now: Now[Any], changes: Iterable[Change]) -> Changes:
    """Changes as they would be typed, each in the unit and with the tolerance of its field."""
    return tuple((one.path, _typed(now, one, now.inputs.leaves[one.path].kind)) for one in changes)


def _typed(now: Now[Any], one: Change, kind: str) -> str:
    return now.exactly(one.path, kind, one.si) if one.exact else now.as_typed(one.path, kind, one.si, up=one.up)


def first_cure(now: Now[Any], tries: Iterable[Iterable[Change]]) -> Changes | None:
    """The first of several sets of changes with which the set-up works in the middle of its tolerances; None where none does."""
    for changes in tries:
        told = typed(now, changes)
        values = {path: read_quantity(path, text, now.inputs.leaves[path].kind).si for path, text in told}
        if now.state_with(values) == 0:
            return told
    return None
