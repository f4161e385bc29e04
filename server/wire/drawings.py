"""A drawing as it goes over the wire: primitives, what can be held, marks, and the window it was laid out in."""

from __future__ import annotations

from typing import Any, Literal

from ninja import Schema


class HandleOut(Schema):
    id: str
    path: str
    x: float
    y: float
    axis: list[float]
    si_per_unit: float
    si: float
    half_width: float
    least: float
    most: float
    step: float
    unit: str
    factor: float
    offset: float
    words: str
    removes: str
    fills: str = ""
    across: HandleOut | None = None


class AdderOut(Schema):
    path: str
    from_: list[float]
    to: list[float]
    length: float
    key: str
    item: dict[str, Any]
    like: str
    suggest: float
    words: str


class GradientOut(Schema):
    y0: float
    y1: float
    stops: list[tuple[float, str]]


class PrimitiveOut(Schema):
    """p path, t text, c circle; see the core's closed list."""

    k: Literal["p", "t", "c"]
    id: str
    d: list[float] | None = None
    z: int | None = None
    f: str | GradientOut | None = None
    s: str | None = None
    w: float | None = None
    da: list[float] | None = None
    r: int | None = None
    pairs: int | None = None
    words: str | None = None
    g: str | None = None
    x: float | None = None
    y: float | None = None
    rad: float | None = None
    a: Literal["start", "middle", "end"] | None = None
    face: Literal["measure", "sentence"] | None = None
    runs: list[tuple[str, float, int, str]] | None = None
    h: str | None = None


class WindowOut(Schema):
    scale: float
    origin: float
    horizon: float
    cut: list[float] | None


class MarkPlaceOut(Schema):
    """Where a result is marked on the tape, and how many paper units one SI unit takes there."""

    id: str
    path: str
    x: float
    per_si: float
    words: str


class DrawingOut(Schema):
    width: float
    height: float
    horizon: float
    clear: float
    window: WindowOut | None = None
    items: list[PrimitiveOut]
    handles: list[HandleOut]
    marks: list[MarkPlaceOut]
    adders: list[AdderOut]


class ScaleOut(Schema):
    """An axis of a chart: what stands along it, the unit of every number there, its ends, whether it counts."""

    label: str
    unit: str
    ends: list[float]
    whole: bool


class ChartLineOut(Schema):
    """A line of a chart: null is a gap; spread is the half-width of its band at 95 %, empty where there is none."""

    words: str
    dashed: bool
    x: list[float]
    y: list[float | None]
    spread: list[float | None]


class ChartDotOut(Schema):
    x: float
    y: float
    spread: float
    words: str


class StretchOut(Schema):
    """A part of the lower axis on which the verdict is doubtful or a no."""

    ends: list[float]
    state: Literal["works", "marginal", "fails"]


class ChartMarkOut(Schema):
    x: float
    words: str


class ChartOut(Schema):
    """What a chart shows, in the units told; the page draws it."""

    x: ScaleOut
    y: ScaleOut
    lines: list[ChartLineOut]
    dots: list[ChartDotOut]
    strip: list[StretchOut]
    marks: list[ChartMarkOut]
    today: list[float] | None
