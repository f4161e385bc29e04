"""What is said of a suction lift: verdict, advice that can be pressed, cautions, schools, working."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Advice, Saying, School, Tall, UsualCurve
from ...quantities.reading import read_quantity
from ...quantities.saying import short
from .setup import SuctionLift

HOT = 318.15
"""Temperature [K] from which a liquid scalds."""
SOFT = 20e3
"""Suction [Pa] from which a soft hose collapses."""


def say(now: Now[SuctionLift]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    s = now.setup
    room_boils = float(s.liquid.vapour_pressure[0]) >= float(now.room.station_pressure[0])
    reaches, boils = (now.prediction.results[key].said for key in ("reaches", "boils"))  # type: ignore[union-attr]
    if room_boils:
        reason, about = "It boils in the open room and cannot be lifted at all: the limit is {results.boiling_limit}.", "results.boiling_limit"
    elif reaches:
        reason, about = "It reaches: this source lifts up to {results.source_limit}.", "results.source_limit"
    elif boils:
        reason, about = "It does not reach, with any pump: above {results.boiling_limit} the liquid boils away from the top.", "results.boiling_limit"
    else:
        reason, about = "It does not reach: this source lifts only {results.source_limit}.", "results.source_limit"
    wanted = ["results.pressure_needed", "results.boiling_limit", "results.source_limit", "results.time_to_fill"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now, bool(reaches), bool(boils), room_boils)),
        cautions=tuple(_cautions(now, room_boils)),
        assumptions=(
            "the liquid at rest in the hose: friction while it rises takes more; the bore changes none of the heights",
            *(("where it boils, vapour can carry slugs of liquid a little beyond the limit",) if boils else ()),
        ),
        sources=("Massey", "JCGM100"),
        headline=now.headline(about, *wanted),
        tall=Tall(float(s.lift_height[0]), "setup.lift_height", level="results.source_limit"),
        heavy="results.hose_mass",
        schools=_schools(now),
        curve=_curve(now),
        margin="results.lift_margin",
        knob="setup.lift_height",
    )


def _curve(now: Now[SuctionLift]) -> UsualCurve:
    """Height against what the source makes, from nothing to the room's pressure, as the trade draws it."""
    p0, p_v = float(now.room.station_pressure[0]), float(now.setup.liquid.vapour_pressure[0])
    if now.setup.source_suction is not None:
        return UsualCurve("results.source_limit", "setup.source_suction", 0.0, p0, ((p0 - p_v, "boils"), (p0, "the room's")))
    high = max(p0, 1.05 * float(now.setup.lowered_to(now.room.station_pressure)[0]))
    return UsualCurve("results.source_limit", "setup.source_pressure", 0.0, high, ((0.0, "0"), (p_v, "boils")))


def _advice(now: Now[SuctionLift], reaches: bool, boils: bool, room_boils: bool) -> list[Advice]:
    limit, boiling = now.value("results.source_limit") or 0.0, now.value("results.boiling_limit") or 0.0
    if room_boils:
        return [Advice("Cool the liquid: at its boiling point it cannot be lifted.")]
    if reaches:
        return []
    found = []
    if limit > 0:
        path, spread = "setup.lift_height", now.half_width("results.lift_margin")
        lower = [now.as_typed(path, "length", limit - max(0.03 * limit, far * spread), up=False) for far in (1.2, 2.0) if limit > 1.1 * far * spread]
        sure = [text for text in lower if now.sure_with(path, read_quantity("", text, "length").si)]
        text = sure[0] if sure else now.as_typed(path, "length", 0.97 * limit, up=False)
        why = "this source makes that" if sure else "in the middle of its tolerance this source just makes that"
        found.append(Advice(f"Lift it only {short(text)}: {why}.", (("setup.lift_height", text),), f"Lift it only {short(text)}"))
    else:
        p0, p_v = float(now.room.station_pressure[0]), float(now.setup.liquid.vapour_pressure[0])
        source, path = _source(now, p0 - 0.9 * (p0 - p_v))
        height = min(float(now.setup.lift_height[0]), 0.8 * boiling)
        changes: list[tuple[str, str]] = [(path, source)]
        if height < float(now.setup.lift_height[0]):
            changes.append(("setup.lift_height", now.as_typed("setup.lift_height", "length", height, up=False)))
        button = f"Take {_called(now, source)}" + (f" and lift {short(changes[1][1])}" if len(changes) > 1 else "")
        found.append(Advice("This source is not below the room's pressure, so it lifts nothing: take one that is.", tuple(changes), button))
    needed = now.value("results.pressure_needed") or 0.0
    if needed > float(now.setup.liquid.vapour_pressure[0]):
        text, path = _source(now, 0.98 * needed)
        found.append(Advice(f"Or take {_called(now, text)}.", ((path, text),), f"Take {_called(now, text)}"))
    if boils or limit > 0.95 * boiling:
        found.append(
            Advice("Beyond the boiling limit only a force pump below helps; vapour can carry slugs a little higher, and into the pump: put a trap before it.")
        )
    return found


