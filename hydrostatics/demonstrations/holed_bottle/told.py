"""The nominal case of a holed bottle under short names, and what its holes and jets are called."""

from __future__ import annotations

from typing import Any, cast

from ...nominal import Now
from .predict import DRY
from .setup import HoledBottle, stacked


class Told:
    """The nominal case under short names."""

    def __init__(self, now: Now[HoledBottle]) -> None:
        self.now, self.s = now, now.setup
        results = cast(Any, now.prediction.results)
        self.results = results
        holes = results["holes"]
        self.behaviour = [int(hole["behaviour"].numbers[0]) for hole in holes]
        self.order: list[int] = results["landing_order"].said
        self.heights = stacked(self.s.holes, "height")[0].tolist()
        self.n = len(self.heights)
        self.by_depth = sorted(range(self.n), key=lambda i: (-self.heights[i], i))
        self.held = results["held"].said
        self.capped = self.s.cap == "closed" and DRY not in self.behaviour
        self.steady = now.value("results.steady_time")
        self.state = int(now.prediction.state[0])
        self.boils = (now.value("results.boiling_margin") or 0.0) <= 0
        self.crossing = len(results["jets_cross"])

    def hole(self, i: int, key: str) -> str:
        return f"results.holes.{i}.{key}"

    def name(self, i: int) -> str:
        """top, middle, lowest; the number where there are more, or two at one height."""
        if self.n == 1:
            return "the hole"
        if self.n <= 3 and len(set(self.heights)) == self.n:
            return (("upper", "lower") if self.n == 2 else ("top", "middle", "lowest"))[self.by_depth.index(i)]
        return f"hole {i + 1}"

    def jet(self, i: int) -> str:
        """The jet of a hole, as a sentence names it."""
        if self.n == 1:
            return "the jet"
        return f"the {self.name(i)} jet" if not self.name(i).startswith("hole") else f"the jet of {self.name(i)}"

    def in_depth_order(self) -> bool:
        """Whether every deeper running jet lands farther."""
        drop = self.now.value("results.stand_drop_for_depth_order")
        return drop is not None and (drop == 0.0 or float(self.s.stand_drop[0]) > drop)

    def named(self, i: int) -> str:
        """A hole, as a sentence names it."""
        name = self.name(i)
        return name if name.startswith(("the", "hole")) else f"the {name} hole"

    def headline(self) -> tuple[str, ...]:
        """The few results that matter next to the verdict's own."""
        if self.capped:
            return tuple(p for p in ("results.first_leak", "results.pair_limit") if self.now.value(p) is not None)
        wanted = ["results.stand_drop_for_depth_order"] if len(self.order) > 1 else []
        wanted += ["results.tray_reach"] if self.order else []
        wanted += ["results.volume_lost", "results.time_to_stop"]
        return tuple(p for p in wanted if self.now.value(p) is not None)

    def can_run_steadily(self) -> bool:
        """Whether a hole runs below the highest, were that to let the air in."""
        starts = [self.now.value(self.hole(i, "head_to_start")) or 0.0 for i in range(self.n)]
        top, *lower = self.by_depth
        return any(self.heights[top] - self.heights[i] - starts[top] / 2 > 1.01 * starts[i] for i in lower)
