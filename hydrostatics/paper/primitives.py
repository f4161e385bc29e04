"""The closed list of plain primitives, in paper units, that screen, SVG and PDF translate one to one.

Each is a dictionary ready for JSON.  `k` says which: p path, t text, c circle.  Colours are tokens of the colour table; a
fill may also be `hatch-up`, `hatch-down`, `hatch-below`, or a gradient {y0, y1, stops}.  Coordinates are rounded to 0.01.
`g` names groups: answer (hidden on the stage until revealed), tint, moment (true at the start alone, hidden while something plays).
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import numpy as np
from numpy.typing import NDArray

Primitive = dict[str, Any]
Run = tuple[str, float, int, str]
"""A run of lettering: text, size, weight, colour token."""
PATTERNS = ("hatch-up", "hatch-down", "hatch-below")
"""The hatchings, each drawn by the translator in the colour given here."""
PATTERN_INK = {"hatch-up": "ink", "hatch-down": "thin", "hatch-below": "hatch-below"}


def path(
    id: str,
    points: Sequence[tuple[float, float]] | NDArray[np.float64],
    *,
    closed: bool = False,
    fill: Any = None,
    stroke: str | None = None,
    width: float = 1.0,
    dash: Sequence[float] = (),
    round_: bool = False,
    words: str = "",
    group: str = "",
) -> Primitive:
    """A line or an area."""
    made: Primitive = {"k": "p", "id": id, "d": _rounded(points)}
    if closed:
        made["z"] = 1
    if fill is not None:
        made["f"] = fill
    if stroke is not None:
        made |= {"s": stroke, "w": round(width, 2)}
    if dash:
        made["da"] = [round(v, 2) for v in dash]
    if round_:
        made["r"] = 1
    if words:
        made["words"] = words
    if group:
        made["g"] = group
    return made


def _rounded(points: Sequence[tuple[float, float]] | NDArray[np.float64]) -> list[float]:
    if len(points) < 9:
        return [round(v, 2) for point in points for v in point]
    made: list[float] = np.asarray(points).round(2).ravel().tolist()
    return made


def rectangle(id: str, x: float, y: float, width: float, height: float, fill: Any, **more: Any) -> Primitive:
    """An upright rectangle."""
    return path(id, ((x, y), (x + width, y), (x + width, y + height), (x, y + height)), closed=True, fill=fill, **more)


def line(id: str, a: tuple[float, float], b: tuple[float, float], stroke: str, width: float = 1.0, **more: Any) -> Primitive:
    """A straight line."""
    return path(id, (a, b), stroke=stroke, width=width, **more)


def circle(id: str, x: float, y: float, radius: float, *, fill: str | None = None, stroke: str | None = None, width: float = 1.0, group: str = "") -> Primitive:
    """A circle."""
    made: Primitive = {"k": "c", "id": id, "x": round(x, 2), "y": round(y, 2), "rad": radius}
    if fill:
        made["f"] = fill
    if stroke:
        made |= {"s": stroke, "w": width}
    return made | ({"g": group} if group else {})


def text(id: str, x: float, y: float, runs: Sequence[Run], *, anchor: str = "start", face: str = "measure", group: str = "", halo: str = "") -> Primitive:
    """A line of lettering, y its baseline; halo is the token of the ground that clears a line behind it."""
    made: Primitive = {"k": "t", "id": id, "x": round(x, 2), "y": round(y, 2), "a": anchor, "face": face, "runs": [list(run) for run in runs]}
    if halo:
        made["h"] = halo
    return made | ({"g": group} if group else {})
