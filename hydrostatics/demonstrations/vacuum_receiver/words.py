"""What is said of a receiver: verdict, advice that can be pressed, its pump-down drawn, cautions, schools, working."""

from __future__ import annotations

import numpy as np

from ...nominal import Now
from ...prediction import Advice, Line, Plot, Saying, School, Table, Tall, View
from ...quantities.saying import capitalised, short
from ..cures import Change, Changes, first_cure
from .predict import BOILS, DROPS, STAYS, frames
from .setup import VacuumReceiver


def say(now: Now[VacuumReceiver]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    how = now.code("behaviour")
    reason, about = _verdict(now, how)
    wanted = [
        "results.time_to_drop",
        "results.time_to_drop_damp",
        "results.level_with_air",
        "results.bubbles_possible_below",
        "results.top_pressure_at_ultimate",
    ]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now, how)),
        assumptions=tuple(_assumptions(now, how)),
        sources=("OHanlon", "Massey", "JCGM100") + (("IAPWS-G7",) if now.value("results.level_with_air") is not None else ()),
        headline=now.headline(about, *wanted),
        table=_views(now, how),
        tall=Tall(float(now.setup.column_height[0]), "setup.column_height"),
        schools=_schools(now, how),
        margin="" if how == BOILS else "results.drop_margin",
        knob="setup.column_height",
    )


def _verdict(now: Now[VacuumReceiver], how: int) -> tuple[str, str]:
    if how == BOILS:
        return "It boils in the open room: it needs more than {results.drop_pressure} to stand.", "results.drop_pressure"
    if how == DROPS:
        return "It drops once the receiver is below {results.drop_pressure}, and stands at {results.level_at_ultimate} in the end.", "results.drop_pressure"
    if int(now.prediction.state[0]) == 1:
        return (
            "The pump does not get down to {results.drop_pressure}; only the air that comes out brings the column down, to {results.level_with_air}.",
            "results.level_with_air",
        )
    return "It stays up: the pump gets to {results.end_pressure}, and it drops below {results.drop_pressure} alone.", "results.drop_pressure"


def _advice(now: Now[VacuumReceiver], how: int) -> list[Advice]:
    if how != STAYS:
        return []
    s = now.setup
    height, pump = float(s.column_height[0]), now.value("results.end_pressure") or 0.0
    p_v = float(s.liquid.vapour_pressure[0])
    weight = float(s.liquid.density[0] * now.room.gravity[0])
    needed = (pump - p_v) / weight
    own, leak = float(s.ultimate_pressure[0]), float(s.leak[0] / s.pump_speed[0])
    drop = weight * height + p_v
    tries = [
        [Change("setup.column_height", max(1.15 * needed, 1.02 * height))],
        [Change("setup.ultimate_pressure", 0.8 * (drop - leak), up=False)] if drop > leak else [],
        [Change("setup.ultimate_pressure", 0.7 * drop, up=False), Change("setup.pump_speed", 10 * float(s.leak[0]) / drop)] if drop > 0 else [],
        [Change("setup.leak", 0.1 * float(s.leak[0]), up=False), Change("setup.ultimate_pressure", min(own, 0.7 * drop), up=False)],
        [Change("setup.column_height", max(1.3 * needed, height)), Change("setup.ultimate_pressure", 0.5 * own, up=False)],
    ]
    changes = first_cure(now, [one for one in tries if one])
    found = [] if changes is None else [_told(changes)]
    if leak > 0.2 * pump:
        found.append(Advice("Find the leak first: with the pump shut off, how fast does the pressure rise?"))
    if s.liquid.name == "water" and not s.degassed:
        found.append(Advice("Beside it a tube of boiled water shows which of the two it is, air or vapour."))
    return found


def _told(changes: Changes) -> Advice:
    names = {
        "setup.column_height": "take a tube of {}",
        "setup.ultimate_pressure": "take a pump that gets down to {}",
        "setup.pump_speed": "and takes {}",
        "setup.leak": "bring the leak down to {}",
    }
    words = " and ".join(names[path].format(short(text)) for path, text in changes).replace("and and", "and")
    words = capitalised(words)
    return Advice(f"{words}: then it drops.", changes, words)


