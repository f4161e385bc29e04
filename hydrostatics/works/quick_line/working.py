"""A quick line worked out: the answer with its working, and the same in every usual unit."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

from ...errors import OutOfRange, UnknownName, UnreadableQuantity
from ...errors import english as cases
from ...liquids.catalogue import catalogue
from ...quantities.celsius import celsius
from ...quantities.kinds import KINDS
from ...quantities.reading import read_quantity
from ...quantities.saying import SPACE, in_words, printed_unit, scale_of
from ...room.derived import Room
from .reading import Line, Liquid, Side

USUAL = ("bar", "kPa", "hPa", "psi", "atm", "mmHg", "inHg")
"""Units in which a pressure is told at once."""
_NAMES = {"usgal": "US gal", "uspint": "US pint", "impgal": "imperial gal", "imppint": "imperial pint", "shortton": "short ton", "longton": "long ton"}
_APART = {"volume": ("usgal", "impgal"), "mass": ("tonne", "shortton", "longton")}


@dataclass(frozen=True)
class Row:
    """The answer in one unit, a value for each column; asked: the column that was asked for, -1 where this row was not."""

    unit: str
    values: tuple[str, ...]
    asked: int = -1


@dataclass(frozen=True)
class Said:
    """An answer: in words, whether gauge or absolute where that matters, the working in one line, what it rests on.

    columns: what the values of each row are, empty texts where there is no gauge and absolute.
    """

    answer: str
    of: str
    working: str
    rests_on: str
    caution: str
    columns: tuple[str, ...] = ("",)
    rows: tuple[Row, ...] = field(default=())

    @property
    def line(self) -> str:
        """The whole as one line to be copied."""
        return f"{self.answer}{', ' + self.of if self.of else ''} ({self.working})"


def work(line: Line, room: Room) -> Said:
    """Works a line out in a room.  Raises a Refusal that says what does not fit."""
    sides = [line.left, *([line.target] if line.target else [])]
    if not any(side.liquid or side.of for side in sides):
        return _plain(line, room)
    if line.kind == "length" and line.left.liquid is None:
        raise UnreadableQuantity("text", cases.LINE_WITHOUT_LIQUID, typed=_typed(line))
    if line.kind not in ("length", "pressure"):
        raise UnreadableQuantity("text", cases.LINE_OF_ANOTHER_KIND, typed=_typed(line), noun=KINDS[line.kind].noun)
    return _Column(line, room).said()


def _typed(line: Line) -> str:
    return f"{line.quantity.number} {_printed(line.quantity.unit)}".strip()


def _printed(unit: str) -> str:
    return _NAMES.get(unit) or printed_unit(unit)


def _told(si: float, half_width: float, kind: str, unit: str) -> str:
    """A value with the tolerance that was typed, in a unit."""
    told = in_words(si, abs(half_width) / 2, kind, unit)
    return told.replace(printed_unit(unit), _NAMES[unit]) if unit in _NAMES else told


def bare_number(si: float, half_width: float, kind: str, unit: str) -> str:
    """A value with the tolerance that was typed, without its unit, which stands in the row's head."""
    return _told(si, half_width, kind, unit).removesuffix(f"{SPACE}{_printed(unit)}")


def refuse_unit(unit: str, kind: str) -> None:
    """Raises a Refusal where a unit is none of a kind."""
    try:
        scale_of(unit, kind)
    except (ValueError, LookupError):
        raise UnreadableQuantity("text", cases.UNIT_OF_ANOTHER_KIND, unit=unit[:30], noun=KINDS[kind].noun, known=", ".join(KINDS[kind].units[:6])) from None


