"""What is said of a plugged manometer: verdict, advice that can be pressed, its stops drawn, cautions, schools, working."""

from __future__ import annotations

import numpy as np

from ...nominal import Now
from ...prediction import Advice, Dot, Line, Plot, Saying, School, Table, View
from ...quantities.saying import COVERAGE, in_words
from .predict import HECTOPASCAL, sealed_gas
from .setup import SealedManometer

OFF = 1000.0
"""Difference from the station pressure [Pa] from which a reading is explained, as the contract states it."""
BENT = 1e-7
"""A tenth of a millilitre [m^3], by which a hose's bending changes its room."""
BELIEVABLE = 40.0
"""Kelvin by which a gas that one carries may differ from the air."""
DRIFT = 300.0
"""What weather may drift in a morning [Pa]: common practice, no published source."""


def say(now: Now[SealedManometer]) -> Saying:
    """Verdict, advice, cautions and assumptions of the nominal case."""
    read = now.setup.reading is not None
    reason, about = _verdict(now)
    wanted = ["results.expected_reading", "results.climb", "results.reading_per_metre", "results.kelvin_height", "results.weather_height"]
    return Saying(
        reason,
        about,
        advice=tuple(_advice(now)),
        cautions=tuple(_cautions(now)),
        assumptions=tuple(_assumptions(now)),
        sources=("Boyle", "Amontons", "WMO8", "JCGM100"),
        headline=now.headline(about, *wanted),
        table=_views(now),
        schools=_schools(now) if read else (),
    )


def _verdict(now: Now[SealedManometer]) -> tuple[str, str]:
    if now.prediction.results["boils"].said:  # type: ignore[union-attr]
        return "It boils in the open room, and the open arm empties: no reading stands, {results.expected_reading} or any other.", "results.expected_reading"
    if now.setup.reading is None:
        return "It should read {results.expected_reading} here; each metre climbed moves it by {results.reading_per_metre}.", "results.expected_reading"
    if now.prediction.results["implausible"].said:  # type: ignore[union-attr]
        return "Implausible: the reading means {results.pressure} outside, which no weather makes at this height.", "results.pressure"
    if abs(now.value("results.off_station") or 0.0) > OFF:
        return "The reading means {results.pressure} outside, {results.off_station} off the room's own.", "results.pressure"
    return "The reading means {results.pressure} outside; {results.expected_reading} was to be expected.", "results.pressure"


def _advice(now: Now[SealedManometer]) -> list[Advice]:
    s = now.setup
    off = now.value("results.off_station")
    if off is None or abs(off) <= OFF:
        return []
    alone, room = now.alone()
    assert alone.reading is not None
    gas = sealed_gas(alone, room)
    temperature = float(room.temperature[0])
    dry_per = float(gas.dry[0] / gas.volume(alone.reading)[0])
    wanted = float(room.station_pressure[0] - gas.weight[0] * alone.reading[0])
    t = np.array([temperature])
    for _ in range(20):
        here, more = (float(alone.liquid.vapour_pressure_at(t + step)[0]) for step in (0.0, 0.05))
        t = np.clip(t - (dry_per * t + here - wanted) / (dry_per + (more - here) / 0.05), 200.0, 400.0)
    lag = float(t[0]) - temperature
    if abs(lag) > BELIEVABLE:
        return [Advice("No warmth of the gas explains it: look at the sign of the reading, and at what was sealed when.")]
    text = now.exactly("setup.gas_lag", "temperature difference", lag)
    told = in_words(abs(round(lag, 1)), 0.0, "temperature difference", "K")
    side = "warmer" if lag > 0 else "colder"
    at = in_words(round(float(t[0]), 1), 0.0, "temperature", "degC")
    words = f"Gas at {at}, {told} {side} than the air, would explain it: was it in the sun, in a hand, or just indoors? Wait, and read again."
    found = [Advice(words, (("setup.gas_lag", text),), f"Take the gas {told} {side}")]
    if s.seal_humidity[0] < 1:
        found.append(Advice("A quarter of an hour after sealing the gas is damp: only read at once is it drier."))
    return found


def _cautions(now: Now[SealedManometer]) -> list[str]:
    alone, room = now.alone()
    gas = sealed_gas(alone, room)
    reading, per_hectopascal = now.value("results.expected_reading") or 0.0, now.value("results.weather_height")
    warm = room.temperature + alone.gas_lag
    bent = 0.0
    if per_hectopascal is not None and float(gas.volume(reading)[0]) > BENT:
        bent = float(gas.dry_pressure(reading, warm)[0] / gas.volume(reading)[0]) * BENT / HECTOPASCAL * per_hectopascal
    link = (
        [f"Bending the link by a tenth of a millilitre shifts it like {bent:.2g} m of climb: carry it on its board, touch nothing but the board."]
        if bent
        else []
    )
    return [
        *link,
        "Shaded and wrapped, a quarter of an hour at each stop: hands, breath and sun move it more than a hill does.",
        "On a slope: the path is walked first, nobody reads while walking; follow the school's rules for outings.",
    ]


