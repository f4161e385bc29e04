"""Strips painted as a PDF, each line where the layout has it."""

from __future__ import annotations

import io
from collections.abc import Sequence
from typing import Any

from .lettering import PLAIN, STRONG, lettering
from .strip_pages import CHECK, EDGE, HEAD, LANE, RIBBON, TAB, TALL, WIDE, Page, Piece, pages_of
from .strips import Strip

_HAIR, _LINE = 0.1, 0.25
_SMALL, _WORDS, _TITLE = 6.5, 7.5, 11.0


def strips_pdf(strips: Sequence[Strip], title: str, stamp: str) -> bytes:
    """The sheets as a PDF.

    strips: at least one. title: of the set-up. stamp: its version and when it was printed.
    """
    from reportlab.lib.units import mm
    from reportlab.pdfgen.canvas import Canvas

    lettering()
    out = io.BytesIO()
    canvas = Canvas(out, pagesize=(WIDE * mm, TALL * mm), invariant=True)
    canvas.setTitle(f"Strips at true scale: {title}")
    pages = pages_of(strips)
    for k, page in enumerate(pages):
        canvas.scale(mm, mm)  # from here on everything is in millimetres
        _head(canvas, title, f"{stamp}; sheet {k + 1} of {len(pages)}")
        _page(canvas, page)
        if k == 0:
            _check(canvas)
        canvas.showPage()
    canvas.save()
    return out.getvalue()


def _up(y: float) -> float:
    """The library counts from the foot of the page."""
    return TALL - y


def _text(canvas: Any, x: float, y: float, words: str, size: float, font: str = PLAIN, room: float = 0.0) -> float:
    """Words from a point on, broken to the room where there is one; returns where the next line would stand."""
    from reportlab.lib.utils import simpleSplit

    high = size * 0.3528  # of a point in millimetres
    for line in simpleSplit(words, font, high, room) if room else [words]:
        canvas.setFont(font, high)
        canvas.drawString(x, _up(y), line)
        y += 1.2 * high
    return y


def _head(canvas: Any, title: str, stamp: str) -> None:
    y = _text(canvas, EDGE, EDGE + 3, title, _TITLE, STRONG)
    _text(canvas, EDGE, y, f"True scale: print at 100 %, not fitted to the page. {stamp}", _SMALL)


def _page(canvas: Any, page: Page) -> None:
    for piece in page.pieces:
        _piece(canvas, piece)


def _piece(canvas: Any, piece: Piece) -> None:
    x, right = piece.x, piece.x + RIBBON
    part = f", piece {piece.number} of {piece.of}" if piece.of > 1 else ""
    y = _text(canvas, x, EDGE + 13.5, f"{piece.title}{part}", _WORDS, STRONG, LANE - 2)
    _text(canvas, x, y, piece.zero if piece.number == 1 else "goes on from the piece before: lay line on line", _SMALL, PLAIN, LANE - 2)
    canvas.setLineWidth(_LINE)
    canvas.rect(x, _up(piece.foot), RIBBON, piece.high - piece.low, stroke=1, fill=0)
    if piece.tab is not None:
        canvas.setDash(1, 1)
        canvas.rect(x, _up(piece.tab + TAB), RIBBON, TAB, stroke=1, fill=0)
        canvas.setDash()
        _text(canvas, x + 1, piece.tab + 5, "next piece over this", _SMALL, PLAIN)
    for y in piece.joins:
        canvas.setLineWidth(_LINE)
        canvas.line(x - 4, _up(y), x, _up(y))
        canvas.line(right, _up(y), right + 4, _up(y))
    canvas.setLineWidth(_HAIR)
    for y, at in piece.ticks:
        canvas.line(x, _up(y), x + (4.0 if at % 10 == 0 else 2.0), _up(y))
        if at % 50 == 0 and piece.top + 2 < y < piece.foot - 2:
            _text(canvas, x + 4.6, y + 0.8, f"{at // 10} cm", _SMALL)
        elif at == 0:
            _text(canvas, x + 4.6, y + (2.6 if y < piece.foot - 2 else -0.8), "0", _SMALL)
    for mark in piece.marks:
        if mark.spread:
            canvas.setFillGray(0.85)
            canvas.rect(x + 12, _up(mark.spread[1]), 5, mark.spread[1] - mark.spread[0], stroke=0, fill=1)
            canvas.setFillGray(0)
        if not mark.words:
            continue
        canvas.setLineWidth(_LINE)
        canvas.line(x, _up(mark.y), right, _up(mark.y))
        if mark.hole:
            canvas.circle(x + 14.5, _up(mark.y), mark.hole / 2, stroke=1, fill=0)
            canvas.line(x + 14.5, _up(mark.y - mark.hole / 2 - 2), x + 14.5, _up(mark.y + mark.hole / 2 + 2))
        canvas.setLineWidth(_HAIR)
        canvas.line(right, _up(mark.y), right + 2, _up(mark.words_y))
        _text(canvas, right + 2.6, mark.words_y + 0.9, mark.words, _WORDS)


def _check(canvas: Any) -> None:
    """The square by which one sees whether the printer kept the scale."""
    x = WIDE - EDGE - CHECK
    y = EDGE + HEAD
    canvas.setFillGray(1)
    canvas.setLineWidth(_LINE)
    canvas.rect(x, _up(y + CHECK), CHECK, CHECK, stroke=1, fill=1)
    canvas.setFillGray(0)
    _text(canvas, x + 4, y + 10, f"Measure this square: {CHECK:.0f} mm by {CHECK:.0f} mm.", _WORDS, STRONG, CHECK - 8)
    _text(canvas, x + 4, y + 24, "If it is not, print again at 100 %; nothing on these sheets is right until it is.", _SMALL, PLAIN, CHECK - 8)
