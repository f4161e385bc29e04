"""A section laid out once: shapes, dimension lines, lettering and hatching as primitives for one sheet."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..quantities.saying import MINUS, SPACE, plain_number, printed_unit, said, scale_of
from .colours import STEPS, tint
from .fonts import text_width
from .instruments import key, marks, nice_most, rule, tape
from .paper import GAP, Paper, Window, fitted
from .placement import Placer
from .primitives import Primitive, Run, circle, line, path, text
from .shapes import Dimension, Handle, Label, Scene, Shape

RING = 6.5
"""Radius of a ring, which one can hold."""
_SOLID_BELOW = 3.0  # a cut face thinner than this is solid, not hatched


@dataclass(frozen=True)
class Figures:
    """What the lettering needs of an answer: results by path as (SI, standard uncertainty, kind, unit), inputs by path as
    (SI, half-width, kind, unit, number as typed), and the room's pressure [Pa]."""

    results: Mapping[str, tuple[float, float, str, str]]
    inputs: Mapping[str, tuple[float, float, str, str, str]]
    room_pressure: float


def lay_out(scene: Scene, figures: Figures, paper: Paper, window: Window | None = None) -> dict[str, Any]:
    """The drawing of a section: primitives back to front, handles, adders, and the window they were laid out in.

    scene: in metres. figures: numbers for the lettering. paper: the sheet. window: a frozen one, else the best fit.
    """
    window = window or fitted(scene, paper)
    most = pressure_end(scene)
    curves = {shape.id: window.along(shape.points) for shape in scene.shapes if shape.role in ("jet", "drips")}
    items = geometry(scene, window, most, curves)
    placer = Placer((44, 2, paper.width - paper.clear + 40, paper.horizon - 3))
    placer.keep_lines(curves.values())
    over: list[Primitive] = []
    if window.cut:
        over += _break(scene, window, paper, placer)
    for dimension in scene.dimensions:
        over += _dimension(dimension, window, paper, figures, placer)
    for label in scene.labels:
        over += _label(label, window, figures, placer, most, scene)
    for handle in scene.handles:
        x, y = window.at(handle.at)
        over.append(circle(f"{handle.path}:ring", x, y, RING, fill="ground", stroke="ink", width=1.75))
        placer.take((x - RING, y - RING, x + RING, y + RING))
    items += rule(scene, window, paper) + tape(scene, window, paper) + over
    items += key(most, scene, figures.room_pressure, paper)
    return {
        "width": paper.width,
        "height": paper.height,
        "horizon": paper.horizon,
        "clear": paper.clear,
        "window": window.as_json(),
        "items": items,
        "handles": [_handle(dimension, window, paper, figures) for dimension in scene.dimensions if dimension.handle]
        + [_held(handle, *window.at(handle.at), window, figures) for handle in scene.handles],
        "marks": marks(scene, window, paper),
        "adders": [_adder(adder, window) for adder in scene.adders],
    }


def pressure_end(scene: Scene) -> float:
    """The round end of the tint's scale [Pa]."""
    found = [abs(p) for shape in scene.shapes if shape.pressures for p in shape.pressures]
    return nice_most(max(found, default=0.0))


def geometry(scene: Scene, window: Window, most: float, curves: Mapping[str, NDArray[np.float64]] | None = None) -> list[Primitive]:
    """The shapes alone; same ids and counts of points for every moment of a timeline.

    curves: paper points of the jets by id, where they are known already.
    """
    order = ("stand", "gas", "liquid", "wall", "cover", "gauge", "jet", "drips", "axis", "surface")
    made: list[Primitive] = []
    for role in order:
        for shape in scene.shapes:
            if shape.role != role:
                continue
            if role in ("jet", "drips"):
                made += _jet(shape, curves[shape.id] if curves else window.along(shape.points), window)
            else:
                made += _shape(shape, window, most)
    return made


