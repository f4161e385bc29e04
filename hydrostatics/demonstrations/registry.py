"""The explicit list of demonstrations."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from .holed_bottle import HOLED_BOTTLE
from .protocol import Demonstration

ALL_DEMONSTRATIONS: list[Demonstration[Any]] = [HOLED_BOTTLE]


def by_key() -> Mapping[str, Demonstration[Any]]:
    """The demonstrations by the key that files use."""
    return {demonstration.key: demonstration for demonstration in ALL_DEMONSTRATIONS}
