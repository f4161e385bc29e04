"""A quantity as a person writes it, text or object, to SI value and half-width."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from ..errors import OutOfRange, Refusal, UnreadableQuantity, WrongKind
from ..errors import english as cases
from .kinds import KINDS
from .units import UnreadableUnit, dimensions_of_kind, noun_of, unit

_NUMBER = r"[+-]?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?"
_QUANTITY = re.compile(rf"\s*(?P<number>{_NUMBER})(?:\s*(?:\+/-|±)\s*(?P<tolerance>{_NUMBER}))?(?P<unit>(?:\s+|(?=[^\s\d.,+\-_]))[^\d\s].*|\s*)\Z", re.S)
LONGEST = 200
"""Characters of a quantity that are read, and remembered."""
_COMMA = re.compile(r"\s*[+-]?\d+,\d")
_NOT_A_NUMBER = re.compile(r"\s*[+-]?(nan|inf|infinity)\b", re.I)


@dataclass(frozen=True)
class Quantity:
    """One measured or given value: SI value, half-width of its tolerance in SI (0 where none), and how it was typed."""

    si: float
    half_width: float
    number: str
    unit: str


def read_quantity(path: str, given: Any, kind: str) -> Quantity:
    """Reads text, an object, or (for plain numbers alone) a bare JSON number.

    path: where it stands, for refusals. given: the JSON value. kind: a key of KINDS.
    Raises UnreadableQuantity, WrongKind or OutOfRange, each with its remedy.
    """
    example = f"for example {KINDS[kind].example}"
    if isinstance(given, dict):
        return _read_object(path, given, kind, example)
    if isinstance(given, (int, float)) and not isinstance(given, bool):
        if KINDS[kind].si != "1":
            raise UnreadableQuantity(path, cases.BARE_NUMBER, given=given, example=example)
        return _checked(path, _finite(path, given), 0.0, str(given), "", kind)
    if not isinstance(given, str):
        raise WrongKind(path, cases.QUANTITY_NEEDED, given=_named(given), noun=KINDS[kind].noun, example=example)
    if len(given) > LONGEST:
        raise UnreadableQuantity(path, cases.TOO_LONG, most=LONGEST)
    try:
        return _read_known(given, kind)
    except Refusal as refusal:
        raise refusal.at(path) from None


@lru_cache(maxsize=4096)
def _read_known(text: str, kind: str) -> Quantity:
    """A text's reading, kept: while a handle is dragged all the others stay."""
    return _read_text("", text, kind, f"for example {KINDS[kind].example}")


def _read_text(path: str, text: str, kind: str, example: str) -> Quantity:
    shown = text if len(text) <= 60 else text[:57] + "..."
    if not text.strip():
        raise UnreadableQuantity(path, cases.NOTHING_TYPED, example=example)
    if _COMMA.match(text):
        raise UnreadableQuantity(path, cases.DECIMAL_COMMA, shown=shown, example=example)
    if _NOT_A_NUMBER.match(text):
        raise UnreadableQuantity(path, cases.NOT_FINITE_AS_TEXT, shown=shown, example=example)
    found = _QUANTITY.match(text)
    if not found:
        raise UnreadableQuantity(path, cases.NOT_A_QUANTITY, shown=shown, example=example)
    tolerance = found["tolerance"]
    return _checked(
        path,
        _finite(path, found["number"]),
        0.0 if tolerance is None else _finite(path, tolerance),
        found["number"],
        found["unit"].strip(),
        kind,
    )


def _read_object(path: str, given: dict[str, Any], kind: str, example: str) -> Quantity:
    for key in given:
        if key not in ("value", "unit", "tolerance"):
            raise UnreadableQuantity(f"{path}.{key}", cases.NOT_PART_OF_A_QUANTITY, key=key)
    value, tolerance, unit_text = given.get("value"), given.get("tolerance", 0), given.get("unit", "")
    for key, number in (("value", value), ("tolerance", tolerance)):
        if isinstance(number, bool) or not isinstance(number, (int, float)):
            raise UnreadableQuantity(path, cases.NOT_PLAIN_NUMBERS, key=key, given=_named(number), example=example)
    if not isinstance(unit_text, str):
        raise UnreadableQuantity(path, cases.UNIT_NOT_TEXT, given=_named(unit_text), example=example)
    assert isinstance(value, (int, float))
    return _checked(path, _finite(path, value), _finite(path, tolerance), str(value), unit_text.strip(), kind)


def _checked(path: str, number: float, tolerance: float, typed: str, unit_text: str, kind: str) -> Quantity:
    if tolerance < 0:
        raise OutOfRange(path, cases.TOLERANCE_BELOW_ZERO)
    try:
        factor, offset = _scale(unit_text, kind)
    except UnreadableUnit as trouble:
        raise UnreadableQuantity(path, cases.UNIT_UNREADABLE, why=str(trouble), noun=KINDS[kind].noun, example=KINDS[kind].example) from trouble
    except LookupError as trouble:
        example = f"{KINDS[kind].noun} is needed, for example {KINDS[kind].example}"
        if not unit_text:
            raise UnreadableQuantity(path, cases.NO_UNIT, typed=typed, example=example) from trouble
        raise WrongKind(path, cases.WRONG_KIND, typed=typed, unit_text=unit_text, noun=trouble.args[0], example=example) from trouble
    return Quantity(_finite(path, number * factor + offset), _finite(path, tolerance * factor), typed, unit_text)


@lru_cache(maxsize=1024)
def _scale(unit_text: str, kind: str) -> tuple[float, float]:
    """Factor and offset of a unit for a kind.  Raises UnreadableUnit, or LookupError with the noun of what was given."""
    if KINDS[kind].si == "1":
        if unit_text == "":
            return 1.0, 0.0
        found = unit(unit_text)
        if found.dimensions != "1" or (unit_text != "%" and "/" not in unit_text):
            raise LookupError(noun_of(found.dimensions))
        return found.factor, 0.0
    if unit_text == "":
        raise LookupError("a plain number")
    found = unit(unit_text)
    if found.dimensions != dimensions_of_kind(kind):
        raise LookupError(noun_of(found.dimensions))
    if found.offset and kind == "temperature difference":
        raise UnreadableUnit(f"'{unit_text}' is a point on a scale, not a difference; write K")
    return found.factor, found.offset


def _finite(path: str, number: str | float) -> float:
    try:
        value = float(number)
    except OverflowError:
        value = math.inf
    if not math.isfinite(value):
        raise UnreadableQuantity(path, cases.NOT_FINITE)
    return value


def _named(given: Any) -> str:
    if given is None:
        return "null"
    if isinstance(given, bool):
        return "a yes or no"
    names: dict[type, str] = {list: "a list", dict: "an object", str: "a text"}
    return names.get(type(given), "a number")


def describe(given: Any) -> str:
    """What a JSON value is, in words, for refusals."""
    return _named(given)
