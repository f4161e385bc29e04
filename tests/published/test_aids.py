"""Measuring aids against the outside: reference data for straight lines, the guide's repeated readings, weighing in air."""

from __future__ import annotations

import math
from typing import Any

import numpy as np
from scipy.integrate import solve_ivp
from scipy.stats import linregress, t

from hydrostatics.laws.fitting import scatter, straight_line
from hydrostatics.laws.weighing import air_density, true_mass
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.quantities.repeats import mean_of
from tests.support.documents import aided, values
from tests.support.published import PublishedCase

NIST = "NIST Statistical Reference Datasets, linear regression, Norris (from memory; certified to 15 digits)"
JCGM = "JCGM 100:2008"
NORRIS = (
    "0.1 0.2 338.8 337.4 118.1 118.2 888.0 884.6 9.2 10.1 228.1 226.5 668.5 666.3 998.5 996.3 449.1 448.6 778.9 777.0 559.2 558.2 0.3 0.4 "
    "0.1 0.6 778.1 775.5 668.8 666.9 339.3 338.0 448.9 447.5 10.8 11.6 557.7 556.0 228.3 228.1 998.0 995.8 888.8 887.6 119.6 120.2 0.3 0.3 "
    "0.6 0.3 557.6 556.8 339.3 339.1 888.0 887.2 998.5 999.0 778.9 779.0 10.2 11.1 117.6 118.3 228.9 229.2 668.4 669.1 449.2 448.9 0.2 0.5"
)
THERMOMETER = (
    (21.521, -0.171), (22.012, -0.169), (22.512, -0.166), (23.003, -0.159), (23.507, -0.164), (23.999, -0.165),
    (24.513, -0.156), (25.002, -0.157), (25.503, -0.159), (26.010, -0.161), (26.511, -0.160),
)  # fmt: skip
"""JCGM 100, table H.6: readings and corrections of a thermometer [degC]."""
READINGS = "96.90 98.18 98.25 98.61 99.03 99.49 99.56 99.74 99.89 100.07 100.33 100.42 100.68 100.95 101.11 101.20 101.57 101.84 102.36 102.72"
"""JCGM 100, 4.4.3: twenty temperatures [degC]."""
ROOM = {"station_pressure": "946.3 hPa", "temperature": "17.4 degC"}


class StraightLines(PublishedCase):
    def test_the_reference_data_of_a_straight_line(self):
        y, x = np.array(NORRIS.split(), dtype=float).reshape(-1, 2).T
        offset, slope = straight_line(x[:, None], y[:, None])
        got = scatter(y[:, None] - offset - slope * x[:, None])
        self.meets(NIST, "B0", float(offset[0]), -0.262323073774029, rel=1e-10)
        self.meets(NIST, "B1", float(slope[0]), 1.00211681802045, rel=1e-13)
        self.meets(NIST, "residual standard deviation", float(got[0]), 0.884796396144373, rel=1e-12)

    def test_the_guides_calibration_of_a_thermometer(self):
        x, y = np.array(THERMOMETER).T
        offset, slope = straight_line(x[:, None] - 20, y[:, None])
        s = float(scatter(y[:, None] - offset - slope * (x[:, None] - 20))[0])
        self.meets(JCGM, "H.3", float(offset[0]), -0.1712, abs_=5e-5)
        self.meets(JCGM, "H.3", float(slope[0]), 0.00218, abs_=5e-6)
        self.meets(JCGM, "H.3", s, 0.0035, abs_=5e-5)

    def test_a_gauges_line_and_its_uncertainties_are_those_of_a_statistics_library(self):
        depths, lines = [0.0, 0.12, 0.25, 0.41, 0.55, 0.70], [0.5, 4.1, 7.7, 12.6, 16.4, 21.3]
        points = [{"depth": f"{d} m", "reading": r} for d, r in zip(depths, lines, strict=True)]
        liquid = {"density": "1000 kg/m^3", "vapour_pressure": "0 Pa", "surface_tension": "72 mN/m", "viscosity": "1 mPa*s", "contact_angle": "0 deg"}
        room = {**ROOM, "gravity": "9.8 m/s^2"}
        results = aided("gauge-calibration", {"liquid": liquid, "points": points, "reading_now": 10}, **room)["results"]
        fit = linregress(lines, [9800 * d for d in depths])
        for key, value, sd in (("per_line", fit.slope, fit.stderr), ("offset", fit.intercept, fit.intercept_stderr)):
            self.meets("scipy.stats.linregress", key, results[key]["value"], value, rel=1e-9)
            self.meets("scipy.stats.linregress", f"{key}, standard error", results[key]["standard_uncertainty"], sd, rel=1e-6)
        # JCGM 100, H.3.4 with the reading's own scatter added
        off = np.array(lines) - np.mean(lines)
        s = results["residual"]["value"]
        wanted = s * math.sqrt(1 + 1 / 6 + (10 - np.mean(lines)) ** 2 / (off @ off))
        self.meets(JCGM, "H.3.4", results["pressure_now"]["standard_uncertainty"], wanted, rel=1e-6)
        self.assertAlmostEqual(sum(results["pressure_now"]["shares"].values()), 1.0, places=9)


