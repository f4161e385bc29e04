"""How the pressure in a room went over the last hours, as a plot and in words."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Any

import numpy as np
from django.db.models import DateTimeField, F, Value, Window
from django.db.models.functions import Extract, Floor, RowNumber
from django.utils import timezone

from hydrostatics.prediction import Line, Plot
from hydrostatics.views.plot import chart_of_plot

from .models import AirReading, Room

MOST_POINTS = 400
"""Points of a line, one for each of so many equal times."""
STEADY = 50.0
"""Change over the whole time [Pa] below which the pressure is called steady: common practice, no published source."""


def trend(room: Room, hours: int) -> dict[str, Any]:
    """The trend over some hours, at each time of the first source that spoke then."""
    now = timezone.now()
    since = now - timedelta(hours=hours)
    rows = _counted(room, since, hours * 3600.0)
    told: dict[str, Any] = {"hours": hours, "count": len(rows), "at": now, "chart": None, "words": "", "now": None, "then": None, "then_at": None}
    if len(rows) < 2:
        return told
    ago = np.array([(at - now).total_seconds() for at, _ in rows])
    pressure = np.array([p for _, p in rows])
    change = float(pressure[-1] - pressure[0])
    span = _span(-float(ago[0]))
    size = f"{abs(change) / 100:.1f}"
    words = f"steady over {span}" if abs(change) < STEADY else f"{'risen' if change > 0 else 'fallen'} by {size} hPa in {span}"
    plot = Plot("Pressure over the time", ("from now", "time", "h"), ("pressure", "pressure", "hPa"), (Line("", ago, pressure),))
    return told | {"chart": chart_of_plot(plot), "words": words, "now": float(pressure[-1]), "then": float(pressure[0]), "then_at": rows[0][0]}


def _span(seconds: float) -> str:
    """A while in words: 40 min, 16 h, 6 days."""
    if seconds < 5400:
        return f"{seconds / 60:.0f} min"
    return f"{seconds / 3600:.0f} h" if seconds < 3 * 86_400 else f"{seconds / 86_400:.0f} days"


def _counted(room: Room, since: datetime, span: float) -> list[tuple[datetime, float]]:
    """Of each of equal times the last reading of the source that comes first: two sources side by side make no zigzag."""
    ago = Extract(F("at") - Value(since, DateTimeField()), "epoch")
    chosen = Window(RowNumber(), partition_by=[F("place")], order_by=["source__order", "-at"])
    found = AirReading.objects.filter(source__room=room, at__gte=since).annotate(place=Floor(ago / span * MOST_POINTS), choice=chosen)
    return list(found.filter(choice=1).order_by("at").values_list("at", "pressure"))
