"""The plugged manometer against a root finder, steam tables and the standard atmosphere, by numbers of their own."""

from __future__ import annotations

import math

from CoolProp.CoolProp import PropsSI
from scipy.optimize import brentq
from scipy.stats import linregress

from tests.support.documents import bare, values
from tests.support.published import PublishedCase

GAS = "laws of Boyle, Amontons and Dalton, by scipy's brentq"
STEAM = "IAPWS R6-95, water by CoolProp"
HYPSOMETRIC = "hypsometric equation, WMO-No. 8"
G0, SPECIFIC = 9.80665, 8.31432 / 0.0289644


def vapour(kelvin: float) -> float:
    return float(PropsSI("P", "T", kelvin, "Q", 0, "Water"))


def plugged(room=None, **changes):
    setup = {
        "liquid": "water",
        "arm_area": "142 mm^2",
        "seal_volume": "38 mL",
        "seal_pressure": "962.3 hPa",
        "seal_temperature": "20.5 degC",
        "seal_reading": "3 mm",
        "seal_humidity": 0.8,
        "gas_lag": "0.6 K",
    }
    return bare("sealed-manometer", {**setup, **changes}, **({"station_pressure": "948 hPa", "temperature": "14 degC"} if room is None else room))


RHO = float(PropsSI("D", "T", 287.15, "P", 101_325, "Water"))


def outside(reading: float, kelvin: float = 287.75) -> float:
    """The pressure that a reading means, worked out from the sealing step by step."""
    start = 96_230 - RHO * G0 * 0.003 - 0.8 * vapour(293.65)
    room = 38e-6 - 142e-6 * (reading - 0.003) / 2
    return start * 38e-6 / room * kelvin / 293.65 + vapour(kelvin) + RHO * G0 * reading


class Readings(PublishedCase):
    def test_what_a_reading_means(self):
        for reading in (-0.05, -0.012, 0.0, 0.03):
            self.meets(GAS, "pressure outside", values(plugged(reading=f"{reading} m"))["results.pressure"], outside(reading), rel=1e-5)

    def test_the_reading_expected(self):
        wanted = float(brentq(lambda r: outside(r) - 94_800, -0.5, 0.4))
        self.meets(GAS, "reading expected", values(plugged())["results.expected_reading"], wanted, abs_=2e-6)

    def test_a_metre_and_a_kelvin(self):
        def expected(pressure: float, kelvin: float) -> float:
            return float(brentq(lambda r: outside(r, kelvin) - pressure, -0.5, 0.4, xtol=1e-14))

        got = values(plugged())
        metre = 94_800 * (1 - math.exp(-G0 / (SPECIFIC * 287.15)))
        self.meets(GAS, "reading per metre", got["results.reading_per_metre"], expected(94_800 - metre, 287.75) - expected(94_800, 287.75), rel=1e-4)
        self.meets(GAS, "reading per kelvin", got["results.reading_per_kelvin"], (expected(94_800, 287.85) - expected(94_800, 287.65)) / 0.2, rel=2e-4)
        following = expected(94_800 - metre, 287.75 - 0.0065) - expected(94_800, 287.75)
        self.meets(GAS, "following the air's warmth", got["results.reading_per_metre_following"], following, rel=1e-3)

    def test_what_a_kelvin_does_to_the_pressure_is_steam_as_well_as_air(self):
        got = values(plugged(reading="-8 mm"))["results.per_kelvin"]
        self.meets(STEAM, "per kelvin", got, (outside(-0.008, 287.85) - outside(-0.008, 287.65)) / 0.2, rel=2e-4)


class Heights(PublishedCase):
    def test_climb_by_the_hypsometric_equation(self):
        got = values(plugged(reading="-21 mm"))
        self.meets(HYPSOMETRIC, "climb", got["results.climb"], SPECIFIC * 287.15 / G0 * math.log(96_230 / outside(-0.021)), abs_=0.05)

    def test_a_layer_of_the_tables(self):
        # the layer from 1000 to 900 hPa at 288.15 K is 888.7 m thick
        dry = {"density": "1 kg/m^3"}
        got = values(
            plugged(
                {"station_pressure": "900 hPa", "temperature": "15 degC"},
                liquid=dry,
                seal_pressure="1000 hPa",
                seal_temperature="15 degC",
                seal_reading="0 mm",
                gas_lag="0 K",
                reading=f"{-2 * 38e-6 / 142e-6 * (1000 / 900 - 1):.9f} m",
            )
        )
        self.meets(HYPSOMETRIC, "layer from 1000 to 900 hPa", got["results.climb"], 888.7, abs_=0.2)

    def test_stops_at_their_heights(self):
        room = {"station_pressure": "948 hPa", "temperature": "14 degC", "elevation": "410 m"}
        got = values(plugged(room, stops=[{"elevation": "560 m", "temperature": "11 degC"}]))
        there = 94_800 * math.exp(-150 * G0 / (SPECIFIC * 284.15))
        self.meets(HYPSOMETRIC, "pressure at a stop", got["results.stops.0.station_pressure"], there, rel=1e-9)
        expected = float(brentq(lambda r: outside(r, 284.75) - there, -0.5, 0.4))
        self.meets(GAS, "reading at a stop", got["results.stops.0.expected_reading"], expected, abs_=3e-6)

    def test_the_gradient_fitted(self):
        heights, readings = (410, 455, 520, 618), (0.001, -0.002, -0.0045, -0.0113)
        stops = [{"elevation": f"{z} m", "reading": f"{r} m"} for z, r in zip(heights, readings, strict=True)]
        got = values(plugged({"station_pressure": "948 hPa", "elevation": "410 m"}, stops=stops))
        self.meets("straight line by scipy's linregress", "gradient", got["results.fitted_gradient"], float(linregress(heights, readings).slope), rel=1e-9)
