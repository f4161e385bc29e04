"""What is said of a cooling flask: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

import numpy as np

from ...laws.walls import disc_area
from ...liquids.water import saturation_pressure
from ...nominal import Now
from ...prediction import Advice, Saying, School
from ...quantities.celsius import kelvin
from ...quantities.saying import capitalised, short
from ..cures import Change, first_cure
from ..margin import ENOUGH
from .predict import STEAM, WARM
from .setup import CoolingFlask

BURNS = kelvin(50)
"""Temperature [K] from which glass and steam burn."""


def say(now: Now[CoolingFlask]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    s = now.setup
    how = now.code("behaviour")
    reason, about = _verdict(now, how)
    wanted = ["results.push_force_end", "results.pressure_difference", "results.moves_at", "results.time_to_move", "results.volume_pushed_in"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now, how)),
        sources=("Amontons", "NewtonScale", "JCGM100")
        + (("IAPWS-IF97",) if s.moisture == "saturated" else ())
        + (("Windenburg",) if s.can is not None else ()),
        headline=now.headline(about, *wanted),
        schools=_schools(now, how),
        margin=_deciding(now),
        knob="setup.hot_temperature",
    )


def _deciding(now: Now[CoolingFlask]) -> str:
    """The margin that is the smaller part of its need; empty where nothing is needed."""
    parts = {}
    for path, need in (
        ("results.margin", None if now.setup.needed_force is None else float(now.setup.needed_force[0])),
        ("results.collapse_margin", now.value("results.collapse_pressure")),
    ):
        at = now.value(path)
        if at is not None and need:
            parts[path] = at / need
    return min(parts, key=lambda path: parts[path]) if parts else ""


def _verdict(now: Now[CoolingFlask], how: int) -> tuple[str, str]:
    if how == WARM:
        return "Nothing happens: it is not cooled, and inside stands {results.final_pressure}.", "results.final_pressure"
    about, state = _deciding(now), int(now.prediction.state[0])
    if about == "results.collapse_margin":
        if state == 2:
            return "The can holds: {results.pressure_difference} below the room is short of what crumples it by {results.collapse_margin}.", about
        if state == 1:
            return "Doubtful: {results.pressure_difference} below the room is only {results.collapse_margin} more than crumples the can.", about
        return "The can crumples: {results.pressure_difference} below the room, {results.collapse_margin} more than it takes.", about
    if about == "results.margin":
        if state == 2:
            return "The stopper stays where it is: the room pushes with {results.push_force_end} at the end, short by {results.margin}.", about
        if state == 1:
            return "Doubtful: the room pushes with {results.push_force_end} at the end, only {results.margin} more than the stopper needs.", about
        return "The stopper is pushed in: {results.push_force_end} at the end, {results.margin} more than it needs.", about
    return "The room pushes the stopper with {results.push_force}, {results.pressure_difference} being gone inside.", "results.push_force"


def _advice(now: Now[CoolingFlask], how: int) -> list[Advice]:
    s = now.setup
    if int(now.prediction.state[0]) == 0:
        return []
    hot, final, room = float(s.hot_temperature[0]), float(s.final_temperature[0]), float(now.room.temperature[0])
    found = []
    for changes in _cures(now, hot, min(final, room)):
        found.append(Advice(_told(changes), changes, _told(changes).split(":")[0]))
        break
    if s.moisture == "dry" and how != WARM:
        found.append(
            Advice(
                "Boil a little water in it and close it on the steam: steam that condenses does far more than air that cools.",
                (("setup.moisture", "saturated"),),
                "Close it on steam",
            )
            if final >= kelvin(0)
            else Advice("Close it on steam: that does far more than air that cools.")
        )
    if s.needed_force is not None:
        found.append(Advice("Wet the stopper and the neck, or take a smaller stopper: it then needs less. A helping push at the start is no shame."))
    return found


def _cures(now: Now[CoolingFlask], hot: float, cold: float) -> list[tuple[tuple[str, str], ...]]:
    """Changes that make it work, tried: hotter, colder, wider; a stopper that needs less, a can that takes less."""
    s = now.setup
    hotter = [hot + k * 5.0 for k in range(1, 12) if hot + k * 5.0 <= kelvin(98)]
    warmest = max(hot, kelvin(96))
    tries: list[list[Change]] = [[Change("setup.hot_temperature", t)] for t in hotter]
    tries += [
        [Change("setup.final_temperature", cold, up=False)],
        [Change("setup.hot_temperature", warmest), Change("setup.final_temperature", cold, up=False)],
    ]
    both = [Change("setup.hot_temperature", warmest), Change("setup.final_temperature", min(cold, kelvin(20)), up=False)]
    tries.append(both)
    easier: list[list[Change]] = []
    push = _reachable(now, warmest, min(cold, kelvin(20)))
    if s.needed_force is not None and push > 0:
        easier.append([Change("setup.needed_force", push / (1.1 * ENOUGH) * k, up=False) for k in (1.0,)])
        easier.append([Change("setup.needed_force", 0.5 * push / ENOUGH, up=False), Change("setup.stopper_volume", 0.02 * float(s.volume[0]), up=False)])
        easier.append([Change("setup.needed_force", 0.1 * push / ENOUGH, up=False), Change("setup.stopper_volume", 0.02 * float(s.volume[0]), up=False)])
    if s.can is not None:
        thinner = [[Change("setup.can.wall", k * float(s.can.wall[0]), up=False)] for k in (0.8, 0.6, 0.4, 0.25, 0.1)]
        easier = easier + thinner + [one + other for one in easier for other in thinner]
    tries += [[*part] for part in easier] + [[*both, *part] for part in easier]
    changes = first_cure(now, tries)
    return [] if changes is None else [changes]


def _reachable(now: Now[CoolingFlask], hot: float, cold: float) -> float:
    """The push on the neck [N] that the hottest start and the coldest end would give, stopper's squeeze left out."""
    s = now.setup
    if s.neck_diameter is None:
        return 0.0
    p0 = float(now.room.station_pressure[0])
    steam_hot, steam_cold = (float(x) for x in saturation_pressure(np.array([hot, cold]))) if s.moisture == "saturated" else (0.0, 0.0)
    inside = max(p0 - steam_hot, 0.0) * cold / hot + steam_cold
    return (p0 - inside) * float(disc_area(s.neck_diameter[0]))