def _plain(line: Line, room: Room) -> Said:
    """A unit as another: gauge stays gauge, absolute stays absolute."""
    quantity, kind = line.quantity, line.kind
    if kind == "temperature" and quantity.si < 0:
        raise OutOfRange("text", cases.LINE_BELOW_ZERO, typed=_typed(line))
    usual = USUAL if kind == "pressure" else (*KINDS[kind].units, *_APART.get(kind, ()))
    unit = line.target.unit if line.target else next(one for one in usual if one != quantity.unit)
    if not unit:
        raise UnreadableQuantity("text", cases.LINE_WITHOUT_UNIT)
    refuse_unit(unit, kind)
    rows = [
        Row(_printed(one), (bare_number(quantity.si, quantity.half_width, kind, one),), 0 if one == unit and line.target else -1) for one in _with(unit, usual)
    ]
    of = "gauge stays gauge, absolute stays absolute" if kind == "pressure" else ""
    working = f"{_typed(line)} = {quantity.si:.6g} {KINDS[kind].si}"
    answer = _told(quantity.si, quantity.half_width, kind, unit)
    return Said(answer, of, working, f"{room.constants.name} constants", "", ("",), tuple(rows))


def usual_units(unit: str, usual: Sequence[str]) -> list[tuple[str, str]]:
    """The usual units as they are typed and printed, led by the one that was asked for where it is none of them."""
    return [(one, _printed(one)) for one in _with(unit, usual)]


def _with(unit: str, usual: Sequence[str]) -> list[str]:
    """The usual units, led by the one that was asked for where it is none of them."""
    return list(usual) if unit in usual else [unit, *usual]


