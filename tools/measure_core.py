"""Measures what the core promises, in process: predictions, draining, sweeps and solving."""

from __future__ import annotations

import json
import statistics
from functools import partial
from typing import Any

from .paths import ROOT
from .promised import Promised, at_most, milliseconds

DOCUMENT = ROOT / "docs/measured/three-holes.setup.json"
RANDOM = 500
"""Random set-ups of each demonstration of which draws are counted."""
TWELVE = ROOT / "docs/measured/twelve-holes.setup.json"


def documents() -> dict[str, list[bytes]]:
    """Every demonstration's committed starting set-ups, as bytes."""
    from hydrostatics.demonstrations.registry import by_key

    return {key: [json.dumps(start["document"]).encode() for start in one.guide.starts] for key, one in by_key().items()}


def each_demonstration() -> list[Promised]:
    """The slowest of a demonstration's starting set-ups, bytes in to answer out: of those that need no draws, and of those that do."""
    from hydrostatics.answer import predict_bytes

    made = []
    for key, starts in documents().items():
        taken: dict[bool, list[float]] = {}
        for raw in starts:
            taken.setdefault(_needs_draws(raw), []).append(statistics.median(milliseconds(partial(predict_bytes, raw), 100)))
        for drawn, times in sorted(taken.items()):
            words, limit = ("its draws made", 40) if drawn else ("no draws needed", 5)
            made.append(at_most(f"predict, in process, {key}, slowest start, {words}, median", max(times), limit, "ms"))
    return made


def _needs_draws(raw: bytes) -> bool:
    """Whether an answer makes draws: where a straight line does not tell a spread, or the verdict is in doubt."""
    from hydrostatics.answer import answer, work_out

    subject, now = work_out(json.loads(raw))
    answer(subject, now)
    return now.spread.draws is not None and now.spread.draws.made


def works() -> list[Promised]:
    """A sweep of 1,000 points with its band, and solving, over the demonstrations' first starts: the slowest median."""
    from hydrostatics.answer import work_out
    from hydrostatics.demonstrations.registry import by_key
    from hydrostatics.works.solve import solve
    from hydrostatics.works.sweep import sweep

    sweeps, solves = {}, {}
    for key, one in by_key().items():
        _, now = work_out(one.guide.starts[0]["document"])
        about = one.say(now).about
        target = 1.02 * (now.value(about) or 0.0)
        path = next(p for p, leaf in now.inputs.leaves.items() if p.startswith("setup.") and leaf.origin == "typed")
        sweeps[key] = statistics.median(milliseconds(partial(sweep, one, now.inputs, path, about), 30, warm=3))
        solves[key] = statistics.median(milliseconds(partial(solve, one, now.inputs, about, target, path), 30, warm=3))
    slow, slowest = max(sweeps, key=lambda k: sweeps[k]), max(solves, key=lambda k: solves[k])
    return [
        at_most(f"sweep of 1,000 points with its band, in process, slowest ({slow}), median", sweeps[slow], 30, "ms"),
        at_most(f"solve, in process, slowest ({slowest}), median", solves[slowest], 20, "ms"),
    ]