def _shape(shape: Shape, window: Window, most: float) -> list[Primitive]:
    points = [window.at(point) for point in shape.points]
    match shape.role:
        case "stand":
            return [path(shape.id, points, closed=True, fill="hatch-down", stroke="thin", width=0.75, words=shape.words)]
        case "liquid" | "gas":
            return _tinted(shape, points, most)
        case "wall" | "cover" | "gauge":
            thin = min(_extent(points, 0), _extent(points, 1)) < _SOLID_BELOW
            return [path(shape.id, points, closed=True, fill="ink" if thin else "hatch-up", stroke="ink", width=1, words=shape.words)]
        case "surface":
            x, y = points[0]
            return [path(shape.id, ((x - 5, y - 9), (x + 5, y - 9), (x, y - 1)), closed=True, fill="ground", stroke="ink", width=1, words=shape.words)]
        case "axis":
            return [path(shape.id, points, stroke="thin", width=0.75, dash=(12, 3, 2, 3))]
    return []


def _tinted(shape: Shape, points: list[tuple[float, float]], most: float) -> list[Primitive]:
    assert shape.pressures is not None
    low, high = shape.pressures
    top, foot = min(y for _, y in points), max(y for _, y in points)
    fill: Any = tint(low, most) if low == high else _gradient(high, low, top, foot, most / STEPS)
    made = [path(shape.id, points, closed=True, fill=fill, stroke="ink", width=0.75, words=shape.words, group="tint")]
    if min(low, high) < -0.5:
        made.append(path(f"{shape.id}-below", points, closed=True, fill="hatch-below", group="tint"))
    return made


def _gradient(at_top: float, at_foot: float, top: float, foot: float, step: float) -> dict[str, Any]:
    """A tint linear in the height, its stops where the pressure passes each step of the scale."""
    rising = 1 if at_foot > at_top else -1
    first, last = (math.floor(rising * at_top / step), math.ceil(rising * at_foot / step))
    last = max(last, first + 1)
    per_step = (foot - top) * step / abs(at_foot - at_top)
    y0 = top - (rising * at_top / step - first) * per_step
    stops = [[round((k - first) / (last - first), 4), tint(rising * k * step, step * STEPS)] for k in range(first, last + 1)]
    return {"y0": round(y0, 2), "y1": round(y0 + (last - first) * per_step, 2), "stops": stops}


def _jet(shape: Shape, points: NDArray[np.float64], window: Window) -> list[Primitive]:
    """A jet whole to where it breaks up, drops from there on; each path keeps its count of points."""
    group = "answer" if shape.answer else ""
    width = min(max(shape.width * window.scale, 1.5), 6.0)
    cut = round(shape.breaks_at * (len(points) - 1))
    place = np.arange(len(points))
    whole, drops = points[np.minimum(place, cut)], points[np.minimum(place + cut, len(points) - 1)]
    size = min(max(width, 2.4), 5)
    made = [path(f"{shape.id}-drops", drops, stroke="jet", width=size, dash=(0.1, size * 2.1), round_=True, group=group)]
    made.append(path(shape.id, whole, stroke="jet", width=width, words=shape.words, group=group))
    if width > 2.6:
        made.append({**made[-1], "id": f"{shape.id}-core", "s": "jet-core", "w": round(width - 2, 2)})
        made[-1].pop("words", None)
    return made


def _extent(points: list[tuple[float, float]], axis: int) -> float:
    """The shorter way across a long thin face: half its perimeter less its length, for walls of any slope."""
    if axis == 0:
        area = abs(sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(points, points[1:] + points[:1], strict=True))) / 2
        length = max(math.dist(points[0], p) for p in points)
        return area / length if length else 0.0
    return math.inf


def _typed(path_: str, figures: Figures) -> tuple[str, str, str]:
    """An input as it was typed: number, half-width, unit."""
    _, half, kind, unit, number = figures.inputs[path_]
    factor, _ = scale_of(unit, kind)
    return number.replace("-", MINUS), f"{half / factor:.6g}" if half else "", printed_unit(unit)


def _dimension(dimension: Dimension, window: Window, paper: Paper, figures: Figures, placer: Placer) -> list[Primitive]:
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
        placer.take((x - RING - 1, top - RING - 1, x + RING + 1, top + RING + 1))
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
        placer.take((right - RING, y - RING, right + RING, y + RING))
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


