"""Gas closed in: damp or dry, warmed, dissolved; against a root finder and the gas laws, by numbers of its own."""

from __future__ import annotations

from typing import Any

from scipy.optimize import brentq

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.laws.columns import GAS_CONSTANT
from hydrostatics.laws.dissolved_air import dissolved_air
from tests.support.documents import answered
from tests.support.published import PublishedCase

BOYLE = "Boyle's law with Dalton's, by scipy's brentq"
HENRY = "IAPWS G7-04 with Dalton's law, by scipy's brentq"
G0 = 9.80665


def results(key: str, setup: dict[str, Any], room: dict[str, Any] | None = None) -> dict[str, Any]:
    start = by_key()[key].guide.starts[0]["document"]
    got: dict[str, Any] = answered({**start, "room": room or {"station_pressure": "948 hPa", "temperature": "20 degC"}, "setup": setup})["results"]
    return got


class ClosedIn(PublishedCase):
    GLASS: dict[str, Any] = {"liquid": "water", "mouth_diameter": "66 mm", "inside_height": "14 cm", "fill_height": "9 cm", "cover": {"kind": "card"}}

    def sink(self, **changes: Any) -> float:
        return float(results("inverted-glass", {**self.GLASS, **changes})["card_drop"]["value"])

    def expected(self, humidity: float, warming: float, p_v: float, p_v_warm: float) -> float:
        """The sink at which dry air and vapour together come down to the pressure at the column's top."""
        top = 94_800 - 998.206 * G0 * 0.09
        dry = (94_800 - humidity * p_v) * (293.15 + warming) / 293.15
        return float(brentq(lambda s: dry * 0.05 / (0.05 + s) + p_v_warm - top, -0.01, 1.0))

    def test_damp_air_dry_air_and_air_warmed_by_a_hand(self):
        # vapour pressure of water 2339.2 Pa at 20 and 2811 Pa at 23 degC, IAPWS-IF97
        for humidity, warming, warm in ((1.0, 0.0, 2339.2), (0.4, 0.0, 2339.2), (1.0, 3.0, 2811.0), (0.4, 3.0, 2811.0)):
            with self.subTest(humidity=humidity, warming=warming):
                got = self.sink(gas_humidity=humidity, gas_warming=f"{warming} K")
                self.meets(BOYLE, "cover's sink", got, self.expected(humidity, warming, 2339.2, warm), rel=2e-3)

    def test_a_hand_may_be_what_makes_it_fall(self):
        self.assertGreater(self.sink(gas_warming="3 K"), 1.5 * self.sink())

    def test_a_warming_is_a_difference_and_no_point_on_a_scale(self):
        from hydrostatics.errors import Refusal

        with self.assertRaisesRegex(Refusal, "difference"):
            self.sink(gas_warming="3 degC")

    def test_vapour_stated_outright_stays_that_of_the_room(self):
        own = {"density": "998 kg/m^3", "vapour_pressure": "2 kPa", "surface_tension": "72 mN/m"}
        top = 94_800 - 998 * G0 * 0.09
        dry = (94_800 - 2000) * (296.15 / 293.15)
        self.assertAlmostEqual(self.sink(liquid=own, gas_warming="3 K"), 0.05 * (dry / (top - 2000) - 1), places=9)

    def test_gas_no_denser_than_the_vapour_is_no_gas(self):
        tube = {"liquid": "water", "bore": "16 mm", "tube_length": "70 cm", "lift": "40 cm"}
        hot = {"station_pressure": "948 hPa", "temperature": "60 degC"}
        wet = results("lifted-column", {**tube, "trapped_gas": {"length": "10 cm", "pressure": "15 kPa"}}, hot)
        none = results("lifted-column", tube, hot)
        for key in ("level", "gas_pressure", "gas_length"):
            self.assertAlmostEqual(wet[key]["value"], none[key]["value"], places=9)
        self.assertEqual(wet["dry_gas_pressure"]["value"], 0)
        self.assertIsNone(wet["level_equal_lift"])

    def test_gas_that_has_gone_is_not_counted_for_equal_levels(self):
        tube = {"liquid": "water", "bore": "16 mm", "tube_length": "70 cm", "trapped_gas": {"length": "60 cm", "pressure": "1300 hPa"}, "lift": "5 cm"}
        got = results("lifted-column", tube)
        left = got["dry_gas_amount"]["value"] * GAS_CONSTANT * 293.15 / (3.141592653589793 / 4 * 0.016**2)
        self.assertAlmostEqual(got["level_equal_lift"]["value"], left / (94_800 - 2339.2), delta=2e-5)
        self.assertLess(got["level_equal_lift"]["value"], 0.6 * 130_000 / 94_800 - 0.05)


