"""What is said of a suction cup: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

import math

from ...nominal import Now
from ...prediction import Advice, Saying, School
from ...quantities.saying import short
from ..margin import ENOUGH, SPARE
from .setup import SuctionCup

STRONG = 150.0
"""A pull [N] from which a sudden release throws a person."""


def say(now: Now[SuctionCup]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    reason, about = _verdict(now)
    wanted = ["results.pressure_difference", "results.holding_force", "results.held_mass", "results.limit_force"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now)),
        cautions=tuple(_cautions(now)),
        assumptions=(
            f"the seal is tight, the pull is {'along the wall' if _along(now) else 'square to the face'}, and the pressure acts on the whole sealed circle",
            *(("under a load along the wall the cup slides before it comes off: friction of what presses it on holds it",) if _along(now) else ()),
            *(("the air left in springs back to the cup's volume at the room's temperature",) if now.setup.air_left is not None else ()),
        ),
        sources=("Massey", "Boyle", "JCGM100"),
        headline=now.headline(about, *wanted),
        schools=_schools(now),
        margin="results.margin",
        knob="setup.pull_force",
    )


def _along(now: Now[SuctionCup]) -> bool:
    return now.setup.pull_direction == "along"


def _verdict(now: Now[SuctionCup]) -> tuple[str, str]:
    if now.prediction.results["pushed_off"].said:  # type: ignore[union-attr]
        return "It is pushed off: inside stands above the room, by {results.pressure_difference}.", "results.pressure_difference"
    if now.value("results.margin") is None:
        how = "Pulled along the wall it holds" if _along(now) else "The air holds it with"
        return f"{how} {{results.holding_force}}.", "results.holding_force"
    state = int(now.prediction.state[0])
    if _along(now):
        if state == 2:
            return "It slides: friction holds {results.holding_force}, the load is more by {results.margin}.", "results.margin"
        if state == 1:
            return "Doubtful: friction holds {results.holding_force}, only {results.margin} more than the load.", "results.margin"
        return "It stays: friction holds {results.holding_force}, {results.margin} more than the load.", "results.margin"
    if state == 2:
        return "It comes off: the air holds {results.holding_force}, the pull is more by {results.margin}.", "results.margin"
    if state == 1:
        return "Doubtful: the air holds {results.holding_force}, only {results.margin} more than the pull.", "results.margin"
    return "It holds: {results.holding_force} against the pull, {results.margin} to spare.", "results.margin"


def _advice(now: Now[SuctionCup]) -> list[Advice]:
    s = now.setup
    if s.pull_force is None or not int(now.prediction.state[0]):
        return []
    pull, diameter = float(s.pull_force[0]), float(s.diameter[0])
    grip = float(s.friction_coefficient[0]) if _along(now) else 1.0
    difference, limit = now.value("results.pressure_difference") or 0.0, grip * (now.value("results.limit_force") or 0.0)
    found = []
    if s.air_left is not None and limit > 0 and (wanted := 1 - ENOUGH * pull / limit) >= 0.02:
        text = f"{math.floor(100 * wanted)} %"
        found.append(Advice(f"Press more air out, down to {text}: then it holds.", (("setup.air_left", text),), f"Press it down to {text}"))
    if difference > 0:
        text = now.as_typed("setup.diameter", "length", diameter * math.sqrt(ENOUGH * pull / (grip * difference * math.pi / 4 * diameter**2)))
        found.append(Advice(f"Take a cup of {short(text)}: then it holds.", (("setup.diameter", text),), f"Take a cup of {short(text)}"))
    holds = now.value("results.holding_force") or 0.0
    if holds > 0:
        text = now.as_typed("setup.pull_force", "force", holds / ENOUGH, up=False)
        found.append(Advice(f"Or pull with {short(text)} at most.", (("setup.pull_force", text),), f"Pull with {short(text)}"))
    if not found and limit > 0:
        text = "30 %"
        key = "setup.air_left" if s.air_left is not None else "setup.inside_pressure"
        less = text if s.air_left is not None else now.as_typed(key, "pressure", 0.3 * float(now.room.station_pressure[0]), up=False)
        weak = now.as_typed("setup.pull_force", "force", 0.7 * limit / ENOUGH, up=False)
        found.append(
            Advice("Lower the pressure inside, and pull with less than the air then holds.", ((key, less), ("setup.pull_force", weak)), "Press it flat")
        )
    return found


def _cautions(now: Now[SuctionCup]) -> list[str]:
    found = []
    pull = 0.0 if now.setup.pull_force is None else float(now.setup.pull_force[0])
    if max(pull, now.value("results.holding_force") or 0.0) > STRONG:
        found.append("It lets go all at once: stand steady, pull away from the face and never toward it, nobody behind.")
    if _along(now):
        found.append("A hook under load creeps and slides, sooner when wet or dusty: nothing hot, sharp or fragile on it, and nobody below.")
    return found


def _schools(now: Now[SuctionCup]) -> tuple[School, ...]:
    words = (
        f"Two teams pull no harder than one team and a hook: the hook pulls back as hard. Either has to beat the same {now.words('results.holding_force')}, "
        f"which even with nothing left inside is at most {now.words('results.limit_force')}."
    )
    if _along(now):
        words = (
            f"The air presses it on with {now.words('results.pressing_force')}; along the wall only friction's part of that holds, {now.words('results.holding_force')} here. "
            "What a hook is sold to carry straight off the wall says little of what it carries down it."
        )
        return (School("“What the air presses with is what the hook carries”", words, ("results.holding_force", "setup.friction_coefficient")),)
    key = "setup.air_left" if now.setup.air_left is not None else "setup.inside_pressure"
    return (School("“Two teams pull twice as hard as one”", words, ("results.holding_force", key)),)


def working(now: Now[SuctionCup]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, d = float(now.room.station_pressure[0]), float(s.diameter[0])
    difference = now.value("results.pressure_difference") or 0.0
    area = math.pi / 4 * d**2
    lines = [f"A = π/4 × ({d:.4g} m)² = {area:.4g} m²"]
    if s.air_left is not None:
        lines.append(f"inside: {float(s.air_left[0]):.3g} × p₀ = {float(s.air_left[0]) * p0:.6g} Pa")
    lines.append(f"Δp = {p0:.6g} − {p0 - difference:.6g} = {difference:.6g} Pa; force = Δp A = {difference * area:.5g} N")
    if _along(now):
        lines.append(f"along the wall: {float(s.friction_coefficient[0]):.3g} × {difference * area:.5g} N = {now.value('results.holding_force'):.5g} N")
    if s.pull_force is not None:
        lines.append(
            f"margin = {now.value('results.holding_force'):.5g} − {float(s.pull_force[0]):.5g} = {now.value('results.margin'):.5g} N; wanted {SPARE:.0%} of the pull"
        )
    return tuple(lines)