def _label(label: Label, window: Window, figures: Figures, placer: Placer, most: float, scene: Scene) -> list[Primitive]:
    runs = _label_runs(label, figures, scene)
    width = sum(text_width(run[0], run[1], run[2]) for run in runs)
    x, y = window.at(label.at)
    if label.inside:
        return _inside(label, runs, x, y, width, placer, most, window)
    short = [runs[0], (f"{SPACE}{printed_unit(figures.results[label.path][3])}", 12, 400, "second")] if label.path else runs
    slim = sum(text_width(run[0], run[1], run[2]) for run in short)
    if label.side == "under":
        places: list[tuple[float, float]] = [(10, d + 16) for d in (14, 30, 2, 46)]
        near, far = places, []
    else:
        near = [(12, -5), (12, -12), (30, -8), (12, 20), (8, 27), (8, 34)]
        far = [] if placer.bounds[2] < 600 else [(44, -14), (60, -22), (90, -6), (90, 20), (130, 6), (150, -14)]
    # near its point in full, near it without its spread, then farther off
    for told, wide, spots in ((runs, width, near), (short, slim, near), (runs, width, far)):
        box = placer.place([(x + dx, y + dy - 16, x + dx + wide, y + dy) for dx, dy in spots])
        if box:
            return [text(label.id, box[0], box[3] - 4, told, group="answer moment" if label.answer else "moment", halo="ground")]
    return []


def _label_runs(label: Label, figures: Figures, scene: Scene) -> list[Run]:
    if label.words.startswith("pressure:"):
        return [(_signed(float(label.words[9:]), scene.pressure_unit, with_unit=True), 12, 600, "ink")]
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


def _break(scene: Scene, window: Window, paper: Paper, placer: Placer) -> list[Primitive]:
    """The drawn break of the scale, and how much is left out."""
    assert window.cut is not None
    foot, top = window.y(window.cut[0]), window.y(window.cut[0]) - GAP
    right = paper.width - paper.clear
    placer.take((0, top - 6, paper.width, foot + 6))
    count = 24
    edge = [(right * k / count, (4 if k % 2 else -4)) for k in range(count + 1)]
    band = [(x, top + d) for x, d in edge] + [(x, foot + d) for x, d in reversed(edge)]
    number, _, unit = said(window.cut[1] - window.cut[0], 0.0, "length", "m")
    words = f"{number}{SPACE}{unit} left out"
    return [
        path("break", band, closed=True, fill="ground"),
        path("break-top", [(x, top + d) for x, d in edge], stroke="thin", width=1),
        path("break-foot", [(x, foot + d) for x, d in edge], stroke="thin", width=1),
        text("break-words", right - 8, (top + foot) / 2 + 4, [(words, 12, 600, "second")], anchor="end"),
    ]


def _handle(dimension: Dimension, window: Window, paper: Paper, figures: Figures) -> dict[str, Any]:
    handle = dimension.handle
    assert handle is not None
    if dimension.upright:
        x, y = paper.lanes[dimension.lane], window.y(handle.at[1])
    else:
        x, y = window.x(dimension.points[1][0]), window.y(handle.at[1]) - 24
    return _held(handle, x, y, window, figures)


def _held(handle: Handle, x: float, y: float, window: Window, figures: Figures) -> dict[str, Any]:
    si, half, kind, unit, _ = figures.inputs[handle.path]
    factor, offset = scale_of(unit, kind)
    return {
        "id": handle.path,
        "path": handle.path,
        "x": round(x, 2),
        "y": round(y, 2),
        "axis": [handle.axis[0], -handle.axis[1]],
        "si_per_unit": handle.gain / window.scale,
        "si": si,
        "half_width": half,
        "least": handle.least,
        "most": handle.most,
        "step": handle.step,
        "unit": unit,
        "factor": factor,
        "offset": offset,
        "words": handle.words,
        "removes": handle.removes,
    }


def _adder(adder: Any, window: Window) -> dict[str, Any]:
    (xa, za), (xb, zb) = adder.points
    a, b = window.at((xa, za)), window.at((xb, zb))
    return {
        "path": adder.path,
        "from_": [round(a[0], 2), round(a[1], 2)],
        "to": [round(b[0], 2), round(b[1], 2)],
        "length": math.hypot(xb - xa, zb - za),
        "key": adder.key,
        "item": adder.item,
        "like": adder.like,
        "suggest": adder.suggest,
        "words": adder.words,
    }
