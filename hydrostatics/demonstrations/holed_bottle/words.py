"""What is said of a holed bottle: the verdict's sentence, advice that can be pressed, cautions and assumptions."""

from __future__ import annotations

from typing import Any, cast

from ...nominal import Now
from ...prediction import Advice, Saying, Table
from ...quantities.saying import short
from .notes import assumptions, cautions, schools, tall
from .predict import DRY, HELD
from .setup import HoledBottle, stacked

CLEAR_LEAD = 0.03
"""A lead below this [m] is called narrow: hard to see from the back row."""
Change = tuple[str, object]


def say(now: Now[HoledBottle]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    told = _Told(now)
    reason, about = told.verdict()
    columns = ("", "depth", "speed", "lands at")
    rows = tuple((told.name(i), f"results.holes.{i}.head", f"results.holes.{i}.speed", f"results.holes.{i}.range") for i in told.by_depth)
    return Saying(
        reason,
        about,
        advice=tuple(told.advice()),
        cautions=tuple(cautions(now, told.behaviour)),
        assumptions=tuple(assumptions(now, capped=told.capped)),
        sources=("Torricelli", "Streeter", "deGennes", "JCGM100") + (("Maxwell", "AbramowitzStegun") if told.capped else ()),
        headline=told.headline(),
        table=(Table("Jets", columns, rows),),
        tall=tall(now),
        schools=schools(now),
    )


class _Told:
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

    def verdict(self) -> tuple[str, str]:
        """The sentence, results standing in it by path, and the path of the one that decides."""
        if self.boils:
            return "It boils in the open room: the liquid's vapour pressure exceeds the air's by {results.boiling_margin}.", "results.boiling_margin"
        if self.capped:
            return self._capped()
        running = [i for i in self.by_depth if self.behaviour[i] not in (DRY, HELD)]
        if not running:
            return self._none_runs()
        if not self.order:
            i = running[-1]
            return f"It runs straight down, at {{{self.hole(i, 'speed')}}}.", self.hole(i, "speed")
        if len(self.order) == 1:
            i = self.order[0]
            how = "drips, and lands" if self.results["holes"][i]["behaviour"].said == "dripping" else "lands"
            return _capital(f"{self.jet(i)} {how} {{{self.hole(i, 'range')}}} from the wall."), self.hole(i, "range")
        return self._order(), "results.lead"

    def _order(self) -> str:
        first, second = self.order[-1], self.order[-2]
        lead = self.now.value("results.lead") or 0.0
        if lead <= 1e-9:
            return f"{_capital(self.jet(second))} and {self.jet(first)} land together: {{results.lead}} apart."
        narrow = lead < CLEAR_LEAD or lead < 2 * self.now.half_width("results.lead")
        lands = f"{_capital(self.jet(first))} lands farthest"
        if self.in_depth_order():
            return f"{lands}, but only by {{results.lead}}." if narrow else f"{lands}, by {{results.lead}}."
        drop = self.now.value("results.stand_drop_for_depth_order")
        deepest = max(self.order, key=lambda i: (-self.heights[i], i))
        if drop is None:
            return f"{lands}, by {{results.lead}}; no drop makes deeper land farther here."
        if first == deepest:
            return f"{lands}, by {{results.lead}}, but the rest follow depth only from a drop of {{results.stand_drop_for_depth_order}}."
        return f"{lands}, by {{results.lead}}; depth decides only from a drop of {{results.stand_drop_for_depth_order}}."

    def in_depth_order(self) -> bool:
        """Whether every deeper running jet lands farther."""
        drop = self.now.value("results.stand_drop_for_depth_order")
        return drop is not None and (drop == 0.0 or float(self.s.stand_drop[0]) > drop)

    def _none_runs(self) -> tuple[str, str]:
        held = [i for i in self.by_depth if self.behaviour[i] == HELD]
        if held:
            i = held[-1]
            return f"No jet: surface tension holds {self.named(i)} shut until {{{self.hole(i, 'head_to_start')}}} of liquid stand over it.", self.hole(
                i, "head_to_start"
            )
        i = self.by_depth[-1]
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

    def advice(self) -> list[Advice]:
        """What would have to change, the first that can be pressed first."""
        found: list[Advice] = []
        if self.boils:
            return [Advice("Cool the liquid, or do it where the air is denser: boiling, it is no liquid column at all.")]
        if self.capped and not self.held:
            found.append(Advice("Take the cap off: then it runs.", (("setup.cap", "open"), *self.make_run()), "Take the cap off"))
        elif self.state == 2:
            changes = self.make_run()
            if changes and self.s.cap == "closed":  # filled over every hole, a closed bottle would hold
                changes.append(("setup.cap", "open"))
            if changes:
                found.append(Advice(_in_words(changes), tuple(changes), _button(changes)))
        elif len(self.order) > 1:
            found += self._about_order()
        found += [] if self.capped or self.state == 2 else self._about_silent()
        diameters = {round(float(hole.diameter[0]), 9) for hole in self.s.holes}
        if len(diameters) > 1 and not self.capped:
            found.append(Advice("The holes differ in size: make them equal, or the comparison of their jets' life proves little."))
        if self.crossing:
            found.append(Advice("The jets cross in flight: stagger the holes a little round the side, or they collide."))
        return found

    def _about_order(self) -> list[Advice]:
        drop = self.now.value("results.stand_drop_for_depth_order")
        if drop is None:
            return [
                Advice(
                    "A shallower hole has the better edge, so no drop brings the jets into order of depth: give all holes one edge.",
                    self._one_edge(),
                    "Give all holes one edge",
                )
            ]
        lead = self.now.value("results.lead") or 0.0
        if self.in_depth_order() and lead >= CLEAR_LEAD:
            return []
        now_drop = float(self.s.stand_drop[0])
        target = max(drop + max(0.02, min(drop + 0.05, 0.25)), now_drop + 0.15 if self.in_depth_order() else 0.0)
        text = self.now.as_typed("setup.stand_drop", "length", target)
        why = "the deeper jets then lead by more" if self.in_depth_order() else "then the jets land in order of depth"
        return [Advice(f"Raise the bottle to {short(text)}: {why}.", (("setup.stand_drop", text),), f"Raise the bottle to {short(text)}")]

    def _one_edge(self) -> tuple[Change, ...] | None:
        return tuple((f"setup.holes.{i}.edge", "sharp") for i in range(self.n) if self.s.holes[i].edge != "sharp") or None

    def _about_silent(self) -> list[Advice]:
        """Advice for a hole that does not run beside others that do."""
        found = []
        for i in self.by_depth:
            if self.behaviour[i] == HELD:
                text = self._wide_enough(i, float(self.s.fill_height[0]) - self.heights[i])
                found.append(
                    Advice(
                        f"{_capital(self.named(i))} does not start; widen it to {short(text)}.",
                        ((f"setup.holes.{i}.diameter", text),),
                        f"Widen it to {short(text)}",
                    )
                )
            elif self.behaviour[i] == DRY:
                found.append(Advice(f"{_capital(self.named(i))} is above the surface and stays dry."))
        return found

    def make_run(self) -> list[Change]:
        """Changes that let at least the lowest hole run with the cap open; none where it runs already or cannot."""
        i = self.by_depth[-1]
        starts = self.now.value(self.hole(i, "head_to_start")) or 0.0
        level = float(self.s.fill_height[0])
        if level - self.heights[i] > starts * 1.05 and level > self.heights[i]:
            return []
        wanted = self.heights[i] + 1.3 * starts + 0.05
        rim = None if self.s.bottle_height is None else float(self.s.bottle_height[0])
        if rim is None or wanted <= rim:
            text = self.now.as_typed("setup.fill_height", "length", wanted)
            if rim is None or self._si(text) <= rim:
                return [("setup.fill_height", text)]
        head = (rim or 0.0) - self.heights[i]
        if head <= 1e-4:
            return []
        rim_leaf = self.now.leaf("setup.bottle_height")
        assert rim_leaf is not None
        changes: list[Change] = [("setup.fill_height", self.now.stated("setup.bottle_height"))] if level < (rim or 0.0) else []
        if head < starts * 1.05:
            changes.append((f"setup.holes.{i}.diameter", self._wide_enough(i, head)))
        return changes

    def _wide_enough(self, i: int, head: float) -> str:
        """A diameter at which half the depth is enough to start."""
        tension = self.s.liquid.surface_tension
        assert tension is not None
        weight = float(self.s.liquid.density[0] * self.now.room.gravity[0])
        return self.now.as_typed(f"setup.holes.{i}.diameter", "length", 8 * float(tension[0]) / (weight * head))

    @staticmethod
    def _si(text: str) -> float:
        from ...quantities.reading import read_quantity

        return read_quantity("", text, "length").si


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]


def _in_words(changes: list[Change]) -> str:
    return f"{_button(changes)}: then it runs."


def _button(changes: list[Change]) -> str:
    said = []
    for path, quantity in changes:
        if path.endswith("cap"):
            said.append("take the cap off")
        else:
            said.append(f"fill to {short(quantity)}" if path.endswith("fill_height") else f"widen the hole to {short(quantity)}")
    return _capital(" and ".join(said))
