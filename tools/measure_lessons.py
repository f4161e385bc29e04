"""Measures what lessons promise: their page, their sheets, a week's calendar, strips."""

from __future__ import annotations

import json
import statistics
from collections.abc import Mapping
from datetime import timedelta
from functools import partial

from .asking import asking
from .promised import Promised, at_most, milliseconds

SHOWN = ("inverted-glass", "lifted-column", "barometer", "siphon")
WEEK = 5
"""Lessons of the week whose calendar is asked for."""


def lessons(port: int, headers: Mapping[str, str], setup: int) -> list[Promised]:
    """A lesson of four demonstrations: its page, its sheets, and the calendar of a week of them."""
    from django.utils import timezone

    from hydrostatics.demonstrations.registry import by_key
    from server.lessons.models import Lesson
    from server.setups.models import Setup

    department = Setup.objects.get(pk=setup).department
    ask = asking(port, headers, department.slug)
    documents = {key: json.dumps(by_key()[key].guide.starts[0]["document"]) for key in SHOWN}
    made = [json.loads(ask("setups", "POST", json.dumps({"name": f"Measured {key}", "document": text})))["id"] for key, text in documents.items()]
    items = [{"setup": one, "minutes": 8} for one in made]
    bell = timezone.now() + timedelta(days=2)
    bodies = [{"name": f"Lesson {k}", "starts_at": (bell + timedelta(days=k)).isoformat(), "minutes": 60, "items": items} for k in range(WEEK)]
    kept = [json.loads(ask("lessons", "POST", json.dumps(body)))["id"] for body in bodies]

    def median(address: str, times: int = 20) -> float:
        return statistics.median(milliseconds(partial(ask, address), times, warm=2))

    told = [
        at_most("strips of a set-up at true scale, in process, median", statistics.median(milliseconds(_strips, 5, warm=1)) / 1000, 2, "s"),
        at_most("calendar of a week of five lessons of four, over HTTP, median", median(f"lessons/week.ics?since={bell:%Y-%m-%d}"), 100, "ms"),
        at_most("page of a lesson of four, its data, over HTTP, median", median(f"lessons/{kept[0]}"), 1000, "ms"),
        *(
            at_most(f"{kind} sheet of a lesson of four, over HTTP, median", median(f"lessons/{kept[0]}/{kind}.pdf", 5) / 1000, 2, "s")
            for kind in ("prep", "run", "risk")
        ),
        at_most("sheet to try at home, over HTTP, median", median(f"setups/{made[0]}/home.pdf", 5) / 1000, 2, "s"),
    ]
    Lesson.objects.filter(pk__in=kept).delete()
    Setup.objects.filter(pk__in=made).delete()
    return told


def _strips() -> None:
    from hydrostatics.answer import work_out
    from hydrostatics.demonstrations.registry import by_key
    from hydrostatics.printed.strips import strips_of
    from hydrostatics.printed.strips_pdf import strips_pdf

    strips_pdf(strips_of(*work_out(by_key()["holed-bottle"].guide.starts[0]["document"])), "Measured", "now")
