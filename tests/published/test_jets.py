"""Jets, menisci and draining against their authors, against closed forms, and against a general solver."""

from __future__ import annotations

import math
from collections.abc import Callable

import numpy as np

from hydrostatics.laws.draining import Holes, stop_times, stretch_times, volume_lost
from hydrostatics.laws.hydrostatic import (
    PINNED_ZERO,
    SLIDING_ZERO,
    capillary_length,
    hydrostatic_pressure,
    largest_pinned_hole,
    largest_side_hole,
    largest_sliding_hole,
    meniscus_pressure,
)
from hydrostatics.laws.jets import fall_time, landing_speed, orifice_flow, torricelli_speed, weber_number
from hydrostatics.laws.vessels import diameter_at, volume_below
from tests.support.documents import answered, bottle
from tests.support.published import PublishedCase

G = 9.80665


class Menisci(PublishedCase):
    def test_zeros_of_bessel_functions(self):
        from scipy.special import jn_zeros, jnp_zeros

        self.meets("Abramowitz and Stegun", "table 9.5", SLIDING_ZERO, 1.8411838, abs_=5e-8)
        self.meets("Abramowitz and Stegun", "table 9.5", PINNED_ZERO, 3.8317060, abs_=5e-8)
        self.assertAlmostEqual(SLIDING_ZERO, jnp_zeros(1, 1)[0], places=12)
        self.assertAlmostEqual(PINNED_ZERO, jn_zeros(1, 1)[0], places=12)

    def test_capillary_length_of_water(self):
        self.meets("de Gennes, Brochard-Wyart, Quéré", "ch. 2", 1e3 * capillary_length(0.07274, 998.207, G), 2.7, abs_=0.05)

    def test_largest_pinned_hole(self):
        l_c = capillary_length(0.07274, 998.207, G)
        # Duprez measured 19.85 mm (from memory); theory with a sharp dry rim gives 20.9
        self.meets("Maxwell, Encyclopaedia Britannica", "capillary action", 1e3 * largest_pinned_hole(l_c), 20.9, abs_=0.05)
        self.meets("Maxwell, Encyclopaedia Britannica", "Duprez's measurement", 1e3 * largest_pinned_hole(l_c), 19.85, rel=0.06)
        self.assertAlmostEqual(largest_sliding_hole(l_c) / largest_pinned_hole(l_c), 1.8411838 / 3.8317060, places=6)

    def test_jurin_height_is_the_meniscus_pressure_of_its_bore(self):
        for bore, height in ((0.40e-3, 74.30e-3), (1.00e-3, 29.72e-3)):
            self.meets("Jurin, Phil. Trans. 30", "with IAPWS values", meniscus_pressure(0.072736, bore) / (998.207 * G), height, rel=2e-4)

    def test_side_hole_balances_weight_and_menisci(self):
        l_c = capillary_length(0.07274, 998.207, G)
        d = largest_side_hole(l_c)
        self.assertAlmostEqual(998.207 * G * d, 8 * 0.07274 / d, places=9)


class Jets(PublishedCase):
    def test_torricelli(self):
        self.meets("Torricelli 1643", "one metre", torricelli_speed(G, 1.0), 4.42869, abs_=5e-6)
        self.assertEqual(torricelli_speed(G, -0.2), 0.0)

    def test_a_fall_by_hand(self):
        # common practice, no published source: 4.9 m in a second at 9.8 m/s²
        self.assertAlmostEqual(fall_time(9.8, 4.9), 1.0, places=12)
        self.assertAlmostEqual(landing_speed(3.0, 10.0, 0.8), 5.0, places=12)

    def test_ten_metres_of_water_by_hand(self):
        self.meets("NIST SP 811 (2008)", "B.8, conventional water", hydrostatic_pressure(1000.0, G, 1.0), 9806.65, rel=1e-12)

    def test_contraction_of_a_slot_stands_by_the_default_of_a_sharp_hole(self):
        used = answered(bottle())["inputs"]["setup.holes.0.discharge_coefficient"]["value"]
        self.meets("Kirchhoff 1869; Lamb, art. 77", "slot", used, math.pi / (math.pi + 2), abs_=0.005)

    def test_default_coefficients(self):
        for edge, key, value in (
            ("sharp", "discharge", 0.61),
            ("short-tube", "discharge", 0.82),
            ("rounded", "discharge", 0.97),
            ("sharp", "velocity", 0.97),
            ("short-tube", "velocity", 0.82),
        ):
            inputs = answered(bottle(holes=[{"height": "5 cm", "diameter": "3 mm", "edge": edge}]))["inputs"]
            self.meets("Streeter and Wylie (from memory)", "orifices", inputs[f"setup.holes.0.{key}_coefficient"]["value"], value, abs_=0.005)

    def test_flow_through_a_hole_by_hand(self):
        self.assertAlmostEqual(orifice_flow(0.6, 0.02, 5.0), 0.6 * 3.14159265358979 * 1e-4 * 5.0, places=12)

    def test_weber_number_by_hand(self):
        self.assertAlmostEqual(weber_number(1000.0, 2.0, 0.003, 0.075), 160.0, places=9)

    def test_holes_run_slow_faster_fastest(self):
        # common practice, no published source: holes 10, 17, 26 cm below the surface
        holes = [{"height": f"{30 - depth} cm", "diameter": "3 mm"} for depth in (10, 17, 26)]
        speeds = [hole["speed"]["value"] for hole in answered(bottle(fill_height="30 cm", holes=holes))["results"]["holes"]]
        self.assertEqual(speeds, sorted(speeds))

    def test_parabola_on_a_flat_tray_without_loss(self):
        # x = 2 sqrt(h y), the schoolbook's form
        results = answered(bottle(stand_drop="0 cm"))["results"]["holes"]
        for hole, height in zip(results, (0.23, 0.145, 0.06), strict=True):
            self.assertAlmostEqual(hole["ideal_range"]["value"], 2 * math.sqrt((0.29 - height) * height), places=9)


