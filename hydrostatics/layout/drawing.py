"""From an answer's nominal case to its drawing and its playback."""

from __future__ import annotations

from typing import Any

from ..demonstrations.protocol import Demonstration
from ..nominal import Now
from ..quantities.saying import shown_unit
from ..section.shapes import Scene
from .figures import Figures
from .geometry import geometry, pressure_end
from .sheet import lay_out
from .window import Paper, Window, fitted


def figures_of(now: Now[Any]) -> Figures:
    """The numbers that a section's lettering needs."""
    spread = now.spread
    results = {path: (float(spread.nominal[v]), now.shown_sd(path), value.kind, now.unit(path)) for v, (path, value) in enumerate(spread.values)}
    inputs = {leaf.path: (leaf.si, leaf.half_width, leaf.kind, leaf.unit or shown_unit(leaf.kind, None), leaf.number) for leaf in now.inputs.leaves.values()}
    return Figures(results, inputs, float(now.room.station_pressure[0]))


def draw(demonstration: Demonstration[Any], now: Now[Any], paper: Paper, window: Window | None = None) -> dict[str, Any]:
    """The laid-out section of the nominal case.

    window: a frozen one while a handle is held; None fits the section anew.
    """
    return draw_scene(demonstration.section(now), now, paper, window)


def draw_scene(scene: Scene, now: Now[Any], paper: Paper, window: Window | None = None) -> dict[str, Any]:
    """A section laid out, with the numbers of the case that it shows."""
    return lay_out(scene, figures_of(now), paper, window)


def play(demonstration: Demonstration[Any], now: Now[Any], paper: Paper, window: Window | None = None) -> dict[str, Any] | None:
    """Playback: times, marks, series, and per time the points of the shapes that move; None where nothing moves."""
    timeline = demonstration.moments(now) if demonstration.moments else None
    if timeline is None:
        return None
    first = demonstration.section(now)
    window = window or fitted(first, paper)
    most = pressure_end(first)
    frames = [{item["id"]: item for item in geometry(demonstration.section(now, state), window, most)} for state in timeline.states]
    for frame in frames:  # what is not there at a moment, such as the hatching of what has come up to the room's pressure, is drawn as a point
        for id, item in frames[0].items():
            frame.setdefault(id, {**item, "d": item["d"][:2] * (len(item["d"]) // 2)} if "d" in item else item)
    moving = [id for id in frames[0] if any(frame[id].get("d") != frames[0][id].get("d") for frame in frames)]
    return {
        "times": list(timeline.times),
        "over": {"label": timeline.over[0], "kind": timeline.over[1], "unit": timeline.over[2]} if timeline.over else None,
        "marks": [{"time": time, "words": words} for time, words in timeline.marks],
        "series": [{"key": key, "label": label, "kind": kind, "values": list(values)} for key, (label, kind, values) in timeline.series.items()],
        "moving": moving,
        "frames": [[frame[id]["d"] for id in moving] for frame in frames],
    }
