"""Strips laid out on pages of A4, in millimetres from a page's upper left corner: pieces with joining marks, and a square to check the printer with."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

from .strips import Strip

WIDE, TALL = 210.0, 297.0
EDGE, HEAD = 14.0, 36.0
"""What a printer leaves white, and what stands above the pieces."""
LANE = 60.0
"""Width of a piece with its words."""
RIBBON = 20.0
"""Width of the strip itself."""
PIECE, TAB = 230.0, 8.0
"""Most of a strip on one page, and what a piece goes on beyond it to be glued under the next."""
CHECK = 50.0
"""Side of the check square."""
ACROSS = 3
"""Pieces side by side."""
APART = 3.6
"""Least distance of two lines of words."""
BEYOND = 6.0
"""What a strip goes on beyond its last mark."""


@dataclass(frozen=True)
class Placed:
    """A mark on its piece: place on the page, words and where they stand, hole, and the part of its spread that is on this piece."""

    y: float
    words: str
    words_y: float
    hole: float = 0.0
    spread: tuple[float, float] | None = None


@dataclass(frozen=True)
class Piece:
    """A part of a strip: left edge, ends on the page, and what of the strip it shows [mm from its zero]; which it is of how many;
    tab: upper edge of what is glued under the next piece, none at the last."""

    title: str
    zero: str
    x: float
    top: float
    low: float
    high: float
    number: int
    of: int
    marks: tuple[Placed, ...]
    ticks: tuple[tuple[float, int], ...]
    joins: tuple[float, ...]
    tab: float | None

    @property
    def foot(self) -> float:
        """Where it ends on the page, its tab not counted."""
        return self.top + self.high - self.low


@dataclass
class Page:
    """What stands on one sheet."""

    pieces: list[Piece] = field(default_factory=list)


def pages_of(strips: Sequence[Strip]) -> list[Page]:
    """The sheets for some strips; the first sheet's last lane is the check square's."""
    pieces = [(strip, k) for strip in strips for k in range(_count(strip))]
    pages = [Page()]
    for strip, k in pieces:
        if len(pages[-1].pieces) == (ACROSS - 1 if len(pages) == 1 else ACROSS):
            pages.append(Page())
        pages[-1].pieces.append(_piece(strip, k, EDGE + len(pages[-1].pieces) * (LANE + 1.0)))
    return pages


def _long(strip: Strip) -> float:
    return 1000 * strip.length + BEYOND


def _count(strip: Strip) -> int:
    return max(1, -int(-_long(strip) // PIECE))


def _piece(strip: Strip, k: int, x: float) -> Piece:
    many = _count(strip)
    low, high = k * _long(strip) / many, (k + 1) * _long(strip) / many
    top = EDGE + HEAD

    def place(at: float) -> float:
        return top + (high - at if strip.upwards else at - low)

    seen = []
    for mark in strip.marks:
        at, far = 1000 * mark.at, 1000 * mark.spread
        if low <= at + far and at - far <= high:
            ends = sorted((place(max(at - far, low)), place(min(at + far, high))))
            seen.append((mark, place(at), low <= at < high, (ends[0], ends[1]) if far else None))
    taken, marks = top - APART, []
    for mark, y, there, spread in sorted(seen, key=lambda one: one[1]):
        if there:
            taken = max(y, taken + APART)
        marks.append(Placed(y, mark.words if there else "", taken, 1000 * mark.hole if there else 0.0, spread))
    ticks = tuple((place(mm), mm) for mm in range(int(-(-low // 5) * 5), int(high) + 1, 5))
    joins = tuple(place(end) for end, inner in ((low, k > 0), (high, k < many - 1)) if inner)
    tab = None if k == many - 1 else (top - TAB if strip.upwards else top + high - low)
    return Piece(strip.title, strip.zero, x, top, low, high, k + 1, many, tuple(marks), ticks, joins, tab)
