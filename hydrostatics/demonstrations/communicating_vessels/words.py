"""What is said of joined vessels: verdict, advice that can be pressed, the paradox in numbers, cautions, schools, working."""

from __future__ import annotations

import numpy as np

from ...laws.joined import level_of
from ...nominal import Now
from ...prediction import Advice, Line, Plot, Saying, School, Table, Tall, View
from ...quantities.saying import short
from ..cures import Change, Changes, first_cure
from .predict import BOILS, EMPTY, OVER, STANDS, swinging, vessels_of
from .setup import CommunicatingVessels

POURING = 41
"""Points of the curve of the level as one pours."""
TELLING = 5e-4
"""Capillary rise [m] from which a sharp pupil sees it."""


def say(now: Now[CommunicatingVessels]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    how = now.code("behaviour")
    reason, about = _verdict(now, how)
    wanted = ["results.base_pressure", "results.swing_period", "results.settling_time", "results.max_pour"]
    tallest = max(range(len(now.setup.vessels)), key=lambda k: float(now.setup.vessels[k].height[0]))
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now)),
        sources=("Stevin", "Massey", "JCGM100") + (("Newton", "Stokes", "Poiseuille") if now.value("results.settling_time") is not None else ()),
        headline=now.headline(about, *wanted),
        table=_views(now, how),
        tall=Tall(float(now.setup.vessels[tallest].height[0]), f"setup.vessels.{tallest}.height"),
        schools=_schools(now, how),
        margin="" if how == BOILS else "results.shown_volume" if how == EMPTY else "results.pour_margin",
        knob="setup.poured_volume",
    )


def _verdict(now: Now[CommunicatingVessels], how: int) -> tuple[str, str]:
    if how == BOILS:
        return "It boils in the open room: no level stands, {results.level} or any other.", "results.level"
    if how == EMPTY:
        return "Nothing shows: all of it stays in the joining tube, {results.shown_volume} are missing before any rises.", "results.shown_volume"
    if how == OVER:
        index = now.prediction.results["overflows"].said  # type: ignore[union-attr]
        return f"It runs over at vessel {index + 1}: only {{results.max_pour}} can be poured.", "results.max_pour"
    return "It stands at one level in all of them, {results.level} above the junction, whatever their shape.", "results.level"


def _advice(now: Now[CommunicatingVessels], how: int) -> list[Advice]:
    if how in (STANDS, BOILS):
        return []
    s = now.setup
    most, link = now.value("results.max_pour") or 0.0, float(s.link[0])
    poured = float(s.poured_volume[0])
    room = max(most - link, 0.0)
    tries = [[Change("setup.poured_volume", link + part * room, up=False)] for part in (0.85, 0.6, 0.4)]
    tries += [[Change("setup.poured_volume", link + 0.5 * room, exact=True)]]
    if how == OVER:
        index = now.prediction.results["overflows"].said  # type: ignore[union-attr]
        tries.append([Change(f"setup.vessels.{index}.height", 1.3 * float(s.vessels[index].height[0]) * poured / most)])
    changes = first_cure(now, tries)
    return [] if changes is None else [_told(changes, how)]


def _told(changes: Changes, how: int) -> Advice:
    path, text = changes[0]
    words = f"Pour {short(text)}" if path == "setup.poured_volume" else f"Take vessel {int(path.split('.')[2]) + 1} {short(text)} high"
    return Advice(f"{words}: then it {'shows' if how == EMPTY else 'stays in'}.", changes, words)


def _views(now: Now[CommunicatingVessels], how: int) -> tuple[View, ...]:
    """The paradox in numbers, and the level as one pours."""
    if how == BOILS:
        return ()
    count = len(now.setup.vessels)
    keys = ("volume", "weight", "base_force", "wall_share")
    rows = tuple((f"vessel {k + 1}", *(f"results.vessels.{k}.{key}" for key in keys)) for k in range(count))
    table = Table("Weight, and force on the foot", ("", "in it", "weighs", "on its foot", "wall carries"), rows)
    alone, _ = now.alone()
    shapes = vessels_of(alone)
    link, most = float(alone.link[0]), float(shapes.capacity[0])
    poured = np.concatenate([[0.0], link + np.linspace(0, most, POURING)])
    levels = np.concatenate([[0.0], level_of(shapes, np.linspace(0, most, POURING))[0]])
    unit = now.inputs.leaves["setup.poured_volume"].unit
    plot = Plot("The level as one pours", ("poured in", "volume", unit), ("level", "length", now.unit("results.level")), (Line("", poured, levels),))
    return (table, plot)


