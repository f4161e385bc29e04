"""Numbers as people read them: as many digits as the uncertainty earns, real minus signs, thin spaces, the unit as printed."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Mapping
from functools import lru_cache

from .kinds import KINDS
from .reading import _scale
from .units import unit

THIN = "\u202f"
SPACE = "\u00a0"
MINUS = "\u2212"
COVERAGE = 2.0
"""Coverage factor of a stated ± on a result (95 %)."""
NO_SPREAD = 1e-5
"""A spread below this part of the value is not said: no reader of a column sees it."""
SMALLEST = 1e-4
"""A number below this is told with a power of ten."""
_RAISED = str.maketrans("-0123456789", "⁻⁰¹²³⁴⁵⁶⁷⁸⁹")
_PRINTED = {"degC": "°C", "degF": "°F", "deg": "°", "inch": "in", "mPa*s": "mPa·s", "Pa*s": "Pa·s", "": ""}


def decimals_for(value: float, spread: float) -> int:
    """Decimal places that a value earns; below 0 where even tens are more than it earns.

    value, spread: in the unit shown; spread is the half-width said after ±, 0 where there is none (then four figures stand).
    One figure of the spread is kept, two where it begins with 1.
    """
    if spread > 0 and math.isfinite(spread):
        exponent = math.floor(math.log10(spread))
        lead = spread / 10**exponent
        if lead >= 9.5:
            exponent, lead = exponent + 1, 1.0
        keep = 1 if lead < 1.95 else 0
        return keep - exponent
    if value == 0 or not math.isfinite(value):
        return 0
    return max(0, 3 - math.floor(math.log10(abs(value))))


def plain_number(value: float, decimals: int) -> str:
    """A number with a fixed count of decimals (below 0: rounded to tens, hundreds), a real minus sign, and thin spaces
    between thousands from 10 000 on."""
    text = f"{abs(value):.{decimals}f}" if decimals >= 0 else f"{abs(value) / 10**-decimals:.0f}" + "0" * -decimals
    text = text.lstrip("0") or "0" if decimals < 0 else text
    whole, _, part = text.partition(".")
    if len(whole) > 4:
        whole = f"{int(whole):,}".replace(",", THIN)
    sign = MINUS if value < 0 and float(text) != 0 else ""
    return sign + whole + ("." + part if part else "")


def powered(value: float) -> str:
    """A number in four figures and a power of ten, for what is too small to be told by decimals."""
    exponent = math.floor(math.log10(abs(value)))
    if float(f"{abs(value) / 10.0**exponent:.3f}") >= 10:
        exponent += 1
    raised = str(exponent).translate(_RAISED)
    return f"{trimmed(plain_number(value / 10.0**exponent, 3))}{THIN}×{THIN}10{raised}"


def trimmed(text: str) -> str:
    """A number without the zeros that end its decimals."""
    return text.rstrip("0").rstrip(".") if "." in text else text


@lru_cache(maxsize=256)
def scale_of(unit_text: str, kind: str) -> tuple[float, float]:
    """Factor and offset of a unit for a kind: SI = factor * number + offset."""
    return _scale(unit_text, kind)


def printed_unit(unit_text: str) -> str:
    """A unit as it is printed: m/s^2 with a superscript, degC as °C."""
    known = _PRINTED.get(unit_text)
    return known if known is not None else unit_text.replace("^2", "²").replace("^3", "³").replace("*", "·")


_IN_WORDS = re.compile(r"\bdeg([CF])\b|\bdeg\b|\^(-?)([23])|(?<=Pa)\*|\+/-")


def as_people_write(words: str) -> str:
    """Words in which quantities stand as typed, with their units and signs as people write them: °C, °, cm², ±."""

    def written(found: re.Match[str]) -> str:
        if found[1]:
            return f"°{found[1]}"
        if found[3]:
            return ("⁻" if found[2] else "") + "²³"[int(found[3]) - 2]
        return {"deg": "°", "*": "·", "+/-": "±"}[found[0]]

    return _IN_WORDS.sub(written, words)


@lru_cache(maxsize=512)
def shown_unit(kind: str, typed: str | None) -> str:
    """The unit for showing a result of a kind: as typed for its like where that fits, else the kind's default."""
    if typed and typed in KINDS[kind].units:
        return typed
    if typed:
        try:
            unit(typed)
            scale_of(typed, kind)
        except (ValueError, LookupError):
            return KINDS[kind].units[0]
        return typed
    return KINDS[kind].units[0]


