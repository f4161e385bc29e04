"""Labels to stick on gear: a sheet of paper with a code each that opens the thing on a phone."""

from __future__ import annotations

import io
from collections.abc import Sequence
from typing import Any

from hydrostatics.printed.lettering import PLAIN, STRONG, lettering
from hydrostatics.quantities.saying import as_people_write

from .models import Item
from .telling import told_size

ACROSS, DOWN = 3, 8
"""Labels of a sheet of A4: 70 by 37 millimetres each, a usual size of sticky sheets."""
WIDE, TALL = 70.0, 37.0
EDGE, CODE = 4.0, 25.0
"""White edge of a label and side of its code [mm]."""
MOST_SIZES = 3


def labels_pdf(items: Sequence[Item], address: str) -> bytes:
    """A PDF of labels, a page for each twenty-four.

    items: with their newest sizes. address: of the shelf's page, to which an item's number is added.
    """
    from reportlab.lib.pagesizes import A4
    from reportlab.lib.units import mm
    from reportlab.pdfgen.canvas import Canvas

    lettering()
    out = io.BytesIO()
    canvas = Canvas(out, pagesize=A4, invariant=True)
    canvas.setTitle("Labels of the shelf")
    top = A4[1] - (A4[1] - DOWN * TALL * mm) / 2
    for i, item in enumerate(items):
        place = i % (ACROSS * DOWN)
        if i and not place:
            canvas.showPage()
        left, high = place % ACROSS * WIDE * mm, top - place // ACROSS * TALL * mm
        _label(canvas, item, f"{address}/{item.pk}", left, high, mm)
    canvas.save()
    return out.getvalue()


def _label(canvas: Any, item: Item, address: str, left: float, high: float, mm: float) -> None:
    import segno

    code = segno.make(address, error="m", micro=False)
    side = code.symbol_size(border=0)[0]
    dot, x0, y0 = CODE * mm / side, left + EDGE * mm, high - EDGE * mm
    for r, row in enumerate(code.matrix):
        for c, dark in enumerate(row):
            if dark:
                canvas.rect(x0 + c * dot, y0 - (r + 1) * dot, dot, dot, stroke=0, fill=1)
    x, room = x0 + (CODE + 3) * mm, (WIDE - CODE - 2 * EDGE - 3) * mm
    y = y0 - 3.2 * mm
    for line in _broken(item.name, STRONG, 10, room, 3):
        canvas.setFont(STRONG, 10)
        canvas.drawString(x, y, line)
        y -= 4.2 * mm
    sizes = [f"{told_size(size)['label'].lower()} {as_people_write(size.quantity)}" for size in getattr(item, "newest", [])[:MOST_SIZES]]
    for text in (*sizes, item.place):
        for line in _broken(text, PLAIN, 7.5, room, 2) if text else ():
            canvas.setFont(PLAIN, 7.5)
            canvas.drawString(x, y, line)
            y -= 3.1 * mm


def _broken(text: str, font: str, size: float, room: float, most: int) -> list[str]:
    """A text in lines that fit; where there are too many, the last one says so."""
    from reportlab.lib.utils import simpleSplit

    lines: list[str] = simpleSplit(text, font, size, room)
    return lines if len(lines) <= most else [*lines[: most - 1], f"{lines[most - 1].rstrip()} …"]
