"""What is said of a manometer: verdict, advice that can be pressed, the ledger, cautions, schools, working."""

from __future__ import annotations

from ...nominal import Now
from ...prediction import Advice, Saying, School, Table
from ...quantities.saying import short
from ..cures import Change, first_cure, typed
from .predict import SIGMAS, densest
from .setup import Manometer

NOTHING = 1e-3
"""Part of a drop below which closing the chain would take the whole leg away."""
MENDS = 0.02
"""Part of what is left over that may stay when a sign is turned, for the sign to be the likely slip."""


def say(now: Now[Manometer]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    reason, about = _verdict(now)
    wanted = ["results.difference", "results.start_gauge", "results.end_gauge", "results.swing_period", "results.capillary_difference"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now)),
        sources=("Pascal", "Massey", "JCGM100") + (("Newton", "Stokes") if now.value("results.settling_time") is not None else ()),
        headline=now.headline(about, *wanted),
        table=(_ledger(now),),
        schools=_schools(now),
    )


def _boils(now: Now[Manometer]) -> int | None:
    """The leg that boils, None where none does."""
    if not now.prediction.results["boils"].said:  # type: ignore[union-attr]
        return None
    before = now.value("results.start_pressure") or 0.0
    worst, at = 0, float("inf")
    for i, leg in enumerate(now.setup.legs):
        after = now.value(f"results.ledger.{i}.pressure") or 0.0
        spare = min(before, after) - float(leg.liquid.vapour_pressure[0])
        if spare < at:
            worst, at = i, spare
        before = after
    return worst


def _verdict(now: Now[Manometer]) -> tuple[str, str]:
    s = now.setup
    leg = _boils(now)
    if leg is not None:
        return (
            f"It boils in leg {leg + 1}: after it the pressure would be {{results.ledger.{leg}.pressure}}, below what {s.legs[leg].liquid.name} holds together.",
            f"results.ledger.{leg}.pressure",
        )
    if s.wanted is not None:
        path = f"results.ledger.{s.wanted}.drop"
        way = "down" if (now.value(path) or 0.0) >= 0 else "up"
        return f"The {s.legs[s.wanted].liquid.name} of leg {s.wanted + 1} goes {way} by {{{path}}}.", path
    if now.value("results.closure") is not None:
        if int(now.prediction.state[0]) == 2:
            return "The two ends do not meet: {results.closure} are left over.", "results.closure"
        return "The two ends meet: {results.closure} left over is within what is known.", "results.closure"
    if s.start.word == "unknown" and now.value("results.start_pressure") is not None:
        return "At the start there are {results.start_pressure}, {results.start_gauge} against the room.", "results.start_pressure"
    if now.value("results.end_pressure") is not None:
        return "At the end there are {results.end_pressure}, {results.end_gauge} against the room.", "results.end_pressure"
    above = "above" if (now.value("results.difference") or 0.0) >= 0 else "below"
    return f"The start is {{results.difference}} {above} the end; neither pressure is known by itself.", "results.difference"


def _advice(now: Now[Manometer]) -> list[Advice]:
    if int(now.prediction.state[0]) != 2:
        return []
    return _boiling(now) if _boils(now) is not None else _meeting(now)


def _path(now: Now[Manometer], i: int) -> str:
    return f"setup.legs.{i}.{'length' if now.setup.legs[i].length is not None else 'drop'}"


def _meeting(now: Now[Manometer]) -> list[Advice]:
    """Which sign would mend it, or which reading."""
    s = now.setup
    left = now.value("results.closure") or 0.0
    room = max(MENDS * abs(left), SIGMAS * now.half_width("results.closure") / 2)
    changes = {i: now.value(f"results.ledger.{i}.change") or 0.0 for i in range(len(s.legs))}
    found = []
    for i in sorted(changes, key=lambda one: abs(left - 2 * changes[one])):
        path = _path(now, i)
        leaf = now.leaf(path)
        if leaf is None or abs(left - 2 * changes[i]) > room:
            break
        told = first_cure(now, [[Change(path, -leaf.si, exact=True)]])
        if told:
            found.append(
                Advice(f"The sign of leg {i + 1} would mend it: {short(told[0][1])} instead of {short(now.stated(path))}.", told, f"Turn leg {i + 1} round")
            )
        break
    k = densest(s)
    leaf = now.leaf(_path(now, k))
    if leaf is not None and changes[k] and abs(1 - left / changes[k]) > NOTHING:
        told = first_cure(now, [[Change(leaf.path, leaf.si * (1 - left / changes[k]), exact=True)]])
        if told:
            found.append(Advice(f"Read leg {k + 1} again: {short(told[0][1])} would close it.", told, f"Take {short(told[0][1])} for leg {k + 1}"))
    return found or _opened(now)


def _opened(now: Now[Manometer]) -> list[Advice]:
    """An end left open to be worked out: then nothing is left over."""
    return [Advice("Leave the end's pressure to be worked out: then the chain tells it.", (("setup.end", "unknown"),), "Work out the end")]


