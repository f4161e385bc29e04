"""The rule, the tape and the key of the tint: what a section is read off."""

from __future__ import annotations

import math
from functools import lru_cache
from typing import Any

from ..paper.colours import STEPS
from ..paper.fonts import text_width
from ..paper.graduations import graduations, nice_step, places_of
from ..paper.primitives import Primitive, line, path, rectangle, text
from ..quantities.saying import plain_number, printed_unit, said, scale_of
from ..section.shapes import Mark, Scene, Tape
from .placement import spread_along
from .window import GAP, RULE, TAPE, Paper, Window, ratio_words

EDGE = 14.0
"""Where a mark that lies beyond the tape stands, from its end."""
_SPAN_START, _SPAN_START_NARROW = 284.0, 96.0  # where a tape with a range of its own begins: its title stands left of it


def rule(scene: Scene, window: Window, paper: Paper) -> list[Primitive]:
    """The vertical rule, height above the tray."""
    return _rule(rule_unit(scene, window), window, paper.horizon)


@lru_cache(maxsize=64)
def _rule(unit: str, window: Window, horizon: float) -> list[Primitive]:
    """The rule's primitives; kept, since it stands still while a handle is held."""
    factor, _ = scale_of(unit, "length")
    per_unit = window.scale * factor
    step, parts = _rule_graduations(per_unit, _height_at(window, 0.0) / factor)
    made = [rectangle("rule", 0, 0, RULE, horizon, "strip"), line("rule-edge", (RULE, 0), (RULE, horizon), "ink", 0.75)]
    places = places_of(step)
    top = _height_at(window, 0.0)
    fine = step / parts
    ticks: list[tuple[float, float]] = []
    for k in range(1, int(top / factor / fine) + 1):
        z = k * fine * factor
        y = window.y(z)
        if (window.cut and window.cut[0] < z < window.cut[1]) or y < 6:
            continue
        major = k % parts == 0
        ticks += [(RULE - (14 if major else 7), y), (RULE, y)]
        if major and y > 14:
            label = plain_number(k * fine, places)
            made.append(text(f"rule-{k}", RULE - 16, y + 4, [(label, 12 if len(label) < 3 else 10.5, 600, "ink")], anchor="end"))
    made.append({**path("rule-ticks", ticks, stroke="ink", width=1), "pairs": 1})
    return made


def _rule_graduations(per_unit: float, top: float) -> tuple[float, int]:
    """Graduations whose figures fit on the rule: no more than three characters, where a longer step can do that."""
    for space in (50.0, 100.0, 200.0):
        step, parts = graduations(per_unit, space)
        places = places_of(step)
        if len(plain_number(math.floor(top / step) * step, places)) <= 3:
            return step, parts
    return graduations(per_unit, 50.0)


def rule_unit(scene: Scene, window: Window) -> str:
    """The unit of the rule: as the heights were typed, metres where its figures would be long."""
    factor, _ = scale_of(scene.rule_unit, "length")
    return scene.rule_unit if _height_at(window, 0.0) / factor < 400 else "m"


def _height_at(window: Window, y: float) -> float:
    """The height that stands at a paper y above any break."""
    straight = (window.horizon - y) / window.scale
    if window.cut is None or straight <= window.cut[0]:
        return straight
    return (window.horizon - y - GAP) / window.scale - window.cut[0] + window.cut[1]


def tape(scene: Scene, window: Window, paper: Paper) -> list[Primitive]:
    """The horizontal tape on the tray line, its marks and their figures."""
    made: list[Primitive] = []
    tape = scene.tape
    caption = _caption(scene, window, paper)
    if tape is None:
        return caption
    zero, per_unit, first = _tape_scale(tape, window, paper)
    made.append(rectangle("tape", zero, paper.horizon, paper.width - zero, TAPE, "strip"))
    room = zero - RULE - 12
    made += caption
    made += _wrapped("tape-title", tape.title, 4, paper.horizon + 44, max(room + RULE - 8, 130), paper)
    made += _tape_graduations(tape.unit, zero, per_unit, first, paper.width, paper.horizon)
    return made + _marks(tape, zero, per_unit, first, paper)