def _assumptions(now: Now[SealedManometer]) -> list[str]:
    s = now.setup
    found = [
        "the arms are of one bore, the gas keeps to Boyle's and Amontons' laws and stays as damp as the liquid lets it",
        "climbs are told for dry air of one temperature",
        f"weather drifting by {DRIFT / 100:.0f} hPa in a morning fakes {DRIFT / 100 * (now.value('results.weather_height') or 0.0):.0f} m of climb; a barometer left at the foot tells it",
    ]
    if any(stop.elevation is not None for stop in s.stops) and now.room.elevation is None:
        found.append("the room's own elevation is not stated: pressures at the stops are taken as the room's unless stated")
    return found


def _views(now: Now[SealedManometer]) -> tuple[View, ...]:
    """The stops as a table, and their readings over height with the gradient expected and the one fitted."""
    s = now.setup
    if not s.stops:
        return ()
    rows = []
    for i, stop in enumerate(s.stops):
        place = now.number(float(stop.elevation[0]), "height", f"setup.stops.{i}.elevation") if stop.elevation is not None else f"stop {i + 1}"
        read = now.number(float(stop.reading[0]), "length", f"setup.stops.{i}.reading") if stop.reading is not None else "–"
        rows.append((place, read, *(f"results.stops.{i}.{key}" for key in ("expected_reading", "pressure", "boyle_only_pressure", "climb"))))
    table = Table("Stops", ("stop", "read", "expected", "pressure", "by Boyle alone", "climb"), tuple(rows))
    return (table, *_plot(now))


def _plot(now: Now[SealedManometer]) -> tuple[View, ...]:
    s, room = now.setup, now.room
    placed = [(i, float(stop.elevation[0])) for i, stop in enumerate(s.stops) if stop.elevation is not None]
    if room.elevation is None or len(placed) < 2:
        return ()
    here = float(room.elevation[0])
    heights = np.linspace(min(here, *(z for _, z in placed)), max(here, *(z for _, z in placed)), 25)
    expected, per = now.value("results.expected_reading") or 0.0, now.value("results.reading_per_metre") or 0.0
    spread = now.half_width("results.expected_reading") + np.abs(heights - here) * now.half_width("results.reading_per_metre")
    lines = [Line("expected", heights, expected + per * (heights - here), spread)]
    dots = []
    for i, z in placed:
        stop = s.stops[i]
        if stop.reading is not None:
            leaf = now.inputs.leaves[f"setup.stops.{i}.reading"]
            dots.append(Dot(z, float(stop.reading[0]), COVERAGE * leaf.standard_uncertainty, f"stop {i + 1}"))
    slope = now.value("results.fitted_gradient")
    if slope is not None and len(dots) > 1:
        middle_z, middle_r = np.mean([dot.x for dot in dots]), np.mean([dot.y for dot in dots])
        lines.append(Line("fitted", heights, middle_r + slope * (heights - middle_z), dashed=True))
    unit = now.unit("results.expected_reading")
    return (Plot("Readings over height", ("elevation", "height", "m"), ("reading", "length", unit), tuple(lines), tuple(dots)),)


def _schools(now: Now[SealedManometer]) -> tuple[School, ...]:
    words = (
        f"Boyle alone, with the halving done right, gives {now.words('results.boyle_room_pressure')} outside; the whole account, damp, warmth and column, {now.words('results.pressure')}. "
        f"A kelvin of the gas moves it by {now.words('results.per_kelvin')}, like {now.words('results.kelvin_height')} of hill."
    )
    return (School("“The gas behind the plug tells the pressure by Boyle's law”", words, ("results.pressure", "setup.gas_lag")),)


def working(now: Now[SealedManometer]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    s = now.setup
    rho, g, p0 = float(s.liquid.density[0]), float(now.room.gravity[0]), float(now.room.station_pressure[0])
    lines = [
        f"p₀ here = {p0:.6g} Pa, ρ g = {rho * g:.6g} N/m³; sealed at {float(s.seal_pressure[0]):.6g} Pa, {float(s.seal_temperature[0]):.5g} K, {float(s.seal_volume[0]):.5g} m³",
        f"expected: dry (V₀/V)(T/T₀) + p_v + ρ g r = p₀ gives r = {now.value('results.expected_reading'):.5g} m",
        f"per metre: −(p₀ M g/(R T))/(dp/dr) = {now.value('results.reading_per_metre'):.4g} m/m; a kelvin fakes {now.value('results.kelvin_height'):.4g} m",
    ]
    if s.reading is not None:
        r = float(s.reading[0])
        lines.append(f"V = V₀ − A (r − r₀)/2 = {now.value('results.gas_volume'):.6g} m³ at r = {r:.4g} m")
        lines.append(f"p = gas + ρ g r = {now.value('results.gas_pressure'):.6g} + {rho * g * r:.5g} = {now.value('results.pressure'):.6g} Pa")
    return tuple(lines)
