"""Curves, solutions, other rooms and the quick line, as they go over the wire."""

from __future__ import annotations

from typing import Any, Literal

from ninja import Schema

from server.wire.drawings import ChartOut


class AxisOut(Schema):
    path: str
    label: str
    kind: str
    unit: str
    today: float | None = None


class ResultAxisOut(Schema):
    label: str
    kind: str


class CurveOut(Schema):
    """A result over an input, SI: values, standard uncertainties, verdict along it, and the chart of it."""

    input: AxisOut
    result: ResultAxisOut
    x: list[float]
    y: list[float | None]
    sd: list[float]
    states: list[Literal["works", "marginal", "fails"]]
    chart: ChartOut


class RootOut(Schema):
    """One answer; upto: the other end where all between give the target."""

    value: float
    state: Literal["works", "marginal", "fails"]
    quantity: str
    upto: str | None


class NearestOut(Schema):
    value: float
    result: float
    quantity: str


class SolvedOut(Schema):
    """Every value of the input that gives the target in the range, or the nearest reach."""

    input: AxisOut
    result: ResultAxisOut
    target: float
    low: float
    high: float
    found: list[RootOut]
    nearest: NearestOut | None


class WhatIfValueOut(Schema):
    path: str
    label: str
    kind: str
    shown: str
    value: float | None
    standard_uncertainty: float


class WhatIfOut(Schema):
    """The set-up in one room, or why it cannot be taken there."""

    key: str
    name: str
    sense: str
    refused: str
    state: Literal["works", "marginal", "fails", ""]
    reason: str
    values: list[WhatIfValueOut]
    room: dict[str, float] | None


class OneLineOut(Schema):
    """The items that a line stands for, as a set-up file has them, and each in words."""

    items: list[Any]
    words: list[str]


class StaysOut(Schema):
    """One thing that a next set-up begins with: its path, what stands there then, as a set-up file has it, and what it is in words."""

    path: str
    quantity: Any
    words: str


class InMarksOut(Schema):
    """A result in the marks of a gauge, and what is to be said of that beforehand."""

    path: str
    name: str
    marks: float
    standard_uncertainty: float
    words: str


class QuickRowOut(Schema):
    """The answer in one unit, a value for each column; asked: the column that was asked for, -1 for none."""

    unit: str
    values: list[str]
    asked: int


class QuickLineOut(Schema):
    """The answer, gauge or absolute, the working in one line, what it rests on; line is the whole, to be copied; rows: in every usual unit."""

    answer: str
    of: str
    working: str
    rests_on: str
    caution: str
    line: str
    columns: list[str]
    rows: list[QuickRowOut]
