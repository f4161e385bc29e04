"""What is said of a lifted column: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Advice, Saying, School, Table, Tall
from ...quantities.saying import short
from .setup import LiftedColumn

LEVEL = 1e-3
"""Levels within this [m] are called equal: nobody reads a tube closer."""


def say(now: Now[LiftedColumn]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    s = now.setup
    how = now.prediction.results["behaviour"].said  # type: ignore[union-attr]
    reason, about = _verdict(now, how)
    rows = tuple(
        (f"port {i + 1}, {now.stated(f'setup.ports.{i}')}", f"results.ports.{i}.gauge_pressure", f"results.ports.{i}.pressure") for i in range(len(s.ports))
    )
    wanted = ["results.gas_pressure", "results.level_equal_lift", "results.max_level", "results.mouth_depth"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now, how)),
        assumptions=tuple(_assumptions(now)),
        sources=("Massey", "Boyle", "JCGM100"),
        headline=now.headline(about, *wanted),
        table=(Table("Gauges", ("", "against the room", "absolute"), rows),) if rows else (),
        tall=Tall(float(s.lift[0]) + max(float(s.tube_length[0] - s.lift[0]), 0.0), "setup.tube_length", level="results.level"),
        schools=_schools(now),
        margin="results.mouth_depth",
        knob="setup.lift",
    )


def _verdict(now: Now[LiftedColumn], how: str) -> tuple[str, str]:
    if how == "boils":
        return "It boils in the open room: the highest level possible is {results.max_level}.", "results.max_level"
    if how == "mouth out":
        return "The mouth is out of the basin, by {results.mouth_depth}: air runs in and the column is lost.", "results.mouth_depth"
    if how == "open":
        return "Open above: inside and outside stand level, whatever the lift; the mouth is {results.mouth_depth} under.", "results.mouth_depth"
    if how == "gas escapes":
        return "Gas bubbles out at the mouth: the level inside stays at {results.level} there.", "results.level"
    if how == "vapour above":
        return "It parts from the top: the liquid stands {results.level} high, with only its vapour above.", "results.level"
    level = now.value("results.level") or 0.0
    if not now.value("results.dry_gas_pressure"):
        return "Full to the top: the air carries it, and the top stands at {results.gas_pressure}.", "results.gas_pressure"
    if abs(level) < LEVEL:
        return "The levels agree: the gas is at the room's pressure, {results.gas_pressure}.", "results.gas_pressure"
    if level > 0:
        return "The liquid stands {results.level} above the basin: the gas is below the room's pressure.", "results.level"
    return "The liquid stands {results.level} below the basin: the gas is above the room's pressure.", "results.level"


def _advice(now: Now[LiftedColumn], how: str) -> list[Advice]:
    length = float(now.setup.tube_length[0])
    if how == "boils":
        return [Advice("Cool the liquid, or choose one that does not boil here.")]
    if how == "mouth out":
        text = now.as_typed("setup.lift", "length", 0.9 * length, up=False)
        changes = (("setup.lift", text), *_ports_under(now, text, 0.9 * length))
        return [Advice(f"Lift it only {short(text)}: then the mouth stays under.", changes, f"Lift it only {short(text)}")]
    equal = now.value("results.level_equal_lift")
    level = now.value("results.level") or 0.0
    if equal is not None and abs(level) >= LEVEL and 0 < equal <= 0.97 * length:
        text = now.exactly("setup.lift", "length", equal)
        return [
            Advice(
                f"To read the gas at the room's pressure, set the closed end {short(text)} above the basin: the levels then agree.",
                (("setup.lift", text), *_ports_under(now, text, equal)),
                f"Lift to {short(text)}",
            )
        ]
    return []


def _ports_under(now: Now[LiftedColumn], text: str, lift: float) -> list[tuple[str, str]]:
    """Changes that bring the gauge ports down with a closed end at this lift [m]."""
    return [(f"setup.ports.{i}", short(text)) for i, port in enumerate(now.setup.ports) if float(port[0]) > 0.95 * lift]


def _cautions(now: Now[LiftedColumn], how: str) -> list[str]:
    found = []
    if how == "gas escapes":
        found.append("Gas is lost at the mouth: what was closed in is no longer all there.")
    if how == "mouth out":
        found.append("When the mouth comes out the column drops at once: over the basin, no electrics near, dry the floor.")
    return found


def _assumptions(now: Now[LiftedColumn]) -> list[str]:
    found = ["one temperature throughout, the basin so wide that its surface stays"]
    if now.value("results.dry_gas_pressure"):
        found.append("the gas is damp with the liquid's vapour, its dry part obeys Boyle's law and none of it dissolves")
    elif now.setup.trapped_gas is not None and now.value("results.dry_gas_pressure") is not None:
        found.append("the pressure stated for the gas closed in is no more than the liquid's vapour makes: nothing dry was closed in")
    return found


def _schools(now: Now[LiftedColumn]) -> tuple[School, ...]:
    dry, total = now.value("results.dry_gas_pressure"), now.value("results.gas_pressure")
    if not dry or not total or total <= 0:
        return ()
    part = 100 * (total - dry) / total
    words = (
        f"The gas holds the liquid's vapour as well: here {part:.2g} % of its {now.words('results.gas_pressure')}. "
        "Read it when the levels agree, and take the vapour off before counting moles."
    )
    return (School("“The gas is at the room's pressure” or “… only when the levels agree”", words, ("results.gas_pressure", "setup.lift")),)


def working(now: Now[LiftedColumn]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, g, rho = float(now.room.station_pressure[0]), float(now.room.gravity[0]), float(s.liquid.density[0])
    p_v, lift = float(s.liquid.vapour_pressure[0]), float(s.lift[0])
    lines = [f"p₀ = {p0:.6g} Pa, g = {g:.5g} m/s², density {rho:.5g} kg/m³, p_v = {p_v:.4g} Pa"]
    level = now.value("results.level")
    if level is None:
        return (*lines, f"mouth depth = {float(s.tube_length[0]):.4g} m − {lift:.4g} m = {now.value('results.mouth_depth'):.4g} m")
    if s.vent:
        return (*lines, "open above: p₀ on both surfaces, so they stand level")
    if s.trapped_gas is None:
        lines.append(f"no gas: x = min(lift, (p₀ − p_v)/(ρ g)) = min({lift:.4g} m, {now.value('results.max_level'):.4g} m) = {level:.4g} m")
    else:
        gas = (now.value("results.dry_gas_pressure") or 0.0) * (now.value("results.gas_length") or 0.0)
        lines.append(f"(p₀ − p_v − ρ g x)(lift − x) = dry pressure × length = {gas:.5g} Pa m, so x = {level:.4g} m")
    lines.append(f"at the top p₀ − ρ g x = {now.value('results.gas_pressure'):.6g} Pa")
    return tuple(lines)
