"""How the pressure in a room went over the last hours, as a plot and in words."""

from __future__ import annotations

from datetime import timedelta
from typing import Any

import numpy as np
from django.utils import timezone

from hydrostatics.prediction import Line, Plot
from hydrostatics.views.plot import lay_out_plot

from .models import AirReading, Room

MOST_POINTS = 400
"""Points of a line, the last of each of so many equal times."""
STEADY = 50.0
"""Change over the whole time [Pa] below which the pressure is called steady: common practice, no published source."""


def trend(room: Room, hours: int) -> dict[str, Any]:
    """The trend over some hours, of all sources together as they counted."""
    now = timezone.now()
    since = now - timedelta(hours=hours)
    rows = list(AirReading.objects.filter(source__room=room, at__gte=since).order_by("at", "-source__order").values_list("at", "pressure"))
    told: dict[str, Any] = {"hours": hours, "count": len(rows), "drawing": None, "words": "", "now": None, "then": None, "then_at": None}
    if len(rows) < 2:
        return told
    ago = np.array([(at - now).total_seconds() for at, _ in rows])
    pressure = np.array([p for _, p in rows])
    kept = _thinned(ago, hours * 3600.0)
    change = float(pressure[-1] - pressure[0])
    span = _span(-float(ago[0]))
    size = f"{abs(change) / 100:.1f}"
    words = f"steady over {span}" if abs(change) < STEADY else f"{'risen' if change > 0 else 'fallen'} by {size} hPa in {span}"
    plot = Plot("Pressure over the time", ("from now", "time", "h"), ("pressure", "pressure", "hPa"), (Line("", ago[kept], pressure[kept]),))
    return told | {"drawing": lay_out_plot(plot), "words": words, "now": float(pressure[-1]), "then": float(pressure[0]), "then_at": rows[0][0]}


def _span(seconds: float) -> str:
    """A while in words: 40 min, 16 h, 6 days."""
    if seconds < 5400:
        return f"{seconds / 60:.0f} min"
    return f"{seconds / 3600:.0f} h" if seconds < 3 * 86_400 else f"{seconds / 86_400:.0f} days"


def _thinned(ago: Any, span: float) -> Any:
    """Numbers of the last reading of each of equal times."""
    place = np.minimum(((ago + span) / span * MOST_POINTS).astype(int), MOST_POINTS - 1)
    last = np.append(np.flatnonzero(np.diff(place)), len(ago) - 1)
    return np.unique(np.concatenate([[0], last]))
