"""What is said of a barometer: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

import math

from ...nominal import Now
from ...prediction import Advice, Saying, School, Tall
from ...quantities.saying import short
from .setup import Barometer

HEAVY = 4.0
"""Mass of liquid in a tube or hose [kg] from which it is tied off."""


def say(now: Now[Barometer]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    s = now.setup
    how = now.prediction.results["behaviour"].said  # type: ignore[union-attr]
    reason, about = _verdict(now, how)
    wanted = ["results.head_space", "results.gas_depression", "results.vapour_depression", "results.reduced_column", "results.level_with_air"]
    shown = [p for p in wanted if (now.value(p) or 0.0) > 0 and p != about][:3]
    slant = math.cos(float(s.tilt[0]))
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, how)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now)),
        sources=("Massey", "Boyle", "Jurin", "JCGM100")
        + (("IAPWS-G7",) if now.value("results.level_with_air") is not None else ())
        + (("WMO8",) if _mercury(now) else ()),
        headline=tuple(shown),
        tall=Tall(float(s.tube_length[0]) * slant, "setup.tube_length", 1 / slant, "results.column_height"),
        schools=_schools(now, how),
        margin="" if s.trapped_gas is not None or how == "boils" else "results.tube_margin",
        knob="setup.tube_length",
        heavy="" if _mercury(now) else "results.filled_mass",
    )


def _mercury(now: Now[Barometer]) -> bool:
    return now.setup.liquid.name == "mercury"


def _verdict(now: Now[Barometer], how: str) -> tuple[str, str]:
    if how == "boils":
        return "It boils in the open room: no column stands; its vapour alone would need {results.vapour_depression}.", "results.vapour_depression"
    if how == "full to the top":
        return "Too short: it stays full to the top; a space begins to show above {results.limit_length}.", "results.limit_length"
    if (now.value("results.gas_depression") or 0.0) > 0:
        return "The column stands at {results.column_height}; the gas left in makes it read low by {results.gas_depression}.", "results.column_height"
    return "The column stands at {results.column_height}, and leaves a space of {results.head_space} above it.", "results.column_height"


def _advice(now: Now[Barometer], how: str) -> list[Advice]:
    if how == "boils":
        return [Advice("Cool the liquid, or choose one that does not boil here.")]
    found = []
    if how == "full to the top":
        needed = now.value("results.tube_length_needed") or 0.0
        text = now.as_typed("setup.tube_length", "length", needed)
        found.append(
            Advice(f"Take a tube of {short(text)}: then a space shows above the column.", (("setup.tube_length", text),), f"Take a tube of {short(text)}")
        )
    if now.setup.trapped_gas is not None and (now.value("results.gas_depression") or 0.0) > 0:
        found.append(Advice("Fill it anew without the bubble: tilt it slowly and let it run to the open end before it is closed."))
    if now.setup.liquid.name == "water" and now.setup.air_saturation is None:
        found.append(Advice("Boil the water the day before and read soon: tap water gives its air off and the column sinks on."))
    return found


def _cautions(now: Now[Barometer]) -> list[str]:
    found = []
    if not _mercury(now) and ((now.value("results.filled_mass") or 0.0) > HEAVY or float(now.setup.tube_length[0]) > 3):
        found.append("One person at each end of the tube, nobody leans over a rail or runs on stairs.")
    if now.prediction.results["wide_bore"].said:  # type: ignore[union-attr]
        found.append("The bore is wider than four and a half capillary lengths: the capillary shift told is rough.")
    return found


def _assumptions(now: Now[Barometer]) -> list[str]:
    found = ["one temperature throughout, the reservoir so wide that its surface stays; the capillary shift is told, not added"]
    if now.setup.trapped_gas is not None:
        found.append("the gas was damp when it was trapped, and its dry part obeys Boyle's law")
    if now.value("results.level_with_air") is not None:
        found.append("the height read lies between the two told: with its dissolved air still in, and with all out that its own pressure does not keep in")
    if _mercury(now):
        found.append("the reduced column takes the mercury's expansion and gravity, no scale's expansion")
    return found


def _schools(now: Now[Barometer], how: str) -> tuple[School, ...]:
    if how != "stands":
        return ()
    vapour, ideal = now.value("results.vapour_depression") or 0.0, now.value("results.ideal_column_height") or 1.0
    made = []
    if vapour > 0.002 * ideal:
        made.append(
            School(
                "“Above the column there is nothing” or “there is vapour”",
                f"There is vapour, and here it takes {now.words('results.vapour_depression')} off the {now.words('results.ideal_column_height')} that the board gives.",
                ("results.column_height", "room.temperature"),
            )
        )
    made.append(
        School(
            "“A wider tube stands lower”",
            f"The bore enters no height: this one holds {now.words('results.liquid_mass')} at {now.words('results.column_height')}, a tube of twice the bore four times as much at the same.",
            ("results.column_height", "setup.bore"),
        )
    )
    return tuple(made)


def working(now: Now[Barometer]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, g, rho = float(now.room.station_pressure[0]), float(now.room.gravity[0]), float(s.liquid.density[0])
    p_v = float(s.liquid.vapour_pressure[0])
    lines = [
        f"p₀ = {p0:.6g} Pa, g = {g:.5g} m/s², density {rho:.6g} kg/m³, p_v = {p_v:.4g} Pa",
        f"without vapour or gas p₀/(ρ g) = {now.value('results.ideal_column_height'):.5g} m",
        f"vapour takes p_v/(ρ g) = {now.value('results.vapour_depression'):.4g} m",
    ]
    if s.trapped_gas is not None:
        lines.append(
            f"gas: (pressure − p_v) × length = {max(float(s.trapped_gas.pressure[0]) - p_v, 0) * float(s.trapped_gas.length[0]):.5g} Pa m, "
            f"now {now.value('results.gas_pressure'):.5g} Pa over {now.value('results.head_space'):.4g} m"
        )
    lines.append(f"column = {now.value('results.column_height'):.5g} m, so p₀ = ρ g h + p_v + p_gas")
    return tuple(lines)
