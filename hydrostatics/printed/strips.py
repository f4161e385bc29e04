"""Strips at true scale for a set-up: where its holes and levels are to be made, and where its jets will land."""

from __future__ import annotations

from collections import defaultdict
from dataclasses import dataclass
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..nominal import Now
from ..section.shapes import Dimension, Scene, Tape

LONGEST = 2.5
"""Metres beyond which nobody sticks paper to it."""
HOLES = "setup.holes."
NEAR = 1e-6
"""Heights that differ by less are one [m]."""


@dataclass(frozen=True)
class Mark:
    """A place on a strip: its distance from the strip's zero [m], words with the number, size of a hole there and half-width of a spread at 95 % [m]."""

    at: float
    words: str
    hole: float = 0.0
    spread: float = 0.0


@dataclass(frozen=True)
class Strip:
    """A strip to be stuck on or laid out: what it is for, where its zero goes, its marks in rising order; upwards: whether it
    stands with its zero at the foot."""

    title: str
    zero: str
    marks: tuple[Mark, ...]
    upwards: bool = False

    @property
    def length(self) -> float:
        """How far it reaches beyond its zero [m]."""
        return max(mark.at + mark.spread for mark in self.marks)


def strips_of(demonstration: Demonstration[Any], now: Now[Any]) -> tuple[Strip, ...]:
    """The strips that a set-up can be prepared with: one for each place from which heights are measured, one for what its tape foretells."""
    scene = demonstration.section(now)
    made = _heights(scene, now)
    if scene.tape and scene.tape.kind == "length":
        made += _foretold(scene, scene.tape, now)
    return tuple(strip for strip in made if 0 < strip.length <= LONGEST)


def _heights(scene: Scene, now: Now[Any]) -> list[Strip]:
    """Upright dimensions by the height that they are measured from; one whose second end is lower is measured downwards."""
    groups: dict[tuple[int, bool], list[Dimension]] = defaultdict(list)
    for one in scene.dimensions:
        (_, start), (_, end) = one.points
        if one.upright and abs(end - start) > NEAR and (leaf := now.leaf(one.path)) and leaf.kind in ("length", "height"):
            groups[round(start / NEAR), end > start].append(one)
    made = []
    for (_, upwards), dimensions in groups.items():
        marks = tuple(sorted((_mark(one, now) for one in dimensions), key=lambda mark: mark.at))
        where = "lower" if upwards else "upper"
        if len(marks) > 1 or marks[0].hole:  # one height is measured with a rule
            made.append(Strip("Heights", f"0 at the {where} end of what is measured", marks, upwards))
    return made


def _mark(one: Dimension, now: Now[Any]) -> Mark:
    leaf = now.inputs.leaves[one.path]
    hole = now.leaf(one.path.removesuffix("height") + "diameter") if one.path.startswith(HOLES) else None
    name = f"hole {int(one.path.split('.')[2]) + 1}" if hole else leaf.label
    words = f"{name}: {now.number(leaf.si, leaf.kind, one.path)}"
    if hole:
        words += f", {now.number(hole.si, hole.kind, hole.path)} wide"
    return Mark(abs(one.points[1][1] - one.points[0][1]), words, hole.si if hole else 0.0)


def _foretold(scene: Scene, tape: Tape, now: Now[Any]) -> list[Strip]:
    """What the tape foretells, with its spread; what lies beyond its zero alone."""
    marks = tuple(
        Mark(mark.at, f"{mark.words}: {now.words(mark.path)}", spread=mark.spread)
        for mark in sorted(tape.marks, key=lambda mark: mark.at)
        if mark.path.startswith("results.") and mark.at > NEAR
    )
    return [Strip(tape.title, "0 where that is measured from", marks)] if marks else []
