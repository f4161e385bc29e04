"""The words of a quick line: what people call units and liquids, and questions around them, as the rest of the house spells them."""

from __future__ import annotations

import re

from ...errors import UnreadableQuantity
from ...errors import english as cases
from ...quantities.kinds import KINDS

EXAMPLES = ("38 m of water in bar", "2.4 bar gauge, absolute here", "71 cmHg as metres of salt water", "12 ft in m", "air at 2900 m")
_BLANK = str.maketrans({"\u00a0": " ", "\u202f": " ", "\u2009": " ", "\u2212": "-", "\u2013": "-", "’": "'", "″": '"', "′": "'"})
_QUESTION = re.compile(r"\A(?:what(?:'s| is| are)|how (?:much|high|deep|tall|long) (?:is|are|does|do|would)|convert|give me)\b\s*", re.I)
_HOW_MANY = re.compile(r"\Ahow (?:many|much) (?P<target>.+?) (?:in|is|are|make|makes|for) (?P<left>[-+.\d].*)\Z", re.I)
_THOUSANDS = re.compile(r"(?<![\d.,])\d{1,3}(?:,\d{3})+(?![\d,])")
_RAISED = re.compile(r"(?<=[a-zA-Z])(?<!\d[eE])(?:\^|\*\*)?(-?[23])(?![\w.])")
_TWO_WORDS = re.compile(r"\b(mm|cm|in|inch|inches|m|ft)\.? (Hg|H2O)\b", re.I)
_COLUMNS = {"inches": "in", "inch": "in"}

UNITS = {
    **dict.fromkeys(("metre", "metres", "meter", "meters"), "m"),
    **dict.fromkeys(("centimetre", "centimetres", "centimeter", "centimeters"), "cm"),
    **dict.fromkeys(("millimetre", "millimetres", "millimeter", "millimeters"), "mm"),
    **dict.fromkeys(("kilometre", "kilometres", "kilometer", "kilometers"), "km"),
    **dict.fromkeys(("feet", "foot"), "ft"),
    **dict.fromkeys(("inch", "inches"), "inch"),
    **dict.fromkeys(("litre", "litres", "liter", "liters"), "L"),
    **dict.fromkeys(("pascal", "pascals"), "Pa"),
    **dict.fromkeys(("millibar", "millibars"), "mbar"),
    **dict.fromkeys(("atmosphere", "atmospheres"), "atm"),
    **dict.fromkeys(("pound", "pounds", "lbs"), "lb"),
    **dict.fromkeys(("kilogram", "kilograms", "kilo", "kilos"), "kg"),
    **dict.fromkeys(("gram", "grams"), "g"),
    **dict.fromkeys(("second", "seconds", "sec"), "s"),
    **dict.fromkeys(("minute", "minutes"), "min"),
    **dict.fromkeys(("hour", "hours"), "h"),
    **dict.fromkeys(("tonne", "tonnes"), "tonne"),
    "bars": "bar",
    "torr": "torr",
}
"""A word for a unit, in small letters, and the unit."""
TOLD_APART = {
    "us": {"gallon": "usgal", "pint": "uspint"},
    "imperial": {"gallon": "impgal", "pint": "imppint"},
    "short": {"ton": "shortton"},
    "long": {"ton": "longton"},
}
"""Units of one name and two sizes, by the word that tells them apart."""
_APART = {"gallon": "gallon", "gallons": "gallon", "gal": "gallon", "pint": "pint", "pints": "pint", "ton": "ton", "tons": "ton"}
_WHICH = {"gallon": ("US gallon", "imperial gallon"), "pint": ("US pint", "imperial pint"), "ton": ("tonne", "short ton", "long ton")}
_MEANS_TWO = {"psig": "psi gauge", "psia": "psi absolute", "barg": "bar gauge", "bara": "bar absolute", "c": "degC", "f": "degF"}
LIQUIDS = {
    **dict.fromkeys(("sea water", "seawater", "saltwater", "sea-water", "brine"), "salt water"),
    **dict.fromkeys(("fresh water", "freshwater", "h2o"), "water"),
    **dict.fromkeys(("oil", "cooking oil", "sunflower oil", "rape oil", "rapeseed oil", "olive oil"), "vegetable oil"),
    **dict.fromkeys(("mineral oil", "paraffin oil"), "light mineral oil"),
    **dict.fromkeys(("glycerine", "glycerin"), "glycerol"),
    **dict.fromkeys(("alcohol", "spirit"), "ethanol"),
    **dict.fromkeys(("syrup",), "sugar syrup"),
    **dict.fromkeys(("hg", "quicksilver"), "mercury"),
}
"""What people call a liquid, and its name in the catalogue."""
_CASES = {known.lower(): known for kind in KINDS.values() for known in kind.units if known.lower() not in ("mpa", "ml")} | {"ml": "mL", "l": "L"}


def plain(text: str) -> str:
    """A line without its question, with units spelled as everywhere, powers raised.  Raises UnreadableQuantity where a number has two meanings."""
    line = " ".join(text.translate(_BLANK).split()).rstrip(" ?.=")
    if found := _THOUSANDS.search(line):
        raise UnreadableQuantity("text", cases.LINE_THOUSANDS, typed=found[0], whole=found[0].replace(",", ""), part=found[0].replace(",", ".", 1))
    if found := _HOW_MANY.match(line):
        line = f"{found['left']} in {found['target']}"
    line = _QUESTION.sub("", line)
    line = re.sub(r"\binto\b", "in", line, flags=re.I)
    line = _TWO_WORDS.sub(lambda m: _COLUMNS.get(m[1].lower(), m[1].lower()) + {"hg": "Hg", "h2o": "H2O"}[m[2].lower()], line)
    line = re.sub(r"(?<=\d)\s*'(?=\s|\Z)", " ft", line)
    line = re.sub(r'(?<=\d)\s*"(?=\s|\Z)', " inch", line)
    return _RAISED.sub(r"^\1", line)


def one_meaning(word: str) -> str:
    """What to write for a unit that has two meanings; empty for one that has not."""
    return "" if word in ("c", "f") else _MEANS_TWO.get(word.lower().rstrip("."), "")


def first_size(word: str) -> str:
    """The first of the sizes that a unit's name stands for; empty for one that stands for itself."""
    small = word.lower().rstrip(".")
    return _WHICH[_APART[small]][0] if small in _APART else ""


def unit_words(words: list[str]) -> str:
    """Words that stand for a unit, as the unit.  Raises UnreadableQuantity for a name that stands for two."""
    made: list[str] = []
    i = 0
    while i < len(words):
        small, after = words[i].lower().rstrip("."), words[i + 1].lower() if i + 1 < len(words) else ""
        small = {"uk": "imperial", "imp": "imperial", "u.s": "us"}.get(small, small)
        if small in TOLD_APART and after in _APART and _APART[after] in TOLD_APART[small]:
            made.append(TOLD_APART[small][_APART[after]])
            i += 2
            continue
        if small in _APART:
            which = _WHICH[_APART[small]]
            raise UnreadableQuantity("text", cases.LINE_TWO_SIZES, typed=words[i], known=" or ".join(which))
        if written := one_meaning(words[i]):
            raise UnreadableQuantity("text", cases.LINE_TWO_MEANINGS, typed=words[i], written=written)
        made.append(UNITS.get(small) or _spelled(words[i]))
        i += 1
    return " ".join(made)


def _spelled(word: str) -> str:
    """A unit in its own capitals, where these decide nothing: mmhg, hpa, Torr."""
    return "/".join(UNITS.get(part.lower()) or _CASES.get(part.lower(), part) for part in word.split("/"))
