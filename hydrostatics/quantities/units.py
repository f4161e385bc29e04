"""Unit text to a factor: spelling rules of the set-up file here, the meaning of a unit from pint alone."""

from __future__ import annotations

import re
import sys
from collections.abc import Mapping
from dataclasses import dataclass
from functools import cache, lru_cache
from pathlib import Path
from typing import TYPE_CHECKING, Any

from .kinds import KINDS

if TYPE_CHECKING:
    from pint import UnitRegistry


class UnreadableUnit(ValueError):
    """Unit text that is not evaluated; the message says why and what to write."""


@dataclass(frozen=True)
class Unit:
    """A unit as typed: SI value = factor * number + offset (offset for points on a temperature scale only)."""

    text: str
    factor: float
    offset: float
    dimensions: str


_ALLOWED = re.compile(r"[^\W_]*(?:[^\W_]|[ %°µμ²³⁻¹·*/^.\-])*\Z")
_TERM = re.compile(r"(?:1|(?P<name>[^\W\d_%][^\W_]*|°[CF]?|%))(?:(?:\^|\*\*)-?\d{1,2}(?!\d))?")
_JOIN = re.compile(r"\s*[*/]\s*|\s+")
_COLUMN = re.compile(r"\b(mm|cm|in|m|ft) (Hg|H2O)\b")
_SUPER = {"²": "2", "³": "3", "¹": "1"}
_SUPERSCRIPT = re.compile(r"(⁻?)([¹²³])")
_HINTS = {
    "C": "write degC for degrees Celsius",
    "F": "write degF for degrees Fahrenheit",
    "psig": "write psi; which keys are gauge and which absolute is fixed",
    "psia": "write psi; which keys are gauge and which absolute is fixed",
    "ML": "write mL for millilitres",
    "hpa": "write hPa for hectopascals",
}
_ANGLES = frozenset({"deg", "degree", "degrees", "rad", "radian", "radians", "mrad", "arcmin", "arcsec", "turn", "grad", "°"})
_MANOMETRIC = """
mmH2O = 9.80665 pascal
cmH2O = 98.0665 pascal
mH2O = 9806.65 pascal
inH2O = 249.08891 pascal
ftH2O = 2989.06692 pascal
mmHg = 133.322387415 pascal
cmHg = 1333.22387415 pascal
inHg = 3386.388640341 pascal
"""
_OF_TWO_SIZES = """
usgal = 3.785411784 liter
impgal = 4.54609 liter
uspint = 0.473176473 liter
imppint = 0.56826125 liter
shortton = 907.18474 kilogram
longton = 1016.0469088 kilogram
"""
"""Units of one name and two sizes, under names that tell them apart; NIST SP 811 (2008), appendix B."""
PARSED = Path(sys.prefix) / "units"
"""Where pint keeps its parsed definitions, within the Python environment that they name by its path: half a second less for a command."""
CELSIUS_ZERO, _FAHRENHEIT_ZERO = 273.15, 459.67 * 5 / 9


@cache
def registry() -> UnitRegistry[float]:
    """The one unit registry, made when first needed; columns of water and mercury as the conventional units of NIST SP 811."""
    from pint import UnitRegistry

    made: UnitRegistry[float] = UnitRegistry(on_redefinition="ignore", cache_folder=str(PARSED) if PARSED.is_dir() else None)
    for line in (_MANOMETRIC + _OF_TWO_SIZES).split("\n"):
        if line:
            made.define(line)
    return made


def spelled_for_pint(text: str) -> str:
    """Checks unit text against the file's spelling rules and gives it in pint's spelling.

    Raises UnreadableUnit, without evaluating anything, where the rules are broken.
    """
    if len(text) > 40:
        raise UnreadableUnit("the unit is longer than 40 characters")
    if "%" in text and text.strip() != "%":
        raise UnreadableUnit(f"'{text}' mixes a percentage with a unit; write the tolerance in the unit itself, for example 28 +/- 0.3 cm")
    if not _ALLOWED.match(text):
        raise UnreadableUnit(f"'{text}' holds characters that no unit has")
    plain = _COLUMN.sub(r"\1\2", text.strip()).replace("° C", "°C").replace("° F", "°F").replace("μ", "µ")
    plain = _SUPERSCRIPT.sub(lambda m: "^" + ("-" if m[1] else "") + _SUPER[m[2]], plain).replace("·", "*")
    plain = re.sub(r"(?<=\w)\.(?=[^\W\d])", "*", plain)
    spelled, at = "", 0
    while True:
        term = _TERM.match(plain, at)
        if not term:
            raise UnreadableUnit(f"'{text}' is not a unit: names, each with at most one exponent of at most two digits")
        if hint := _HINTS.get(term["name"] or ""):
            raise UnreadableUnit(f"'{text}' is not read, since it has two meanings; {hint}")
        spelled, at = spelled + term[0], term.end()
        if at == len(plain):
            return spelled.replace("°C", "degC").replace("°F", "degF").replace("°", "deg")
        join = _JOIN.match(plain, at)
        if not join:
            raise UnreadableUnit(f"'{text}' is not a unit: names, each with at most one exponent of at most two digits")
        spelled, at = spelled + ("/" if "/" in join[0] else "*"), join.end()


@lru_cache(maxsize=512)
def unit(text: str) -> Unit:
    """The unit that a text means.  Raises UnreadableUnit with the reason."""
    spelled = spelled_for_pint(text)
    if spelled == "degC":
        return Unit(text, 1.0, CELSIUS_ZERO, _dimensions_of("K"))
    if spelled == "degF":
        return Unit(text, 5 / 9, _FAHRENHEIT_ZERO, _dimensions_of("K"))
    if spelled == "%":
        return Unit(text, 0.01, 0.0, "1")
    pint = registry()
    try:
        made = pint.parse_units(spelled)
        none, one, two = (pint.Quantity(n, made).to_base_units().magnitude for n in (0.0, 1.0, 2.0))
        dimensions = _named(made.dimensionality)
    except Exception as trouble:  # whatever pint raises is a refusal: it has no common base class
        raise UnreadableUnit(f"'{text}' is not a unit that is known") from trouble
    if none != 0.0 or not one > 0.0 or abs(two - 2 * one) > 1e-9 * one or two == float("inf"):
        raise UnreadableUnit(f"'{text}' is not a unit in which a measurement can be given")
    if dimensions == "1" and spelled in _ANGLES:
        dimensions = "angle"
    return Unit(text, float(one), 0.0, dimensions)


def dimensions_of_kind(kind: str) -> str:
    """The dimensions that a unit of this kind must have."""
    if kind == "angle":
        return "angle"
    return "1" if KINDS[kind].si == "1" else _dimensions_of(KINDS[kind].si)


def noun_of(dimensions: str) -> str:
    """What a unit of these dimensions measures, in words (``a mass``), for refusals."""
    return next((k.noun for name, k in KINDS.items() if dimensions_of_kind(name) == dimensions), "another kind of quantity")


@cache
def _dimensions_of(si: str) -> str:
    return _named(registry().parse_units(si.replace(" ", "*")).dimensionality)


def _named(dimensionality: Mapping[str, Any]) -> str:
    return " ".join(f"{name}^{power:g}" for name, power in sorted(dimensionality.items())) or "1"
