"""What viscosity takes from a jet, bottles that run steadily, and menisci in wide tubes, against their authors and general solvers."""

from __future__ import annotations

import math
from typing import Any

import numpy as np
from scipy.integrate import quad, solve_ivp
from scipy.optimize import brentq

from hydrostatics.laws.draining import Holes, stop_times
from hydrostatics.laws.hydrostatic import capillary_rise
from hydrostatics.laws.jets import left_by_viscosity, speed_share, viscous_coefficient, viscous_head
from tests.support.documents import answered, bottle
from tests.support.published import PublishedCase

G = 9.80665
SAMPSON = "Sampson, Phil. Trans. R. Soc. A 182 (1891)"
DAGAN = "Dagan, Weinbaum and Pfeffer, J. Fluid Mech. 115 (1982)"
MARIOTTE = "Mariotte's bottle, common practice, no published source"
OIL = {"density": "921 kg/m^3", "surface_tension": "33 mN/m", "viscosity": "70 mPa*s", "vapour_pressure": "0 Pa"}


def first_hole(**changes: Any) -> dict[str, Any]:
    result: dict[str, Any] = answered(bottle(**changes))["results"]["holes"][0]
    return result


class Creeping(PublishedCase):
    def flow(self, viscosity: float, length: float) -> float:
        """Of a hole of 3 mm under 1 kPa by the product's laws, so thick that nothing else counts [m^3/s]."""
        d, c_d, head = 3e-3, 0.61, 1000 / (1000 * G)
        c = viscous_head(viscous_coefficient(1.0, viscosity, d, length), c_d, 1000.0, G)
        return float(c_d * math.pi / 4 * d**2 * math.sqrt(2 * G * head) * left_by_viscosity(head, c))

    def test_a_hole_in_a_thin_wall(self):
        # Q = R^3 dp/(3 mu)
        self.meets(SAMPSON, "orifice", self.flow(1e3, 0.0), 1.5e-3**3 * 1000 / (3 * 1e3), rel=1e-6)
        self.meets(SAMPSON, "orifice", self.flow(5e4, 0.0), 1.5e-3**3 * 1000 / (3 * 5e4), rel=1e-8)

    def test_a_hole_of_finite_length(self):
        # dp = (mu Q/R^3)(3 + 8 L/(pi R)), their eq. for any length, within 1 %
        for length in (0.5e-3, 3e-3, 20e-3):
            self.meets(DAGAN, "finite length", self.flow(1e3, length), 1000 * 1.5e-3**3 / (1e3 * (3 + 8 * length / (math.pi * 1.5e-3))), rel=1e-6)


