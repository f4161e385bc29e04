"""The lettering of everything printed: the house's faces as plain fonts, known to the PDF library by name."""

from __future__ import annotations

from functools import cache
from pathlib import Path

FONTS = Path(__file__).parent / "fonts"
PLAIN, STRONG = "label", "label-strong"


@cache
def lettering() -> None:
    """Makes PLAIN and STRONG known; once a process is enough."""
    from reportlab.pdfbase.pdfmetrics import registerFont
    from reportlab.pdfbase.ttfonts import TTFont

    for name, weight in ((PLAIN, 400), (STRONG, 600)):
        registerFont(TTFont(name, str(FONTS / f"label-{weight}.ttf")))
