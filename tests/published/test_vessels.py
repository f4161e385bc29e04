"""Joined vessels against quadrature, a root finder, Newton's half-swing and an equation solver."""

from __future__ import annotations

import math

import numpy as np
from scipy.integrate import quad, solve_ivp
from scipy.optimize import brentq

from hydrostatics.laws.joined import joined as joined_at_the_foot
from hydrostatics.laws.joined import level_of
from hydrostatics.laws.swinging import creeping_rate, layer_rate, settling_time, swing_rate
from tests.support.documents import bare, values
from tests.support.published import PublishedCase

GEOMETRY = "volumes by scipy's quad, level by brentq"
NEWTON = "Newton, Principia II, proposition 44"
DAMPED = "damped oscillator, by scipy's solve_ivp"
G0 = 9.80665


def joined(vessels, poured="1.4 L", **changes):
    return bare(
        "communicating-vessels", {"liquid": {"density": "1003 kg/m^3"}, "poured_volume": poured, "vessels": vessels, **changes}, station_pressure="949 hPa"
    )


class Levels(PublishedCase):
    SHAPES = (
        ({"bottom_diameter": "31 mm", "top_diameter": "118 mm", "height": "26 cm"}, lambda z: math.pi / 4 * (0.031 + 0.087 * z / 0.26) ** 2),
        ({"bottom_diameter": "97 mm", "top_diameter": "42 mm", "height": "24 cm"}, lambda z: math.pi / 4 * (0.097 - 0.055 * z / 0.24) ** 2),
        ({"bottom_diameter": "24 mm", "height": "29 cm", "path_length": "43.5 cm"}, lambda z: 1.5 * math.pi / 4 * 0.024**2),
        ({"bottom_diameter": "33 mm", "height": "27 cm", "tilt": "40 deg"}, lambda z: math.pi / 4 * 0.033**2 / math.cos(math.radians(40))),
        (
            {
                "height": "25 cm",
                "profile": [{"height": "0 cm", "diameter": "80 mm"}, {"height": "11 cm", "diameter": "50 mm"}, {"height": "25 cm", "diameter": "66 mm"}],
            },
            lambda z: math.pi / 4 * np.interp(z, (0, 0.11, 0.25), (0.08, 0.05, 0.066)) ** 2,
        ),
    )

    def test_one_level_in_all_shapes(self):
        def total(h: float) -> float:
            return sum(float(quad(area, 0, h, points=(0.11,) if h > 0.11 else None)[0]) for _, area in self.SHAPES)

        for litres in (0.3, 1.4, 2.6):
            got = values(joined([shape for shape, _ in self.SHAPES], f"{litres} L"))
            level = float(brentq(lambda h, litres=litres: total(h) - litres / 1000, 0, 0.24))
            self.meets(GEOMETRY, "level", got["results.level"], level, rel=1e-8)
            self.meets(GEOMETRY, "pressure at the foot", got["results.base_pressure"], 1003 * G0 * level, rel=1e-8)
            for k, longer in enumerate((1, 1, 1.5, 1 / math.cos(math.radians(40)), 1)):
                wide = math.sqrt(4 / math.pi * self.SHAPES[k][1](level) / longer)
                self.meets(GEOMETRY, "diameter at the surface", got[f"results.vessels.{k}.surface_diameter"], wide, rel=1e-7)

    def test_each_holds_what_a_quadrature_says(self):
        got = values(joined([shape for shape, _ in self.SHAPES]))
        for k, (_, area) in enumerate(self.SHAPES):
            h = got["results.level"]
            whole = float(quad(area, 0, h, points=(0.11,))[0])
            self.meets(GEOMETRY, "volume of each", got[f"results.vessels.{k}.volume"], whole, rel=1e-8)
            self.meets("Archimedes' weight of a volume", "weight", got[f"results.vessels.{k}.weight"], 1003 * G0 * whole, rel=1e-8)

    def test_volumes_that_end_in_different_stretches_at_once(self):
        """Two profiles whose corners come by turns, filled to eleven volumes in one call."""
        profiles = (((0.0, 0.09, 0.2, 0.26), (0.06, 0.02, 0.09, 0.05)), ((0.0, 0.05, 0.15, 0.3), (0.03, 0.08, 0.08, 0.01)))
        heights = [np.array([h]) for h, _ in profiles]
        vessels = joined_at_the_foot([(h, np.array([d])) for h, (_, d) in zip(heights, profiles, strict=True)], [np.ones(1)] * 2, [h[:, -1] for h in heights])
        corners = (0.05, 0.09, 0.15, 0.2)

        def held(level: float, k: int) -> float:
            return float(quad(lambda z: math.pi / 4 * np.interp(z, *profiles[k]) ** 2, 0, level, points=[c for c in corners if c < level] or None)[0])

        most = held(0.26, 0) + held(0.26, 1)
        self.meets(GEOMETRY, "capacity", float(vessels.capacity[0]), most, rel=1e-8)
        volumes = np.linspace(0.02, 0.98, 11) * most
        levels, _, each = level_of(vessels, volumes)
        for volume, level, one in zip(volumes.tolist(), levels.tolist(), each[0].tolist(), strict=True):
            wanted = float(brentq(lambda h, volume=volume: held(h, 0) + held(h, 1) - volume, 0, 0.26))
            self.meets(GEOMETRY, "level", level, wanted, rel=1e-7)
            self.meets(GEOMETRY, "volume of the first", one, held(level, 0), rel=1e-7)

    def test_the_paradox_of_the_foot(self):
        """Stevin 1586: the push on the foot is that of an upright column on it, whatever stands above."""
        got = values(joined([shape for shape, _ in self.SHAPES[:3]]))
        for k, foot in enumerate((0.031, 0.097, 0.024)):
            column = 1003 * G0 * got["results.level"] * math.pi / 4 * foot**2
            self.meets("Stevin 1586", "force on the foot", got[f"results.vessels.{k}.base_force"], column, rel=1e-9)


