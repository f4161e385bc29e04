"""The nearest line that can be read to one that cannot: words that are nearly known, or less of it."""

from __future__ import annotations

import re
from collections.abc import Callable
from difflib import get_close_matches

from ...errors import Refusal
from ...liquids.catalogue import catalogue
from ...quantities.kinds import KINDS
from .reading import BETWEEN, OF
from .words import LIQUIDS, UNITS, first_size, one_meaning

CLOSE = 0.65
"""How alike two words are at least, by difflib's measure, for one to be taken for the other."""


def nearest(text: str, answered: Callable[[str], object]) -> str:
    """A line near one that was refused that is answered; empty where none is found."""
    for other in _others(text):
        if other == text:
            continue
        try:
            answered(other)
        except Refusal:
            continue
        return other
    return ""


def _others(text: str) -> list[str]:
    words = " ".join(text.split()).rstrip(" ?").split(" ")
    known = {*UNITS, *LIQUIDS, *catalogue(), *BETWEEN, *OF, "of", "here", *(unit for kind in KINDS.values() for unit in kind.units)}
    spelled = {word for name in known for word in name.split()}
    close = [_close(word, spelled) for word in words]
    lines = [" ".join(close)]
    lines += [re.sub(r"(?<=\d),(?=\d{3}\b)", "", line) for line in (*lines, text)]
    lines += [" ".join(close[: len(close) - cut]) for cut in (1, 2, 3) if len(close) - cut >= 2]
    return lines


def _close(word: str, spelled: set[str]) -> str:
    bare = word.strip(",")
    if apart := (one_meaning(bare) or first_size(bare)):
        return word.replace(bare, apart)
    if not bare.isalpha() or bare in spelled or bare.lower() in spelled:
        return word
    return word.replace(bare, next(iter(get_close_matches(bare.lower(), spelled, 1, CLOSE)), bare))