class _Column:
    """A line with liquids, or gauge and absolute, and the room that it is asked in; everything is worked through gauge pressure."""

    def __init__(self, line: Line, room: Room) -> None:
        self.line, self.room = line, room
        self.p0 = float(room.station_pressure[0])
        self.temperature = float(room.temperature[0]) if line.temperature is None else line.temperature
        target = line.target
        if target is None and line.kind == "pressure" and line.left.liquid:
            target = Side("m", line.left.liquid, "")  # 1 bar of water: how high
        self.target = target
        self.scale = 1.0
        """The left side's pressure for one of its SI unit [Pa]."""
        self.gauge, self.steps = self._gauge()
        if self.gauge + self.p0 < -1e-6 * self.p0:
            raise OutOfRange(
                "text",
                cases.LINE_BELOW_VACUUM,
                typed=_typed(line),
                least=in_words(-self.p0, 0, "pressure", "hPa"),
                here=in_words(self.p0, 0, "pressure", "hPa"),
            )

    @property
    def half_width(self) -> float:
        """Of the left side, as a pressure [Pa]."""
        return self.line.quantity.half_width * self.scale

    def said(self) -> Said:
        """The answer, and the table."""
        wanted = self.target.of if self.target else ""
        if wanted == "vacuum":
            wanted = "gauge"
        absolute = wanted == "absolute" or (self.line.left.of == "absolute" and wanted != "gauge")
        liquid = self.target.liquid if self.target else None
        pressure = self.gauge + self.p0 if absolute else self.gauge
        kept = self.line.left.of == "absolute" and absolute
        steps = self.steps[:1] if kept else [*self.steps, *([f"+ p₀ {self.p0:.6g} Pa = {pressure:.6g} Pa"] if absolute else [])]
        if liquid:
            unit = (self.target.unit if self.target else "") or "m"
            weight, told = self._weight(liquid)
            refuse_unit(unit, "length")
            answer = _told(pressure / weight, self.half_width / weight, "length", unit)
            of, steps = f"of {liquid.called}, {'absolute' if absolute else 'gauge'}", [*steps, f"/ ({told})"]
        else:
            unit = (self.target.unit if self.target else "") or self._usual_unit()
            refuse_unit(unit, "pressure")
            answer = _told(pressure, self.half_width, "pressure", unit)
            of = "absolute" if absolute else f"gauge, {'below' if pressure < 0 else 'above'} the room"
        return Said(
            answer, of, ", ".join(steps), self._rests_on(absolute, liquid), self._caution(liquid), ("gauge", "absolute"), self._rows(unit, liquid, absolute)
        )

    def _usual_unit(self) -> str:
        typed = self.line.quantity.unit if self.line.kind == "pressure" else ""
        if self.target:
            return typed or "hPa"
        return "bar" if typed != "bar" else "kPa"

    def _rows(self, unit: str, liquid: Liquid | None, absolute: bool) -> tuple[Row, ...]:
        """Every usual unit, gauge and absolute, and heights of the liquids that were named, or of water."""
        asked = int(absolute) if self.line.target else -1
        both = (self.gauge, self.gauge + self.p0)
        rows = [
            Row(_printed(one), tuple(bare_number(value, self.half_width, "pressure", one) for value in both), asked if one == unit and not liquid else -1)
            for one in (USUAL if liquid else _with(unit, USUAL))
        ]
        named = {one.name: one for one in (liquid, self.line.left.liquid) if one} or {"water": Liquid("water", "water")}
        for one in named.values():
            weight, _ = self._weight(one)
            length = unit if one is liquid else "m"
            values = tuple(bare_number(value / weight, self.half_width / weight, "length", length) for value in both)
            rows.append(Row(f"{_printed(length)} of {one.called}", values, asked if one is liquid else -1))
        return tuple(rows)

    def _gauge(self) -> tuple[float, list[str]]:
        """What stands on the left as a pressure, gauge unless it was said to be absolute [Pa], with the steps to it."""
        quantity, of = self.line.quantity, self.line.left.of
        if self.line.kind == "length":
            assert self.line.left.liquid is not None
            self.scale, told = self._weight(self.line.left.liquid)
            pressure = quantity.si * self.scale
            steps = [f"ρ g h = {told} × {quantity.si:.6g} m = {pressure:.6g} Pa"]
        else:
            pressure = quantity.si
            steps = [f"{_typed(self.line)} = {pressure:.6g} Pa"]
        if of == "vacuum":
            return -abs(pressure), [*steps, "below the room"]
        if of != "absolute":
            return pressure, steps
        if pressure < 0:
            raise OutOfRange("text", cases.LINE_BELOW_ZERO, typed=_typed(self.line))
        return pressure - self.p0, [*steps, f"− p₀ {self.p0:.6g} Pa = {pressure - self.p0:.6g} Pa"]

    def _weight(self, liquid: Liquid) -> tuple[float, str]:
        """rho g of a liquid at the temperature asked for [N/m^3], and its factors in words."""
        g = float(self.room.gravity[0])
        density = liquid.density or self._density(liquid.name)
        return density * g, f"{density:.6g} kg/m³ × {g:.6g} m/s²"

    def _density(self, name: str) -> float:
        entry = catalogue()[name]
        prop = entry.properties["density"]
        if not prop.least <= self.temperature <= prop.most:
            raise UnknownName("text", cases.LIQUID_NOT_KNOWN_NOW, name=name, temperature=celsius(self.temperature))
        fixed = self.room.constants.densities.get(name) if self.line.temperature is None else None
        more = (float(read_quantity("text", entry.parameter.default, "fraction").si),) if entry.parameter else ()
        return float(fixed if fixed is not None else prop.at(self.temperature, *more))

    def _named(self, liquid: Liquid | None) -> list[Liquid]:
        return [one for one in dict.fromkeys((self.line.left.liquid, liquid)) if one]

    def _rests_on(self, absolute: bool, liquid: Liquid | None) -> str:
        rests = [f"p₀ {in_words(self.p0, 0.0, 'pressure', 'hPa')}"] if absolute or self.line.left.of == "absolute" else []
        if names := [_as_read(one) for one in self._named(liquid) if not one.density]:
            rests.append(f"{' and '.join(dict.fromkeys(names))} at {in_words(self.temperature, 0.0, 'temperature', 'degC')}")
        return "; ".join([*rests, f"{self.room.constants.name} constants"])

    def _caution(self, liquid: Liquid | None) -> str:
        return next((catalogue()[one.name].caution for one in self._named(liquid) if one.name in catalogue() and catalogue()[one.name].caution), "")


def _as_read(liquid: Liquid) -> str:
    """A liquid's name, with its parameter's usual value where it has one, and what it was called where that is another name."""
    entry = catalogue()[liquid.name]
    more = f" ({entry.parameter.default})" if entry.parameter else ""
    return f"{liquid.name}{more}" + (f", which is how “{liquid.called}” is read," if liquid.called != liquid.name else "")
