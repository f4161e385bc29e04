"""A straight vessel timed while it empties through one hole: the hole's coefficient, or the hole itself."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Annotated, Any

import numpy as np
from pydantic import WithJsonSchema

from ..errors import OutOfRange
from ..fields import Array, Part, Plain, liquid, quantity
from ..laws.emptying import coefficient_from_time
from ..laws.hydrostatic import meniscus_pressure
from ..laws.jets import left_by_viscosity, orifice_flow, torricelli_speed, viscous_coefficient, viscous_head
from ..liquids import Liquid
from ..nominal import Now
from ..prediction import Floats, Node, Prediction, Saying, Value
from ..quantities.saying import in_words
from ..room.derived import Room
from . import refusals
from .protocol import MadeAid, TakenOver
from .sections import draining_vessel
from .words import INDEPENDENT

_STEPS = 12
"""Steps in which a hole and what its surface holds back, or a coefficient and what viscosity takes, are found together: 1e-6 on all of the tests."""


class _Draining(Part):
    """A straight vessel whose surface was timed between two marks."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    inner_diameter: Array = quantity("length", "Vessel, inside diameter", gt=0, le=50)
    start_head: Array = quantity("length", "Surface above the hole, at the start", gt=0, le=50, help="to the hole's centre")
    end_head: Array = quantity("length", "Surface above the hole, at the end", gt=0, le=50)
    time: Array = quantity("time", "Time between", gt=0, le=1e7, help="stopped at the marks, the vessel open above")

    def refuse(self) -> None:
        """Refuses a surface that does not fall."""
        if self.start_head[0] <= self.end_head[0]:
            raise OutOfRange("end_head", refusals.SURFACE_DOES_NOT_FALL)

    def held(self, diameter: Any, room: Room) -> Any:
        """Head that the jet's own curved surface holds back at the start of a hole's running [m]."""
        tension = self.liquid.surface_tension
        return np.zeros(1) if tension is None else meniscus_pressure(tension, diameter) / (self.liquid.density * room.gravity)

    def refuse_hole(self, path: str, diameter: Floats, room: Room) -> None:
        """Refuses a hole as wide as the vessel, and an end at which it no longer runs."""
        if diameter[0] >= self.inner_diameter[0]:
            raise OutOfRange(path, refusals.HOLE_AS_WIDE)
        held = float(self.held(diameter, room)[0])
        if self.end_head[0] <= held:
            raise OutOfRange("end_head", refusals.ENDS_WHERE_IT_STOPS, held=in_words(held, 0.0, "length", "mm"))


class CoefficientByDraining(_Draining):
    """The hole's diameter is known, its coefficient is wanted."""

    hole_diameter: Array = quantity("length", "Hole, diameter", gt=0, le=1, help="drill shank or pin that just fits")

    def refuse_in(self, room: Room) -> None:
        """Refuses a hole that cannot be."""
        self.refuse_hole("hole_diameter", self.hole_diameter, room)


class HoleByDraining(_Draining):
    """The hole's coefficient is known, its diameter is wanted."""

    discharge_coefficient: Plain = quantity("fraction", "Discharge coefficient", default="0.61 +/- 0.02", gt=0, le=1, help="0.61 for a sharp edge")

    def refuse_in(self, room: Room) -> None:
        """Refuses a hole that cannot be."""
        with np.errstate(invalid="ignore"):
            self.refuse_hole("inner_diameter", _hole(self, room), room)


def _hole(s: HoleByDraining, room: Room) -> Floats:
    """The diameter for which the surface takes that time, with what its own surface then holds back [m]."""
    first, last, found = s.start_head, s.end_head, np.full(1, np.inf)
    for _ in range(_STEPS):
        held = s.held(found, room) / 2
        high, low = np.maximum(first - held, 0.0), np.maximum(last - held, 0.0)
        found = s.inner_diameter * np.sqrt(coefficient_from_time(1.0, 1.0, high, low, s.time, room.gravity) / s.discharge_coefficient)
    return found


def _results(s: _Draining, room: Room, diameter: Floats, coefficient: Floats) -> dict[str, Node]:
    held = s.held(diameter, room) / 2
    speed = torricelli_speed(room.gravity, np.maximum(s.start_head - held, 0.0))
    thick = s.liquid.viscosity
    nu = np.ones(1) if thick is None else thick / s.liquid.density
    return {
        "flow_start": Value(orifice_flow(coefficient, diameter, speed), "flow", "flow at the start"),
        "reynolds_start": Value(speed * diameter / nu, "number", "Reynolds number at the start", thick is not None),
        "coefficient_without_loss": Value(_without_loss(s, room, diameter, coefficient), "fraction", "coefficient without what viscosity takes"),
    }


def _without_loss(s: _Draining, room: Room, diameter: Floats, coefficient: Floats) -> Floats:
    """The coefficient over the part of the flow that viscosity leaves at the mean head, for a sharp edge."""
    if s.liquid.viscosity is None:
        return coefficient
    head = np.maximum((s.start_head + s.end_head) / 2 - s.held(diameter, room) / 2, np.finfo(float).tiny)
    lost, found = viscous_coefficient(1.0, s.liquid.viscosity, diameter, 0.0), coefficient
    for _ in range(_STEPS):
        found = np.minimum(coefficient / left_by_viscosity(head, viscous_head(lost, found, s.liquid.density, room.gravity)), 1e6)
    return np.asarray(found)


