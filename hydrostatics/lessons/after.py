"""After the bell: what is emptied and put away, by which pair of hands, and how long that takes."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..guides.filling import prepared
from ..nominal import Now
from ..quantities.saying import plain_number

LITRES_A_MINUTE = 6.0
"""What one pair of hands pours away by jug and bucket: common practice, no published source."""
LINE = 1.0
"""What a line of clearing away takes [min]: common practice, no published source."""
LITRE = 1e-3


@dataclass(frozen=True)
class Clear:
    """One thing to do after the bell: in words, the item it is of, minutes, the pair of hands that does it; fragile: glass, put away before the rest."""

    words: str
    item: int
    minutes: float
    hands: int
    fragile: bool = False


@dataclass(frozen=True)
class Clearing:
    """Everything after the bell, each pair of hands in its order; litres: how much is poured away at the least."""

    jobs: tuple[Clear, ...]
    litres: float

    @property
    def minutes(self) -> float:
        """When the last pair of hands is done [min after the bell]."""
        return max((sum(job.minutes for job in self.jobs if job.hands == k) for k in {job.hands for job in self.jobs}), default=0.0)


def taken(demonstration: Demonstration[Any], now: Now[Any]) -> float | None:
    """Litres of liquid that a set-up takes at the least; None where its sizes do not tell, or it is computed and never poured."""
    if demonstration.taken is None or any(one.entry and one.entry.computed_only for one in now.inputs.liquids):
        return None
    volume = demonstration.taken(now.setup)
    return None if volume is None else volume / LITRE


def in_litres(litres: float) -> str:
    """Litres with an estimate's digits: 0.03 L, 1.6 L, 24 L."""
    return f"{plain_number(float(f'{litres:.2g}'), 0 if litres >= 9.95 else 1 if litres >= 0.95 else 2)} L"


def clearing(shown: Sequence[tuple[Demonstration[Any], Now[Any]]], hands: int) -> Clearing:
    """What is to be done after the bell: a pair of hands clears a whole demonstration, those with glass before the others.

    shown: demonstrations with their nominal cases. hands: pairs of them.
    """
    lists = [_of_one(i, demonstration, now) for i, (demonstration, now) in enumerate(shown)]
    load = [0.0] * hands
    made: list[Clear] = []
    for jobs in sorted(lists, key=lambda jobs: -sum(job.minutes for job in jobs)):
        k = load.index(min(load))
        load[k] += sum(job.minutes for job in jobs)
        made += [Clear(job.words, job.item, job.minutes, k, job.fragile) for job in jobs]
    glass = {job.item for job in made if job.fragile}
    made.sort(key=lambda job: (job.hands, job.item not in glass))
    return Clearing(tuple(made), sum(taken(*one) or 0.0 for one in shown))


def _of_one(item: int, demonstration: Demonstration[Any], now: Now[Any]) -> list[Clear]:
    guide = prepared(demonstration.guide, now, "fragile", "clearing")
    if guide is None:
        return []
    litres = taken(demonstration, now)
    made = [Clear(f"Empty it into the sink, at least {in_litres(litres)}", item, max(LINE, litres / LITRES_A_MINUTE), 0)] if litres else []
    if guide["fragile"]:
        made.append(Clear(f"Fragile, dried and put away before the rest: {', '.join(guide['fragile'])}", item, LINE, 0, True))
    return made + [Clear(line, item, LINE, 0) for line in guide["clearing"]]
