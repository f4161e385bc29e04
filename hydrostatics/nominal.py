"""The nominal case of a prediction: what was read, what it came to, and numbers ready to be said."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Generic, TypeVar

import numpy as np

from .documents.changing import stated_at
from .documents.inputs import Inputs, Leaf
from .documents.reader import refuse_what_cannot_be
from .errors import Refusal
from .fields import Part
from .prediction import Code, Prediction
from .quantities.saying import COVERAGE, in_words, scale_of, shown_unit, two_figures, typed_text
from .room.derived import Room
from .uncertainty import Spread
from .uncertainty.probability import sure_with

METRIC = ("mm", "cm", "m", "µm")
"""Units in which sizes come in metric steps."""

S = TypeVar("S", bound=Part)


@dataclass(frozen=True)
class Now(Generic[S]):
    """The nominal case: what was read, what it came to, and numbers ready to be said.  Row 0 of every array."""

    inputs: Inputs[S]
    setup: S
    room: Room
    prediction: Prediction
    spread: Spread

    def value(self, path: str) -> float | None:
        """A result in SI, None where it does not exist in this case."""
        at = self.spread.index[path]
        return float(self.spread.nominal[at]) if self.spread.exists[at] else None

    def code(self, key: str) -> int:
        """The number that a yes or no, a name or an index stands for in the nominal case."""
        found = self.prediction.results[key]
        assert isinstance(found, Code), key
        return int(found.numbers[0])

    def headline(self, about: str, *wanted: str) -> tuple[str, ...]:
        """The first three of the results wanted that exist in this case and that the verdict does not tell already."""
        return tuple(path for path in wanted if path != about and self.value(path) is not None)[:3]

    def half_width(self, path: str) -> float:
        """A result's half-width at 95 % [SI]."""
        return 2 * float(self.spread.sd[self.spread.index[path]])

    def unit(self, path: str) -> str:
        """The unit in which a result is said."""
        value = self.spread.values[self.spread.index[path]][1]
        leaf = self.leaf(value.like)
        return shown_unit(value.kind, leaf.unit if leaf and leaf.origin == "typed" else None)

    def words(self, path: str) -> str:
        """A result in words: 2.7 ± 0.2 cm."""
        at = self.spread.index[path]
        return in_words(float(self.spread.nominal[at]), self.shown_sd(path), self.spread.values[at][1].kind, self.unit(path))

    def shown_sd(self, path: str) -> float:
        """The standard uncertainty that a result is shown with: its inputs', and the model's own where it is an estimate [SI]."""
        at = self.spread.index[path]
        estimate, sd = self.spread.values[at][1].estimate, float(self.spread.sd[at])
        return math.hypot(sd, estimate * float(self.spread.nominal[at]) / COVERAGE) if estimate else sd

    def number(self, si: float, kind: str, like: str) -> str:
        """An SI value in words, in the unit of an input."""
        leaf = self.leaf(like)
        return in_words(si, 0.0, kind, shown_unit(kind, leaf.unit if leaf else None))

    def alone(self) -> tuple[S, Room]:
        """Set-up and room of the nominal case alone, every array of one row."""
        return self.inputs.alone

    def refused(self, changed: Mapping[str, float]) -> bool:
        """Whether the set-up would be refused with some inputs set to other values [SI]."""
        values = self.inputs.nominal() | {path: np.array([si]) for path, si in changed.items()}
        try:
            refuse_what_cannot_be(self.inputs, values)
        except Refusal:
            return True
        return False

    def state_with(self, changed: Mapping[str, float]) -> int | None:
        """The verdict's index in STATES with some inputs set to other values [SI]; None where that would be refused."""
        leaves = self.inputs.leaves
        if any(not leaves[path].least <= si <= leaves[path].most for path, si in changed.items()) or self.refused(changed):
            return None
        return int(self.spread.at_rows(self.inputs.nominal() | {path: np.array([si]) for path, si in changed.items()}).state[0])

    def sure_with(self, path: str, si: float) -> bool:
        """Whether it works as good as surely with an input set to another value [SI]; not where the draws are left out."""
        if self.spread.draws is None:
            return not self.spread.inputs and not self.refused({path: si})
        return not self.refused({path: si}) and sure_with(self.spread, {path: si})

    def shown_half_width(self, path: str) -> float:
        """The half-width at 95 % that a result is shown with [SI]."""
        return COVERAGE * self.shown_sd(path)

    def leaf(self, path: str) -> Leaf | None:
        """The numeric input at a path, None where there is none."""
        return self.inputs.leaves.get(path)

    def stated(self, path: str) -> Any:
        """What the document says at a path, None where it is silent."""
        return stated_at(self.inputs.document, path)

    def exactly(self, path: str, kind: str, si: float) -> str:
        """An SI value as a quantity for this path: in its typed unit, its tolerance kept, to five figures."""
        unit, half_width = self._typed(path, kind)
        return typed_text(si, half_width, kind, unit)

    def to_be_had(self, path: str, kind: str, si: float) -> str:
        """The same in a size that can be had: a hole in steps that one can drill, where it is typed in a metric unit."""
        unit, half_width = self._typed(path, kind)
        leaf = self.leaf(path)
        if leaf is None or not leaf.step or unit not in METRIC or si < leaf.step:
            return self.exactly(path, kind, si)
        return typed_text(si, half_width, kind, unit, step=leaf.step / scale_of(unit, kind)[0])

    def as_typed(self, path: str, kind: str, si: float, *, up: bool = True) -> str:
        """An SI value as a quantity for this path: in its typed unit, its tolerance kept, rounded outward to two figures."""
        unit, half_width = self._typed(path, kind)
        return typed_text(si, half_width, kind, unit, step=two_figures(si, kind, unit), way="up" if up else "down")

    def known_to(self, like: str, kind: str, si: float, standard_uncertainty: float) -> str:
        """An SI value as a quantity in the unit of an input, with the tolerance that reads back as its standard uncertainty [SI]."""
        return _with_tolerance(si, standard_uncertainty, kind, self._typed(like, kind)[0])

    def taken(self, path: str, without: str = "") -> str:
        """A result as a quantity that is typed elsewhere, in the unit it is said in, with the tolerance that reads back as its standard
        uncertainty; without: path of an input whose share is left out of it."""
        at = self.spread.index[path]
        kept = 1 - self.spread.shares[at].get(without, 0.0)
        sd = float(self.spread.sd[at]) * math.sqrt(max(kept, 0.0))
        return _with_tolerance(float(self.spread.nominal[at]), sd, self.spread.values[at][1].kind, self.unit(path))

    def _typed(self, path: str, kind: str) -> tuple[str, float]:
        """The unit in which a path is typed, and the half-width [SI] typed with it."""
        leaf = self.leaf(path)
        return shown_unit(kind, leaf.unit if leaf and leaf.unit else None), leaf.half_width if leaf and leaf.origin == "typed" else 0.0


def _with_tolerance(si: float, standard_uncertainty: float, kind: str, unit: str) -> str:
    """A quantity whose tolerance reads back as a standard uncertainty [SI], both to two figures of the tolerance."""
    half_width = float(f"{math.sqrt(3) * standard_uncertainty:.2g}")
    return typed_text(si, half_width, kind, unit, step=two_figures(half_width, kind, unit, difference=True) if half_width else 0.0)