def _boiling(now: Now[Manometer]) -> list[Advice]:
    """Less of a rise, or an end that is not so low."""
    paths = [path for path in (_path(now, i) for i in range(len(now.setup.legs))) if now.leaf(path) is not None]
    tries: list[list[Change]] = []
    for part in (0.6, 0.3, 0.1):
        tries += [[Change(path, part * now.inputs.leaves[path].si, up=False)] for path in paths if now.inputs.leaves[path].si]
    for part in (0.5, 0.1, 0.01):
        tries.append([Change(path, part * now.inputs.leaves[path].si, up=False) for path in paths if now.inputs.leaves[path].si])
    room = float(now.room.station_pressure[0])
    for end in ("start", "end"):
        for key, si in (("pressure", room), ("gauge_pressure", 0.0)):
            if now.leaf(f"setup.{end}.{key}") is not None:
                tries.append([Change(f"setup.{end}.{key}", si, exact=True)])
                tries.append([Change(f"setup.{end}.{key}", 5 * room, exact=True)])
    # between two known ends a leg that is shortened leaves something over
    changes = first_cure(now, [one for one in tries if one]) if now.value("results.closure") is None else None
    if changes is not None:
        words = (
            f"Make leg {int(changes[0][0].split('.')[2]) + 1} {short(changes[0][1])}"
            if ".legs." in changes[0][0] and len(changes) == 1
            else "Make it less tall"
            if len(changes) > 1
            else f"Have {short(changes[0][1])} at the {changes[0][0].split('.')[1]}"
        )
        return [Advice(f"{words}: then nothing in it boils.", changes, words)]
    return [_from_the_room(now, paths)]


def _from_the_room(now: Now[Manometer], paths: list[str]) -> Advice:
    """The chain begun at the room's pressure, its other end left to be worked out, and made as low as it must be."""
    s, room = now.setup, float(now.room.station_pressure[0])
    changes = {i: now.value(f"results.ledger.{i}.change") or 0.0 for i in range(len(s.legs))}
    for part in (1.0, 0.5, 0.2, 0.05, 0.01):
        before, holds = room, True
        for i, leg in enumerate(s.legs):
            after = before + part * changes[i]
            holds = holds and min(before, after) >= float(leg.liquid.vapour_pressure[0])
            before = after
        if holds:
            break
    lower = typed(now, [Change(path, part * now.inputs.leaves[path].si, exact=True) for path in paths]) if part < 1 else ()
    told: tuple[tuple[str, str], ...] = (("setup.start", "atmosphere"), ("setup.end", "unknown"), *lower)
    if s.wanted is not None:
        told = (*told, (f"setup.legs.{s.wanted}.drop", "0 cm"))
    words = "Open the start to the room, leave the end to be worked out" + (", and make it less tall" if part < 1 else "")
    return Advice(f"{words}: then nothing in it boils.", told, "Begin at the room's pressure")


def _ledger(now: Now[Manometer]) -> Table:
    """The chain line by line, each pointing at its leg."""
    rows = []
    for i, leg in enumerate(now.setup.legs):
        rows.append((f"{i + 1} {leg.liquid.name}", f"results.ledger.{i}.drop", f"results.ledger.{i}.change", f"results.ledger.{i}.pressure"))
    return Table("Ledger", ("leg", "drop", "change", "after it"), tuple(rows), walks=tuple(f"leg-{i}" for i in range(len(rows))))


def _cautions(now: Now[Manometer]) -> list[str]:
    found = []
    gauge = max(abs(now.value(f"results.{end}_gauge") or 0.0) for end in ("start", "end"))
    if gauge > 50e3:
        found.append("Pressures of this size blow a liquid out of an open tube: rated fittings, goggles, and those who are trained for it.")
    if any(leg.liquid.name not in ("water", "salt water") for leg in now.setup.legs):
        found.append("Liquids other than water: gloves, a tray under it, and what runs over taken up as the school's rules say.")
    return found


def _assumptions(now: Now[Manometer]) -> list[str]:
    s = now.setup
    found = ["every liquid at rest and at one temperature, interfaces level, no gas between the legs"]
    if now.value("results.start_pressure") is None:
        found.append("neither end's pressure is known: the ledger tells changes, not pressures")
    if now.value("results.capillary_difference") is not None:
        found.append("what capillarity fakes is told, not taken off")
    if now.value("results.settling_time") is not None:
        found.append("how long it swings is an estimate within a factor of one and a half")
    if any(leg.liquid.vapour_pressure[0] == 0 for leg in s.legs) and "vacuum" in (s.start.word, s.end.word):
        found.append("a closed end without air has the vapour pressure of the liquid that touches it")
    return found


def _schools(now: Now[Manometer]) -> tuple[School, ...]:
    path = next((_path(now, i) for i in range(len(now.setup.legs)) if now.leaf(_path(now, i)) is not None), None)
    curve = None if path is None else ("results.difference" if now.value("results.closure") is None else "results.closure", path)
    words = f"No bore enters the ledger: the start stands {now.words('results.difference')} above the end with any width of tube, as long as nothing flows."
    return (School("“Narrower tubes raise the pressure”", words, curve),)


def working(now: Now[Manometer]) -> tuple[str, ...]:
    """The working, as one would write it on the board: a line a leg."""
    s = now.setup
    g = float(now.room.gravity[0])
    start = now.value("results.start_pressure")
    lines = [f"start {start:.6g} Pa" if start is not None else "start p₁"]
    for i, leg in enumerate(s.legs):
        drop, change = now.value(f"results.ledger.{i}.drop") or 0.0, now.value(f"results.ledger.{i}.change") or 0.0
        after = now.value(f"results.ledger.{i}.pressure")
        lines.append(
            f"{leg.liquid.name} {'down' if drop >= 0 else 'up'} {abs(drop):.5g} m: {'+' if change >= 0 else '−'} {float(leg.liquid.density[0]):.6g} × {g:.5g} × {abs(drop):.5g} = "
            f"{'+' if change >= 0 else '−'}{abs(change):.6g} Pa" + (f", {after:.6g} Pa" if after is not None else "")
        )
    if (left := now.value("results.closure")) is not None:
        lines.append(f"left over at the end: {left:.5g} Pa")
    return tuple(lines)
