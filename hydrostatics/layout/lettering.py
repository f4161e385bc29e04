"""Dimension lines and labels: each at the first place where it touches nothing."""

from __future__ import annotations

import math

from ..paper.colours import tint
from ..paper.fonts import text_width
from ..paper.primitives import Primitive, Run, circle, line, path, text
from ..quantities.saying import MINUS, SPACE, plain_number, printed_unit, said, scale_of
from ..section.shapes import Dimension, Label, Scene
from .figures import Figures
from .placement import Placer
from .window import GAP, Paper, Window

RING = 6.5
"""Radius of a ring, which one can hold."""


def _typed(path_: str, figures: Figures) -> tuple[str, str, str]:
    """An input as it was typed: number, half-width, unit."""
    _, half, kind, unit, number = figures.inputs[path_]
    factor, _ = scale_of(unit, kind)
    return number.replace("-", MINUS), f"{half / factor:.6g}" if half else "", printed_unit(unit)


def dimension_line(dimension: Dimension, window: Window, paper: Paper, figures: Figures, placer: Placer) -> list[Primitive]:
    return _upright(dimension, window, paper, figures, placer) if dimension.upright else _lying(dimension, window, figures, placer)


def _upright(dimension: Dimension, window: Window, paper: Paper, figures: Figures, placer: Placer) -> list[Primitive]:
    x = paper.lanes[dimension.lane]
    (x0, z0), (_, z1) = dimension.points
    foot, top = window.y(z0), window.y(z1)
    id, made = dimension.path, []
    reach = window.x(x0) - 4
    if dimension.shows_line:
        made.append(line(f"{id}:line", (x, foot), (x, top), "second", 1))
    if dimension.handle:
        made.append(line(f"{id}:out", (x + RING, top), (max(reach, x + RING), top), "hair", 1))
        made.append(circle(f"{id}:ring", x, top, RING, fill="ground", stroke="ink", width=1.75))
    if paper.narrow:  # the list below the drawing says them; here the rings need the room
        return made
    number, half, unit = _typed(dimension.path, figures)
    size = 16
    if dimension.lane == 0:
        width = text_width(number, size - 1, 600)
        box = placer.place([(x - RING - 5 - width, top + d - 8, x - RING - 5, top + d + 8) for d in (0, -9, 9)])
        if box:
            made.append(text(f"{id}:figure", box[2], (box[1] + box[3]) / 2 + 5, [(number, size - 1, 600, "ink")], anchor="end", halo="ground"))
        return made
    runs: list[Run] = [(number, size, 600, "ink"), (f"{SPACE}{unit}", 12, 400, "second")]
    second: list[Run] = [(f"±{SPACE}{half}", 12, 400, "second")] if half else []
    width = max(sum(text_width(r[0], r[1], r[2]) for r in line_) for line_ in (runs, second or runs))
    tall = 34 if second else 20
    middle = (foot + top) / 2
    spots = [middle, top + 26, foot - 26, middle - 30, middle + 30] if abs(foot - top) > tall + 12 else [foot + tall / 2 + 8, top - tall / 2 - 10, top - tall]
    left = max(x - width / 2, 42)
    box = placer.place([(left, s - tall / 2, left + width, s + tall / 2) for s in spots])
    if box:
        centre = (box[0] + box[2]) / 2
        made.append(text(f"{id}:figure", centre, box[1] + 16, runs, anchor="middle", halo="ground"))
        if second:
            made.append(text(f"{id}:half", centre, box[1] + 31, second, anchor="middle", halo="ground"))
    return made


def _lying(dimension: Dimension, window: Window, figures: Figures, placer: Placer) -> list[Primitive]:
    (xa, z), (xb, _) = dimension.points
    left, right, y = window.x(xa), window.x(xb), window.y(z) - 24
    id = dimension.path
    made = [line(f"{id}:line", (left, y), (right, y), "second", 1)]
    made.append(path(f"{id}:ends", ((left, y - 4), (left, y + 18), (right, y - 4), (right, y + 18)), stroke="thin", width=0.75) | {"pairs": 1})
    placer.take((left, y - 3, right, y + 3))
    if dimension.handle:
        made.append(circle(f"{id}:ring", right, y, RING, fill="ground", stroke="ink", width=1.75))
    number, half, unit = _typed(dimension.path, figures)
    runs: list[Run] = [(number, 15, 600, "ink"), (f"{SPACE}±{SPACE}{half}" if half else "", 12, 400, "second"), (f"{SPACE}{unit}", 12, 400, "second")]
    runs = [run for run in runs if run[0]]
    width = sum(text_width(r[0], r[1], r[2]) for r in runs)
    middle = (left + right) / 2
    box = placer.place(
        [
            (middle - width / 2, y - 25, middle + width / 2, y - 8),
            (right + RING + 6, y - 9, right + RING + 6 + width, y + 8),
            (left - 6 - width, y - 9, left - 6, y + 8),
        ]
    )
    if box:
        made.append(text(f"{id}:figure", box[0], box[3] - 4, runs, halo="ground"))
    return made


