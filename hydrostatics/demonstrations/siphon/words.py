"""What is said of a siphon: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

from ...laws.pipes import LAMINAR, TURBULENT
from ...nominal import Now
from ...prediction import Advice, Saying, School, Tall
from ...quantities.saying import capitalised, short
from ..cures import Change, Changes, first_cure
from .predict import BREAKS, RUNS, STILL
from .setup import Siphon

FINE = 0.9
"""Part of the highest crest up to which a siphon is lowered by advice."""


def say(now: Now[Siphon]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    s = now.setup
    how = now.code("behaviour")
    reason, about = _verdict(now, how)
    wanted = ["results.speed", "results.flow", "results.crest_pressure", "results.crest_limit", "results.time_to_empty"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now, how)),
        sources=("Massey", "Colebrook", "Poiseuille", "JCGM100"),
        headline=now.headline(about, *wanted),
        tall=Tall(float(s.crest[0]) + max(float(s.drop[0]), 0.0), "setup.crest"),
        schools=_schools(now, how),
        margin="" if how == STILL else "results.crest_margin",
        knob="setup.crest",
    )


def _verdict(now: Now[Siphon], how: int) -> tuple[str, str]:
    if float(now.setup.liquid.vapour_pressure[0]) >= float(now.room.station_pressure[0]):
        return "It boils in the open room: no crest holds, {results.crest_limit} at most.", "results.crest_limit"
    if how == STILL:
        return "It does not run: the outlet is not below the upper surface, and the hose gives {results.flow}.", "results.flow"
    if how == BREAKS:
        return "It breaks at the crest: {results.crest_margin} are missing there that would keep the liquid from boiling.", "results.crest_margin"
    if now.value("results.time_to_empty") is not None:
        return (
            "It runs at {results.speed} and draws the vessel down in {results.time_to_empty}; at the crest {results.crest_margin} are left before it parts.",
            "results.crest_margin",
        )
    return "It runs at {results.speed}; at the crest {results.crest_margin} are left before the liquid parts there.", "results.crest_margin"


def _advice(now: Now[Siphon], how: int) -> list[Advice]:
    if how == RUNS or float(now.setup.liquid.vapour_pressure[0]) >= float(now.room.station_pressure[0]):
        return []
    s = now.setup
    crest, drop, length = (float(one[0]) for one in (s.crest, s.drop, s.length))
    limit = now.value("results.crest_limit") or 0.0
    tries: list[list[Change]] = []
    if how == STILL:
        for low in (0.3 * crest + 0.05, 0.1):
            tries += [[Change("setup.drop", low)], [Change("setup.drop", low), Change("setup.length", 1.2 * (2 * crest + low))]]
    for part in (FINE, 0.75, 0.5, 0.25, 0.05):
        lower = Change("setup.crest", min(crest, part * limit), up=False)
        tries.append([lower])
        for low in (0.5 * drop, 0.2 * drop, 0.1, 0.01):
            if low > 0:
                tries.append([lower, Change("setup.drop", low, up=False)])
                tries.append([lower, Change("setup.drop", low, up=False), Change("setup.length", max(1.2 * (2 * crest + low), length))])
    if s.length_to_crest is not None:
        tries += [[*one, Change("setup.length_to_crest", max(1.05 * one[0].si, 0.01))] for one in tries if one[0].path == "setup.crest"]
    changes = first_cure(now, tries)
    found = [] if changes is None else [_told(changes)]
    if how == BREAKS:
        found.append(Advice("A crest that breaks lets go at once: what is in both legs runs out, towels under it."))
    return found


def _told(changes: Changes) -> Advice:
    names = {
        "setup.crest": "bring the crest down to {}",
        "setup.drop": "have the outlet {} below the surface",
        "setup.length": "take a hose of {}",
        "setup.length_to_crest": "with {} of it up to the crest",
    }
    words = " and ".join(names[path].format(short(text)) for path, text in changes)
    words = capitalised(words)
    return Advice(f"{words}: then it runs.", changes, words)


def _cautions(now: Now[Siphon]) -> list[str]:
    s = now.setup
    found = ["Prime it by filling the hose under the surface or with a syringe, never by mouth."]
    suction = now.value("results.priming_suction") or 0.0
    if suction > 20e3:
        found.append(
            f"Priming takes {now.words('results.priming_suction')} of suction: beyond a syringe, and a soft hose flattens; fill it under water, both ends closed."
        )
    if s.liquid.name != "water":
        found.append("Not water: gloves and goggles, and what runs over is taken up as the school's rules say.")
    found.append("The outlet is held or tied: it kicks and pulls the hose out; floor dried after.")
    return found


def _assumptions(now: Now[Siphon], how: int) -> list[str]:
    s = now.setup
    found = ["a steady flow, the hose full throughout, minor losses counted before the crest"]
    if s.liquid.viscosity is None:
        found.append("the liquid's viscosity is not known: no friction is taken off the speed")
    elif LAMINAR < (now.value("results.reynolds") or 0.0) < TURBULENT:
        found.append("between laminar and turbulent the friction is an estimate")
    if s.length_to_crest is None:
        found.append("the hose is taken as laid in proportion to the heights up to the crest")
    if s.draw_depth is not None and how == RUNS:
        found.append("as the upper surface sinks the crest stands higher over it; the verdict is that of the start")
    return found


def _schools(now: Now[Siphon], how: int) -> tuple[School, ...]:
    if how == STILL:
        return ()
    words = (
        f"Both play. The falling leg's weight drives it; the room's pressure keeps the liquid together at the crest, where {now.words('results.crest_pressure')} are left here. "
        f"At rest no crest over {now.words('results.crest_limit')} holds. Prick the crest: air comes in and both legs fall, whatever cohesion does."
    )
    return (School("“The air pushes it over” or “the falling leg pulls it”", words, ("results.crest_pressure", "setup.crest")),)


def working(now: Now[Siphon]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, g, rho = float(now.room.station_pressure[0]), float(now.room.gravity[0]), float(s.liquid.density[0])
    lines = [
        f"p₀ = {p0:.6g} Pa, g = {g:.5g} m/s², density {rho:.5g} kg/m³, p_v = {float(s.liquid.vapour_pressure[0]):.4g} Pa",
        f"without loss √(2 g drop) = {now.value('results.ideal_speed'):.4g} m/s",
    ]
    if (reynolds := now.value("results.reynolds")) is not None:
        lines.append(f"with losses and friction: {now.value('results.speed'):.4g} m/s, Re = {reynolds:.4g}")
    lines.append(
        f"crest: p₀ − ρ g crest − what speed and friction take = {now.value('results.crest_pressure'):.6g} Pa; at rest it holds up to {now.value('results.crest_limit'):.4g} m"
    )
    return tuple(lines)
