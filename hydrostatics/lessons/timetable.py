"""A timetable of jobs before the bell: the latest start that will do, then the fewest waits."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

from .jobs import Job

SECONDS = 0.85
"""How long is looked for the best; what is found by then is told, and that it is not proved."""


@dataclass(frozen=True)
class Slot:
    """A job in its time: minutes before the bell, as negative numbers, and which pairs of hands have it."""

    job: Job
    start: int
    end: int
    hands: tuple[int, ...]


@dataclass(frozen=True)
class Timetable:
    """Slots in the order of their starts; whether no later start can do."""

    slots: tuple[Slot, ...]
    proved: bool

    @property
    def start(self) -> int:
        """The first job's start [min before the bell, negative]; 0 where there is nothing to do."""
        return min((slot.start for slot in self.slots), default=0)


def timetable(jobs: Sequence[Job], hands: int, things: Mapping[str, int], horizon: int, seconds: float = SECONDS) -> Timetable | None:
    """The best timetable that can be found, None where there is none within the horizon.

    jobs: those of the day. hands: pairs of them. things: how many of each there are. horizon: minutes before the bell that there are.
    """
    return _best(tuple(jobs), hands, tuple(sorted(things.items())), horizon, seconds)


@lru_cache(maxsize=256)
def _best(jobs: tuple[Job, ...], hands: int, there: tuple[tuple[str, int], ...], horizon: int, seconds: float) -> Timetable | None:
    """The same once for the same jobs: a week's calendar and a lesson's page ask for what was found already."""
    from ortools.sat.python import cp_model

    things = dict(there)
    if not jobs:
        return Timetable((), True)
    if max(job.minutes for job in jobs) > horizon:
        return None
    model = cp_model.CpModel()
    starts = {job.key: model.new_int_var(-horizon, -job.minutes, job.key) for job in jobs}
    spans = {job.key: model.new_fixed_size_interval_var(starts[job.key], job.minutes, job.key) for job in jobs}
    by_key = {job.key: job for job in jobs}
    model.add_cumulative([spans[job.key] for job in jobs], [job.hands for job in jobs], hands)
    for thing in sorted(frozenset().union(*(job.needs for job in jobs))):
        users = [spans[job.key] for job in jobs if thing in job.needs]
        model.add_cumulative(users, [1] * len(users), things.get(thing, 0))
    gaps = []
    for job in jobs:
        earlier = [key for key in job.after if key in by_key]
        for key in earlier:
            gap = model.new_int_var(0, horizon, f"{key} to {job.key}")
            model.add(starts[job.key] - starts[key] - by_key[key].minutes == gap)
            gaps.append(gap)
    last = [job for job in jobs if not any(job.key in other.after for other in jobs)]
    waits = sum(gaps) + sum(-starts[job.key] - job.minutes for job in last)
    first = model.new_int_var(-horizon, 0, "first")
    model.add_min_equality(first, list(starts.values()))
    solver = cp_model.CpSolver()
    solver.parameters.num_workers = 1
    solver.parameters.random_seed = 1
    solver.parameters.max_time_in_seconds = 0.7 * seconds
    model.maximize(first)
    found = solver.solve(model)
    if found not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return None
    proved, latest = found == cp_model.OPTIMAL, solver.value(first)
    at = {key: solver.value(start) for key, start in starts.items()}
    model.add(first == latest)
    model.clear_objective()  # type: ignore[no-untyped-call]
    for key, start in starts.items():
        model.add_hint(start, at[key])
    model.minimize(waits)
    solver.parameters.max_time_in_seconds = 0.3 * seconds
    if solver.solve(model) in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        at = {key: solver.value(start) for key, start in starts.items()}
    return Timetable(_handed_out(jobs, at, hands), proved)


def _handed_out(jobs: Sequence[Job], at: Mapping[str, int], hands: int) -> tuple[Slot, ...]:
    """Which pair of hands does what: the one that has been free for the shortest while, so that a person keeps at it."""
    free = [-(10**9)] * hands
    made = []
    for job in sorted(jobs, key=lambda job: (at[job.key], job.key)):
        start = at[job.key]
        able = sorted((k for k in range(hands) if free[k] <= start), key=lambda k: (-free[k], k))[: job.hands]
        for k in able:
            free[k] = start + job.minutes
        made.append(Slot(job, start, start + job.minutes, tuple(sorted(able))))
    return tuple(made)