class Repeats(PublishedCase):
    def test_the_guides_twenty_temperatures(self):
        got = mean_of([read_quantity("", f"{one} degC", "temperature") for one in READINGS.split()])
        self.meets(JCGM, "4.4.3", got.si - 273.15, 100.145, abs_=5e-4)
        few = float(t.ppf(0.975, 19)) / 1.96
        self.meets(JCGM, "4.4.3", got.half_width / math.sqrt(3) / few, 0.333, abs_=5e-4)

    def test_few_readings_know_little_and_a_tolerance_does_not_shrink(self):
        for n in (2, 3, 10):
            got = mean_of([read_quantity("", f"{20 + i % 2} +/- 0.6 mm", "length") for i in range(n)])
            alone = np.std([20 + i % 2 for i in range(n)], ddof=1) / math.sqrt(n) * float(t.ppf(0.975, n - 1)) / 1.96
            self.meets("scipy.stats, Student's t", f"{n} readings", 1000 * got.half_width / math.sqrt(3), math.hypot(alone, 0.6 / math.sqrt(3)), rel=1e-6)

    def test_of_several_tolerances_the_largest_counts(self):
        alike = [read_quantity("", text, "length") for text in ("20 +/- 0.1 mm", "20 +/- 0.6 mm", "20 mm")]
        self.assertAlmostEqual(mean_of(alike).half_width, 0.6e-3)


class Weighing(PublishedCase):
    def test_air_by_the_standard_atmosphere(self):
        self.meets("ISO 2533", "table 1, sea level", float(air_density(101_325.0, 288.15)), 1.225, abs_=5e-5)
        # its gas constant is 8.31432: 1.7e-5 less than today's
        self.meets("ISO 2533", "table 1, 1000 m", float(air_density(89_874.6, 281.65)), 1.11164, rel=2e-5)

    def test_the_recommendations_buoyancy(self):
        # OIML R 111-1, part 10: a mass of density 8000 needs no correction; water in air of 1.2 kg/m3 reads 1.05 g/kg too little
        self.meets("OIML R 111-1", "10, conventional mass", float(true_mass(1.0, 8000.0, 1.2)), 1.0, rel=1e-12)
        self.meets("OIML R 111-1", "10, water", float(true_mass(1.0, 998.2, 1.2)), 1 + 1.2 * (1 / 998.2 - 1 / 8000), rel=2e-6)


class Draining(PublishedCase):
    """A vessel is drained by a differential equation; the aids find what it was drained with."""

    D, HOLE, COEFFICIENT = 0.084, 3.1e-3, 0.63

    def seconds(self, start: float, end: float) -> float:
        water = values({"anchorage": 1, "demonstration": "depth-pressure", "room": ROOM, "setup": {"liquid": LIQUID, "depth": "1 m"}})
        weight = water["results.gauge_pressure"]
        held = 4 * 0.072 / (self.HOLE * weight)

        def falls(_: float, h: Any) -> Any:
            return -self.COEFFICIENT * (self.HOLE / self.D) ** 2 * np.sqrt(2 * 9.80665 * (h - held / 2))

        def reached(_: float, h: Any) -> float:
            return float(h[0]) - end

        reached.terminal = True  # type: ignore[attr-defined]
        return float(solve_ivp(falls, (0, 1e4), [start], events=reached, rtol=1e-10, atol=1e-12).t_events[0][0])

    def test_coefficient_and_hole_are_found_again(self):
        time = f"{self.seconds(0.21, 0.06):.9g} s"
        marks = {"liquid": LIQUID, "inner_diameter": "84 mm", "start_head": "21 cm", "end_head": "6 cm", "time": time}
        found = aided("coefficient-by-draining", {**marks, "hole_diameter": "3.1 mm"}, **ROOM)["results"]["discharge_coefficient"]
        self.meets("scipy.integrate.solve_ivp", "coefficient", found["value"], self.COEFFICIENT, rel=1e-6)
        found = aided("hole-by-draining", {**marks, "discharge_coefficient": self.COEFFICIENT}, **ROOM)["results"]["hole_diameter"]
        self.meets("scipy.integrate.solve_ivp", "hole", found["value"], self.HOLE, rel=1e-6)


LIQUID = {"density": "998 kg/m^3", "vapour_pressure": "2 kPa", "surface_tension": "72 mN/m", "viscosity": "1 mPa*s", "contact_angle": "0 deg"}