Spots = list[tuple[float, float]]
"""Where lettering may stand, from its point."""


def label_at(label: Label, window: Window, figures: Figures, placer: Placer, most: float, scene: Scene) -> list[Primitive]:
    runs = _label_runs(label, figures, scene)
    width = sum(text_width(run[0], run[1], run[2]) for run in runs)
    x, y = window.at(label.at)
    if label.inside:
        return _inside(label, runs, x, y, width, placer, most, window)
    near: Spots
    far: Spots = []
    if label.side == "under":
        near = [(10, d + 16) for d in (14, 30, 2, 46)]
    elif label.side == "over":
        near = [(-width / 2, -8 - 17 * k) for k in range(4)]
    else:
        near = [(12, -5), (12, -12), (30, -8), (12, 20), (8, 27), (8, 34)]
        far = [] if placer.bounds[2] < 600 else [(44, -14), (60, -22), (90, -6), (90, 20), (130, 6), (150, -14)]
    # near its point in full, near it without its spread, then without its words, then farther off
    tried: list[tuple[list[Run], Spots]] = [(runs, near), (runs, far)]
    if label.path:
        tried[1:1] = [(one, near) for one in _without_spread(label, runs, figures)]
    for told, spots in tried:
        wide = sum(text_width(run[0], run[1], run[2]) for run in told)
        box = placer.place([(x + dx, y + dy - 16, x + dx + wide, y + dy) for dx, dy in spots])
        if box:
            return [text(label.id, box[0], box[3] - 4, told, group="answer moment" if label.answer else "moment", halo="ground")]
    return []


def _without_spread(label: Label, runs: list[Run], figures: Figures) -> tuple[list[Run], list[Run]]:
    """A result's number and unit, with its words and without them."""
    unit = f"{SPACE}{printed_unit(figures.results[label.path][3])}"
    return [runs[0], (unit + label.words, 12, 400, "second")], [runs[0], (unit, 12, 400, "second")]


def _label_runs(label: Label, figures: Figures, scene: Scene) -> list[Run]:
    if label.gauge is not None:
        return [(_signed(label.gauge, scene.pressure_unit, with_unit=True), 12, 600, "ink")]
    if not label.path:
        return [(label.words, 12, 400, "second")]
    si, sd, kind, unit = figures.results[label.path]
    if label.inside:
        return [(_signed(si, unit, with_unit=False), 12, 600, "ink")]
    number, spread, printed = said(si, sd, kind, unit)
    rest = (f"{SPACE}±{SPACE}{spread}" if spread else "") + f"{SPACE}{printed}{label.words}"
    return [(number, 14, 600, "ink"), (rest, 12, 400, "second")]


def _signed(si: float, unit: str, *, with_unit: bool) -> str:
    """A pressure against the room's with its sign."""
    factor, _ = scale_of(unit, "pressure")
    value = si / factor
    places = max(0, 1 - math.floor(math.log10(abs(value)) / 2)) if value else 0
    sign = "+" if value > 0 else MINUS if value < 0 else ""
    return sign + plain_number(abs(value), min(places, 3)) + (f"{SPACE}{printed_unit(unit)}" if with_unit else "")


def _inside(label: Label, runs: list[Run], x: float, y: float, width: float, placer: Placer, most: float, window: Window) -> list[Primitive]:
    deep = tint(label.pressure, most)
    ink = "on-deep" if deep.removeprefix("tint-n").removeprefix("tint-").isdigit() and int(deep.split("-")[1].lstrip("n")) >= 7 else "on-pale"
    left_wall = 2 * window.origin - x
    if x - left_wall < width + 14:
        return []
    drops = {"over": (-4, -16), "under": (17, 30)}.get(label.side, (6, -3, 16))
    box = placer.place([(x - 7 - width, y + d - 14, x - 7, y + d) for d in drops])
    coloured: list[Run] = [(run[0], run[1], run[2], ink) for run in runs]
    return [text(label.id, box[2], box[3] - 3, coloured, anchor="end", group="tint moment")] if box else []


def drawn_break(scene: Scene, window: Window, paper: Paper, placer: Placer) -> list[Primitive]:
    """The drawn break of the scale, and how much is left out."""
    assert window.cut is not None
    foot, top = window.y(window.cut[0]), window.y(window.cut[0]) - GAP
    right = paper.width - paper.clear
    placer.take((0, top - 6, paper.width, foot + 6))
    count = 24
    edge = [(right * k / count, (4 if k % 2 else -4)) for k in range(count + 1)]
    band = [(x, top + d) for x, d in edge] + [(x, foot + d) for x, d in reversed(edge)]
    out = window.cut[1] - window.cut[0]
    words = f"{plain_number(out, 0 if out >= 10 else 1)}{SPACE}m left out"
    return [
        path("break", band, closed=True, fill="ground"),
        path("break-top", [(x, top + d) for x, d in edge], stroke="thin", width=1),
        path("break-foot", [(x, foot + d) for x, d in edge], stroke="thin", width=1),
        text("break-words", right - 8, (top + foot) / 2 + 4, [(words, 12, 600, "second")], anchor="end"),
    ]
