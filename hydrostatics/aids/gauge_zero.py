"""Readings corrected for a zero that drifts."""

from __future__ import annotations

import numpy as np

from ..fields import Part, Plain, items
from ..nominal import Now
from ..prediction import Floats, Node, Prediction, Saying, Value
from ..room.derived import Room
from .protocol import MadeAid

LARGE = 0.5
"""Part of the smallest reading from which a drift is too large, as the contract states it."""


class GaugeZero(Part):
    """Readings at rest before and after, and those between, in their order and evenly in time."""

    before: tuple[Plain, ...] = items("At rest, before", "reading", least=1, most=30, new="0", kind="number", ge=-1e6, le=1e6)
    after: tuple[Plain, ...] = items("At rest, after", "reading", least=1, most=30, new="0", kind="number", ge=-1e6, le=1e6)
    readings: tuple[Plain, ...] = items("Readings between", "reading", least=1, most=100, new="0", kind="number", ge=-1e6, le=1e6)


def _mean(parts: tuple[Floats, ...]) -> Floats:
    return np.asarray(np.mean(np.stack(np.broadcast_arrays(*parts)), axis=0))


def predict(s: GaugeZero, room: Room) -> Prediction:
    """The drift, and the readings without it, for all rows."""
    before = _mean(s.before)
    drift = _mean(s.after) - before
    n = len(s.readings)
    corrected: list[Node] = [Value(one - before - drift * i / (n + 1), "number", "corrected reading") for i, one in enumerate(s.readings, start=1)]
    return Prediction({"drift": Value(drift, "number", "drift of the zero"), "corrected": corrected}, np.zeros(1, dtype=np.intp))


def say(now: Now[GaugeZero]) -> Saying:
    """What was found, and whether the drift is too large."""
    smallest = min(abs(float(one[0])) for one in now.setup.readings)
    large = abs(now.value("results.drift") or 0.0) > LARGE * smallest
    return Saying(
        "The zero has drifted by {results.drift} lines; the readings are corrected for it.",
        "results.drift",
        cautions=("The zero drifts by more than half of the smallest reading: find out why before it is used.",) if large else (),
        assumptions=("the zero drifts evenly from before to after, and the readings are spaced evenly between",),
        sources=("JCGM100",),
        headline=("results.corrected.0",),
    )


def working(now: Now[GaugeZero]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    n = len(now.setup.readings)
    return (
        f"drift = mean after − mean before = {now.value('results.drift'):.4g}",
        f"reading i less the mean before and i/{n + 1} of the drift: " + ", ".join(f"{now.value(f'results.corrected.{i}'):.4g}" for i in range(n)),
    )


GAUGE_ZERO = MadeAid("gauge-zero", GaugeZero, predict, say, working)
