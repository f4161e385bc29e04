"""The quick line: a quantity in another unit, gauge or absolute, a height of one liquid as another; a small grammar of its own.

QUANTITY [gauge | absolute] [of LIQUID]  in | as | ,  [UNIT] [of LIQUID] [gauge | absolute] [here]
"""

from __future__ import annotations

import re
from dataclasses import dataclass

import numpy as np

from ..errors import Refusal, UnknownName, UnreadableQuantity
from ..errors import english as cases
from ..liquids.catalogue import catalogue
from ..quantities.kinds import KINDS
from ..quantities.reading import Quantity, read_quantity
from ..quantities.saying import in_words, printed_unit, scale_of
from ..room.derived import Room

LONGEST = 120
"""Characters of the longest line that is read."""
EXAMPLES = ("38 m of water in bar", "2.4 bar gauge, absolute here", "71 cmHg as metres of salt water", "12 ft in m")
_LINE = re.compile(
    r"\A\s*(?P<quantity>[+-]?[\d.][^,]*?)(?:\s+(?P<of>gauge|absolute|abs))?(?:\s+of\s+(?P<liquid>[a-z ]+?))?(?:\s+(?P<after>gauge|absolute|abs))?"
    r"\s*(?:\s(?:in|as|to)\s|,)\s*(?P<target>.+?)\s*\Z",
    re.I,
)
_TARGET = re.compile(r"\A(?P<unit>.*?)(?:\s*\bof\s+(?P<liquid>[a-z ]+?))?(?:\s*\b(?P<as>gauge|absolute|abs))?(?:\s+(?P<here>here))?\Z", re.I)
_WORDS = {"metre": "m", "metres": "m", "meters": "m", "meter": "m", "feet": "ft", "inches": "inch", "millimetres": "mm", "centimetres": "cm"}
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
class Said:
    """An answer: in words, whether gauge or absolute where that matters, the working in one line, and what it rests on."""

    answer: str
    of: str
    working: str
    rests_on: str
    caution: str

    @property
    def line(self) -> str:
        """The whole as one line to be copied."""
        return f"{self.answer}{', ' + self.of if self.of else ''} ({self.working})"


def quick_line(text: str, room: Room) -> Said:
    """Answers one line.  Raises a Refusal that says what it can read."""
    if re.search(r"\d,\d", text):
        raise UnreadableQuantity("text", cases.LINE_WITH_COMMA)
    found = _LINE.match(" ".join(text.split())) if len(text) <= LONGEST else None
    if not found:
        raise UnreadableQuantity("text", cases.LINE_UNREADABLE, typed=text[:60], known="; ".join(EXAMPLES))
    quantity, kind = _quantity(_unit_words(found["quantity"]))
    liquid = found["liquid"]
    of = _of(found["of"] or found["after"])
    target = _TARGET.match(found["target"])
    assert target is not None
    return _Line(room, quantity, kind, liquid, of).answer(_unit_words(target["unit"]), target["liquid"], _of(target["as"]), target["here"] is not None)


def _of(word: str | None) -> str:
    return {"abs": "absolute"}.get((word or "").lower(), (word or "").lower())


def _unit_words(text: str) -> str:
    return " ".join(_WORDS.get(word.lower(), word) for word in text.split())


def _quantity(text: str) -> tuple[Quantity, str]:
    """The quantity and its kind.  A length may turn out to be a height of liquid."""
    trouble: Refusal | None = None
    for kind in _KINDS:
        try:
            return read_quantity("text", text, kind), kind
        except Refusal as refusal:
            trouble = trouble or refusal
    raise UnreadableQuantity("text", cases.LINE_WITHOUT_QUANTITY, typed=text[:60]) from trouble


