"""What would have to change for a holed bottle, with the changes that carry it out."""

from __future__ import annotations

from ...prediction import Advice
from ...quantities.reading import read_quantity
from ...quantities.saying import capitalised, short
from .predict import DRY, HELD, INLET
from .told import Told

CLEAR_LEAD = 0.03
"""A lead below this [m] is called narrow: hard to see from the back row."""
Change = tuple[str, object]


class Advising(Told):
    """Advice for the nominal case."""

    def advice(self) -> list[Advice]:
        """What would have to change, the first that can be pressed first."""
        found: list[Advice] = []
        if self.boils:
            return [Advice("Cool the liquid, or do it where the air is denser: boiling, it is no liquid column at all.")]
        if self.capped and not self.held:
            if self.can_run_steadily():
                found.append(
                    Advice(
                        "Let it be so: the highest hole lets the air in, and the others run at a steady head.",
                        (("setup.cap", "steady"), *((("setup.refill", "none"),) if self.s.refill != "none" else ())),
                        "Let it run steadily",
                    )
                )
            found.append(Advice("Take the cap off: then it runs.", (("setup.cap", "open"), *self.make_run()), "Take the cap off"))
        elif self.state == 2:
            changes: list[Change] = [("setup.cap", "open"), *self.make_run()] if INLET in self.behaviour else self.make_run()
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
            return [self._make_alike()]
        lead = self.now.value("results.lead") or 0.0
        if self.in_depth_order() and lead >= CLEAR_LEAD:
            return []
        now_drop = float(self.s.stand_drop[0])
        target = max(drop + max(0.02, min(drop + 0.05, 0.25)), now_drop + 0.15 if self.in_depth_order() else 0.0)
        text = self.now.as_typed("setup.stand_drop", "length", target)
        why = "the deeper jets then lead by more" if self.in_depth_order() else "then the jets land in order of depth"
        return [Advice(f"Raise the bottle to {short(text)}: {why}.", (("setup.stand_drop", text),), f"Raise the bottle to {short(text)}")]

    def _make_alike(self) -> Advice:
        """What differs between the holes so that no drop brings order, made the same where it can be."""
        stated = any(self.now.stated(f"setup.holes.{i}.{key}") is not None for i in range(self.n) for key in ("velocity_coefficient", "discharge_coefficient"))
        why = "A shallower hole has the faster jet for its depth, so no drop brings the jets into order of depth"
        if stated:
            return Advice(f"{why}: the coefficients are stated as different; measure them again, or make the holes alike.")
        edges: list[Change] = [(f"setup.holes.{i}.edge", "sharp") for i in range(self.n) if self.s.holes[i].edge != "sharp"]
        widest = max(range(self.n), key=lambda i: float(self.s.holes[i].diameter[0]))
        sizes: list[Change] = [
            (f"setup.holes.{i}.diameter", self.now.stated(f"setup.holes.{widest}.diameter"))
            for i in range(self.n)
            if float(self.s.holes[i].diameter[0]) != float(self.s.holes[widest].diameter[0])
        ]
        what = " and ".join((["one edge"] if edges else []) + (["one size"] if sizes else []))
        if not what:
            return Advice(f"{why}.")
        return Advice(f"{why}: give all holes {what}.", (*edges, *sizes), f"Give all holes {what}")

    def _about_silent(self) -> list[Advice]:
        """Advice for a hole that does not run beside others that do."""
        found = []
        for i in self.by_depth:
            if self.behaviour[i] == HELD:
                text = self._wide_enough(i, float(self.s.fill_height[0]) - self.heights[i])
                found.append(
                    Advice(
                        f"{capitalised(self.named(i))} does not start; widen it to {short(text)}.",
                        ((f"setup.holes.{i}.diameter", text),),
                        f"Widen it to {short(text)}",
                    )
                )
            elif self.behaviour[i] == DRY:
                found.append(Advice(f"{capitalised(self.named(i))} is above the surface and stays dry."))
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
        return read_quantity("", text, "length").si


def _in_words(changes: list[Change]) -> str:
    return f"{_button(changes)}: then it runs."


def _button(changes: list[Change]) -> str:
    said = []
    for path, quantity in changes:
        if path.endswith("cap"):
            said.append("take the cap off")
        else:
            said.append(f"fill to {short(quantity)}" if path.endswith("fill_height") else f"widen the hole to {short(quantity)}")
    return capitalised(" and ".join(said))
