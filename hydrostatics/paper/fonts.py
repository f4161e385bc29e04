"""Widths of lettering in the shipped fonts."""

from __future__ import annotations

import json
from collections.abc import Mapping
from functools import cache, lru_cache
from importlib.resources import files

_ELSEWHERE = 560
"""Width of a character that the fonts lack and a fallback sets, in thousandths; a thin space is 200."""


@cache
def _tables() -> Mapping[str, Mapping[str, int]]:
    made: Mapping[str, Mapping[str, int]] = json.loads(files(__package__).joinpath("font_widths.json").read_text("utf-8"))
    return made


@lru_cache(maxsize=8192)
def text_width(text: str, size: float, weight: int = 400, face: str = "measure") -> float:
    """Width of a line of lettering.

    text: the line. size: in paper units. weight: 400 or 600. face: measure or sentence. Returns paper units.
    """
    table = _tables()[f"{face}-{weight}"]
    return size * sum(200 if c == "\u202f" else table.get(c, _ELSEWHERE) for c in text) / 1000
