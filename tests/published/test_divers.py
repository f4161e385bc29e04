"""The diver against Archimedes, Boyle and a steam library, by numbers of their own."""

from __future__ import annotations

from CoolProp.CoolProp import PropsSI
from scipy.optimize import brentq

from tests.support.documents import bare, values
from tests.support.published import PublishedCase

ARCHIMEDES = "Archimedes, On Floating Bodies, by hand"
BOYLE = "Boyle's law for damp air, by scipy's brentq"
STEAM = "IAPWS R6-95, water by CoolProp"
G0 = 9.80665


def water(celsius: float) -> tuple[float, float]:
    """Density and vapour pressure."""
    return float(PropsSI("D", "T", celsius + 273.15, "P", 101_325, "Water")), float(PropsSI("P", "T", celsius + 273.15, "Q", 0, "Water"))


def diver(temperature: float = 21.0, pressure: float = 964.0, **changes):
    setup = {
        "liquid": "water",
        "air_volume": "3.1 mL",
        "diver_mass": "6.87 g",
        "diver_solid_volume": "4.02 mL",
        "bottle_depth": "24 cm",
        "headspace_volume": "11 mL",
        "finger_area": "13 cm^2",
    }
    made = {key: value for key, value in {**setup, **changes}.items() if value is not None}
    return bare("cartesian-diver", made, station_pressure=f"{pressure} hPa", temperature=f"{temperature} degC")


class Floating(PublishedCase):
    def test_margin_by_weighing(self):
        for celsius in (8.0, 21.0, 33.0):
            rho, _ = water(celsius)
            self.meets(ARCHIMEDES, "margin", values(diver(celsius))["results.float_margin"], rho * 7.12e-6 - 6.87e-3, rel=1e-3)

    def test_ballast_loses_the_weight_of_its_water(self):
        rho, _ = water(21.0)
        got = values(diver(diver_mass=None, diver_solid_volume=None, sinks_with="0.42 g", ballast_density="8500 kg/m^3"))
        self.meets(ARCHIMEDES, "brass under water", got["results.float_margin"], 0.42e-3 * (1 - rho / 8500), rel=1e-5)


class Squeezed(PublishedCase):
    def spare(self, pressure: float, celsius: float = 21.0) -> float:
        """What it still floats with at a pressure at the bottle's top [kg]."""
        rho, p_v = water(celsius)
        return rho * (4.02e-6 + 3.1e-6 * (96_400 - p_v) / (pressure - p_v)) - 6.87e-3

    def test_the_pressure_at_which_it_hovers(self):
        got = values(diver())
        sinks = float(brentq(self.spare, 96_400, 300_000))
        self.meets(BOYLE, "hovers", got["results.sink_pressure"], sinks, rel=2e-4)
        self.meets(BOYLE, "squeeze", got["results.squeeze"], sinks - 96_400, rel=1e-3)

    def test_the_depth_at_which_it_hovers_without_a_squeeze(self):
        rho, _ = water(21.0)
        depth = float(brentq(lambda z: self.spare(96_400 + rho * G0 * z), 0, 30))
        self.meets(BOYLE, "depth of no return", values(diver())["results.return_limit_depth"], depth, rel=1e-3)

    def test_what_the_hand_presses_in(self):
        _, p_v = water(21.0)
        sinks = float(brentq(self.spare, 96_400, 300_000))
        head = 11e-6 * (1 - (96_400 - p_v) / (sinks - p_v))
        air = 3.1e-6 * (1 - (96_400 - p_v) / (sinks - p_v))
        self.meets(
            BOYLE,
            "volume pressed in",
            values(diver(bottle_compliance="0.2 mL/kPa"))["results.squeeze_volume"],
            head + air + 0.2e-9 * (sinks - 96_400),
            rel=1e-3,
        )

    def test_ballast_to_the_milligram(self):
        """With the ballast told hung on, it hovers at just the squeeze wanted."""
        told = values(diver(target_squeeze="6 kPa"))["results.ballast_to_add"]
        rho, _ = water(21.0)
        self.meets(BOYLE, "ballast", told * (1 - rho / 7850), self.spare(102_400), rel=2e-3)


class Weather(PublishedCase):
    def test_a_kelvin_and_a_hectopascal(self):
        """Damp air at one pressure swells as T/(p - p_v); the water under it grows lighter."""

        def margin(celsius: float, pressure: float) -> float:
            rho, p_v = water(celsius)
            dry = (96_400 - water(21.0)[1]) * 3.1e-6 / 294.15
            return rho * (4.02e-6 + dry * (celsius + 273.15) / (pressure - p_v)) - 6.87e-3

        got = values(diver())
        self.meets(STEAM, "margin per kelvin", got["results.margin_per_kelvin"], (margin(21.2, 96_400) - margin(20.8, 96_400)) / 0.4, rel=2e-3)
        self.meets(STEAM, "margin per pascal", got["results.margin_per_pascal"], (margin(21, 96_450) - margin(21, 96_350)) / 100, rel=1e-3)
