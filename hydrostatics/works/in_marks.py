"""Results in the marks of the gauge they will be read on."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from ..errors import OutOfRange, Refusal, UnreadableQuantity
from ..errors import english as cases
from ..prediction import told_results
from ..quantities.reading import Quantity, read_quantity
from .size_names import FULL_SCALE, READ_KINDS, SMALLEST_MARK

SEEN = 0.5
"""Part of a mark below which nothing is seen."""


@dataclass(frozen=True)
class InMarks:
    """A result on a gauge: its path and name, marks and their uncertainty; what is to be said of it beforehand, empty where nothing is."""

    path: str
    name: str
    marks: float
    standard_uncertainty: float
    words: str


def read_gauge(path: str, text: str) -> tuple[Quantity, str]:
    """A mark or a full scale as typed, and its kind: the first that its unit fits.  Raises a Refusal."""
    for kind in READ_KINDS:
        try:
            found = read_quantity(path, text, kind)
        except Refusal:
            continue
        if found.si <= 0:
            raise OutOfRange(path, cases.OUT_OF_RANGE, value=text, relation="above", limit="0")
        return found, kind
    raise UnreadableQuantity(path, cases.NO_MARK, given=text[:60])


def in_marks(answer: Mapping[str, Any], smallest_mark: str, full_scale: str = "") -> list[InMarks]:
    """The readable results of an answer that a gauge shows, in its marks.

    answer: of a set-up. smallest_mark, full_scale: as typed; the latter empty where it is not known. Raises a Refusal.
    """
    mark, kind = read_gauge(SMALLEST_MARK, smallest_mark)
    full = read_quantity(FULL_SCALE, full_scale, kind).si if full_scale else None
    told = []
    for path, value in told_results(answer):
        if not isinstance(value, dict) or not value.get("read") or not _shows(kind, value["kind"]):
            continue
        marks = value["value"] / mark.si
        sd = value["standard_uncertainty"] / mark.si
        told.append(InMarks(path, value["name"], marks, sd, _words(marks, sd, None if full is None else full / mark.si)))
    return told


def _shows(kind: str, other: str) -> bool:
    """Whether a gauge of a kind shows a result of another; lengths are lengths, however small."""
    lengths = ("length", "sink", "height")
    return kind == other or (kind in lengths and other in lengths)


def _words(marks: float, sd: float, full: float | None) -> str:
    size = abs(marks)
    if full is not None and size > full:
        return "perhaps off the scale" if size - 2 * sd <= full else "off the scale"
    if size < SEEN:
        return "perhaps less than half a mark" if size + 2 * sd >= SEEN else "less than half a mark: nothing will be seen"
    return "perhaps off the scale" if full is not None and size + 2 * sd > full else ""