def _told(changes: tuple[tuple[str, str], ...]) -> str:
    """What changes, as a sentence whose part before the colon is a button."""
    names = {
        "setup.hot_temperature": "close it at {}",
        "setup.final_temperature": "cool it to {}",
        "setup.needed_force": "take a stopper that needs {}",
        "setup.stopper_volume": "of {} inside the flask",
        "setup.can.wall": "take a can with a wall of {}",
    }
    words = " and ".join(names[path].format(short(text)) for path, text in changes)
    return capitalised(words) + ": then it works."


def _cautions(now: Now[CoolingFlask]) -> list[str]:
    s = now.setup
    hot = float(s.hot_temperature[0])
    found = ["Never heat a closed vessel: it is closed only once it is off the flame. Never an aerosol can."]
    if hot >= BURNS:
        found.append("Hot glass, steam and flame: tongs, goggles, hair tied back; follow the school's rules for heating.")
    if s.can is None and (now.value("results.pressure_difference") or 0.0) > 30e3:
        found.append("Much of the room's pressure is on the glass: a sound round flask made for heat, never a thin or flat-sided bottle.")
    if s.neck_diameter is not None:
        found.append("What is used in a laboratory is not eaten.")
    return found


def _assumptions(now: Now[CoolingFlask], how: int) -> list[str]:
    s = now.setup
    found = ["nothing leaks past the stopper, the gas is at one temperature throughout and was at the room's pressure when it was closed in"]
    if s.moisture == "saturated":
        found.append("water is left in it, so that its steam stays saturated as it cools")
    if how == STEAM:
        found.append("at this temperature the water boils: the gas closed in is steam without air")
    if now.value("results.moves_at") is not None:
        found.append("when it starts to move is told from the push before the stopper squeezes the gas, the end from the push after")
    if s.can is not None:
        found.append("what crumples a can is known to its order of magnitude only")
    return found


def _schools(now: Now[CoolingFlask], how: int) -> tuple[School, ...]:
    if how == WARM:
        return ()
    air = now.words("results.air_closed_in")
    part = (
        f"of what was closed in only {air} was air: the rest is steam that turns to water again"
        if now.setup.moisture == "saturated"
        else "air has left, and what stayed presses less once it is cold"
    )
    return (
        School(
            "“Heating raises the pressure in the open flask”",
            f"Open, it stays at the room's pressure however hot: air leaves. When it is closed, {part}, "
            f"and {now.words('results.pressure_difference')} are missing inside.",
            ("results.pressure_difference", "setup.hot_temperature"),
        ),
    )


def working(now: Now[CoolingFlask]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, hot, final = float(now.room.station_pressure[0]), float(s.hot_temperature[0]), float(s.final_temperature[0])
    dry, steam = now.value("results.dry_pressure") or 0.0, now.value("results.steam_pressure") or 0.0
    lines = [
        f"p₀ = {p0:.6g} Pa, closed at {hot:.5g} K, cooled to {final:.5g} K",
        f"dry air: {dry * hot / final:.6g} Pa × {final:.5g}/{hot:.5g} = {dry:.6g} Pa",
    ]
    if s.moisture == "saturated":
        lines.append(f"steam at the end: p_v = {steam:.5g} Pa")
    lines.append(f"Δp = {p0:.6g} − {dry + steam:.6g} = {now.value('results.pressure_difference'):.6g} Pa")
    if s.neck_diameter is not None:
        lines.append(
            f"push = Δp × π/4 × ({float(s.neck_diameter[0]):.4g} m)² = {now.value('results.push_force'):.4g} N; with the stopper in the neck {now.value('results.push_force_end'):.4g} N"
        )
    if s.can is not None:
        lines.append(f"crumples at 2.6 × {float(s.can.collapse_factor[0]):.3g} × E (t/D)^2.5 D/L = {now.value('results.collapse_pressure'):.4g} Pa")
    return tuple(lines)
