"""What is said of a diver: verdict, advice that can be pressed, its map, cautions, schools, working."""

from __future__ import annotations

import numpy as np

from ...nominal import Now
from ...prediction import Advice, Map, Saying, School
from ...quantities.saying import capitalised, short
from ..cures import Change, Changes, first_cure
from .predict import BOILS, FATES, HARD, LIGHT, RETURNS, SINKS, STAYS
from .setup import CartesianDiver

DROP = 0.05e-6
"""A drop of air let out [m^3], about: common practice, no published source."""
METALS = (7850.0, 11_340.0, 19_250.0)
"""Densities of steel, lead and tungsten [kg/m^3], for ballast that the liquid does not float: handbook values (from memory)."""
GRID = (40, 30)
"""Points of the map, across and up."""


def say(now: Now[CartesianDiver]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    fate = now.code("fate")
    reason, about = _verdict(now, fate)
    wanted = ["results.hand_force", "results.squeeze", "results.return_limit_depth", "results.float_margin", "results.margin_per_kelvin"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, fate)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now)),
        sources=("Archimedes", "Boyle", "JCGM100"),
        headline=now.headline(about, *wanted),
        table=(_map(now),),
        schools=_schools(now, fate),
        margin=_deciding(now, fate),
        knob=now.setup.trim,
    )


def _deciding(now: Now[CartesianDiver], fate: int) -> str:
    """The margin that is the nearest to nothing, seen from its own uncertainty."""
    if fate == BOILS:
        return ""
    found = {
        path: abs(at) / max(now.half_width(path), 1e-12) for path in ("results.float_margin", "results.hand_margin") if (at := now.value(path)) is not None
    }
    return min(found, key=lambda path: found[path])


def _verdict(now: Now[CartesianDiver], fate: int) -> tuple[str, str]:
    if fate == BOILS:
        return "It boils in the open room: no diver floats in that; it would float with {results.float_margin}.", "results.float_margin"
    if fate == SINKS:
        return "It does not float to begin with: it is too heavy by {results.float_margin}.", "results.float_margin"
    if fate == LIGHT:
        if now.value("results.hand_force") is None:
            return "It never sinks: even without its air it would float, with {results.float_margin} to spare at the surface.", "results.float_margin"
        return "Too light for a hand: it takes {results.hand_force} to sink it.", "results.hand_force"
    if fate == STAYS:
        return "It sinks at {results.hand_force} and stays down: let go below {results.return_limit_depth} it does not come back.", "results.return_limit_depth"
    if int(now.prediction.state[0]):
        return "It sinks and comes back, but it takes {results.hand_force}, more than half of what the hand can do.", "results.hand_force"
    return "It sinks at {results.hand_force} and comes back when the hand lets go.", "results.hand_force"


def _advice(now: Now[CartesianDiver], fate: int) -> list[Advice]:
    if fate == BOILS or int(now.prediction.state[0]) == 0:
        return []
    changes = first_cure(now, _tries(now))
    found = [] if changes is None else [_told(now, changes)]
    if fate == STAYS:
        found.append(Advice("Stood on its head for a moment it comes up: or tap the bottle so that a bubble joins it."))
    if now.value("results.ballast_least") is not None and fate != SINKS:
        found.append(Advice(f"Trim it in a tall open glass first: {_pocket(now)}."))
    return found


def _pocket(now: Now[CartesianDiver]) -> str:
    """Trimming told in milligrams of ballast and in drops of air."""
    drop = 1e6 * float(now.setup.liquid.density[0]) * DROP
    return f"a drop of air let out does as much as {drop:.2g} mg of ballast hung on"


def _tries(now: Now[CartesianDiver]) -> list[list[Change]]:
    """Trims in the middle of the window; where there is none, a shorter way down as well, and a smaller dent."""
    s = now.setup
    rho, g = float(s.liquid.density[0]), float(now.room.gravity[0])
    p0, p_v, air = float(now.room.station_pressure[0]), float(s.liquid.vapour_pressure[0]), float(s.air_volume[0])
    margin, trim = now.value("results.float_margin") or 0.0, s.trim
    stated = float(s.ballast_density[0])
    tries: list[list[Change]] = []
    for ballast in (stated, *(metal for metal in METALS if s.sinks_with is not None and metal > rho > 0.95 * stated)):
        for dent in (1.0, 0.5, 0.25, 0.1):
            area = dent * float(s.finger_area[0])
            high = HARD * float(s.hand_limit[0]) / area
            for way in (1.0, 0.5, 0.2, 0.05):
                low = rho * g * way * float(s.bottle_depth[0])
                squeeze = 0.4 * low + 0.6 * min(high, 3 * low + 2e3)
                wanted = rho * air * squeeze / (p0 + squeeze - p_v)  # margin that this squeeze takes away
                weight = wanted / (1 - rho / ballast) if s.diver_mass is None else float(s.diver_mass[0]) + margin - wanted
                if low < 0.8 * high and weight > 0:
                    changes = [Change(trim, weight, exact=True)]
                    changes += [Change("setup.ballast_density", ballast, exact=True)] if ballast != stated else []
                    changes += [Change("setup.bottle_depth", way * float(s.bottle_depth[0]), up=False)] if way < 1 else []
                    changes += [Change("setup.finger_area", area, up=False)] if dent < 1 else []
                    tries.append(changes)
    return tries


