"""The cooling flask against a steam library, a root finder and an equation solver of their own."""

from __future__ import annotations

import math

from CoolProp.CoolProp import PropsSI
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

from tests.support.documents import bare, values
from tests.support.published import PublishedCase

STEAM = "IAPWS R6-95, steam tables by CoolProp"
NEWTON = "Newton's law of cooling, by scipy's solve_ivp"
WINDENBURG = "Windenburg and Trilling 1934, by hand"


def saturation(celsius: float) -> float:
    return float(PropsSI("P", "T", celsius + 273.15, "Q", 0, "Water"))


def flask(**changes):
    setup = {
        "volume": "520 mL",
        "moisture": "saturated",
        "hot_temperature": "86 degC",
        "final_temperature": "22 degC",
        "neck_diameter": "38 mm",
        "stopper_volume": "31 mL",
        "needed_force": "9.5 N",
    }
    return bare("cooling-flask", {key: value for key, value in {**setup, **changes}.items() if value is not None}, station_pressure="953 hPa")


class SteamGone(PublishedCase):
    def test_what_is_left_inside_is_daltons_sum_of_steam_tables_and_cooled_air(self):
        for hot, final in ((55, 12), (70, 22), (86, 22), (95, 40)):
            got = values(flask(hot_temperature=f"{hot} degC", final_temperature=f"{final} degC"))
            left = (95_300 - saturation(hot)) * (final + 273.15) / (hot + 273.15) + saturation(final)
            self.meets(STEAM, f"pressure left, {hot} to {final} degC", got["results.final_pressure"], left, rel=2e-4)

    def test_what_condenses_is_replaced(self):
        """Opened when cold, the room pushes in what brings the dry air back to its share of the room's pressure."""
        got = values(flask())
        air = (95_300 - saturation(86)) * 520e-6 / 359.15
        cold = air * 295.15 / (95_300 - saturation(22))
        self.meets(STEAM, "volume pushed in", got["results.volume_pushed_in"], 520e-6 - cold, rel=1e-3)

    def test_it_moves_where_a_root_finder_says(self):
        area = math.pi / 4 * 0.038**2

        def spare(t: float) -> float:
            return (95_300 - (95_300 - saturation(86)) * t / 359.15 - saturation(t - 273.15)) * area - 9.5

        self.meets(STEAM, "stopper moves", values(flask())["results.moves_at"], brentq(spare, 295.15, 359.15), abs_=0.02)

    def test_it_moves_where_its_own_push_is_what_is_needed(self):
        """Cooled to that temperature and no further, the push is the force needed: by the results themselves, whatever steam is told by."""
        moves = values(flask())["results.moves_at"]
        there = values(flask(final_temperature=f"{moves!r} K"))["results.push_force"]
        self.assertAlmostEqual(there / 9.5, 1.0, delta=1e-9)

    def test_the_stopper_squeezes_what_it_moves_into(self):
        area = math.pi / 4 * 0.038**2
        dry = (95_300 - saturation(86)) * 295.15 / 359.15 * 520 / (520 - 31)
        self.meets(STEAM, "push at the end", values(flask())["results.push_force_end"], (95_300 - dry - saturation(22)) * area, rel=1e-3)


class InTime(PublishedCase):
    def test_newtons_cooling_against_an_equation_solver(self):
        for tau in (40.0, 400.0):
            got = values(flask(cooling_time=f"{tau} s"))
            end = got["results.moves_at"]

            def crossed(t, y, tau, end=end):
                return y[0] - end

            found = solve_ivp(lambda t, y, tau: -(y - 295.15) / tau, (0, 10 * tau), [359.15], events=crossed, args=(tau,), rtol=1e-9, atol=1e-9)
            self.meets(NEWTON, f"tau {tau:g} s", got["results.time_to_move"], float(found.t_events[0][0]), rel=1e-5)


class Cans(PublishedCase):
    def test_a_thin_can(self):
        can = {"diameter": "66 mm", "height": "115 mm", "wall": "0.1 mm", "modulus": "70 GPa", "collapse_factor": 1}
        got = values(flask(neck_diameter=None, needed_force=None, can=can))["results.collapse_pressure"]
        # 2.6 x 70 GPa x (0.1/66)^2.5 x 66/115 = 9.34 kPa
        self.meets(WINDENBURG, "aluminium can", got, 9.34e3, rel=2e-3)
        twice = values(flask(neck_diameter=None, needed_force=None, can={**can, "wall": "0.2 mm"}))["results.collapse_pressure"]
        self.meets(WINDENBURG, "wall to the power 5/2", twice / got, 2**2.5, rel=1e-9)