def _caption(scene: Scene, window: Window, paper: Paper) -> list[Primitive]:
    """Where the heights begin, the scale, and how much wider than tall; on a narrow sheet on two lines left of the tape."""
    zero = f"0\u00a0{printed_unit(rule_unit(scene, window))}"
    wider = f", widths × {scene.widened:.3g}" if scene.widened > 1 else ""
    if paper.narrow:
        scale = f"{ratio_words(window)}{wider.replace('widths ', '')}"
        return [
            text("caption", 4, paper.horizon + 11, [(zero, 11, 600, "bench-ink")]),
            text("caption-scale", 4, paper.horizon + 23, [(scale, 10.5, 400, "bench-second")]),
        ]
    words = f"   {scene.base}; section {ratio_words(window)}{wider}"
    return [text("caption", 4, paper.horizon + 17, [(zero, 12, 600, "bench-ink"), (words, 12, 400, "bench-second")])]


@lru_cache(maxsize=64)
def _tape_graduations(unit: str, zero: float, per_unit: float, first: float, width: float, horizon: float) -> list[Primitive]:
    """The strip's graduations from its zero to its end; kept, as the rule is."""
    made: list[Primitive] = []
    step, parts = graduations(per_unit, 58.0)
    places = places_of(step)
    ticks: list[tuple[float, float]] = []
    count = int((width - zero) / per_unit / (step / parts))
    for k in range(count + 1):
        x = zero + k * step / parts * per_unit
        ticks += [(x, horizon), (x, horizon + (12 if k % parts == 0 else 6))]
        if k % parts == 0 and x < width - 44:
            label = plain_number(first + k * step / parts, places)
            made.append(text(f"tape-{k}", x + 4, horizon + 22, [(label + (f" {printed_unit(unit)}" if k == 0 else ""), 12, 600, "ink")]))
    made.append({**path("tape-ticks", ticks, stroke="ink", width=1), "pairs": 1})
    return made


def _tape_scale(tape: Tape, window: Window, paper: Paper) -> tuple[float, float, float]:
    """Paper x of the tape's start, paper units per unit, and the figure at the start."""
    factor, _ = scale_of(tape.unit, tape.kind)
    if tape.span is None:
        return window.x(tape.zero), window.scale * factor, 0.0
    zero = _SPAN_START_NARROW if paper.narrow else _SPAN_START
    low, high = (end / factor for end in tape.span)
    high = high if high > low else low + 1  # where all that it tells is nothing
    step = nice_step((high - low) / 6)
    low = math.floor(low / step + 1e-9) * step
    return zero, (paper.width - paper.clear - zero - 16) / (high - low), low


def marks(scene: Scene, window: Window, paper: Paper) -> list[dict[str, Any]]:
    """Where each mark stands on the tape, for showing another case on the same sheet."""
    if scene.tape is None:
        return []
    factor, _ = scale_of(scene.tape.unit, scene.tape.kind)
    zero, per_unit, first = _tape_scale(scene.tape, window, paper)
    return [
        {"id": mark.id, "path": mark.path, "x": round(zero + (mark.at / factor - first) * per_unit, 2), "per_si": per_unit / factor, "words": mark.words}
        for mark in scene.tape.marks
    ]


def _marks(tape: Tape, zero: float, per_unit: float, first: float, paper: Paper) -> list[Primitive]:
    factor, _ = scale_of(tape.unit, tape.kind)
    made: list[Primitive] = []
    if not tape.marks:
        return made
    for size, small in ((22, 12), (16, 11), (13, 10)):
        figures = [_figure(mark, tape, size, small) for mark in tape.marks]
        centres = [min(zero + (mark.at / factor - first) * per_unit, paper.width - EDGE) for mark in tape.marks]
        most = paper.width - (12 if paper.narrow else 16)
        placed = spread_along(centres, [f[2] for f in figures], 8 if paper.narrow else (max(zero - 60, 180) if tape.span is None else zero), most, 10)
        if placed is not None:
            break
    ends = [zero + ((mark.at + s * mark.spread) / factor - first) * per_unit for mark in tape.marks for s in (-1, 1)]
    for i, mark in enumerate(tape.marks):
        x = centres[i]
        if ends[2 * i] > paper.width - EDGE:  # beyond the tape's end: an arrow there, and its number
            arrow = ((x, paper.horizon - 6), (x + EDGE - 2, paper.horizon), (x, paper.horizon + 6))
            made.append(path(mark.id, arrow, closed=True, fill="ink", words=f"{mark.words}, beyond the tape", group="answer"))
        else:
            low, high = ends[2 * i], min(max(ends[2 * i + 1], ends[2 * i] + 1.5), paper.width)
            made.append(rectangle(mark.id, low, paper.horizon - 3, high - low, 6, "ink", words=mark.words, group="answer"))
        if placed is None:
            made.append(line(f"{mark.id}-line", (x, paper.horizon + 3), (x, paper.horizon + TAPE + 6), "bench-ink", 1, group="answer"))
            continue
        made.append(
            path(
                f"{mark.id}-line",
                ((x, paper.horizon + 3), (x, paper.horizon + TAPE + 3), (placed[i], paper.horizon + TAPE + 9)),
                stroke="bench-ink",
                width=1,
                group="answer",
            )
        )
        value, rest, _ = figures[i]
        y = paper.horizon + TAPE + 12 + size * 0.8
        made.append(text(f"{mark.id}-figure", placed[i], y, value, anchor="middle", group="answer"))
        made.append(text(f"{mark.id}-rest", placed[i], y + small + 4, rest, anchor="middle", group="answer"))
    return made


