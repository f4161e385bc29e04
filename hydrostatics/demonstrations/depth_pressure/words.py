"""What is said of pressure at a depth: verdict, cautions, schools, working."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Advice, Saying, School, Table
from .setup import DepthPressure

DEEP = 2.0
"""Depth [m] from which a body of liquid is dangerous to be in or under."""


def say(now: Now[DepthPressure]) -> Saying:
    """Verdict, cautions and assumptions of the nominal case."""
    s = now.setup
    about = "results.gauge_pressure"
    depth = now.number(float(s.depth[0]), "length", "setup.depth")
    reason = f"{depth} down the liquid presses with {{results.gauge_pressure}} above the room, in every direction."
    if now.value("results.wall_force") is not None:
        about = "results.wall_force"
        reason = "The liquid pushes the wall with {results.wall_force}, net of the other side."
    if (now.value("results.boiling_margin") or 0.0) <= 0:
        about = "results.boiling_margin"
        reason = "It boils in the open room: the liquid's vapour pressure exceeds the air's by {results.boiling_margin}, and nothing stands at rest."
    wanted = ["results.gauge_pressure", "results.absolute_pressure", "results.force", "results.centre_of_pressure"]
    return Saying(
        reason,
        about,
        advice=_advice(now),
        cautions=tuple(_cautions(now)),
        assumptions=(
            "the liquid at rest and of one density; depth counts from the free surface, not from the floor or the rim",
            *(("the wall is upright and rectangular, its foot at the floor of both sides",) if s.wall is not None else ()),
        ),
        sources=("Massey", "JCGM100"),
        headline=now.headline(about, *wanted),
        table=(Table("Pressure and force", ("", "value"), tuple((_name(p), p) for p in wanted if now.value(p) is not None)),),
        schools=_schools(now),
        margin="results.boiling_margin",
    )


def _name(path: str) -> str:
    return {"gauge_pressure": "gauge", "absolute_pressure": "absolute", "force": "force on the area"}.get(path.split(".")[1], "centre of pressure, down")


def _advice(now: Now[DepthPressure]) -> tuple[Advice, ...]:
    if (now.value("results.boiling_margin") or 0.0) <= 0:
        return (Advice("Cool the liquid, or choose one that does not boil here."),)
    if now.setup.wall is not None and now.value("results.centre_of_pressure") is None:
        return (Advice("Both sides stand equally deep: the wall feels no net force."),)
    return ()


def _cautions(now: Now[DepthPressure]) -> list[str]:
    s = now.setup
    found = []
    deepest = max(float(s.depth[0]), 0.0 if s.wall is None else float(s.wall.depth[0]))
    if deepest > DEEP:
        found.append("Computed here, not entered: deep water, locks and tanks belong to those licensed to work at them.")
    force = now.value("results.force") or 0.0
    if force > 500:
        found.append(f"The face bears {now.words('results.force')}: glass and thin sheet do not, leave it to rated gear.")
    return found


def _schools(now: Now[DepthPressure]) -> tuple[School, ...]:
    words = (
        f"Only depth, density and gravity enter: {now.words('results.gauge_pressure')} here, in a tube as in a lake. "
        "Sand and marbles push sideways with a fraction of what they press down, a liquid with all of it."
    )
    return (School("“Pressure goes with the amount of water above”", words, ("results.gauge_pressure", "setup.depth")),)


def working(now: Now[DepthPressure]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    g, rho, depth = float(now.room.gravity[0]), float(s.liquid.density[0]), float(s.depth[0])
    p0 = float(now.room.station_pressure[0])
    lines = [
        f"gauge pressure ρ g h = {rho:.5g} × {g:.5g} × {depth:.5g} = {rho * g * depth:.6g} Pa",
        f"absolute p₀ + ρ g h = {p0:.6g} + {rho * g * depth:.6g} = {p0 + rho * g * depth:.6g} Pa",
    ]
    if s.area is not None:
        lines.append(f"force = gauge pressure × area = {rho * g * depth:.6g} × {float(s.area[0]):.4g} = {now.value('results.force'):.5g} N")
    if s.wall is not None:
        width, deep, other = float(s.wall.width[0]), float(s.wall.depth[0]), float(s.wall.other_side_depth[0])
        lines.append(f"wall: ρ g b (h₁² − h₂²)/2 = {rho * g:.5g} × {width:.4g} × ({deep:.4g}² − {other:.4g}²)/2 = {now.value('results.wall_force'):.5g} N")
    return tuple(lines)
