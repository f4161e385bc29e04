"""A lesson on paper: what the technician prepares, and what the teacher runs by; a page each."""

from __future__ import annotations

import base64
from datetime import timedelta
from typing import Any, Literal

from django.template.loader import render_to_string
from django.utils import timezone

from hydrostatics.answer import answer
from hydrostatics.guides.filling import prepared
from hydrostatics.layout.small import draw_small
from hydrostatics.lessons.plan import Shown
from hydrostatics.paper.svg import as_svg
from hydrostatics.printed.lettering import FONTS

from .models import Lesson
from .planning import shown_in, told_lesson, versions_of

Kind = Literal["prep", "run"]
TITLES: dict[Kind, str] = {"prep": "Prep sheet", "run": "Run sheet"}
SIZES = (9.0, 8.0, 7.0, 6.0)
"""Sizes of letters that are tried until it stands on one page [pt]."""
PICTURE = 150.0
PICTURES = "data:image/svg+xml;base64,"
CAUTIONS = 3
"""Cautions of one demonstration that a run sheet has room for; the set-up's page has them all."""


def sheet_pdf(lesson: Lesson, kind: Kind) -> bytes:
    """The sheet as a PDF, in the largest letters that keep it on one page; in the smallest it may take two."""
    told = told_lesson(lesson)
    shown, places, _ = shown_in(lesson, versions_of(lesson))
    names = [row["name"] for row in told["rows"]]
    for slot in told["slots"] or ():
        slot["name"] = names[slot["item"]]
    entries = [_entry(one, told["rows"][place], kind) for one, place in zip(shown, places, strict=True)]
    facts = {
        "title": TITLES[kind],
        "lesson": told,
        "room": lesson.room.name if lesson.room else "",
        "stamp": f"Version {lesson.version}, printed {timezone.localtime():%-d %b %Y, %H:%M}",
        "shown": entries,
        "clearing": list(dict.fromkeys(line for one in entries for line in one["guide"]["clearing"])),
    }
    return _printed(kind, facts)


def _entry(one: Shown, row: dict[str, Any], kind: Kind) -> dict[str, Any]:
    """One demonstration as a sheet tells it."""
    made: dict[str, Any] = {"name": one.name, "guide": prepared(one.demonstration.guide, one.now), "begins": row["begins"]}
    if kind == "run":
        told = answer(one.demonstration, one.now)
        picture = as_svg(draw_small(one.demonstration.section(one.now), PICTURE, PICTURE), "light", one.name)
        made |= {
            "long": (row["ends"] - row["begins"]) / timedelta(minutes=1),
            "verdict": told["verdict"]["reason"],
            "cautions": told["cautions"][:CAUTIONS],
            "picture": f"{PICTURES}{base64.b64encode(picture.encode()).decode()}",
        }
    return made


def _printed(kind: Kind, facts: dict[str, Any]) -> bytes:
    from weasyprint import HTML
    from weasyprint.text.fonts import FontConfiguration

    fetcher = _fetcher()
    for size in SIZES:
        text = render_to_string(f"lessons/{kind}.html", {**facts, "size": size})
        document = HTML(string=text, url_fetcher=fetcher).render(font_config=FontConfiguration())
        if len(document.pages) == 1:
            break
    made: bytes = document.write_pdf()
    return made


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
