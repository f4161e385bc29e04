"""The holed bottle in section, and its draining: geometry in metres, row 0 only."""

from __future__ import annotations

import itertools
from typing import Any, cast

import numpy as np

from ...laws.draining import stretch_times
from ...laws.vessels import volume_below
from ...nominal import Now
from ...prediction import Prediction
from ...section.shapes import Adder, Dimension, Handle, Label, Mark, Point, Scene, Shape, Tape
from ...section.timeline import Timeline
from .body import Body, Moment
from .predict import BEHAVIOURS, predict
from .running_out import draining_holes, viscous_heads
from .setup import HoledBottle

FRAMES = 49
"""Moments of a draining that are drawn."""
_SILENT = frozenset({"dry", "held", "glugs", "inlet"})


def section(now: Now[HoledBottle], moment: Moment | None = None) -> Scene:
    """The section at the start, or at a moment of its draining."""
    s = now.setup
    base = float(s.stand_drop[0])
    moment = moment or _moments(now.prediction, np.array([float(s.fill_height[0])]))[0]
    body = Body(now, base)
    shapes = [
        *body.stand(),
        *body.walls(),
        *body.air(moment),
        body.liquid(moment),
        Shape("surface", "surface", ((0.0, base + moment.level),), words="the liquid's surface"),
    ]
    shapes += body.jets(moment)
    return Scene(
        tuple(shapes),
        tuple(_dimensions(now, body, base)),
        tuple(_labels(now, body, base, moment)),
        _tape(now, body),
        adders=(_adder(now, body, base),),
        cut=_cut(base, body.top - base),
        rule_unit=now.inputs.leaves["setup.fill_height"].unit,
    )


def _moments(prediction: Prediction, levels: np.ndarray) -> list[Moment]:
    """The moments of a prediction whose first rows are levels."""
    holes = cast(Any, prediction.results["holes"])
    count = levels.size
    how = np.stack([np.resize(hole["behaviour"].numbers[:count], count) for hole in holes], axis=1).tolist()
    speeds = np.stack([np.resize(hole["speed"].si[:count], count) for hole in holes], axis=1).tolist()
    return [
        Moment(level, tuple(BEHAVIOURS[b] for b in how[k]), tuple(0.0 if BEHAVIOURS[b] in _SILENT else v for b, v in zip(how[k], speeds[k], strict=True)))
        for k, level in enumerate(levels.tolist())
    ]


def _dimensions(now: Now[HoledBottle], body: Body, base: float) -> list[Dimension]:
    s = now.setup
    level = float(s.fill_height[0])
    rim = float(s.bottle_height[0]) if s.bottle_height is not None else 50.0
    up: Point = (0.0, 1.0)
    made: list[Dimension] = []
    many = len(s.holes) > 1
    for i, hole in enumerate(s.holes):
        height = float(hole.height[0])
        path = f"setup.holes.{i}"
        grip = Handle(f"{path}.height", (0.0, base + height), up, 0.0, rim, 0.001, f"hole {i + 1}, height above the base", removes=path if many else "")
        made.append(
            Dimension(
                f"{path}.height",
                ((-body.face, base), (-body.face, base + height)),
                0,
                handle=grip,
                shows_line=i == 0 or height == max(float(h.height[0]) for h in s.holes),
            )
        )
    fill = Handle("setup.fill_height", (0.0, base + level), up, 0.0, rim, 0.001, "surface above the base")
    made.append(Dimension("setup.fill_height", ((-body.face, base), (-body.face, base + level)), 1, handle=fill))
    drop = Handle("setup.stand_drop", (0.0, base), up, 0.0, 1000.0, 0.001, "base above the tray")
    made.append(Dimension("setup.stand_drop", ((-body.face, 0.0), (-body.face, base)), 1, handle=drop))
    across = "setup.inner_diameter" if s.inner_diameter is not None else "setup.profile.0.diameter"
    half = body.inside(body.rim) if s.inner_diameter is not None else body.inside(0.0)
    wide = Handle(across, (half, body.top), (1.0, 0.0), 0.001, 50.0, 0.0005, "inside diameter", gain=2.0)
    made.append(Dimension(across, ((-half, body.top), (half, body.top)), 0, upright=False, handle=wide if s.inner_diameter is not None else None))
    return made


def _labels(now: Now[HoledBottle], body: Body, base: float, moment: Moment) -> list[Label]:
    made: list[Label] = []
    at_room = body.room_level(moment)
    results = cast(Any, now.prediction.results["holes"])
    weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
    level = float(now.setup.fill_height[0])
    for i in sorted(range(len(now.setup.holes)), key=lambda k: -float(now.setup.holes[k].height[0])):
        hole = now.setup.holes[i]
        height = float(hole.height[0])
        how = results[i]["behaviour"].said
        down = hole.facing == "down"
        at = (0.0, base) if down else (body.face_at(height), base + height)
        if how in _SILENT:
            words = {"dry": "dry", "held": "held shut", "glugs": "glugs", "inlet": "lets the air in"}[how]
            made.append(Label(f"how-{i}", at, words=words, side="under" if down else "right"))
        else:
            made.append(
                Label(
                    f"speed-{i}",
                    at,
                    path=f"results.holes.{i}.speed",
                    words=" drips" if how == "dripping" else "",
                    side="under" if down else "right",
                    strong=True,
                )
            )
        if 0 < height < level:
            inside, place = weight * (at_room - height), (body.inside(height), base + height)
            if at_room == level:
                made.append(Label(f"pressure-{i}", place, path=f"results.holes.{i}.gauge_pressure", inside=True, pressure=inside, side="left"))
            else:
                made.append(Label(f"pressure-{i}", place, gauge=inside, inside=True, pressure=inside, side="left"))
    foot, top = weight * at_room, weight * (at_room - level)
    made.append(Label("pressure-foot", (body.inside(0.0), base), gauge=foot, inside=True, pressure=foot, side="over"))
    made.append(Label("pressure-top", (body.inside(level), base + level), gauge=top, inside=True, pressure=top, side="under"))
    return made