def large() -> list[Promised]:
    """The largest set-ups: twelve holes with all their tolerances, a chain of twenty legs, eight joined vessels."""
    from hydrostatics.answer import answer, predict_bytes, work_out
    from hydrostatics.works.sweep import sweep

    raw = TWELVE.read_bytes()
    demonstration, now = work_out(json.loads(raw))
    liquids = ("water", "mercury", "vegetable oil", "glycerol")
    legs = [{"liquid": liquids[i % 4], "drop": f"{(-1) ** i * (9 + i)} +/- 0.1 cm"} for i in range(20)]
    chain = _document("manometer", {"start": {"gauge_pressure": "14 +/- 0.1 kPa"}, "end": "unknown", "legs": legs})
    shapes = [
        {"bottom_diameter": f"{3 + i} +/- 0.1 cm", "height": f"{24 + i} +/- 0.1 cm", **({"top_diameter": f"{8 - 0.5 * i} +/- 0.1 cm"} if i % 2 else {})}
        for i in range(8)
    ]
    vessels = _document("communicating-vessels", {"liquid": "water", "poured_volume": "2.5 +/- 0.01 L", "vessels": shapes})
    return [
        at_most(
            f"predict, in process, twelve holes, {len(now.inputs.uncertain())} uncertain inputs, while a ring is held, median",
            statistics.median(milliseconds(lambda: answer(*work_out(json.loads(raw), drawn=False)), 100)),
            10,
            "ms",
        ),
        at_most(
            "the same with its draws, median",
            statistics.median(milliseconds(lambda: predict_bytes(raw), 40)),
            120,
            "ms",
        ),
        at_most(
            "sweep of the twelve holes' lead, 1,000 points with its band, in process, median",
            statistics.median(milliseconds(partial(sweep, demonstration, now.inputs, "setup.stand_drop", "results.lead"), 30, warm=3)),
            60,
            "ms",
        ),
        at_most(
            "sweep of the twelve holes' time to stop, in process, median",
            statistics.median(milliseconds(partial(sweep, demonstration, now.inputs, "setup.fill_height", "results.time_to_stop"), 10, warm=2)),
            60,
            "ms",
        ),
        *(
            at_most(
                f"predict, in process, {name}, {len(work_out(document)[1].inputs.uncertain())} uncertain inputs, while a ring is held, median",
                statistics.median(milliseconds(partial(work_out, document, drawn=False), 100)),
                5,
                "ms",
            )
            for name, document in (("a chain of twenty legs", chain), ("eight joined vessels", vessels))
        ),
    ]


def _document(demonstration: str, setup: dict[str, Any]) -> dict[str, Any]:
    return {"anchorage": 1, "demonstration": demonstration, "room": {"station_pressure": "947 +/- 0.3 hPa"}, "setup": setup}


def at_a_glance() -> list[Promised]:
    """Every demonstration's first start without uncertainties, and drawn small: the slowest, and two hundred of them."""
    from hydrostatics.demonstrations.registry import by_key
    from hydrostatics.paper.svg import as_svg
    from hydrostatics.works.glance import glance, small_section

    starts = {key: one.guide.starts[0]["document"] for key, one in by_key().items()}
    glances = {key: statistics.median(milliseconds(partial(glance, start), 40)) for key, start in starts.items()}

    def drawn_small(start: dict[str, Any]) -> str:
        return as_svg(small_section(start, 168, 112)[1], "light", "x")

    small = {key: statistics.median(milliseconds(partial(drawn_small, start), 40)) for key, start in starts.items()}
    slowest = max(small, key=lambda key: small[key])
    return [
        at_most("two hundred set-ups at a glance, in process", 200 * statistics.mean(glances.values()), 1000, "ms"),
        at_most(f"small section as SVG, in process, slowest ({slowest}), median", small[slowest], 3, "ms"),
        at_most("small section as SVG, in process, middle demonstration, median", statistics.median(small.values()), 3, "ms"),
    ]


def in_process() -> list[Promised]:
    """Bytes in to answer out, JSON writing apart."""
    from hydrostatics.answer import predict_bytes

    raw = DOCUMENT.read_bytes()
    answer = predict_bytes(raw)
    tolerances = sum(1 for one in answer["inputs"].values() if one["half_width"] > 0 and one["origin"] == "typed")
    return [
        at_most(
            f"predict, in process, {tolerances} tolerances and the default coefficients, median",
            statistics.median(milliseconds(lambda: predict_bytes(raw), 500)),
            5,
            "ms",
        )
    ]


def drawn() -> list[Promised]:
    """Random set-ups with wide tolerances: how often draws are needed, and what the slowest take."""
    import time

    from hydrostatics.answer import answer, work_out
    from hydrostatics.errors import Refusal
    from tests.support.documents import random_bottle
    from tests.support.random_setups import MAKERS, random_setup, with_wide_tolerances

    made = []
    for key in ("holed-bottle", *MAKERS):
        taken, count = [], 0
        for seed in range(RANDOM):
            document = with_wide_tolerances(random_bottle(seed) if key == "holed-bottle" else random_setup(key, seed), seed)
            try:
                start = time.perf_counter()
                _, now = work_out(document)
                answer(_, now)
                took = 1e3 * (time.perf_counter() - start)
            except Refusal:
                continue
            count += 1
            if now.spread.draws is not None and now.spread.draws.made:
                taken.append(took)
        part = 100 * len(taken) / count
        slow = statistics.quantiles(taken, n=20)[-1] if len(taken) > 1 else 0.0
        limit = 120 if key == "holed-bottle" else 40
        made.append(at_most(f"with draws, needed in {part:.0f} % of {count} random set-ups with wide tolerances, {key}, 95th percentile", slow, limit, "ms"))
    return made