class Dissolved(PublishedCase):
    def test_what_its_own_pressure_keeps_dissolved_stays(self):
        got = results("barometer", {"liquid": "water", "tube_length": "11 m", "bore": "12 mm", "air_saturation": 0.9})
        p_v, rho, drive = 2339.2, 998.206, 94_800 - 2339.2
        held = dissolved_air(293.15, 94_800.0, p_v, rho) * GAS_CONSTANT * 293.15 * 11

        def balance(x: float) -> float:
            gas = drive - rho * G0 * x
            return gas * (11 - x) - max(0.0, 0.9 - gas / drive) * held

        self.meets(HENRY, "barometer of tap water", got["level_with_air"]["value"], brentq(balance, 1.0, drive / (rho * G0) - 1e-9), rel=1e-4)

    def test_a_tube_too_short_for_a_bubble_gives_nothing_off(self):
        got = results("barometer", {"liquid": "water", "tube_length": "80 cm", "bore": "12 mm", "air_saturation": 0.5})
        self.assertAlmostEqual(got["level_with_air"]["value"], 0.8, places=9)


class Forces(PublishedCase):
    def test_a_mouth_sucks_as_hard_in_thin_air(self):
        straw = {"liquid": "water", "bore": "7 mm", "lift_height": "2 m", "source_suction": "30 kPa"}
        here, hut = (
            results("suction-lift", straw, {"station_pressure": p, "temperature": "20 degC"})["source_limit"]["value"] for p in ("1013 hPa", "700 hPa")
        )
        self.assertAlmostEqual(here, hut, places=9)
        self.assertAlmostEqual(here, 30_000 / (998.206 * G0), places=4)

    def test_no_mouth_goes_below_nothing_or_below_what_boils(self):
        straw = {"liquid": "water", "bore": "7 mm", "lift_height": "2 m", "source_suction": "90 kPa"}
        got = results("suction-lift", straw, {"station_pressure": "500 hPa", "temperature": "20 degC"})
        self.assertEqual(got["source_limit"]["value"], got["boiling_limit"]["value"])

    def test_along_the_wall_friction_alone_holds(self):
        cup = {"diameter": "6 cm", "air_left": "20 %", "pull_force": "40 N"}
        straight = results("suction-cup", cup)
        along = results("suction-cup", {**cup, "pull_direction": "along", "friction_coefficient": 0.35})
        self.assertAlmostEqual(along["holding_force"]["value"], 0.35 * straight["holding_force"]["value"], places=9)
        self.assertEqual(along["pressing_force"]["value"], straight["holding_force"]["value"])
        self.assertEqual(along["limit_force"]["value"], straight["limit_force"]["value"])

    def test_friction_that_nobody_measured_is_what_decides(self):
        cup = {"diameter": "6 cm", "air_left": "20 %", "pull_force": "40 N", "pull_direction": "along"}
        self.assertGreater(results("suction-cup", cup)["margin"]["shares"]["setup.friction_coefficient"], 0.9)
        self.assertEqual(results("suction-cup", {**cup, "pull_direction": "straight"})["margin"]["shares"], {})
