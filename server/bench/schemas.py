"""What goes over the wire about predictions.  A set-up is typed as a document whose JSON Schema the client fetches."""

from __future__ import annotations

from typing import Any, Literal

from ninja import Schema

from .guide_schemas import GuideOut


class NumberOut(Schema):
    """A result: SI value, its standard uncertainty, where that comes from, and the unit in which it is shown."""

    value: float
    unit: str
    standard_uncertainty: float
    shares: dict[str, float]
    label: str
    kind: str
    shown: str
    read: bool


class ChangeOut(Schema):
    path: str
    quantity: Any


class RunOfWordsOut(Schema):
    """A piece of the verdict's sentence: words, or a number with its path."""

    text: str | None = None
    path: str | None = None
    number: str | None = None
    spread: str | None = None
    unit: str | None = None
    words: str | None = None


class VerdictOut(Schema):
    state: Literal["works", "marginal", "fails"]
    reason: str
    about: str
    advice: list[str]
    changes: list[list[ChangeOut] | None]
    buttons: list[str]
    runs: list[RunOfWordsOut]
    headline: list[str]


class PlainOut(Schema):
    value: float
    unit: str
    kind: str
    shown: str


class RoomOut(Schema):
    station_pressure: PlainOut
    temperature: PlainOut
    gravity: PlainOut
    constants: str
    constants_words: str
    what_if: bool
    how: list[str]
    liquids: dict[str, Any]


class InputOut(Schema):
    value: float
    half_width: float
    kind: str
    unit: str
    label: str
    origin: Literal["typed", "default", "handbook"]


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


class ViewOut(Schema):
    """A view of results beside the section: a table, or a map of regions over two inputs."""

    view: Literal["table", "map"]
    title: str
    columns: list[str] | None = None
    rows: list[list[str]] | None = None
    drawing: DrawingOut | None = None


class CurveAskedOut(Schema):
    result: str
    input: str


class SchoolOut(Schema):
    """Who holds what, what this set-up bears out, and the small curve that shows it."""

    claim: str
    words: str
    curve: CurveAskedOut | None


class PredictionOut(Schema):
    anchorage: int
    demonstration: str
    title: str
    moves: bool
    verdict: VerdictOut
    room: RoomOut
    results: dict[str, NumberOut | Any]
    assumptions: list[str]
    cautions: list[str]
    sources: list[str]
    views: list[ViewOut]
    curve: CurveAskedOut | None
    schools: list[SchoolOut]
    inputs: dict[str, InputOut]
    scene: DrawingOut | None = None
    working: list[str] | None = None
    guide: GuideOut | None = None


class MarkOut(Schema):
    time: float
    words: str


class PlaySeriesOut(Schema):
    key: str
    label: str
    kind: str
    values: list[float]


class OverOut(Schema):
    """The quantity that a playback runs over where no law gives the time."""

    label: str
    kind: str
    unit: str


class PlaybackOut(Schema):
    times: list[float]
    over: OverOut | None = None
    marks: list[MarkOut]
    series: list[PlaySeriesOut]
    moving: list[str]
    frames: list[list[list[float]]]


class StartOut(Schema):
    name: str
    words: str
    document: dict[str, Any]


class DemonstrationOut(Schema):
    key: str
    title: str
    sees: str
    starts: list[StartOut]


class UnitOut(Schema):
    unit: str
    printed: str
    factor: float
    offset: float


class TablesOut(Schema):
    """Units by kind, the default first: SI = factor * number + offset."""

    units: dict[str, list[UnitOut]]