def predict_coefficient(s: CoefficientByDraining, room: Room) -> Prediction:
    """The coefficient that the time tells, for all rows."""
    held = s.held(s.hole_diameter, room) / 2
    high, low = np.maximum(s.start_head - held, 0.0), np.maximum(s.end_head - held, 0.0)
    found = coefficient_from_time(s.inner_diameter, s.hole_diameter, high, low, s.time, room.gravity)
    results: dict[str, Node] = {"discharge_coefficient": Value(found, "fraction", "discharge coefficient")}
    return Prediction(results | _results(s, room, s.hole_diameter, found), np.where(found > 1, 2, 0))


def predict_hole(s: HoleByDraining, room: Room) -> Prediction:
    """The diameter that the time tells, for all rows."""
    found = _hole(s, room)
    results: dict[str, Node] = {"hole_diameter": Value(found, "sink", "diameter of the hole")}
    return Prediction(results | _results(s, room, found, s.discharge_coefficient + 0 * found), np.zeros(1, dtype=np.intp))


_RESTS_ON = (
    INDEPENDENT,
    "a straight vessel, open above, whose surface falls slowly; the jet's own surface holds 2 σ/d of the pressure back",
    "it holds what viscosity takes at these heads; taken over, that is taken out for the mean head",
)


def say_coefficient(now: Now[CoefficientByDraining]) -> Saying:
    """What was found, or that it cannot be."""
    fails = int(now.prediction.state[0]) == 2
    reason = (
        "Measured wrongly: the coefficient comes out as {results.discharge_coefficient}, and none is above 1."
        if fails
        else "The hole's coefficient is {results.discharge_coefficient}."
    )
    return Saying(
        reason,
        "results.discharge_coefficient",
        assumptions=_RESTS_ON,
        sources=("Streeter", "JCGM100"),
        headline=now.headline("", "results.flow_start", "results.reynolds_start"),
    )


def say_hole(now: Now[HoleByDraining]) -> Saying:
    """What was found, and what it rests on."""
    return Saying(
        "The hole is {results.hole_diameter} wide.",
        "results.hole_diameter",
        assumptions=_RESTS_ON,
        sources=("Streeter", "JCGM100"),
        headline=now.headline("", "results.flow_start", "results.reynolds_start"),
    )


def _heads(now: Now[Any], diameter: float) -> str:
    s, room = now.alone()
    held = float(s.held(np.array([diameter]), room)[0]) / 2
    return f"heads less 2 σ/(d ρ g) = {held:.3g} m: {float(s.start_head[0]) - held:.5g} m and {float(s.end_head[0]) - held:.5g} m"


def working_coefficient(now: Now[CoefficientByDraining]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    ratio = float(s.inner_diameter[0] / s.hole_diameter[0])
    return (
        _heads(now, float(s.hole_diameter[0])),
        f"C = (D/d)² √(2/g) (√h₁ − √h₂)/t, D/d = {ratio:.5g}, t = {float(s.time[0]):.5g} s: {now.value('results.discharge_coefficient'):.4g}",
    )


def working_hole(now: Now[HoleByDraining]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s, found = now.setup, now.value("results.hole_diameter") or 0.0
    return (
        _heads(now, found),
        f"d = D √(√(2/g) (√h₁ − √h₂)/(C t)) with C = {float(s.discharge_coefficient[0]):.4g}, D = {float(s.inner_diameter[0]):.5g} m: {found:.5g} m",
    )


def take_coefficient(now: Now[CoefficientByDraining], serves: Mapping[str, tuple[str, ...]]) -> tuple[TakenOver, ...]:
    """The coefficient without what viscosity takes; the hole then counts without tolerance, since they err together."""
    hole = now.exactly("measured.hole_diameter", "length", float(now.setup.hole_diameter[0])).partition(" +/- ")
    unit = hole[2].rpartition(" ")[2] if hole[1] else ""
    typed = now.taken("results.coefficient_without_loss", without="measured.hole_diameter")
    beside = {"diameter": f"{hole[0]} {unit}".strip()}
    return tuple(TakenOver(path, typed, names, beside) for path, names in serves.items())


def take_hole(now: Now[HoleByDraining], serves: Mapping[str, tuple[str, ...]]) -> tuple[TakenOver, ...]:
    """The hole; its coefficient then counts without tolerance, since they err together."""
    typed = now.taken("results.hole_diameter", without="measured.discharge_coefficient")
    beside = {"discharge_coefficient": f"{now.value('results.coefficient_without_loss'):.4g}"}
    return tuple(TakenOver(path, typed, names, beside) for path, names in serves.items())


COEFFICIENT_BY_DRAINING = MadeAid(
    "coefficient-by-draining",
    CoefficientByDraining,
    predict_coefficient,
    say_coefficient,
    working_coefficient,
    {"results.coefficient_without_loss": ("discharge_coefficient",)},
    take_coefficient,
    draining_vessel,
)
HOLE_BY_DRAINING = MadeAid(
    "hole-by-draining", HoleByDraining, predict_hole, say_hole, working_hole, {"results.hole_diameter": ("diameter",)}, take_hole, draining_vessel
)
