"""What is said of a holed bottle: the verdict's sentence, advice that can be pressed, cautions and assumptions."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Saying, Table
from ...quantities.saying import capitalised
from .advice import CLEAR_LEAD, Advising
from .notes import assumptions, cautions, schools, tall
from .predict import DRY, HELD, INLET
from .setup import HoledBottle
from .told import Told

AT_SURFACE = 1e-4
"""Heads within this [m] of none are told as at the surface."""


def say(now: Now[HoledBottle]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    told = _Told(now)
    reason, about = told.verdict()
    columns = ("", "depth", "speed", "lands at")
    rows = tuple((told.name(i), f"results.holes.{i}.head", f"results.holes.{i}.speed", f"results.holes.{i}.range") for i in told.by_depth)
    return Saying(
        reason,
        about,
        advice=tuple(Advising(now).advice()),
        cautions=tuple(cautions(now, told.behaviour)),
        assumptions=tuple(assumptions(now, told.behaviour, capped=told.capped)),
        sources=("Torricelli", "Streeter", "deGennes", "JCGM100") + (("Maxwell", "AbramowitzStegun") if told.capped else ()),
        headline=told.headline(),
        table=(Table("Jets", columns, rows),),
        tall=tall(now),
        schools=schools(now),
        margin="results.seal_margin" if told.capped else "results.start_margin",
        knob="" if told.capped else "setup.fill_height",
    )


class _Told(Told):
    """The sentence of the nominal case."""

    def verdict(self) -> tuple[str, str]:
        """The sentence, results standing in it by path, and the path of the one that decides."""
        if self.boils:
            return "It boils in the open room: the liquid's vapour pressure exceeds the air's by {results.boiling_margin}.", "results.boiling_margin"
        if self.capped:
            return self._capped()
        running = [i for i in self.by_depth if self.behaviour[i] not in (DRY, HELD, INLET)]
        if not running:
            return self._none_runs()
        reason, about = self._running(running)
        if self.steady:
            reason = f"It runs steadily for {{results.steady_time}}: {reason[:1].lower()}{reason[1:]}"
        return reason, about

    def _running(self, running: list[int]) -> tuple[str, str]:
        if not self.order:
            i = running[-1]
            return f"It runs straight down, at {{{self.hole(i, 'speed')}}}.", self.hole(i, "speed")
        if len(self.order) == 1:
            i = self.order[0]
            how = "drips, and lands" if self.results["holes"][i]["behaviour"].said == "dripping" else "lands"
            return capitalised(f"{self.jet(i)} {how} {{{self.hole(i, 'range')}}} from the wall."), self.hole(i, "range")
        return self._order(), "results.lead"

    def _order(self) -> str:
        first, second = self.order[-1], self.order[-2]
        lead = self.now.value("results.lead") or 0.0
        if lead <= 1e-9:
            return f"{capitalised(self.jet(second))} and {self.jet(first)} land together: {{results.lead}} apart."
        narrow = lead < CLEAR_LEAD or lead < 2 * self.now.half_width("results.lead")
        lands = f"{capitalised(self.jet(first))} lands farthest"
        if self.in_depth_order():
            return f"{lands}, but only by {{results.lead}}." if narrow else f"{lands}, by {{results.lead}}."
        drop = self.now.value("results.stand_drop_for_depth_order")
        deepest = max(self.order, key=lambda i: (-self.heights[i], i))
        if drop is None:
            return f"{lands}, by {{results.lead}}; no drop makes deeper land farther here."
        if first == deepest:
            return f"{lands}, by {{results.lead}}, but the rest follow depth only from a drop of {{results.stand_drop_for_depth_order}}."
        return f"{lands}, by {{results.lead}}; depth decides only from a drop of {{results.stand_drop_for_depth_order}}."

    def _none_runs(self) -> tuple[str, str]:
        held = [i for i in self.by_depth if self.behaviour[i] == HELD]
        if not held and INLET in self.behaviour:
            i = self.behaviour.index(INLET)
            return f"No jet: {self.named(i)} only lets the air in, {{{self.hole(i, 'head')}}} deep; a closed bottle runs from holes below it.", self.hole(
                i, "head"
            )
        if held:
            i = held[-1]
            return f"No jet: surface tension holds {self.named(i)} shut until {{{self.hole(i, 'head_to_start')}}} of liquid stand over it.", self.hole(
                i, "head_to_start"
            )
        i = self.by_depth[-1]
        if abs(self.now.value(self.hole(i, "head")) or 0.0) < AT_SURFACE:
            return f"No jet: {self.named(i)} is at the surface, so nothing presses there.", self.hole(i, "head")
        return f"No jet: {self.named(i)} is {{{self.hole(i, 'head')}}} above the surface, so it is dry.", self.hole(i, "head")

    def _capped(self) -> tuple[str, str]:
        if self.s.liquid.surface_tension is None:
            return "Whether the cap holds it cannot be said: the liquid's surface tension is not known.", self.hole(self.by_depth[-1], "head")
        margins = [(self.now.value(self.hole(i, "critical_diameter")) or 0.0) - float(self.s.holes[i].diameter[0]) for i in range(self.n)]
        i = margins.index(min(margins))
        limit = self.hole(i, "critical_diameter")
        if self.held:
            return f"The cap holds it: a meniscus carries {self.named(i)} up to {{{limit}}} wide.", limit
        if self.state == 1:
            return f"Doubtful: a meniscus that slides carries {self.named(i)} only to {{{limit}}} wide.", limit
        if margins[i] <= 0:
            return f"The cap does not hold it: a meniscus carries {self.named(i)} only to {{{limit}}} wide, and it glugs.", limit
        return "The cap does not hold it: the menisci of two holes carry only {results.pair_limit} between them, and it glugs.", "results.pair_limit"