class Draining(PublishedCase):
    HEIGHTS, WIDTHS = np.zeros((1, 1)), np.array([[0.09]])

    def holes(self, heights: list[float], sizes: list[float], to_start: float = 0.0) -> Holes:
        y, d = np.array([heights]), np.array([sizes])
        return Holes(0.61 * np.pi / 4 * d**2 * np.sqrt(2 * G), y + to_start / 2, y + to_start, np.ones_like(y, dtype=bool))

    def test_one_hole_in_closed_form(self):
        got = stop_times(np.array([0.25]), self.holes([0.05], [0.003]), self.HEIGHTS, self.WIDTHS)[0, 0]
        closed = (0.09 / 0.003) ** 2 / 0.61 * math.sqrt(2 * 0.20 / G)
        self.meets("Streeter and Wylie (from memory)", "time to empty a cylinder", got, closed, rel=1e-10)

    def general(self, fill: float, holes: Holes, width: Callable[[float], float]) -> list[float]:
        """Stop times by scipy's solver of ordinary differential equations, from event to event."""
        from scipy.integrate import solve_ivp

        def fall(_: float, level: np.ndarray, among: list[int]) -> list[float]:
            flow = sum(holes.strength[0, i] * math.sqrt(max(level[0] - holes.datum[0, i], 0.0)) for i in among)
            return [-flow / (math.pi / 4 * width(level[0]) ** 2)]

        found = [0.0] * holes.datum.shape[1]
        running = [i for i in range(len(found)) if holes.runs[0, i]]
        level, time = fill, 0.0
        for i in sorted(running, key=lambda i: -holes.stop[0, i]):
            stop = holes.stop[0, i]

            def reached(_: float, y: np.ndarray, among: list[int], stop: float = stop) -> float:
                return float(y[0] - stop)

            reached.terminal = True  # type: ignore[attr-defined]
            got = solve_ivp(fall, (0, 1e5), [level], "DOP853", events=reached, args=(list(running),), rtol=1e-11, atol=1e-13)
            time, level = time + got.t_events[0][0], stop
            found[i] = time
            running.remove(i)
        return found

    def test_against_a_general_solver(self):
        tapered, at = np.array([[0.10, 0.07]]), np.array([[0.0, 0.3]])
        one = self.holes([0.03, 0.11, 0.18], [0.003, 0.002, 0.004], 0.008)
        shuffled = self.holes([0.11, 0.03, 0.24, 0.18], [0.002, 0.003, 0.001, 0.004], 0.008)
        dry = Holes(shuffled.strength, shuffled.datum, shuffled.stop, np.array([[True, True, False, True]]))
        cases = (
            ("tapered", one, at, tapered, lambda level: 0.10 - 0.1 * level),
            ("straight", one, self.HEIGHTS, self.WIDTHS, lambda _: 0.09),
            ("holes in any order", shuffled, self.HEIGHTS, self.WIDTHS, lambda _: 0.09),
            ("one that does not run", dry, self.HEIGHTS, self.WIDTHS, lambda _: 0.09),
        )
        for name, holes, heights, widths, width in cases:
            with self.subTest(vessel=name):
                np.testing.assert_allclose(stop_times(np.array([0.27]), holes, heights, widths)[0], self.general(0.27, holes, width), rtol=1e-7, atol=1e-9)

    def test_marks_besides_change_no_time(self):
        holes = self.holes([0.11, 0.03, 0.18], [0.002, 0.003, 0.004], 0.008)
        marks = np.linspace(0.04, 0.27, 50)[None]
        plain, marked = (stretch_times(np.array([0.27]), holes, self.HEIGHTS, self.WIDTHS, m)[1].sum() for m in (None, marks))
        self.assertAlmostEqual(plain / marked, 1.0, delta=1e-8)

    def test_volume_that_runs_out_of_a_cone_by_hand(self):
        # frustum of radii 5 and 4 cm, 30 cm tall: V = pi h (R² + R r + r²)/3
        heights, widths = np.array([[0.0, 0.3]]), np.array([[0.10, 0.08]])
        self.assertAlmostEqual(volume_below(np.array([0.3]), heights, widths)[0], math.pi * 0.3 * (0.05**2 + 0.05 * 0.04 + 0.04**2) / 3, places=12)
        self.assertAlmostEqual(diameter_at(np.array([0.15]), heights, widths)[0], 0.09, places=12)
        lost = volume_lost(np.array([0.3]), self.holes([0.0], [0.002]), heights, widths)
        self.assertAlmostEqual(lost[0], volume_below(np.array([0.3]), heights, widths)[0], places=12)