class Between(PublishedCase):
    def test_velocity_solves_the_balance_of_pressure(self):
        for d, mu, height in ((2e-3, 0.07, 6), (4e-3, 0.07, 6), (2e-3, 1.0e-3, 20)):
            liquid = {**OIL, "viscosity": f"{mu} Pa*s"}
            got = first_hole(liquid=liquid, holes=[{"height": f"{height} cm", "diameter": f"{d} m", "edge": "rounded"}])
            pressure = 921 * G * (0.29 - height / 100) - 2 * 0.033 / d
            a = mu * (6 * math.pi / d + 32 * 3e-3 / d**2)
            v = brentq(lambda x, a=a, p=pressure: 921 * x**2 / (2 * 0.97**2) + a * x - p, 0, 10)
            self.assertAlmostEqual(got["flow"]["value"] / (math.pi / 4 * d**2 * v), 1.0, delta=1e-9)
            self.assertAlmostEqual(got["speed"]["value"] / v, 1.0, delta=1e-9)  # a rounded edge does not contract

    def test_water_hardly_feels_it_and_syrup_is_ruled_by_it(self):
        water = first_hole(holes=[{"height": "6 cm", "diameter": "3 mm"}])["viscous_loss"]["value"]
        thick = first_hole(liquid="glycerol", holes=[{"height": "6 cm", "diameter": "3 mm"}])["viscous_loss"]["value"]
        self.assertTrue(0.0005 < water < 0.005 < 0.5 < thick < 1.0, (water, thick))

    def test_the_contraction_fades(self):
        self.assertAlmostEqual(float(speed_share(1.0, 0.61, 0.97)), 0.97, places=12)
        self.assertAlmostEqual(float(speed_share(1e-6, 0.61, 0.97)), 0.61e-6, delta=1e-9)

    def test_without_a_stated_viscosity_nothing_is_taken_and_it_is_said(self):
        liquid = {key: value for key, value in OIL.items() if key != "viscosity"}
        got = answered(bottle(liquid=liquid))
        self.assertIsNone(got["results"]["holes"][0]["viscous_loss"])
        self.assertTrue(any("viscosity is not known" in line for line in got["assumptions"]))

    def test_how_far_the_law_holds_is_an_input(self):
        got = answered(bottle(liquid="glycerol", holes=[{"height": "6 cm", "diameter": "3 mm"}]))
        self.assertGreater(got["results"]["holes"][0]["flow"]["shares"]["setup.viscous_factor"], 0.5)
        self.assertTrue(any("tolerance of the viscous loss" in line for line in got["cautions"]))

    def test_draining_against_a_general_solver(self):
        d, c_d, mu, rho = np.array([3e-3, 4e-3, 2e-3]), 0.61, 0.07, 921.0
        y, held = np.array([0.03, 0.11, 0.2]), 4 * 0.033 / (rho * G * d)
        c = viscous_head(viscous_coefficient(1.0, mu, d, 0.0), c_d, rho, G)
        strength = c_d * np.pi / 4 * d**2 * np.sqrt(2 * G)
        holes = Holes(strength[None], (y + held / 2)[None], (y + held)[None], np.ones((1, 3), dtype=bool), c[None])
        got = stop_times(np.array([0.27]), holes, np.zeros((1, 1)), np.array([[0.09]]))[0]

        def fall(_: float, level: np.ndarray) -> list[float]:
            head = np.maximum(level[0] - y - held / 2, 0)
            flow = np.where(level[0] >= y + held, strength * (np.sqrt(head + c) - np.sqrt(c)), 0.0)
            return [-float(flow.sum()) / (math.pi / 4 * 0.09**2)]

        time, level = 0.0, 0.27
        for k in (2, 1, 0):
            stop = y[k] + held[k]

            def reached(_: float, at: np.ndarray, stop: float = stop) -> float:
                return float(at[0] - stop)

            reached.terminal = True  # type: ignore[attr-defined]
            run = solve_ivp(fall, (0, 1e5), [level - 1e-12], "DOP853", events=reached, rtol=1e-11, atol=1e-13)
            time, level = time + run.t_events[0][0], stop
            self.assertAlmostEqual(got[k] / time, 1.0, delta=1e-6)


