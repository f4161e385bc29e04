"""What goes over the wire about predictions.  A set-up is typed as a document whose JSON Schema the client fetches."""

from __future__ import annotations

from typing import Any, Literal

from ninja import Schema

from server.wire.drawings import ChartOut, DrawingOut

from .guide_schemas import GuideOut


class ResultOut(Schema):
    """A result: SI value, its standard uncertainty, where that comes from, and the unit in which it is shown."""

    value: float
    unit: str
    standard_uncertainty: float
    shown_uncertainty: float
    shares: dict[str, float]
    label: str
    name: str
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
    probability: float | None
    doubt: str
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
    name: str
    origin: Literal["typed", "default", "handbook"]


class ViewOut(Schema):
    """A view of results beside the section: a table, a map of regions over two inputs, or a plot."""

    view: Literal["table", "map", "plot"]
    title: str
    columns: list[str] | None = None
    rows: list[list[str]] | None = None
    walks: list[str] | None = None
    drawing: DrawingOut | None = None
    chart: ChartOut | None = None


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
    carries: bool
    verdict: VerdictOut
    room: RoomOut
    results: dict[str, ResultOut | Any]
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


class TakenOverOut(Schema):
    """A result as a field takes it over; fields: their names; beside: what goes with it next to that field, null to leave it out."""

    result: str
    quantity: Any
    fields: list[str]
    beside: dict[str, Any]


class MeasuredOut(Schema):
    """The answer to what was measured with an aid."""

    anchorage: int
    aid: str
    title: str
    takes_over: list[TakenOverOut]
    scene: DrawingOut | None = None
    scale: bool = False
    verdict: VerdictOut
    room: RoomOut
    results: dict[str, ResultOut | Any]
    assumptions: list[str]
    cautions: list[str]
    sources: list[str]
    views: list[ViewOut]
    inputs: dict[str, InputOut]
    working: list[str]


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