def _tape(now: Now[HoledBottle], body: Body) -> Tape:
    marks = []
    for i in range(len(now.setup.holes)):
        path = f"results.holes.{i}.range"
        at = now.value(path)
        how = cast(Any, now.prediction.results["holes"])[i]["behaviour"].said
        if at is None or how in _SILENT or now.setup.holes[i].facing == "down":
            continue
        words = (f"hole {i + 1}", f"no. {i + 1}") if len(now.setup.holes) > 1 else ("", "")
        marks.append(Mark(f"mark-{i}", path, at, now.shown_half_width(path), *words))
    unit = now.unit("results.tray_reach")
    return Tape("Lands on the tray, from the outside of the wall; bars show the spread", "length", unit, zero=body.face, marks=tuple(marks), caption="lands")


def _adder(now: Now[HoledBottle], body: Body, base: float) -> Adder:
    holes = sorted(now.setup.holes, key=lambda hole: float(hole.height[0]))
    edges = [0.0, *(float(hole.height[0]) for hole in holes), float(now.setup.fill_height[0])]
    gaps = [(b - a, (a + b) / 2) for a, b in itertools.pairwise(edges)]
    widest = max(gaps)[1]
    item = {"diameter": now.stated("setup.holes.0.diameter")}
    if edge := now.stated("setup.holes.0.edge"):
        item["edge"] = edge
    return Adder(
        "setup.holes", ((body.face, base), (body.face, base + float(now.setup.fill_height[0]))), "height", item, "setup.holes.0.height", widest, "add a hole"
    )


def _cut(base: float, tall: float) -> tuple[float, float] | None:
    """The part of a tall stand that may be left out: a little stays at either end."""
    keep = 0.35 * tall
    return (keep, base - keep) if base > 3 * tall else None


def moments(now: Now[HoledBottle]) -> Timeline | None:
    """The draining: equal times from the start until the last hole stops, the level at each, and when each stops."""
    total = now.value("results.time_to_stop")
    if not total:
        return None
    s = now.setup
    level = float(s.fill_height[0])
    results = cast(Any, now.prediction.results["holes"])
    runs = np.array([[results[i]["behaviour"].said not in _SILENT for i in range(len(s.holes))]])
    steady = now.value("results.steady_time") or 0.0
    open_from = max(float(hole.height[0]) for hole in s.holes) if steady else level
    holes = draining_holes(s, now.room, runs, viscous_heads(s, now.room))
    foot = float(np.where(runs, holes.stop, open_from).min())
    marks = foot + (open_from - foot) * np.linspace(0, 1, 240)[None, :] ** 2
    heights, diameters = (a[:1] for a in s.contour())
    low, time = stretch_times(np.array([open_from]), holes, heights, diameters, marks)
    when, where = np.concatenate([[steady], steady + np.cumsum(time[0])]), np.concatenate([[open_from], low[0]])
    if steady:  # falling evenly in volume, as the flow stays
        down = np.linspace(level, open_from, 48)
        let_out = volume_below(down[:1], heights, diameters) - volume_below(down, heights, diameters)
        when, where = np.concatenate([steady * let_out / let_out[-1], when]), np.concatenate([down, where])
    times = np.linspace(0, total, FRAMES)
    levels = np.interp(times, when, where)
    values = now.inputs.nominal() | {"setup.fill_height": levels}
    setup, room = now.inputs.made(values)
    with np.errstate(invalid="ignore", divide="ignore"):
        falling = predict(setup, room)
    states = _moments(falling, levels)
    stops = sorted(
        (now.value(f"results.holes.{i}.stops_after") or 0.0, f"hole {i + 1} stops" if len(s.holes) > 1 else "stops") for i in range(len(s.holes)) if runs[0, i]
    )
    stops = [(steady, "no longer steady"), *stops] if steady else stops
    series = {"level": ("level above the base", "length", tuple(levels.tolist()))}
    for i, hole in enumerate(cast(Any, falling.results["holes"])):
        if runs[0, i] and s.holes[i].facing == "side":
            series[f"range-{i}"] = (
                f"hole {i + 1} lands at" if len(s.holes) > 1 else "lands at",
                "length",
                tuple(np.broadcast_to(hole["range"].si, levels.shape).tolist()),
            )
    return Timeline(tuple(times.tolist()), tuple(stops), series, tuple(states))
