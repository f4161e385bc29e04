"""What is said of a syringe press: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

import math

from ...nominal import Now
from ...prediction import Advice, Saying, School
from ...quantities.saying import short
from ..margin import ENOUGH
from .setup import HydraulicPress

STRONG = 400e3
"""Gauge pressure [Pa] from which plain syringes and hoses pop off."""
KILONEWTON = 1e3
"""Lifting force [N] from which a press is no classroom gear."""


def say(now: Now[HydraulicPress]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    reason, about = _verdict(now)
    wanted = ["results.output_travel", "results.pressure", "results.work_in", "results.work_out"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now)),
        cautions=tuple(_cautions(now)),
        assumptions=("no bubble in it, both pistons at one height; seals rub with a fixed force, the efficiency is on the lifting force alone",),
        sources=("Massey", "JCGM100"),
        headline=now.headline(about, *wanted),
        schools=_schools(now),
        margin="results.margin",
        knob="setup.input_force",
    )


def _verdict(now: Now[HydraulicPress]) -> tuple[str, str]:
    if now.value("results.margin") is None:
        if not now.value("results.output_force"):
            return "Nothing comes out: the seals take all of the push; {results.output_force} are left.", "results.output_force"
        return "It lifts with {results.output_force}, and moves {results.output_travel}.", "results.output_force"
    state = int(now.prediction.state[0])
    if state == 2:
        return "It does not lift the load: {results.output_force} come out, too little by {results.margin}.", "results.margin"
    if state == 1:
        return "Doubtful: {results.output_force} come out, only {results.margin} more than the load.", "results.margin"
    return "It lifts the load: {results.output_force} come out, {results.margin} to spare.", "results.margin"


def _advice(now: Now[HydraulicPress]) -> list[Advice]:
    s = now.setup
    if s.load is None or not int(now.prediction.state[0]):
        return []
    load, force = float(s.load[0]), now.value("results.output_force") or 0.0
    rub, rub_out, efficiency = float(s.input_friction[0]), float(s.output_friction[0]), float(s.efficiency[0])
    pressed = (force + rub_out) / efficiency if efficiency > 0 else 0.0
    if force > 0:
        wanted = (ENOUGH * load + rub_out) / efficiency
        push = now.as_typed("setup.input_force", "force", rub + (float(s.input_force[0]) - rub) * wanted / pressed)
        wide = now.as_typed("setup.output_diameter", "length", float(s.output_diameter[0]) * math.sqrt(wanted / pressed))
        return [
            Advice(f"Push with {short(push)}: then it lifts.", (("setup.input_force", push),), f"Push with {short(push)}"),
            Advice(f"Or take a lifting piston of {short(wide)}.", (("setup.output_diameter", wide),), f"A piston of {short(wide)}"),
        ]
    ratio = (float(s.output_diameter[0]) / float(s.input_diameter[0])) ** 2
    push = now.as_typed("setup.input_force", "force", rub + (ENOUGH * load + rub_out) / ratio / (efficiency or 1.0))
    if efficiency > 0:
        return [Advice(f"Nothing comes out: the seals take it all; push with {short(push)}.", (("setup.input_force", push),), f"Push with {short(push)}")]
    return [Advice("Nothing comes out: push, with seals that slide.", (("setup.efficiency", "100 %"), ("setup.input_force", push)), f"Push with {short(push)}")]


def _cautions(now: Now[HydraulicPress]) -> list[str]:
    found = ["Goggles, blunt tips, joints clamped: a syringe that pops off squirts and flies."]
    if (now.value("results.pressure") or 0.0) > STRONG:
        found.append(f"{now.words('results.pressure')} is more than plain syringes and hoses stand: rated gear only, by those licensed to use it.")
    if (now.value("results.output_force") or 0.0) > KILONEWTON:
        found.append(
            f"{now.words('results.output_force')} crush what they close on: cylinders, hoses and frame rated for it, hands away, by those licensed to use it."
        )
    return found


def _schools(now: Now[HydraulicPress]) -> tuple[School, ...]:
    advantage = now.value("results.advantage") or 0.0
    gained = "Force is gained" if advantage > 1 else "Travel is gained, force is lost" if 0 < advantage < 1 else "Neither is gained"
    words = (
        f"{gained}, {'and ' if not advantage > 0 else ''}work is not: {now.words('results.work_in')} go in, {now.words('results.work_out')} come out, "
        f"over {now.words('results.output_travel')} instead of {now.number(float(now.setup.input_travel[0]), 'length', 'setup.input_travel')}."
    )
    return (School("“It makes energy out of nothing”", words, ("results.output_travel", "setup.output_diameter")),)


def working(now: Now[HydraulicPress]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    small, large = (math.pi / 4 * float(d[0]) ** 2 for d in (s.input_diameter, s.output_diameter))
    return (
        f"areas: {small:.4g} m² and {large:.4g} m², {large / small:.4g} to 1",
        f"pressure = (force − seal)/area = ({float(s.input_force[0]):.4g} − {float(s.input_friction[0]):.3g})/{small:.4g} = {now.value('results.pressure'):.5g} Pa",
        f"lifting force = pressure × area × efficiency − seal = {now.value('results.output_force'):.5g} N",
        f"travel = {float(s.input_travel[0]):.4g} × {small:.4g}/{large:.4g} = {now.value('results.output_travel'):.4g} m",
    )
