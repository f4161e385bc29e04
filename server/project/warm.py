"""What a fresh process does before its first visitor: tables are read and libraries loaded by predicting once."""

from __future__ import annotations

from django.urls import get_resolver

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.window import Paper


def warm() -> None:
    """Loads the addresses, and predicts and draws one starting set-up of each demonstration."""
    assert get_resolver().url_patterns
    for demonstration in ALL_DEMONSTRATIONS:
        found, now = work_out(demonstration.guide.starts[0]["document"])
        answer(found, now)
        draw(found, now, Paper())