class Steady(PublishedCase):
    HOLES = ({"height": "20 cm", "diameter": "4 mm"}, {"height": "5 cm", "diameter": "3 mm"}, {"height": "11 cm", "diameter": "3 mm"})
    THIN: dict[str, Any] = {"density": "998 kg/m^3"}

    def steady(self, **changes: Any) -> dict[str, Any]:
        return answered(bottle(cap="steady", liquid=self.THIN, holes=list(self.HOLES), **changes))

    def test_it_runs_from_the_depth_below_the_hole_that_lets_the_air_in(self):
        got = self.steady()["results"]
        for i, drop in ((1, 0.15), (2, 0.09)):
            self.meets(MARIOTTE, "speed", got["holes"][i]["speed"]["value"], 0.97 * math.sqrt(2 * G * drop), rel=1e-9)
        flow = 0.61 * math.pi / 4 * 3e-3**2 * (math.sqrt(2 * G * 0.15) + math.sqrt(2 * G * 0.09))
        self.meets(MARIOTTE, "time", got["steady_time"]["value"], math.pi / 4 * 0.087**2 * 0.09 / flow, rel=1e-9)

    def test_the_level_makes_no_difference_while_it_runs_steadily(self):
        low, high = (self.steady(fill_height=f"{level} cm")["results"]["holes"][1]["range"]["value"] for level in (22, 35))
        self.assertEqual(low, high)

    def test_then_it_drains_as_an_open_bottle(self):
        got = self.steady()["results"]
        area = math.pi / 4 * 0.087**2
        k = 0.61 * math.pi / 4 * 3e-3**2 * math.sqrt(2 * G)
        both = quad(lambda h: area / (k * (math.sqrt(h - 0.05) + math.sqrt(h - 0.11))), 0.11, 0.20)[0]
        alone = quad(lambda h: area / (k * math.sqrt(h - 0.05)), 0.05, 0.11)[0]
        self.assertAlmostEqual(got["time_to_stop"]["value"] / (got["steady_time"]["value"] + both + alone), 1.0, delta=1e-6)
        self.assertAlmostEqual(got["volume_lost"]["value"], area * (0.29 - 0.05), places=9)

    def test_the_inlet_is_no_jet(self):
        got = self.steady()["results"]
        self.assertEqual(got["holes"][0]["behaviour"], "inlet")
        self.assertAlmostEqual(got["holes"][0]["head"]["value"], 0.09, places=12)
        self.assertEqual([got["holes"][0][key]["value"] for key in ("speed", "range", "landing_speed", "flow", "stops_after")], [0] * 5)
        self.assertEqual(got["landing_order"], [2, 1])

    def test_its_meniscus_takes_half_of_what_it_holds(self):
        water = answered(bottle(cap="steady", holes=list(self.HOLES)))["results"]["holes"]
        self.assertAlmostEqual(water[1]["head"]["value"], 0.15 - water[0]["head_to_start"]["value"] / 2, places=12)

    def test_a_hole_above_the_surface_opens_it_and_a_lone_hole_runs_nothing(self):
        opened = answered(bottle(cap="steady", fill_height="15 cm", liquid=self.THIN, holes=list(self.HOLES)))["results"]
        self.assertIsNone(opened["steady_time"])
        self.assertAlmostEqual(opened["holes"][1]["head"]["value"], 0.10, places=12)
        lone = answered(bottle(cap="steady", holes=[{"height": "6 cm", "diameter": "4 mm"}]))
        self.assertEqual(lone["verdict"]["state"], "fails")
        self.assertIn("only lets the air in", lone["verdict"]["reason"])


class WideTubes(PublishedCase):
    def rise(self, bore: float) -> float:
        """Height of a meniscus's lowest point in a tube that it wets, in capillary lengths: the Young-Laplace equation shot from its middle."""

        def radius(height: float) -> float:
            def along(_: float, at: np.ndarray) -> list[float]:
                r, z, slope = at
                return [math.cos(slope), math.sin(slope), z - (math.sin(slope) / r if r > 1e-9 else z / 2)]

            def upright(_: float, at: np.ndarray) -> float:
                return float(at[2] - math.pi / 2)

            upright.terminal = True  # type: ignore[attr-defined]
            run = solve_ivp(along, (0, 60), [1e-10, height, 0.0], "DOP853", events=upright, rtol=1e-10, atol=1e-12)
            return float(run.y_events[0][0][0])

        return float(brentq(lambda h: radius(h) - bore / 2, 1e-3, 60.0))

    def test_against_the_young_laplace_equation(self):
        for bore in (0.2, 1.0, 2.2, 3.3, 4.5):
            self.meets("Young-Laplace equation, by scipy", "tube", float(capillary_rise(1.0, 0.0, 1.0, 1.0, bore)), self.rise(bore), rel=0.04)
