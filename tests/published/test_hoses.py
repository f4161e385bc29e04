"""Flow in hoses and the siphon against a fluids library, Poiseuille's law and whole quadratures."""

from __future__ import annotations

import math

import numpy as np
from fluids.friction import Colebrook, friction_laminar
from scipy.integrate import quad
from scipy.optimize import brentq

from hydrostatics.laws.pipes import friction_factor, hose_speed
from tests.support.documents import bare, values
from tests.support.published import PublishedCase

LIBRARY = "Colebrook 1939, by the library fluids"
LAMINAR = "Hagen-Poiseuille, by the library fluids and by hand"
ENERGY = "energy of a hose with Colebrook's friction, by scipy's brentq"
G0 = 9.80665
OIL = {"density": "905 kg/m^3", "viscosity": "74 mPa*s", "vapour_pressure": "0 Pa"}


def friction(reynolds: float, rough: float = 0.0) -> float:
    """Darcy's factor as the contract joins it, from the library's."""
    if reynolds <= 2300:
        return float(friction_laminar(reynolds))
    end = float(Colebrook(4000.0, rough)) if reynolds < 4000 else float(Colebrook(reynolds, rough))
    return end if reynolds >= 4000 else 64 / 2300 + (reynolds - 2300) / 1700 * (end - 64 / 2300)


def siphon(**changes):
    setup = {"liquid": "water", "crest": "31 cm", "drop": "74 cm", "bore": "11 mm", "length": "2.6 m", "loss_coefficient": 0.5, "friction_factor": 1}
    return bare("siphon", {**setup, **changes}, station_pressure="948 hPa", temperature="17 degC")


class Friction(PublishedCase):
    def test_colebrooks_equation(self):
        for reynolds, rough in ((4000, 0.0), (1e4, 0.0), (3e4, 1e-3), (1e5, 1e-4), (1e6, 5e-3)):
            self.meets(
                LIBRARY, "friction factor", float(friction_factor(np.array([reynolds]), np.array([rough]))[0]), float(Colebrook(reynolds, rough)), rel=1e-9
            )

    def test_figures_of_a_textbooks_table(self):
        # Colebrook's equation at Re 1e5: roughness/bore 1e-4 gives 0.018514, smooth 0.017990; smooth at Re 1e4 0.030883
        for reynolds, rough, figure in ((1e5, 1e-4, 0.018514), (1e5, 0.0, 0.017990), (1e4, 0.0, 0.030883)):
            self.meets("Colebrook 1939", "table", float(friction_factor(np.array([reynolds]), np.array([rough]))[0]), figure, rel=5e-5)

    def test_laminar_and_between(self):
        for reynolds in (0.3, 40.0, 1200.0, 2300.0):
            self.meets(LAMINAR, "64/Re", float(friction_factor(np.array([reynolds]), np.zeros(1))[0]), float(friction_laminar(reynolds)), rel=1e-12)
        for reynolds in (2600.0, 3400.0):
            self.assertAlmostEqual(float(friction_factor(np.array([reynolds]), np.zeros(1))[0]), friction(reynolds), places=12)