def _figure(mark: Mark, tape: Tape, size: float, small: float) -> tuple[list[tuple[str, float, int, str]], list[tuple[str, float, int, str]], float]:
    """The figure of a mark, the line below it, and the width both need."""
    number, spread, unit = said(mark.at, mark.spread / 2, tape.kind, tape.unit)
    rest = (f"±\u00a0{spread}\u00a0{unit}" if spread else unit) + (f", {mark.words}" if mark.words and size > 20 else "")
    if mark.words and size <= 20:
        rest = mark.short or mark.words
    width = max(text_width(number, size, 600), text_width(rest, small))
    return [(number, size, 600, "bench-ink")], [(rest, small, 400, "bench-second")], width


def _wrapped(id: str, words: str, x: float, y: float, room: float, paper: Paper) -> list[Primitive]:
    """A title on at most three lines; left out on a narrow sheet, where the page says it."""
    if paper.narrow:
        return []
    lines: list[str] = [""]
    for word in words.split():
        longer = f"{lines[-1]} {word}".strip()
        if text_width(longer, 12) > room and lines[-1]:
            lines.append(word)
        else:
            lines[-1] = longer
    return [text(f"{id}-{k}", x, y + 15 * k, [(one, 12, 400, "bench-second")]) for k, one in enumerate(lines[:3])]


def key(most: float, scene: Scene, room_pressure: float, paper: Paper) -> list[Primitive]:
    """The numeric key of the tint: below the room, at it, above it."""
    return _key(most, scene.pressure_unit, room_pressure, paper)


@lru_cache(maxsize=64)
def _key(most: float, pressure_unit: str, room_pressure: float, paper: Paper) -> list[Primitive]:
    if paper.narrow or most <= 0 or paper.clear == 0:
        return []
    width, height = 176.0, 13.0
    x, y = paper.width - 24 - width, paper.horizon - 52
    made: list[Primitive] = []
    half = width / 2
    part = half / STEPS
    for step in range(STEPS):
        made.append(rectangle(f"key-{step}", x + half + part * step, y, part + 0.4, height, f"tint-{step + 1}"))
        made.append(rectangle(f"key-n{step}", x + half - part * (step + 1), y, part + 0.4, height, f"tint-n{step + 1}"))
    made.append(rectangle("key-hatch", x, y, half, height, "hatch-below"))
    made.append(
        path(
            "key-ends",
            ((x, y - 3), (x, y + height + 3), (x + half, y - 3), (x + half, y + height + 3), (x + width, y - 3), (x + width, y + height + 3)),
            stroke="ink",
        )
        | {"pairs": 1}
    )
    number, _, unit = said(most, 0.0, "pressure", pressure_unit)
    room, _, _ = said(room_pressure, 0.0, "pressure", pressure_unit)
    base = y + height + 15
    made.append(text("key-low", x, base, [(f"\u2212{number}", 12, 400, "ink")], anchor="start"))
    made.append(text("key-mid", x + half, base, [(room, 12, 400, "ink")], anchor="middle"))
    made.append(text("key-high", x + width, base, [(f"+{number}\u00a0{unit}", 12, 400, "ink")], anchor="end"))
    return made
