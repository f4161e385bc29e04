"""What people type into a form, written as the set-up file writes it: decimal commas, bare numbers, fractions, tolerances in per cent.

Files and the command line stay strict; a form shows what was understood before it is kept.
"""

from __future__ import annotations

import re
from dataclasses import dataclass
from fractions import Fraction

from ..errors import UnreadableQuantity
from ..errors import english as cases
from .kinds import KINDS
from .reading import LONGEST, read_quantity
from .saying import scale_of
from .units import UnreadableUnit

_BLANK = str.maketrans({"\u00a0": " ", "\u202f": " ", "\u2009": " ", "\u2212": "-", "\u2013": "-", "½": " 1/2", "¼": " 1/4", "¾": " 3/4", "⁄": "/"})
_DECIMAL = r"\d+(?:[.,]\d+)?(?:[eE][+-]?\d+)?|[.,]\d+"
_NUMBER = rf"(?:[+-]?\d+ +\d+/\d+|[+-]?\d+/\d+|[+-]?(?:{_DECIMAL}))"
_PLUS_MINUS = re.compile(r"\+ ?/? ?-|±")
_TYPED = re.compile(
    rf"(?P<number>{_NUMBER})(?:\((?P<last>\d+)\))? *(?P<unit>[^\s\d±+(][^±+]*?)? *"
    rf"(?:± *(?P<tolerance>{_NUMBER}) *(?P<percent>%)? *(?P<its>[^\s\d%±+(][^±+]*?)?)? *\Z"
)


@dataclass(frozen=True)
class Typed:
    """quantity: as the set-up file writes it. offered: whether its unit is the one that the field shows, so that a person takes it first."""

    quantity: str
    offered: bool


def read_typed(path: str, text: str, kind: str, shown: str) -> Typed:
    """Reads one quantity as a person types it into a field.

    path: of the field, for refusals. kind: a key of KINDS. shown: the unit that the field shows, for a number without one.
    Raises a Refusal that names the field and the remedy.
    """
    if len(text) > LONGEST:
        raise UnreadableQuantity(path, cases.TOO_LONG, most=LONGEST)
    plain = _PLUS_MINUS.sub("±", " ".join(text.translate(_BLANK).split()))
    found = _TYPED.match(plain)
    if found is None:
        read_quantity(path, text, kind)  # refuses, in the words of what is wrong with it
        return Typed(text.strip(), False)
    unit, its = (found["unit"] or "").strip(), (found["its"] or "").strip()
    if (its and not unit and not found["percent"]) or (its and found["percent"] and not unit):
        unit, its = its, ""
    plain_kind = KINDS[kind].si == "1"
    offered = not unit and not plain_kind and bool(shown)
    unit = shown if offered else unit
    number = _decimal(found["number"])
    tolerance = _tolerance(path, found, number, unit, its, kind)
    if plain_kind and found["percent"] and not unit:
        unit = "%"  # 50 ± 5 %: both are hundredths
        tolerance = _decimal(found["tolerance"])
    quantity = f"{number}{f' +/- {tolerance}' if tolerance else ''} {unit}".strip()
    read_quantity(path, quantity, kind)
    return Typed(quantity, offered)


def _tolerance(path: str, found: re.Match[str], number: str, unit: str, its: str, kind: str) -> str:
    """The half-width in the value's unit: a percentage is one of the value, last digits in brackets count from the last decimal."""
    if found["last"]:
        places = len(number.partition(".")[2])
        return _shortest(int(found["last"]) / 10**places)
    if found["tolerance"] is None:
        return ""
    tolerance = _decimal(found["tolerance"])
    if found["percent"]:
        return _shortest(abs(float(number)) * float(tolerance) / 100)
    if not its or its == unit:
        return tolerance
    try:
        factor = scale_of(its, kind)[0] / scale_of(unit, kind)[0]
    except (UnreadableUnit, LookupError):
        read_quantity(path, f"{tolerance} {its}", kind)
        read_quantity(path, f"{number} {unit}", kind)
        raise
    return _shortest(float(tolerance) * factor)


def _decimal(text: str) -> str:
    """A number as the set-up file writes it: a decimal point, no fraction, no leading point."""
    sign, body = ("-", text[1:]) if text.startswith("-") else ("", text.removeprefix("+"))
    if "/" in body:
        try:
            return sign + _shortest(float(sum(Fraction(part) for part in body.split())))
        except ZeroDivisionError:
            return text
    body = body.replace(",", ".")
    body = f"0{body}" if body.startswith(".") else body
    whole = re.match(r"0+(?=\d)", body)
    return sign + (body[whole.end() :] if whole else body)


def _shortest(value: float) -> str:
    return f"{value:.6g}"
