"""A guide with a set-up's sizes and numbers in it."""

from __future__ import annotations

from typing import Any

from ..nominal import Now
from ..quantities.saying import in_words, listed, shown_unit
from .cases import Cases
from .model import Guide, Prepare
from .reading import read_computed_only

_FIRST = ("do", "answer", "what", "who")
"""The key by which an entry of a list stands or falls."""


def prepared(guide: Guide, now: Now[Any], *parts: str) -> dict[str, Any] | None:
    """The guide with this set-up's sizes, numbers and cases; None where the guide tells nothing besides its starts.

    parts: the fields of Prepare that are wanted, all of them where none is named. What is computed only is never fetched, filled or cleared
    away: its own steps stand in their place.
    """
    if guide.prepare is None:
        return None
    told = _computed_only(guide.prepare) if any(one.entry and one.entry.computed_only for one in now.inputs.liquids) else guide.prepare
    made: dict[str, Any] = _filled(told.model_dump(mode="json", include=set(parts) or None), Cases(now))
    return made


def _computed_only(prepare: Prepare) -> Prepare:
    return prepare.model_copy(update=dict(read_computed_only()))


def _filled(node: Any, cases: Cases) -> Any:
    if isinstance(node, str):
        text = cases.lines(node)
        return "".join(piece if k % 2 == 0 else _said(piece, cases.now) for k, piece in enumerate(text.replace("}", "{").split("{")))
    if isinstance(node, dict):
        return {key: _filled(value, cases) for key, value in node.items()}
    if isinstance(node, list):
        return [made for made in (_filled(value, cases) for value in node) if _stands(made)]
    return node


def _stands(made: Any) -> bool:
    """Whether an entry of a list has something to say in this case."""
    if isinstance(made, dict):
        return all(made[key] != "" for key in _FIRST if key in made)
    return bool(made != "")


def _said(path: str, now: Now[Any]) -> str:
    """A result or an input in words; a choice or a liquid by its name."""
    if path.startswith("results."):
        return now.words(path) if path in now.spread.index and now.value(path) is not None else "what comes out"
    if path == "computed-only":
        return listed(list(dict.fromkeys(liquid.name for liquid in now.inputs.liquids if liquid.entry and liquid.entry.computed_only)))
    if path == "room.station_pressure":
        return in_words(float(now.room.station_pressure[0]), 0.0, "pressure", "hPa")
    if leaf := now.leaf(path):
        return in_words(leaf.si, 0.0, leaf.kind, shown_unit(leaf.kind, leaf.unit))
    for liquid in now.inputs.liquids:
        if liquid.path == path:
            return liquid.name
    stated = now.stated(path)
    return str(stated) if isinstance(stated, str) else "as measured"