def said(si: float, standard_uncertainty: float, kind: str, unit_text: str) -> tuple[str, str, str]:
    """Value, half-width at 95 % (empty where none) and unit, as printed."""
    factor, offset = scale_of(unit_text, kind)
    value, spread = (si - offset) / factor, COVERAGE * standard_uncertainty / factor
    if spread < NO_SPREAD * abs(value):
        spread = 0.0
    if spread == 0 and 0 < abs(value) < SMALLEST:
        return powered(value), "", printed_unit(unit_text)
    places = decimals_for(value, spread)
    number = plain_number(value, places) if spread > 0 else trimmed(plain_number(value, places))
    return number, plain_number(spread, places) if spread > 0 else "", printed_unit(unit_text)


_WAYS: Mapping[str, Callable[[float], int]] = {
    "near": lambda n: math.floor(n + 0.5),
    "up": lambda n: math.ceil(n - 1e-9),
    "down": lambda n: math.floor(n + 1e-9),
}


def typed_text(si: float, half_width: float, kind: str, unit_text: str, *, step: float = 0.0, way: str = "near") -> str:
    """An SI value as a quantity that is typed: number, its tolerance where it has one, unit.

    step: what the number is a multiple of, in that unit, and so the decimals that it shows; 0 for four figures and no more
    decimals than they need. way: "near", "up" or "down", to which multiple.
    """
    factor, offset = scale_of(unit_text, kind)
    number = (si - offset) / factor
    text = f"{_WAYS[way](number / step) * step:.{max(0, -math.floor(math.log10(step) + 1e-9))}f}" if step else f"{number:.4g}"
    tolerance = f" +/- {_positional(half_width / factor)}" if half_width else ""
    return f"{text}{tolerance} {unit_text}".strip()


def _positional(number: float) -> str:
    """A number to six figures, without a power of ten."""
    text = f"{number:.6g}"
    return f"{float(text):.{max(0, 6 - 1 - math.floor(math.log10(number)))}f}".rstrip("0").rstrip(".") if "e-" in text else text


def two_figures(si: float, kind: str, unit_text: str, *, difference: bool = False) -> float:
    """The step, in the unit, of a number that is told to two figures; difference: of a difference, which no scale's zero shifts."""
    factor, offset = scale_of(unit_text, kind)
    number = abs(si - (0.0 if difference else offset)) / factor
    return 10.0 ** (math.floor(math.log10(number)) - 1) if number else 1.0


def short(quantity: object) -> str:
    """A quantity as typed, without its tolerance, for a button or a sentence."""
    text = str(quantity)
    head, mark, tail = text.partition(" +/- ")
    return f"{head} {tail.split(' ', 1)[1]}" if mark else text


def in_words(si: float, standard_uncertainty: float, kind: str, unit_text: str) -> str:
    """One line: 2.7 ± 0.2 cm."""
    number, spread, printed = said(si, standard_uncertainty, kind, unit_text)
    middle = f"{SPACE}±{SPACE}{spread}" if spread else ""
    return f"{number}{middle}" + (f"{SPACE}{printed}" if printed else "")


def listed(names: list[str], most: int = 3) -> str:
    """A few names as a sentence lists them."""
    if len(names) > most:
        return f"{', '.join(names[:most])} and {len(names) - most} more"
    return " and ".join([", ".join(names[:-1]), names[-1]] if len(names) > 1 else names)


def capitalised(words: str) -> str:
    """Words as a sentence or a label begins."""
    return words[:1].upper() + words[1:]
