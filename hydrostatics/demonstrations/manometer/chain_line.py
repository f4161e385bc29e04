"""A chain of legs typed or pasted as one line: water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm."""

from __future__ import annotations

import re
from typing import Any

from ...errors import Refusal, UnknownName, UnreadableQuantity
from ...liquids.catalogue import catalogue
from ...quantities.reading import read_quantity
from ...quantities.typed import read_typed
from ...quantities.units import UnreadableUnit
from . import refusals

_PIECE = re.compile(r"(?P<liquid>.+?)\s+(?P<way>down|up|level)\b\s*(?P<height>.*)", re.I | re.S)
_NAMED = re.compile(
    r"(?P<name>.*?)\s*(?:of\s+)?(?:(?:relative density|specific gravity|s\.?g\.?|density)\s*)?(?P<number>\d[\d.,]*(?:[eE][+-]?\d+)?)\s*(?P<unit>[^\d\s].*)?",
    re.I,
)
WATER = 1000.0
"""Density [kg/m^3] that a relative density is a part of, as the trade reckons it."""
_WEIGHTS = ("N/m^3", "N/m³", "kN/m^3", "kN/m³")


def read_chain(text: str, gravity: float) -> list[dict[str, Any]]:
    """Legs as a set-up file has them, from one line; pieces are separated by semicolons, commas before a word, or new lines.

    gravity: the room's [m/s^2], by which a weight per volume is turned into a density. Raises a Refusal whose path is the piece's place in the list.
    """
    pieces = [piece.strip(" .") for piece in re.split(r";|\n|,(?=\s*[A-Za-z])|\bthen\b", text) if piece.strip(" .")]
    if not pieces:
        raise UnreadableQuantity("setup.legs", refusals.EMPTY_CHAIN)
    return [_leg(f"setup.legs.{i}", piece, gravity) for i, piece in enumerate(pieces)]


def _leg(path: str, piece: str, gravity: float) -> dict[str, Any]:
    found = _PIECE.fullmatch(piece)
    if found is None:
        case = refusals.NO_DIRECTION if re.search(r"\d", piece) else refusals.BAD_PIECE
        raise UnreadableQuantity(path, case, piece=piece[:60])
    height = found["height"].strip() or "0 cm"
    if height.lower() in ("?", "unknown", "wanted"):
        return {"liquid": _liquid(path, found["liquid"].strip(), gravity), "drop": "unknown"}
    try:
        told = read_typed(f"{path}.drop", height, "length", "").quantity
        read_quantity(f"{path}.drop", told, "length")
    except Refusal as refusal:
        raise UnreadableQuantity(f"{path}.drop", refusals.NOT_A_LENGTH, length=height[:40], why=refusal.message) from None
    drop = f"-{told.lstrip('+')}" if found["way"].lower() == "up" and not told.startswith("-") else told.lstrip("-") if found["way"].lower() == "up" else told
    return {"liquid": _liquid(path, found["liquid"].strip(), gravity), "drop": drop}


def _liquid(path: str, words: str, gravity: float) -> Any:
    """A catalogue liquid by its name, or an object with a density from a relative density, a density or a weight per volume."""
    plain = " ".join(words.split()).lower()
    if plain in catalogue():
        return plain
    found = _NAMED.fullmatch(" ".join(words.split()))
    if found is None:
        raise UnknownName(f"{path}.liquid", refusals.LIQUID_UNKNOWN_HERE, name=words[:40])
    number, unit = float(found["number"].replace(",", ".")), (found["unit"] or "").strip()
    if not unit:
        return {"density": f"{number * WATER:.6g} kg/m^3"}
    if unit in _WEIGHTS:
        weight = number * (1000 if unit.startswith("k") else 1)
        return {"density": f"{weight / gravity:.6g} kg/m^3"}
    try:
        density = read_quantity(f"{path}.liquid.density", f"{number:g} {unit}", "density")
    except (Refusal, UnreadableUnit):
        raise UnknownName(f"{path}.liquid", refusals.LIQUID_UNKNOWN_HERE, name=words[:40]) from None
    return {"density": f"{density.number} {density.unit}"}