def draining() -> list[Promised]:
    """Stop times against the quickest of a general solver's methods at the same error."""
    import numpy as np
    from scipy.integrate import solve_ivp

    from hydrostatics.laws.draining import Holes, stop_times

    y, d = np.array([[0.04, 0.13, 0.20]]), np.array([[0.003, 0.003, 0.003]])
    start = 4 * 0.0727 / (998 * 9.80665 * d)
    holes = Holes(0.61 * np.pi / 4 * d**2 * np.sqrt(2 * 9.80665), y + start / 2, y + start, np.ones_like(y, dtype=bool))
    heights, widths, level = np.zeros((1, 1)), np.array([[0.088]]), np.array([0.275])
    area = np.pi / 4 * 0.088**2
    stops, strength, datum = holes.stop[0], holes.strength[0], holes.datum[0]

    def general(method: str, tolerance: float) -> list[float]:
        time_, height, running, found = 0.0, 0.275, [0, 1, 2], [0.0] * 3
        for i in (2, 1, 0):

            def fall(_: float, h: Any, among: tuple[int, ...] = tuple(running)) -> list[float]:
                return [-sum(strength[k] * np.sqrt(max(h[0] - datum[k], 0.0)) for k in among) / area]

            def reached(_: float, h: Any, stop: float = stops[i]) -> float:
                return float(h[0] - stop)

            reached.terminal = True  # type: ignore[attr-defined]
            got = solve_ivp(fall, (0, 1e4), [height], method, events=reached, rtol=tolerance, atol=tolerance * 1e-2)
            time_, height = time_ + float(got.t_events[0][0]), float(stops[i])
            found[i] = time_
            running.remove(i)
        return found

    exact = np.array(general("DOP853", 1e-12))
    ours = stop_times(level, holes, heights, widths)[0]

    def ratio_to(method: str, tolerance: float) -> float:
        """Both measured turn by turn, so that a slow moment of the machine strikes both."""
        theirs, mine = [], []
        for _ in range(15):
            theirs += milliseconds(partial(general, method, tolerance), 1, warm=0)
            mine += milliseconds(lambda: stop_times(level, holes, heights, widths), 15, warm=2)
        return statistics.median(theirs) / statistics.median(mine)

    ratio = min(
        ratio_to(method, tolerance)
        for method in ("RK45", "DOP853", "LSODA")
        for tolerance in (1e-5, 1e-6, 1e-7, 1e-8, 1e-9)
        if np.abs(np.array(general(method, tolerance)) / exact - 1).max() <= 1e-6
    )
    error = float(np.abs(ours / exact - 1).max())
    return [
        at_most("draining, stop times, relative error", error, 1e-6, "1"),
        Promised("draining, times quicker than the quickest general solver at that error", ratio, "times", "at least 20 times", ratio >= 20),
    ]


def timetables() -> list[Promised]:
    """Eight demonstrations of five jobs each for two pairs of hands, one sink and one hob; and the answer in which it comes."""
    from hydrostatics.lessons.jobs import Job
    from hydrostatics.lessons.timetable import timetable

    jobs = []
    for i in range(8):
        facts = (("boil", 20, 1, "hob"), ("cool", 35, 0, "sink"), ("dye", 4, 1, "sink"), ("fill", 8, 1, "sink"), ("try", 6, 2, ""))
        for k, (name, minutes, hands, thing) in enumerate(facts):
            after = (f"{i}.{facts[k - 1][0]}",) if name in ("cool", "fill", "try") else ()
            jobs.append(Job(f"{i}.{name}", i, name, minutes + i % 3, hands, frozenset({thing} - {""}), after))
    horizons = iter(range(1440, 1450))  # another one each time: what was found once is not looked for again
    took = milliseconds(lambda: timetable(jobs, 2, {"hob": 1, "sink": 2}, next(horizons)), 3, warm=1)
    return [at_most("timetable of 8 demonstrations, 5 jobs each, 2 pairs of hands, slowest", max(took) / 1000, 1, "s")]