def _source(now: Now[SuctionLift], pressure: float) -> tuple[str, str]:
    """A pressure at the upper end [Pa] as the source is typed, and the path of that input."""
    path = now.setup.source
    if path == "setup.source_suction":
        return now.as_typed(path, "pressure", float(now.room.station_pressure[0]) - pressure), path
    return now.as_typed(path, "pressure", pressure, up=False), path


def _called(now: Now[SuctionLift], quantity: str) -> str:
    """A source of a strength, as a sentence names it."""
    if now.setup.source_suction is not None:
        return f"a source that goes {short(quantity)} below the room"
    return f"a source that makes {short(quantity)} at the upper end"


def _cautions(now: Now[SuctionLift], room_boils: bool) -> list[str]:
    s = now.setup
    found = []
    if s.source_suction is not None and s.liquid.name != "water":
        found.append(
            f"Never by mouth: it is for clean water alone, not for {s.liquid.name if s.liquid.name != 'liquid' else 'another liquid'}; take a pump with a trap."
        )
    elif s.source_suction is not None:
        found.append("By mouth: clean drinking hose, clean water and food colouring only, a mouthpiece each; rest between tries, stop at pain or dizziness.")
        if now.room.temperature[0] > HOT or room_boils:
            found.append("Hot liquid at the mouthpiece scalds: no lifting of it by mouth.")
    else:
        found.append("Under a pump: rated hose and trap, goggles; never a vessel that is not made for it. Follow the rules of the place.")
    if float(now.room.station_pressure[0] - s.lowered_to(now.room.station_pressure)[0]) > SOFT:
        found.append("A soft hose collapses under this suction: take a stiff wall or one with wire in it.")
    return found


def _schools(now: Now[SuctionLift]) -> tuple[School, ...]:
    words = (
        f"Whatever lifts, it can only take air away: the room's {now.number(float(now.room.station_pressure[0]), 'pressure', '')} push from below, "
        f"and here they balance {now.words('results.boiling_limit')} at most. Say “pushed up by the air”."
    )
    return (School("“A strong enough pump lifts to any height”", words, ("results.source_limit", now.setup.source)),)


def working(now: Now[SuctionLift]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    p0, g, rho = float(now.room.station_pressure[0]), float(now.room.gravity[0]), float(s.liquid.density[0])
    p_v, lift, source = float(s.liquid.vapour_pressure[0]), float(s.lift_height[0]), float(s.lowered_to(now.room.station_pressure)[0])
    return (
        f"p₀ = {p0:.6g} Pa, g = {g:.5g} m/s², density {rho:.5g} kg/m³, p_v = {p_v:.4g} Pa",
        f"needed at the top p₀ − ρ g h = {p0:.6g} − {rho * g * lift:.6g} = {now.value('results.pressure_needed'):.6g} Pa",
        f"this source: (p₀ − max({source:.5g}, p_v))/(ρ g) = {now.value('results.source_limit'):.5g} m",
        f"boiling: (p₀ − p_v)/(ρ g) = {now.value('results.boiling_limit'):.5g} m",
    )