def _views(now: Now[VacuumReceiver], how: int) -> tuple[View, ...]:
    """The pump-down as levels over time, and the pressures to be called with their times and levels."""
    if how == BOILS:
        return ()
    told = frames(now.setup, now.room)
    lines = [Line("no air out", told["time"], told["level"])]
    if np.isfinite(told["level_with_air"]).all():
        lines.append(Line("its air out", told["time"], told["level_with_air"], dashed=True))
    time = now.unit("results.time_to_drop")
    made: list[View] = [Plot("The column while it is pumped", ("time", "time", time), ("level", "length", now.unit("results.level_at_ultimate")), tuple(lines))]
    if now.setup.calls:
        rows = tuple(
            (
                now.number(now.inputs.leaves[f"setup.calls.{k}"].si, "pressure", f"setup.calls.{k}"),
                *(f"results.calls.{k}.{key}" for key in ("time", "level", "level_with_air")),
            )
            for k in range(len(now.setup.calls))
        )
        made.append(Table("Pressures to be called", ("pressure", "time", "level", "level, air out"), rows))
    return tuple(made)


def _cautions(now: Now[VacuumReceiver], how: int) -> list[str]:
    found = [
        "A rated receiver without a scratch, a screen before it and goggles against implosion; never an ordinary bottle or jar. Follow the rules for vacuum."
    ]
    found.append("Let the air in slowly: a column that comes back strikes the closed end.")
    pump, p_v = now.value("results.end_pressure") or 0.0, float(now.setup.liquid.vapour_pressure[0])
    if pump < p_v and how != BOILS:
        found.append("The liquid boils under this pump, and the pump-down stalls near its vapour pressure: a trap before the pump, and its oil changed after.")
    if now.prediction.results["escapes"].said:  # type: ignore[union-attr]
        found.append("The air that comes out fills the tube down to its mouth and escapes there: it spits.")
    if now.setup.degassed:
        found.append("Boiled water scalds while it is filled in.")
    return found


def _assumptions(now: Now[VacuumReceiver], how: int) -> list[str]:
    s = now.setup
    found = ["the pump takes the same volume a second all the way, the gas stays at the room's temperature"]
    if how == STAYS:
        found.append("the pump does not get down to where it drops, however long it runs")
    elif (now.value("results.time_to_drop_damp") or 0.0) > (now.value("results.time_to_drop") or 0.0):
        found.append("between the two times: at the earliest no vapour comes off the basin, at the latest as much as the pump takes")
    if now.value("results.level_with_air") is not None:
        found.append("how far below the pressure told the first bubbles are seen depends on the glass and on nuclei; the level lies between the two told")
    elif s.liquid.name != "water":
        found.append("what gas this liquid holds dissolved is not known")
    if (now.value("results.top_pressure_at_ultimate") or 0.0) < 0:
        found.append("a column freed of its air may hang beyond where it should drop, under tension; nothing is promised")
    return found


def _schools(now: Now[VacuumReceiver], how: int) -> tuple[School, ...]:
    if how == BOILS:
        return ()
    tension = now.value("results.top_pressure_at_ultimate") or 0.0
    hang = f" Freed of air it may hang with {now.words('results.top_pressure_at_ultimate')} at its top, less than nothing." if tension < 0 else ""
    words = f"The air in the receiver holds it up, down to {now.words('results.drop_pressure')}; below that, only its own cohesion could.{hang}"
    return (School("“The air holds it up” or “it hangs together by itself”", words, ("results.drop_pressure", "setup.column_height")),)


def working(now: Now[VacuumReceiver]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    rho, g, p_v, p0 = float(s.liquid.density[0]), float(now.room.gravity[0]), float(s.liquid.vapour_pressure[0]), float(now.room.station_pressure[0])
    lines = [
        f"drops at ρ g h + p_v = {rho * g * float(s.column_height[0]):.6g} + {p_v:.4g} = {now.value('results.drop_pressure'):.6g} Pa",
        f"the pump ends at {now.value('results.end_pressure'):.5g} Pa; V/S = {float(s.receiver_volume[0] / s.pump_speed[0]):.4g} s",
    ]
    if (time := now.value("results.time_to_drop")) is not None:
        lines.append(f"t = V/S ln((p₀ − p_u)/(p − p_u)) = {time:.4g} s from p₀ = {p0:.6g} Pa")
    if (half := now.value("results.half_with_air_pressure")) is not None:
        lines.append(f"with its air out at half its height at {half:.5g} Pa")
    return tuple(lines)
