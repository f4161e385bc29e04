"""A guide with a set-up's sizes and numbers in it."""

from __future__ import annotations

from typing import Any

from ..nominal import Now
from ..quantities.saying import in_words, shown_unit
from .model import Guide


def prepared(guide: Guide, now: Now[Any]) -> dict[str, Any] | None:
    """The guide with this set-up's sizes and numbers in it; None where the guide tells nothing besides its starts."""
    if guide.prepare is None:
        return None
    made: dict[str, Any] = _filled(guide.prepare.model_dump(mode="json"), now)
    return made


def _filled(node: Any, now: Now[Any]) -> Any:
    if isinstance(node, str):
        return "".join(piece if k % 2 == 0 else _said(piece, now) for k, piece in enumerate(node.replace("}", "{").split("{")))
    if isinstance(node, dict):
        return {key: _filled(value, now) for key, value in node.items()}
    if isinstance(node, list):
        return [_filled(value, now) for value in node]
    return node


def _said(path: str, now: Now[Any]) -> str:
    """A result or an input in words; a choice or a liquid by its name."""
    if path.startswith("results."):
        return now.words(path) if path in now.spread.index and now.value(path) is not None else "what comes out"
    if path == "room.station_pressure":
        return in_words(float(now.room.station_pressure[0]), 0.0, "pressure", "hPa")
    if leaf := now.leaf(path):
        return in_words(leaf.si, 0.0, leaf.kind, shown_unit(leaf.kind, leaf.unit))
    for liquid in now.inputs.liquids:
        if liquid.path == path:
            return liquid.name
    stated = now.stated(path)
    return str(stated) if isinstance(stated, str) else "as measured"
