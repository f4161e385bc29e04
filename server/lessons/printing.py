"""A template printed as a PDF in the house's letters, with nothing taken in from elsewhere."""

from __future__ import annotations

import base64
import re
from typing import Any

from django.template.loader import render_to_string
from django.utils import timezone
from django.utils.html import strip_tags

from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.layout.small import draw_small
from hydrostatics.nominal import Now
from hydrostatics.paper.svg import as_svg
from hydrostatics.printed.lettering import FONTS

SIZES = (9.0, 8.5, 8.0, 7.5, 7.0, 6.5, 6.0)
"""Sizes of letters that are tried until it stands on one page [pt]."""
ROOM = 320_000.0
"""Letters times the square of their size [pt^2] that a page may just hold, found by trying: larger ones are not tried at all."""
_STYLE = re.compile(r"<style.*?</style>", re.DOTALL)
PICTURE = 150.0
PICTURES = "data:image/svg+xml;base64,"


def printed(template: str, facts: dict[str, Any], sizes: tuple[float, ...] = SIZES) -> bytes:
    """A sheet as a PDF, in about the largest letters that keep it on one page; in the smallest it may take two."""
    from weasyprint import HTML
    from weasyprint.text.fonts import FontConfiguration

    fetcher = _fetcher()
    letters = len(" ".join(strip_tags(_STYLE.sub("", render_to_string(f"lessons/{template}.html", {**facts, "size": sizes[0]}))).split()))
    for size in [size for size in sizes if letters * size**2 <= ROOM] or sizes[-1:]:
        text = render_to_string(f"lessons/{template}.html", {**facts, "size": size})
        document = HTML(string=text, url_fetcher=fetcher).render(font_config=FontConfiguration())
        if len(document.pages) == 1:
            break
    made: bytes = document.write_pdf()
    return made


def now_in_words() -> str:
    """When it was printed."""
    return f"printed {timezone.localtime():%-d %b %Y, %H:%M}"


def picture_of(demonstration: Demonstration[Any], now: Now[Any], name: str) -> str:
    """The small section of a set-up as an address that a sheet may take in."""
    picture = as_svg(draw_small(demonstration.section(now), PICTURE, PICTURE), "light", name)
    return f"{PICTURES}{base64.b64encode(picture.encode()).decode()}"


def own(address: str) -> tuple[bytes, str]:
    """What a sheet may take in, and its sort: the house's fonts, and pictures written into the sheet.  Raises ValueError for anything else."""
    if address.startswith("font:"):
        return (FONTS / address.removeprefix("font:").rsplit("/", 1)[-1]).read_bytes(), "font/ttf"
    if address.startswith(PICTURES):
        return base64.b64decode(address.removeprefix(PICTURES)), "image/svg+xml"
    raise ValueError("a sheet takes nothing from elsewhere")


def _fetcher() -> Any:
    """What the PDF library asks for files; it stops at one that is refused."""
    from weasyprint.urls import URLFetcher, URLFetcherResponse

    class OwnAlone(URLFetcher):  # type: ignore[misc]
        def fetch(self, url: str, headers: Any = None) -> Any:
            body, sort = own(url)
            return URLFetcherResponse(url, body, {"Content-Type": sort})

    return OwnAlone(fail_on_errors=True)