def _cautions(now: Now[CommunicatingVessels]) -> list[str]:
    found = ["Old joined glass is fragile: clamp its base, pour from a light jug, tray under it."]
    if swinging(now.setup) or now.setup.link_length is not None:
        found.append("A plug of air on a slope of the joining tube offsets the levels by its vertical length: tip it until the plug is out.")
    return found


def _assumptions(now: Now[CommunicatingVessels]) -> list[str]:
    s = now.setup
    found = ["the vessels stand on one height, the liquid is of one temperature; capillary rises are told, not added to the level"]
    if any(one.path_length is not None for one in s.vessels):
        found.append("a pipe that winds its way up holds as much in each step of height")
    if now.value("results.settling_time") is not None:
        found.append("how long it takes to stand still is an estimate within a factor of one and a half")
    if swinging(s) and now.value("results.swing_period") is None and s.liquid.viscosity is not None:
        found.append("the joining tube is so narrow that it creeps to its level and does not swing")
    if not np.any(s.link):
        found.append("the joining tube is taken as holding nothing")
    return found


def _schools(now: Now[CommunicatingVessels], how: int) -> tuple[School, ...]:
    if how != STANDS:
        return ()
    count = len(now.setup.vessels)
    weight = {k: now.value(f"results.vessels.{k}.weight") or 0.0 for k in range(count)}
    force = {k: now.value(f"results.vessels.{k}.base_force") or 0.0 for k in range(count)}
    k = max(range(count), key=lambda one: abs(weight[one] - force[one]) / max(force[one], 1e-12))
    made = []
    if abs(weight[k] - force[k]) > 0.02 * force[k]:
        how_much = "more than" if weight[k] > force[k] else "less than"
        side = "its slanting wall carries the rest" if weight[k] > force[k] else "its wall presses down with the rest"
        made.append(
            School(
                "“Pressure is weight spread over area” or “pressure is ρ g h alone”",
                f"In vessel {k + 1} the weight is {now.words(f'results.vessels.{k}.weight')}, {how_much} the {now.words(f'results.vessels.{k}.base_force')} on its foot: {side}. "
                f"Weight over area holds for upright walls alone; {now.words('results.base_pressure')} is at every foot.",
                ("results.level", "setup.poured_volume"),
            )
        )
    made.append(
        School(
            "“The wide one pushes the narrow one up”",
            f"More liquid stands on a wider foot, just as much more of it: at the junction all of them press with {now.words('results.base_pressure')}.",
        )
    )
    return tuple(made)


def working(now: Now[CommunicatingVessels]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    rho, g, level = float(s.liquid.density[0]), float(now.room.gravity[0]), now.value("results.level") or 0.0
    lines = [
        f"poured {float(s.poured_volume[0]):.5g} m³, of that {float(s.link[0]):.3g} m³ in the joining tube; they hold {now.value('results.max_pour'):.5g} m³",
        f"level h = {level:.5g} m, where the volumes add up; ρ g h = {rho:.5g} × {g:.5g} × {level:.5g} = {now.value('results.base_pressure'):.5g} Pa",
    ]
    lines += [
        f"vessel {k + 1}: weight {now.value(f'results.vessels.{k}.weight'):.4g} N, on its foot {now.value(f'results.vessels.{k}.base_force'):.4g} N"
        for k in range(len(s.vessels))
    ]
    if (period := now.value("results.swing_period")) is not None:
        lines.append(f"swing: 2π √((h/A₁ + h/A₂ + L/A)/(g (1/A₁ + 1/A₂))), with damping {period:.4g} s")
    return tuple(lines)
