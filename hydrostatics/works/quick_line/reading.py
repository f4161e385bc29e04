"""A quick line to what it asks: a quantity, of a liquid or not, gauge or absolute, and in what.

QUANTITY [gauge | absolute | vacuum] [[of] LIQUID] [at TEMPERATURE]  in | as | to | ,  [UNIT] [[of] LIQUID] [gauge | absolute] [here]

The part after the word between may be left out.
"""

from __future__ import annotations

import re
from dataclasses import dataclass

from ...errors import Refusal, UnknownName, UnreadableQuantity
from ...errors import english as cases
from ...liquids.catalogue import catalogue
from ...quantities.reading import Quantity, read_quantity
from ...quantities.typed import read_typed
from .words import EXAMPLES, LIQUIDS, plain, unit_words

LONGEST = 120
"""Characters of the longest line that is read."""
BETWEEN = ("in", "as", "to", ",")
OF = {"gauge": "gauge", "absolute": "absolute", "abs": "absolute", "vacuum": "vacuum"}
_AT = re.compile(r"\s*\bat (?P<number>[-+]?[\d.,]+) ?(?P<unit>°C|°F|degC|degF|deg C|deg F|K)(?=[\s,]|\Z)", re.I)
_KINDS = (
    "pressure",
    "length",
    "temperature",
    "mass",
    "force",
    "volume",
    "area",
    "density",
    "speed",
    "flow",
    "time",
    "angle",
    "surface tension",
    "viscosity",
    "acceleration",
    "amount",
)


@dataclass(frozen=True)
class Liquid:
    """A liquid of the catalogue, what it was called, or one of a stated density [kg/m^3]."""

    name: str
    called: str
    density: float = 0.0


@dataclass(frozen=True)
class Side:
    """One side of a line.  unit: empty where none is named. of: gauge, absolute, vacuum or empty."""

    unit: str
    liquid: Liquid | None
    of: str


@dataclass(frozen=True)
class Line:
    """What is asked.  target: None where every usual unit is wanted. temperature: of the liquids [K], None for the room's."""

    quantity: Quantity
    kind: str
    left: Side
    target: Side | None
    temperature: float | None


def read_line(text: str) -> Line:
    """Reads one line.  Raises a Refusal that says what cannot be read."""
    line = plain(text)
    temperature = None
    if found := _AT.search(line):
        unit = found["unit"].replace("deg ", "deg").replace("°", "deg")
        temperature = read_quantity("text", f"{found['number'].replace(',', '.')} {unit[:3].lower() + unit[3:] if len(unit) > 1 else 'K'}", "temperature").si
        line = line[: found.start()] + line[found.end() :]
    words = re.sub(r",(?!\d)", " , ", line).split()
    if len(words) > 2 and words[-1].lower() in BETWEEN and not words[-2][-1].isdigit():
        raise UnreadableQuantity("text", cases.LINE_WITHOUT_UNIT)
    trouble: Refusal | None = None
    for i in reversed(range(1, len(words) - 1)):
        if words[i].lower() in BETWEEN:
            try:
                return _line(words[:i], words[i + 1 :], temperature)
            except Refusal as refusal:
                trouble = trouble or refusal
    try:
        return _line(words, None, temperature)
    except Refusal as refusal:
        raise trouble or refusal from None


def _line(left: list[str], right: list[str] | None, temperature: float | None) -> Line:
    side = _side(left)
    quantity, kind = _quantity(side.unit)
    target = None
    if right is not None:
        target = _side([word for word in right if word != ","])
        target = Side(unit_words(target.unit.split()), target.liquid, target.of)
    return Line(quantity, kind, side, target, temperature)


def _side(words: list[str]) -> Side:
    """Takes gauge, absolute, here and the liquid out of one side; what is left is its quantity or unit."""
    of, rest = "", []
    for word in words:
        small = word.lower().rstrip(".")
        if small in OF:
            if of and of != OF[small]:
                raise UnreadableQuantity("text", cases.LINE_BOTH, one=of, other=OF[small])
            of = OF[small]
        elif small != "here":
            rest.append(word)
    for i, word in enumerate(rest):
        if word.lower() == "of":
            return Side(" ".join(rest[:i]), _liquid(" ".join(rest[i + 1 :])), of)
    for i in range(len(rest)):
        if (name := " ".join(rest[i:]).lower()) in catalogue() or name in LIQUIDS:
            return Side(" ".join(rest[:i]), _liquid(name), of)
    return Side(" ".join(rest), None, of)


def _liquid(called: str) -> Liquid:
    """A liquid by what people call it, or by its density.  Raises UnknownName."""
    name = LIQUIDS.get(called.lower(), called.lower())
    if name in catalogue():
        return Liquid(name, called.lower())
    try:
        return Liquid(called, called, read_quantity("text", read_typed("text", called, "density", "").quantity, "density").si)
    except Refusal:
        raise UnknownName("text", cases.LIQUID_NOT_IN_CATALOGUE, name=called[:30], known=", ".join(catalogue())) from None


def _quantity(text: str) -> tuple[Quantity, str]:
    """The quantity and its kind.  A length may turn out to be a height of liquid."""
    found = re.match(r"\s*(?P<number>[-+]?[\d.,][^a-zA-Z°%µ\"']*(?:[eE][-+]?\d+\s*)?)(?P<unit>.*)\Z", text)
    if not found:
        raise UnreadableQuantity("text", cases.LINE_UNREADABLE, typed=text[:60], known="; ".join(EXAMPLES))
    unit = unit_words(found["unit"].split())
    trouble: Refusal | None = None
    for kind in _KINDS:
        try:
            return read_quantity("text", read_typed("text", f"{found['number']} {unit}", kind, "").quantity, kind), kind
        except Refusal as refusal:
            trouble = trouble or refusal
    raise UnreadableQuantity("text", cases.LINE_WITHOUT_QUANTITY, typed=text[:60]) from trouble
