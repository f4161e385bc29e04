"""Two axes for whatever is drawn over a quantity: curve, map, property; SI in, paper units out."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from ..paper.graduations import nice_step, places_of, steps_within
from ..paper.primitives import Primitive, line, path, text
from ..quantities.saying import plain_number, printed_unit, scale_of

SMALL = 11


@dataclass(frozen=True)
class Frame:
    """A view's sheet [paper units]: its size, and the margins that figures and titles need."""

    width: float = 332.0
    height: float = 208.0
    left: float = 50.0
    foot: float = 40.0
    top: float = 20.0
    right: float = 10.0


@dataclass(frozen=True)
class Axis:
    """A quantity along an axis: its ends [SI], label, kind, the unit it is told in, about how many steps it is divided into."""

    low: float
    high: float
    label: str
    kind: str
    unit: str
    steps: int = 5

    def shown(self, si: float) -> float:
        """A value in the unit told."""
        factor, offset = scale_of(self.unit, self.kind)
        return (si - offset) / factor

    def part(self, si: Any) -> Any:
        """How far along the axis a value stands, 0 to 1 within its ends."""
        return (si - self.low) / (self.high - self.low)

    def holds(self, si: float) -> bool:
        """Whether a value stands on the axis."""
        return self.low <= si <= self.high

    @property
    def title(self) -> str:
        """Label and unit as they are printed."""
        return f"{self.label}, {printed_unit(self.unit)}".rstrip(", ")

    def ticks(self) -> list[tuple[float, str]]:
        """Part of the axis and figure of each graduation."""
        low, high = self.shown(self.low), self.shown(self.high)
        step = nice_step((high - low) / self.steps)
        return [((k * step - low) / (high - low), plain_number(k * step, places_of(step))) for k in steps_within(low, high, step)]


@dataclass(frozen=True)
class Axes:
    """A lying and an upright axis on a frame."""

    frame: Frame
    x: Axis
    y: Axis

    @property
    def base(self) -> float:
        """Paper y of the lying axis."""
        return self.frame.height - self.frame.foot

    @property
    def end(self) -> float:
        """Paper x at which the lying axis ends."""
        return self.frame.width - self.frame.right

    def across(self, si: Any) -> Any:
        """Paper x of a value."""
        return self._across(self.x.part(si))

    def up(self, si: Any) -> Any:
        """Paper y of a value."""
        return self._up(self.y.part(si))

    def at(self, x: float, y: float) -> tuple[float, float]:
        """Paper point of two values; one beyond the upright axis stands at its end."""
        return self.across(x), self._up(min(max(self.y.part(y), 0.0), 1.0))

    def items(self) -> list[Primitive]:
        """The axes themselves: lines, graduations with their figures, titles with their units."""
        frame = self.frame
        made = [path("frame", ((frame.left, frame.top), (frame.left, self.base), (self.end, self.base)), stroke="ink")]
        for k, (part, figure) in enumerate(self.x.ticks()):
            at = self._across(part)
            made.append(line(f"x-{k}", (at, self.base), (at, self.base + 5), "ink"))
            made.append(text(f"x-{k}-words", at, self.base + 17, [(figure, SMALL, 400, "ink")], anchor="middle"))
        for k, (part, figure) in enumerate(self.y.ticks()):
            at = self._up(part)
            made.append(line(f"y-{k}", (frame.left - 5, at), (frame.left, at), "ink"))
            made.append(text(f"y-{k}-words", frame.left - 8, at + 4, [(figure, SMALL, 400, "ink")], anchor="end"))
        made.append(text("x-title", self.end, frame.height - 6, [(self.x.title, SMALL, 600, "second")], anchor="end", halo="ground"))
        made.append(text("y-title", 2, frame.top - 8, [(self.y.title, SMALL, 600, "second")], halo="ground"))
        return made

    def drawing(self, items: list[Primitive]) -> dict[str, Any]:
        """The whole as a section is told: nothing to hold, no bench below it."""
        height = self.frame.height
        return {
            "width": self.frame.width,
            "height": height,
            "horizon": height,
            "clear": 0,
            "window": None,
            "items": items,
            "handles": [],
            "marks": [],
            "adders": [],
        }

    def _across(self, part: Any) -> Any:
        return self.frame.left + part * (self.end - self.frame.left)

    def _up(self, part: Any) -> Any:
        return self.base - part * (self.base - self.frame.top)
