"""The shape of a vessel from what is poured in step by step."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

import numpy as np

from ..errors import OutOfRange
from ..fields import Array, Part, items, quantity
from ..nominal import Now
from ..prediction import Dot, Line, Node, Plot, Prediction, Saying, Table, Value
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid, TakenOver
from .sections import poured_profile
from .words import INDEPENDENT

UNLIKE = 0.5
"""A step narrower or wider than both its neighbours by more than this part is to be poured again, as the contract states it."""


class Mark(Part):
    """How high it stands once so much is in."""

    height: Array = quantity("length", "height", gt=0, le=50, help="of the surface above the inner base")
    volume: Array = quantity("volume", "poured so far", gt=0, le=100)


class ProfileByPouring(Part):
    """A vessel filled from a measure, its surface marked after each pouring."""

    marks: tuple[Mark, ...] = items("Marks", "mark", least=2, most=30, new={}, help="from the bottom up; the base, with nothing in it, counts as the first")

    def refuse(self) -> None:
        """Refuses marks that do not rise."""
        for i in range(1, len(self.marks)):
            below, above = self.marks[i - 1], self.marks[i]
            if above.height[0] <= below.height[0] or above.volume[0] <= below.volume[0]:
                raise OutOfRange(f"marks.{i}", refusals.MARKS_DO_NOT_RISE)


def predict(s: ProfileByPouring, room: Room) -> Prediction:
    """Diameter of each step between two marks, for all rows."""
    steps: list[Node] = []
    below_height, below_volume = np.zeros(1), np.zeros(1)
    for mark in s.marks:
        high, held = mark.height - below_height, mark.volume - below_volume
        across = np.sqrt(4 * np.maximum(held, 0.0) / (np.pi * np.where(high > 0, high, 1.0)))
        steps.append(
            {
                "height": Value(below_height + high / 2, "length", "middle of the step", like="measured.marks.0.height"),
                "diameter": Value(across, "length", "diameter there", like="measured.marks.0.height"),
            }
        )
        below_height, below_volume = mark.height, mark.volume
    results: dict[str, Node] = {"profile": steps, "total_volume": Value(below_volume, "volume", "all that was poured", like="measured.marks.0.volume")}
    return Prediction(results, np.zeros(1, dtype=np.intp))


def _diameters(now: Now[ProfileByPouring]) -> list[float]:
    return [now.value(f"results.profile.{i}.diameter") or 0.0 for i in range(len(now.setup.marks))]


def say(now: Now[ProfileByPouring]) -> Saying:
    """What was found, what to pour again, and the shape as a plot."""
    across = _diameters(now)
    unlike = [
        i
        for i in range(1, len(across) - 1)
        if across[i] < (1 - UNLIKE) * min(across[i - 1], across[i + 1]) or across[i] > (1 + UNLIKE) * max(across[i - 1], across[i + 1])
    ]
    cautions = tuple(f"Step {i + 1} is far {'narrower' if across[i] < across[i - 1] else 'wider'} than both its neighbours: pour it again." for i in unlike)
    narrow, wide = (f"results.profile.{across.index(found)}.diameter" for found in (min(across), max(across)))
    reason = f"It is {{{narrow}}} wide at its narrowest step and {{{wide}}} at its widest."
    return Saying(
        reason,
        wide,
        cautions=cautions,
        assumptions=(INDEPENDENT, "between two marks it is as wide as a cylinder of the same volume"),
        sources=("Massey", "JCGM100"),
        headline=("results.total_volume",),
        table=(_plot(now), _table(now)),
    )


def _plot(now: Now[ProfileByPouring]) -> Plot:
    heights = [now.value(f"results.profile.{i}.height") or 0.0 for i in range(len(now.setup.marks))]
    dots = [Dot(h, d, now.half_width(f"results.profile.{i}.diameter")) for i, (h, d) in enumerate(zip(heights, _diameters(now), strict=True))]
    unit = now.unit("results.profile.0.diameter")
    line = Line("", np.array(heights), np.array(_diameters(now)))
    return Plot("Diameter over height", ("height", "length", unit), ("diameter", "length", unit), (line,), tuple(dots))


def _table(now: Now[ProfileByPouring]) -> Table:
    rows = tuple((str(i + 1), f"results.profile.{i}.height", f"results.profile.{i}.diameter") for i in range(len(now.setup.marks)))
    return Table("Step by step", ("step", "middle", "diameter"), rows)


def working(now: Now[ProfileByPouring]) -> tuple[str, ...]:
    """The working of each step."""
    lines, height, volume = [], 0.0, 0.0
    for i, mark in enumerate(now.setup.marks):
        high, held = float(mark.height[0]) - height, float(mark.volume[0]) - volume
        lines.append(f"step {i + 1}: √(4 ΔV/(π Δh)) = √(4 × {held:.4g}/(π × {high:.4g})) = {now.value(f'results.profile.{i}.diameter'):.4g} m")
        height, volume = float(mark.height[0]), float(mark.volume[0])
    return tuple(lines)


def takes(now: Now[ProfileByPouring], serves: Mapping[str, tuple[str, ...]]) -> tuple[TakenOver, ...]:
    """The profile, the diameters of its ends carried on to base and top."""
    count = len(now.setup.marks)
    steps = [{key: now.taken(f"results.profile.{i}.{key}") for key in ("height", "diameter")} for i in range(count)]
    top = now.exactly(f"measured.marks.{count - 1}.height", "length", float(now.setup.marks[-1].height[0]))
    unit = now.unit("results.profile.0.height")
    profile = [{"height": f"0 {unit}", "diameter": steps[0]["diameter"]}, *steps, {"height": top, "diameter": steps[-1]["diameter"]}]
    beside: dict[str, Any] = {"inner_diameter": None, "bottom_diameter": None, "top_diameter": None, "height": top}
    return tuple(TakenOver(path, profile, names, beside) for path, names in serves.items())


PROFILE_BY_POURING = MadeAid("profile-by-pouring", ProfileByPouring, predict, say, working, {"results.profile": ("profile",)}, takes, section=poured_profile)