class Swings(PublishedCase):
    def test_newtons_half_swing(self):
        # a liquid 1 m long in a tube of one bore swings like a pendulum of half that length: 1.418 75 s
        got = values(
            joined(
                [{"bottom_diameter": "20 mm", "height": "40 cm"}] * 2,
                poured=f"{math.pi / 4 * 0.02**2 * 1.0 * 1000} L",
                link_length="60 cm",
                link_bore="20 mm",
                liquid={"density": "1003 kg/m^3"},
            )
        )
        self.assertAlmostEqual(got["results.level"], 0.2, places=9)
        self.meets(NEWTON, "1 m of liquid", got["results.swing_period"], 1.41875, rel=1e-5)
        self.assertIsNone(got["results.settling_time"])

    def test_arms_of_two_widths(self):
        one, other, link = (math.pi / 4 * d**2 for d in (0.05, 0.03, 0.012))
        omega = float(swing_rate(G0, 0.2 / one + 0.2 / other + 0.8 / link, 1 / one + 1 / other))

        def move(t, y):
            """Volume moved and its rate: the pressure of the levels against the inertia of each part."""
            return [y[1], -G0 * y[0] * (1 / one + 1 / other) / (0.2 / one + 0.2 / other + 0.8 / link)]

        def down(t, y):
            return y[0]

        found = solve_ivp(move, (0, 20), [1e-5, 0.0], events=down, rtol=1e-10, atol=1e-14)
        self.meets(DAMPED, "two widths", 2 * math.pi / omega, 4 * float(found.t_events[0][0]), rel=1e-6)

    def test_settling_to_a_hundredth(self):
        """The slower of the two exponentials of x'' + 2 gamma x' + omega^2 x = 0."""
        for omega, gamma in ((1.2, 3.0), (0.8, 2.5), (2.0, 2.0)):
            found = solve_ivp(
                lambda t, y, w, c: [y[1], -2 * c * y[1] - w**2 * y[0]], (0, 200), [1.0, 0.0], args=(omega, gamma), rtol=1e-10, atol=1e-14, dense_output=True
            )
            rate = gamma - math.sqrt(max(gamma**2 - omega**2, 0.0))
            late = 30.0 / rate if gamma > omega else 4.0
            if gamma > omega:  # the decay far out is that of the slow exponential alone
                slope = math.log(float(found.sol(0.2 * late)[0]) / float(found.sol(0.4 * late)[0])) / (0.2 * late)
                self.meets(DAMPED, "creeps", float(settling_time(omega, gamma)), math.log(100) / slope, rel=2e-3)
            else:
                self.assertAlmostEqual(float(settling_time(omega, gamma)), math.log(100) / omega, places=9)

    def test_rates_of_friction(self):
        # Poiseuille: 32 mu v L/d^2 against rho L dv/dt gives v' = -2 (16 nu/d^2) v; Stokes' layer sqrt(2 nu/omega) thick takes sqrt(2 nu omega)/d
        self.meets("Poiseuille 1846, by hand", "creep", float(creeping_rate(1.004e-6, 0.006)), 32 * 1.004e-6 / 0.006**2 / 2, rel=1e-12)
        layer = math.sqrt(2 * 1.004e-6 / 5.1)
        self.meets("Stokes 1851, by hand", "layer", float(layer_rate(1.004e-6, 5.1, 0.012)), 5.1 * layer / 0.012, rel=1e-12)