class Speed(PublishedCase):
    def expected(self, drop: float, bore: float, length: float, nu: float, loss: float, factor: float, rough: float) -> float:
        def spare(v: float) -> float:
            return (1 + loss + factor * friction(v * bore / nu, rough / bore) * length / bore) * v**2 / 2 - G0 * drop

        return float(brentq(spare, 1e-9, 1.01 * math.sqrt(2 * G0 * drop), xtol=1e-14, rtol=1e-13))

    def test_any_hose_from_creeping_to_rough(self):
        rng = np.random.default_rng(11)
        seen = set()
        for _ in range(400):
            case = (
                10 ** rng.uniform(-2, 1),
                10 ** rng.uniform(-2.6, -1.2),
                10 ** rng.uniform(-0.5, 1.8),
                10 ** rng.uniform(-6.3, -4),
                rng.uniform(0, 4),
                rng.uniform(0.5, 2),
                float(rng.choice((0.0, 1e-4))),
            )
            drop, bore, length, nu, loss, factor, rough = case
            got = float(hose_speed(*(np.array([x]) for x in (drop, G0, bore, length, loss, factor, rough, nu)))[0])
            reynolds = got * bore / nu
            seen.add("laminar" if reynolds <= 2300 else "between" if reynolds < 4000 else "turbulent")
            self.assertLess(abs(got / self.expected(*case) - 1), 1e-8, case)
        self.assertEqual(seen, {"laminar", "between", "turbulent"})
        for case in ((0.74, 0.011, 2.6, 1.0e-6, 0.5, 1.0, 0.0), (4.0, 0.019, 12.0, 1.1e-6, 1.5, 1.2, 1e-4), (0.3, 0.004, 1.0, 6e-5, 0.5, 1.0, 0.0)):
            drop, bore, length, nu, loss, factor, rough = case
            got = float(hose_speed(*(np.array([x]) for x in (drop, G0, bore, length, loss, factor, rough, nu)))[0])
            self.meets(ENERGY, "speed", got, self.expected(*case), rel=1e-9)

    def test_a_thin_hose_of_oil_flows_as_poiseuille_says(self):
        got = values(siphon(liquid=OIL, bore="3 mm", length="4 m", drop="60 cm"))
        # pi d^4 rho g drop/(128 mu L), the loss of speed itself being a millionth here
        flow = math.pi * 0.003**4 * 905 * G0 * 0.6 / (128 * 0.074 * 4)
        self.meets(LAMINAR, "flow", got["results.flow"], flow, rel=1e-4)
        half = values(siphon(liquid=OIL, bore="1.5 mm", length="4 m", drop="60 cm"))
        self.meets(LAMINAR, "half the bore, a sixteenth", got["results.flow"] / half["results.flow"], 16.0, rel=1e-4)

    def test_a_short_wide_hose_without_friction_is_torricellis(self):
        thin = {"density": "998 kg/m^3"}
        self.meets("Torricelli 1644", "speed", values(siphon(liquid=thin, loss_coefficient=0))["results.speed"], math.sqrt(2 * G0 * 0.74), rel=1e-9)


class Crest(PublishedCase):
    def test_bernoulli_to_the_crest(self):
        got = values(siphon())
        rho, nu = 998.776, 1.0798e-3 / 998.776  # CRC Handbook, water at 17 degC: 998.774 kg/m3, 1.080 mPa s
        v = got["results.speed"]
        up = 2.6 * 0.31 / (2 * 0.31 + 0.74)
        lost = (1 + 0.5 + friction(v * 0.011 / nu) * up / 0.011) * rho * v**2 / 2
        self.meets("Bernoulli's theorem with losses, by hand", "crest", got["results.crest_pressure"], 94_800 - rho * G0 * 0.31 - lost, abs_=12)

    def test_it_breaks_where_water_boils(self):
        # IAPWS R7-97: water at 45 degC has 9.595 kPa, 990.21 kg/m3
        got = values(
            bare(
                "siphon",
                {"liquid": "water", "crest": "8 m", "drop": "1 m", "bore": "10 mm", "length": "20 m"},
                station_pressure="700 hPa",
                temperature="45 degC",
            )
        )
        self.meets("IAPWS R7-97", "highest crest at 45 degC", got["results.crest_limit"], (70_000 - 9595) / (990.21 * G0), rel=1e-3)


class Emptying(PublishedCase):
    def test_against_a_whole_quadrature(self):
        """The regime changes on the way from turbulent to laminar, where the integrand has kinks."""
        for bore, liquid, nu in (("11 mm", "water", 1.0811e-6), ("6 mm", {"density": "950 kg/m^3", "viscosity": "3.1 mPa*s"}, 3.1e-3 / 950)):
            d = float(bore.split()[0]) / 1000
            got = values(siphon(bore=bore, liquid=liquid, upper_area="300 cm^2", lower_area="500 cm^2", draw_depth="44 cm"))["results.time_to_empty"]

            def per_depth(z: float, d: float = d, nu: float = nu) -> float:
                v = Speed().expected(0.74 - 1.6 * z, d, 2.6, nu, 0.5, 1.0, 0.0)
                return 0.03 / (math.pi / 4 * d**2 * v)

            self.meets("quadrature by scipy's quad", f"bore {bore}", got, quad(per_depth, 0, 0.44, limit=200)[0], rel=1e-3)
