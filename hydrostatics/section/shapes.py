"""The closed vocabulary of a section, in metres: x to the right, z up, z = 0 on the tray."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any, Literal

import numpy as np
from numpy.typing import NDArray

Point = tuple[float, float]
Role = Literal["wall", "liquid", "gas", "cover", "jet", "drips", "stand", "surface", "axis", "gauge"]
ROLES: tuple[Role, ...] = ("wall", "liquid", "gas", "cover", "jet", "drips", "stand", "surface", "axis", "gauge")


@dataclass(frozen=True)
class Shape:
    """One shape: closed for wall, liquid, gas, cover and stand, a line for the others; a surface is one point.

    pressures: gauge pressure [Pa] at its lowest and its highest point, linear between, for the tint. width: of a jet [m].
    breaks_at: part of a jet's length after which it is drops. answer: hidden on the stage until revealed, its tint too.
    words: what it is, for a pointer and a screen reader.
    """

    id: str
    role: Role
    points: Sequence[Point] | NDArray[np.float64]
    pressures: tuple[float, float] | None = None
    width: float = 0.0
    breaks_at: float = 1.0
    answer: bool = False
    words: str = ""


@dataclass(frozen=True)
class Dimension:
    """An input on its dimension line, upright in a lane left of the section (0 nearest) or lying above it.

    points: its two ends. path: the input. handle: the handle at its second end, if it can be held.
    """

    path: str
    points: tuple[Point, Point]
    lane: int
    upright: bool = True
    handle: Handle | None = None
    shows_line: bool = True


@dataclass(frozen=True)
class Handle:
    """What can be held: the input moves by gain times the distance along the axis, within least and most.

    step: of one key press [SI]. removes: path of the list item that it can take away, or move
    among the others. fills: path of the liquid in it, which it can change. hidden: no ring in the dimension's lane
    but at `at`.
    """

    path: str
    at: Point
    axis: Point
    least: float
    most: float
    step: float
    words: str
    gain: float = 1.0
    removes: str = ""
    fills: str = ""


@dataclass(frozen=True)
class Adder:
    """A line along which a list item can be added: at a point of it the key is the distance from the first end.

    path: of the list. key: empty where the items are quantities. item: the new item without that key. suggest: the distance that keys add at [m].
    """

    path: str
    points: tuple[Point, Point]
    key: str
    item: dict[str, Any]
    like: str
    suggest: float
    words: str


@dataclass(frozen=True)
class Label:
    """Lettering that belongs to a point: a result by path, a pressure, or words.  Placed by rule, left out where there is no room.

    gauge: pressure against the room's [Pa] that is lettered. side: where it would rather stand. inside: on the liquid, whose
    tint (of pressure [Pa]) decides its ink. strong: of first rank.
    """

    id: str
    at: Point
    path: str = ""
    words: str = ""
    gauge: float | None = None
    side: Literal["right", "left", "over", "under"] = "right"
    inside: bool = False
    strong: bool = False
    pressure: float = 0.0
    answer: bool = True


@dataclass(frozen=True)
class Mark:
    """A result read off the tape: at and spread (half-width at 95 %) in the tape's own quantity [SI]; short: its words in little room."""

    id: str
    path: str
    at: float
    spread: float
    words: str
    short: str = ""


@dataclass(frozen=True)
class Tape:
    """The horizontal strip: a quantity, its zero at a point of the section (aligned) or a range of its own [SI]."""

    title: str
    kind: str
    unit: str
    zero: float = 0.0
    span: tuple[float, float] | None = None
    marks: tuple[Mark, ...] = ()
    caption: str = ""


@dataclass(frozen=True)
class Scene:
    """Everything that a section shows.

    cut: a span of heights that may be left out with a drawn break. rule_unit: of the vertical rule.
    widened: how many times wider than tall the section is drawn, where a tube would be thinner than a line; it is said.
    """

    shapes: tuple[Shape, ...]
    dimensions: tuple[Dimension, ...]
    labels: tuple[Label, ...]
    tape: Tape | None
    handles: tuple[Handle, ...] = ()
    adders: tuple[Adder, ...] = ()
    cut: tuple[float, float] | None = None
    rule_unit: str = "cm"
    base: str = "tray"
    widened: float = 1.0
    pressure_unit: str = "hPa"
