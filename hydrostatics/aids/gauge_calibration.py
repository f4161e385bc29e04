"""What a line of a gauge is worth, from dipping it to known depths."""

from __future__ import annotations

import math
from itertools import pairwise
from operator import itemgetter
from typing import Annotated, Any

import numpy as np
from pydantic import WithJsonSchema

from ..errors import OutOfRange
from ..fields import Array, Part, Plain, flag, items, liquid, quantity
from ..laws.fitting import scatter, straight_line
from ..laws.hydrostatic import hydrostatic_pressure
from ..liquids import Liquid
from ..nominal import Now
from ..paper.graduations import nice_step, places_of, steps_within
from ..prediction import Dot, Line, Node, Plot, Prediction, Saying, Table, Value, later
from ..quantities.repeats import student
from ..quantities.saying import COVERAGE, plain_number, printed_unit, scale_of
from ..room.derived import Room
from . import refusals
from .protocol import Graduation, MadeAid
from .sections import dipped_gauge
from .words import INDEPENDENT

FEW = 6
"""Points below which a caution is given, as the contract states it."""
GRADUATIONS = 20
"""How many graduations a printed scale has at the most, about."""
LEAST = 3
"""Different depths that a line and its scatter need."""
FROM = "measured.points"
"""Where the scatter of the points about the line is told among the shares."""


class Point(Part):
    """One depth, and what the gauge then read."""

    depth: Array = quantity("length", "depth", ge=0, le=100, help="of the probe's opening below the surface")
    reading: Plain = quantity("number", "lines read", ge=-1e6, le=1e6)


class GaugeCalibration(Part):
    """A gauge dipped to some depths."""

    liquid: Annotated[Liquid, WithJsonSchema(Liquid.schema())] = liquid("Liquid")
    points: tuple[Point, ...] = items("Points", "point", least=3, most=100, new={}, help="down and up again, so that a gauge that sticks shows it")
    reading_now: Plain | None = quantity("number", "Lines read now", default=None, ge=-1e6, le=1e6, first=True, help="to be told the pressure")
    zero_at_rest: bool = flag("Line 0 was drawn with nothing on it", help="then it is told whether the zero has moved")

    def refuse(self) -> None:
        """Refuses points that no line can be drawn through."""
        if len({float(point.depth[0]) for point in self.points}) < LEAST:
            raise OutOfRange("points", refusals.DEPTHS_ALIKE)
        if len({float(point.reading[0]) for point in self.points}) < 2:
            raise OutOfRange("points", refusals.READINGS_ALIKE)


class _Fit:
    """The line of row 0: the lines read, how the readings scatter about it [Pa]."""

    def __init__(self, lines: list[float], scatter: float) -> None:
        self.lines, self.scatter = lines, scatter
        self.middle = sum(lines) / len(lines)
        self.spread = sum((one - self.middle) ** 2 for one in lines)

    @property
    def ends(self) -> tuple[float, float]:
        """The least and the greatest line read."""
        return min(self.lines), max(self.lines)

    def own(self, reading: Any, more: float) -> Any:
        """Standard uncertainty that the scatter leaves to the line at a reading; more: 1 where that reading scatters as well [Pa]."""
        return self.scatter * np.sqrt(more + 1 / len(self.lines) + (reading - self.middle) ** 2 / self.spread)


def predict(s: GaugeCalibration, room: Room) -> Prediction:
    """The line, its residuals, and the pressure that a reading tells, for all rows."""
    depths = [point.depth for point in s.points]
    above = np.empty((len(depths), max(map(len, depths))))
    for i, depth in enumerate(depths):
        above[i] = depth
    lines = np.array([point.reading[:1] for point in s.points])
    y = np.asarray(hydrostatic_pressure(s.liquid.density, room.gravity, above))
    offset, per_line = straight_line(lines, y)
    residuals = per_line * lines
    residuals += offset
    np.subtract(y, residuals, out=residuals)
    scattered = scatter(residuals)
    fit = _Fit(lines[:, 0].tolist(), float(scattered[0]))
    now = np.zeros(1) if s.reading_now is None else s.reading_now
    results: dict[str, Node] = {
        "offset": Value(offset, "pressure", "pressure at line 0", own=float(fit.own(0.0, 0.0)), own_from=FROM),
        "per_line": Value(per_line, "pressure", "pressure of a line", own=fit.scatter / math.sqrt(fit.spread), own_from=FROM),
        "residual": Value(scattered, "pressure", "scatter about the line"),
        "largest_residual": Value(later(lambda: np.abs(residuals).max(axis=0)), "pressure", "largest distance from the line"),
        "points": [
            {"pressure": Value(y[i], "pressure", "pressure at the depth"), "residual": Value(residuals[i], "pressure", "off the line")}
            for i in range(len(s.points))
        ],
        "pressure_now": Value(
            offset + per_line * now, "pressure", "gauge pressure now", s.reading_now is not None, own=float(fit.own(float(now[0]), 1.0)), own_from=FROM
        ),
    }
    return Prediction(results, np.full(1, 0 if _steady(y[:, 0].tolist(), fit.lines) else 1))


def _steady(pressures: list[float], lines: list[float]) -> bool:
    """Whether the readings rise, or fall, with depth throughout."""
    points = sorted(zip(pressures, lines, strict=True), key=itemgetter(0))
    steps = [b[1] - a[1] for a, b in pairwise(points) if b[0] > a[0]]
    return all(step > 0 for step in steps) or all(step < 0 for step in steps)


def _fit(now: Now[GaugeCalibration]) -> _Fit:
    return _Fit([float(point.reading[0]) for point in now.setup.points], now.value("results.residual") or 0.0)


