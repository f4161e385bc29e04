"""A tall set-up on its site: at which landing its level is read, and whether somebody reaches its top."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..nominal import Now
from ..quantities.saying import in_words

REACH = 2.0
"""How far above a floor a person reaches [m]: common practice, no published source."""


@dataclass(frozen=True)
class Landing:
    """A place where somebody stands: its name, and how high its floor is above the basin [m]."""

    name: str
    height: float


def on_site(demonstration: Demonstration[Any], now: Now[Any], landings: Sequence[Landing]) -> tuple[str, ...]:
    """Where the level of a set-up is read on a site and what is out of reach, in sentences; none where nobody goes up for it.

    landings: in any order; the basin itself is one, at nothing.
    """
    tall = demonstration.say(now).tall
    if tall is None or not tall.level or not landings:
        return ()
    rising = sorted(landings, key=lambda one: one.height)
    made = []
    level = now.value(tall.level)
    if level is not None:
        made.append(_read(now, tall.level, level, rising))
    top = rising[-1]
    if tall.metres > top.height + REACH:
        beyond = now.number(tall.metres - top.height, "length", tall.path)
        made.append(f"Its top is {beyond} above the floor of “{top.name}”, the highest landing: nobody reaches it from there without rigging.")
    return tuple(made)


def _read(now: Now[Any], path: str, level: float, rising: Sequence[Landing]) -> str:
    """From where the level is read; one whose tolerance reaches over a floor may be seen from either side of it."""
    spread = now.half_width(path)
    label = now.spread.values[now.spread.index[path]][1].label
    said = f"The {label}, {now.words(path)}, "
    near = next((one for one in rising if abs(one.height - level) <= max(spread, 0.0) and spread > 0), None)
    if near is not None:
        return f"{said}is at the floor of “{near.name}” within its tolerance: somebody stands there and somebody below."
    below = [one for one in rising if one.height <= level]
    if not below:
        return f"{said}is below every landing: it is read from the foot."
    floor = below[-1]
    above = in_words(level - floor.height, now.shown_sd(path), "length", now.unit(path))
    if level - floor.height > REACH:
        return f"{said}is {above} above the floor of “{floor.name}”, out of an arm's reach: a tape hangs beside it, read from below."
    return f"{said}is {above} above the floor of “{floor.name}”: it is read there."