class _Line:
    """One line's left side, and the room that it is asked in."""

    def __init__(self, room: Room, quantity: Quantity, kind: str, liquid: str | None, of: str) -> None:
        self.room, self.quantity, self.kind, self.of = room, quantity, kind, of
        self.liquid = liquid.strip().lower() if liquid else None
        self.constants = f"{room.constants.name} constants"
        self.p0 = float(room.station_pressure[0])
        self.typed = f"{quantity.number} {printed_unit(quantity.unit)}".strip()

    def answer(self, unit: str, liquid: str | None, wanted: str, here: bool) -> Said:
        if self.liquid is None and liquid is None and not wanted and not self.of:
            return self._plain(unit)
        if self.kind == "length" and self.liquid is None:
            raise UnreadableQuantity("text", cases.LINE_WITHOUT_LIQUID, typed=self.typed)
        if self.kind not in ("length", "pressure"):
            raise UnreadableQuantity("text", cases.LINE_OF_ANOTHER_KIND, typed=self.typed, noun=KINDS[self.kind].noun)
        gauge, steps = self._gauge()
        return self._height(gauge, unit, liquid.strip().lower(), steps) if liquid else self._pressure(gauge, unit, wanted, steps)

    def _gauge(self) -> tuple[float, list[str]]:
        """What stands on the left as a pressure, gauge unless it was said to be absolute [Pa]."""
        if self.kind == "length":
            assert self.liquid is not None
            weight, told = self._weight(self.liquid)
            pressure = self.quantity.si * weight
            steps = [f"ρ g h = {told} × {self.quantity.si:.6g} m = {pressure:.6g} Pa"]
        else:
            pressure = self.quantity.si
            steps = [f"{self.typed} = {pressure:.6g} Pa"]
        if self.of != "absolute":
            return pressure, steps
        return pressure - self.p0, [*steps, f"− p₀ {self.p0:.6g} Pa = {pressure - self.p0:.6g} Pa"]

    def _pressure(self, gauge: float, unit: str, wanted: str, steps: list[str]) -> Said:
        unit = unit or (self.quantity.unit if self.kind == "pressure" else "hPa")
        self._fits(unit, "pressure")
        if self.of == "absolute" and wanted != "gauge":
            return self._said(gauge + self.p0, "pressure", unit, "absolute", steps[:1])
        if wanted == "absolute":
            return self._said(gauge + self.p0, "pressure", unit, "absolute", [*steps, f"+ p₀ {self.p0:.6g} Pa = {gauge + self.p0:.6g} Pa"])
        return self._said(gauge, "pressure", unit, "gauge, above the room", steps)

    def _height(self, gauge: float, unit: str, liquid: str, steps: list[str]) -> Said:
        weight, told = self._weight(liquid)
        unit = unit or "m"
        self._fits(unit, "length")
        return self._said(gauge / weight, "length", unit, f"of {liquid}, gauge", [*steps, f"/ ({told})"], liquid)

    def _plain(self, unit: str) -> Said:
        if not unit:
            raise UnreadableQuantity("text", cases.LINE_WITHOUT_UNIT)
        self._fits(unit, self.kind)
        of = "gauge stays gauge, absolute stays absolute" if self.kind == "pressure" else ""
        return self._said(self.quantity.si, self.kind, unit, of, [f"{self.typed} = {self.quantity.si:.6g} {KINDS[self.kind].si}"])

    def _fits(self, unit: str, kind: str) -> None:
        try:
            scale_of(unit, kind)
        except (ValueError, LookupError):
            raise UnreadableQuantity(
                "text", cases.UNIT_OF_ANOTHER_KIND, unit=unit[:30], noun=KINDS[kind].noun, known=", ".join(u for u in KINDS[kind].units[:6])
            ) from None

    def _weight(self, name: str) -> tuple[float, str]:
        """rho g of a liquid of the catalogue at the room's temperature [N/m^3]."""
        if name not in catalogue():
            raise UnknownName("text", cases.LIQUID_NOT_IN_CATALOGUE, name=name[:30], known=", ".join(catalogue()))
        entry, temperature = catalogue()[name], float(self.room.temperature[0])
        prop = entry.properties["density"]
        if not prop.least <= temperature <= prop.most:
            raise UnknownName("text", cases.LIQUID_NOT_KNOWN_NOW, name=name, temperature=temperature - 273.15)
        fixed = self.room.constants.densities.get(name)
        more = (float(read_quantity("text", entry.parameter.default, "fraction").si),) if entry.parameter else ()
        density = fixed if fixed is not None else prop.at(temperature, *more)
        g = float(self.room.gravity[0])
        return density * g, f"{density:.6g} kg/m³ × {g:.6g} m/s²"

    def _said(self, si: float, kind: str, unit: str, of: str, steps: list[str], other: str = "") -> Said:
        names = [n for n in (self.liquid, other) if n]
        temperature = in_words(float(self.room.temperature[0]), 0.0, "temperature", "degC")
        rests = [f"p₀ {in_words(self.p0, 0.0, 'pressure', 'hPa')}"] if "absolute" in (self.of, of) else []
        rests += [f"{' and '.join(dict.fromkeys(names))} at {temperature}"] if names else []
        rests.append(self.constants)
        caution = next((catalogue()[n].caution for n in names if catalogue()[n].caution), "")
        answer = in_words(float(np.float64(si)), 0.0, kind, unit)
        return Said(answer, of, ", ".join(steps), "; ".join(rests), caution)