def _line(now: Now[GaugeCalibration]) -> tuple[float, float]:
    """Pressure at line 0 and of a line [Pa]."""
    return now.value("results.offset") or 0.0, now.value("results.per_line") or 0.0


def say(now: Now[GaugeCalibration]) -> Saying:
    """What a line is worth, what the reading now means, and how far to trust it."""
    read, fit = now.value("results.pressure_now") is not None, _fit(now)
    steady = int(now.prediction.state[0]) == 0
    found = "It tells {results.pressure_now} now; a line is worth {results.per_line}." if read else "A line is worth {results.per_line}."
    reason = found if steady else f"The readings do not go steadily with depth: the gauge sticks or was misread. {found}"
    return Saying(
        reason,
        "results.pressure_now" if read else "results.per_line",
        cautions=tuple(_cautions(now)),
        assumptions=(INDEPENDENT, "a straight line of pressure over reading, by least squares; the readings scatter about it, the depths have their tolerance"),
        sources=("JCGM100",),
        headline=now.headline("results.pressure_now", "results.offset", "results.residual", "results.largest_residual"),
        table=(_plot(now, fit), _left(now, fit), _table(now)),
    )


def _cautions(now: Now[GaugeCalibration]) -> list[str]:
    s, found = now.setup, []
    lines = [float(point.reading[0]) for point in s.points]
    if len(s.points) < FEW:
        found.append(f"{len(s.points)} points tell little of the scatter: take {FEW} or more.")
    if s.reading_now is not None and not min(lines) <= float(s.reading_now[0]) <= max(lines):
        found.append("The reading now lies outside the points: the line is only known between them.")
    if s.zero_at_rest:
        offset, sd = now.value("results.offset") or 0.0, now.half_width("results.offset") / 2
        if abs(offset) > student(len(s.points) - 2) * sd:
            found.append(f"The zero has moved: line 0 stands for {now.words('results.offset')}, more than the scatter explains.")
    return found


def _plot(now: Now[GaugeCalibration], fit: _Fit) -> Plot:
    shown = [*fit.ends, *([] if now.setup.reading_now is None else [float(now.setup.reading_now[0])])]
    x, (offset, per_line) = np.linspace(min(shown), max(shown), 25), _line(now)
    line = Line("", x, offset + per_line * x, COVERAGE * fit.own(x, 0.0))
    dots = tuple(Dot(at, now.value(f"results.points.{i}.pressure") or 0.0) for i, at in enumerate(fit.lines))
    unit = now.unit("results.points.0.pressure")
    return Plot("Pressure over lines read", ("lines read", "number", ""), ("pressure", "pressure", unit), (line,), dots)


def _left(now: Now[GaugeCalibration], fit: _Fit) -> Plot:
    """What the line leaves of each point, about the line as zero: a bow tells that it is none."""
    unit = now.unit("results.points.0.residual")
    paths = [f"results.points.{i}.residual" for i in range(len(fit.lines))]
    dots = tuple(Dot(at, now.value(path) or 0.0, now.half_width(path)) for at, path in zip(fit.lines, paths, strict=True))
    zero = Line("", np.array(fit.ends), np.zeros(2), dashed=True)
    return Plot("What the line leaves", ("lines read", "number", ""), ("off the line", "pressure", unit), (zero,), dots)


def _table(now: Now[GaugeCalibration]) -> Table:
    rows = tuple(
        (str(i + 1), f"{float(point.reading[0]):g}", f"results.points.{i}.pressure", f"results.points.{i}.residual") for i, point in enumerate(now.setup.points)
    )
    return Table("Points and what is left", ("point", "lines", "pressure", "off the line"), rows)


def working(now: Now[GaugeCalibration]) -> tuple[str, ...]:
    """The working, as one would write it on the board."""
    fit = _fit(now)
    lines = [
        f"least squares of ρ g depth over the {len(now.setup.points)} readings: {now.value('results.per_line'):.5g} Pa a line, {now.value('results.offset'):.5g} Pa at line 0",
        f"scatter s = √(Σ residual²/(n − 2)) = {now.value('results.residual'):.4g} Pa",
    ]
    if now.setup.reading_now is not None:
        reading = float(now.setup.reading_now[0])
        lines.append(
            f"now {now.value('results.offset'):.5g} + {now.value('results.per_line'):.5g} × {reading:g} = {now.value('results.pressure_now'):.5g} Pa, "
            f"of the fit s √(1 + 1/n + (x − x̄)²/Sxx) = {fit.own(reading, 1.0):.3g} Pa"
        )
    return tuple(lines)


def scale(now: Now[GaugeCalibration]) -> tuple[Graduation, ...]:
    """Round pressures between the ends of what was calibrated, each at its line."""
    fit, unit = _fit(now), now.unit("results.points.0.pressure")
    (offset, per_line), factor = _line(now), scale_of(unit, "pressure")[0]
    if per_line == 0 or int(now.prediction.state[0]) != 0:
        return ()
    ends = sorted((offset + per_line * reading) / factor for reading in fit.ends)
    step = nice_step((ends[1] - ends[0]) / GRADUATIONS)
    made = []
    for k in steps_within(ends[0], ends[1], step):
        lines = (k * step * factor - offset) / per_line
        worth = f"{plain_number(k * step, places_of(step))} {printed_unit(unit)}"
        made.append(Graduation(lines, worth, COVERAGE * float(fit.own(lines, 0.0)) / abs(per_line)))
    return tuple(made)


GAUGE_CALIBRATION = MadeAid("gauge-calibration", GaugeCalibration, predict, say, working, section=dipped_gauge, scale=scale)