def _told(now: Now[CartesianDiver], changes: Changes) -> Advice:
    names = {
        "setup.sinks_with": "trim it until {} just sink it",
        "setup.diver_mass": "trim its mass to {}",
        "setup.bottle_depth": "take a bottle of {} way down",
        "setup.ballast_density": "use ballast of {}",
        "setup.finger_area": "press with a dent of {}",
    }
    words = " and ".join(names[path].format(short(text)) for path, text in changes)
    words = capitalised(words)
    return Advice(f"{words}: then it sinks and comes back; {_pocket(now)}.", changes, words)


def _map(now: Now[CartesianDiver]) -> Map:
    """Fates over air and ballast, today's set-up a point on it."""
    s = now.setup
    path = s.trim
    weight, air = now.inputs.leaves[path], now.inputs.leaves["setup.air_volume"]
    rho = float(s.liquid.density[0])
    if s.sinks_with is not None:
        low, high = 0.0, max(2.5 * weight.si, min(1.2 * _hardest(now), 8 * weight.si), 0.02 * rho * air.si)
    else:
        margin = abs(now.value("results.float_margin") or 0.0)
        reach = max(2.5 * margin, 0.25 * rho * air.si)
        low, high = max(weight.si - reach, 0.02 * weight.si), weight.si + reach
    least, most = 0.55 * air.si, 1.5 * air.si
    across, up = np.linspace(least, most, GRID[0]), np.linspace(low, high, GRID[1])
    grid = np.meshgrid(across, up)
    rows = now.inputs.nominal() | {"setup.air_volume": grid[0].ravel(), path: grid[1].ravel()}
    fates = np.broadcast_to(now.spread.at_rows(rows).results["fate"].numbers, (GRID[0] * GRID[1],))  # type: ignore[union-attr]
    regions = np.minimum(fates, SINKS).reshape(GRID[1], GRID[0]).astype(np.intp)
    return Map(
        "What becomes of it",
        ("setup.air_volume", least, most, air.label.lower(), air.kind),
        (path, low, high, weight.label.lower(), weight.kind),
        regions,
        FATES,
        (air.si, weight.si),
    )


def _hardest(now: Now[CartesianDiver]) -> float:
    """What would just sink it of which the hand's limit is the squeeze [kg]."""
    s = now.setup
    rho, squeeze = float(s.liquid.density[0]), float(s.hand_limit[0] / s.finger_area[0])
    dry = max(float(now.room.station_pressure[0] - s.liquid.vapour_pressure[0]), 1.0)
    per_ballast = abs(1 - rho / float(s.ballast_density[0])) or 1.0
    return rho * float(s.air_volume[0]) * squeeze / (dry + squeeze) / per_ballast


def _cautions(now: Now[CartesianDiver]) -> list[str]:
    s = now.setup
    found = []
    tension = s.liquid.surface_tension
    if tension is not None:
        found.append("A dry top hangs on the surface by the water's skin: push it under once before anything is judged.")
    found.append("Screwing the cap on a brim-full bottle squeezes it already: leave a little air, and cap it gently.")
    if s.liquid.name not in ("water", "salt water"):
        found.append("Not water: gloves, and a bottle that this liquid does not soften.")
    return found


def _assumptions(now: Now[CartesianDiver]) -> list[str]:
    s = now.setup
    found = [
        "the air in it is damp and keeps to Boyle's law, its solids are not squeezed, no bubbles hang on it",
        "the wall's own stiffness comes on top of the force told: it is the least",
    ]
    if s.sinks_with is not None:
        found.append("what just sinks it was found at the room's temperature and pressure of now")
    return found


def _schools(now: Now[CartesianDiver], fate: int) -> tuple[School, ...]:
    if fate not in (RETURNS, STAYS):
        return ()
    words = (
        f"Its weight stays; its push upwards goes, with the air: from {now.number(float(now.setup.air_volume[0]), 'volume', 'setup.air_volume')} "
        f"to {now.words('results.neutral_air_volume')}, where it just hovers. A kelvin warmer adds {now.words('results.margin_per_kelvin')} to the margin."
    )
    return (School("“It grows heavier when the bottle is squeezed”", words, ("results.squeeze", now.setup.trim)),)


def working(now: Now[CartesianDiver]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, p_v, rho = float(now.room.station_pressure[0]), float(s.liquid.vapour_pressure[0]), float(s.liquid.density[0])
    margin, air = now.value("results.float_margin") or 0.0, float(s.air_volume[0])
    first = (
        f"margin = ballast × (1 − ρ/ρ_b) = {float(s.sinks_with[0]):.5g} × (1 − {rho:.5g}/{float(s.ballast_density[0]):.5g}) = {margin:.4g} kg"
        if s.sinks_with is not None
        else f"margin = ρ (solids + air) − mass = {margin:.4g} kg"
    )
    lines = [first, f"air at which it hovers V_n = {air:.5g} − margin/ρ = {now.value('results.neutral_air_volume'):.5g} m³"]
    if (squeeze := now.value("results.squeeze")) is not None:
        lines.append(f"squeeze = (p₀ − p_v) × {air:.5g}/V_n + p_v − p₀ = {squeeze:.5g} Pa with p₀ = {p0:.6g} Pa, p_v = {p_v:.4g} Pa")
        lines.append(f"comes back from above squeeze/(ρ g) = {now.value('results.return_limit_depth'):.4g} m")
    return tuple(lines)
