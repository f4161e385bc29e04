"""Columns, covers and rooms against published values and general reference libraries."""

from __future__ import annotations

import math
import unittest

import numpy as np
from scipy.optimize import brentq

from hydrostatics.laws import atmosphere, columns, dissolved_air, hydrostatic, walls
from hydrostatics.liquids.catalogue import catalogue
from hydrostatics.quantities.tables import pressure_in_every_unit
from hydrostatics.works.quick_line import quick_line
from tests.support.documents import predicted
from tests.support.published import PublishedCase

G0 = 9.80665


def document(demonstration: str, setup: dict, **room: str) -> dict:
    return {"anchorage": 1, "demonstration": demonstration, "room": room, "setup": setup}


class Sourced(PublishedCase):
    """Checks of one test stand for one table of its source."""

    source = ""

    def met(self, got: float, value: float, *, relative: float = 0.0, absolute: float = 0.0) -> None:
        self.meets(self.source, self._testMethodName, float(got), value, rel=relative, abs_=absolute)


class Room(Sourced):
    def test_altimeter_setting_inverted(self):
        self.source = "ISO 2533:1975, inverted"
        self.met(atmosphere.station_from_altimeter(101000.0, 300.0), 97457.0, absolute=1.5)
        self.met(atmosphere.station_from_altimeter(101325.0, 2000.0), 79495.2, absolute=0.1)

    def test_layer_between_two_pressures(self):
        self.source = "WMO-No. 8, hypsometric equation"
        self.met(atmosphere.layer_thickness(100000.0, 90000.0, 288.15, G0), 888.7, absolute=0.1)

    def test_reduction_to_sea_level_of_the_standard_atmosphere(self):
        self.source = "ISO 2533:1975, table 5 by its formula"
        for height in (250.0, 640.0, 1500.0):
            temperature = 288.15 - 0.0065 * height
            self.met(atmosphere.reduced_to_sea_level(atmosphere.standard_pressure(height), height, temperature), 101325.0, relative=1e-9)

    def test_a_reduction_undone(self):
        self.source = "WMO-No. 8, reduction to sea level, with ISO 2533:1975's atmosphere"
        for height, pressure in ((500.0, 95460.8), (1000.0, 89874.6), (2000.0, 79495.2)):
            self.met(atmosphere.reduced_from_sea_level(101325.0, height, 288.15 - 0.0065 * height), pressure, absolute=0.1)


class Mercury(Sourced):
    def test_its_density(self):
        self.source = "CRC Handbook, density of mercury (from memory)"
        at = catalogue()["mercury"].properties["density"].at
        for celsius, density in ((20, 13545.9), (25, 13533.6), (30, 13521.3)):
            self.met(at(celsius + 273.15), density, relative=1e-4)

    def test_its_vapour_pressure(self):
        self.source = "Huber, Laesecke, Friend, NISTIR 6643 (from memory, given room)"
        self.met(catalogue()["mercury"].properties["vapour_pressure"].at(298.15), 0.25, relative=0.06)

    def test_its_surface_tension(self):
        self.source = "CRC Handbook, surface tension of common liquids (from memory)"
        self.met(catalogue()["mercury"].properties["surface_tension"].at(298.15), 0.485, relative=0.005)

    def test_temperature_reduction_of_a_barometer(self):
        self.source = "WMO-No. 8, part I, annex 3.A (coefficients from memory)"
        scale = 1.84e-5
        for hectopascal, celsius, correction in ((1000.0, 20.0, -3.26), (1000.0, 30.0, -4.88), (760.0, 25.0, -3.09)):
            got = predicted(
                document("barometer", {"liquid": "mercury", "tube_length": "1 m", "bore": "8 mm"}, temperature=f"{celsius} degC", station_pressure="1000 hPa")
            )
            ratio = got["results"]["reduced_column"]["value"] / got["results"]["column_height"]["value"]
            # our reduction leaves the brass scale out: its expansion is put back here
            self.met(hectopascal * (ratio * (1 + scale * celsius) - 1), correction, absolute=0.03)


class OtherLiquids(Sourced):
    def test_ethanol(self):
        self.source = "Schroeder et al. 2014; Mulero et al. 2012"
        properties = catalogue()["ethanol"].properties
        for key, value in (("density", 785.1), ("vapour_pressure", 7890.0), ("surface_tension", 0.0219)):
            self.met(properties[key].at(298.15), value, relative=0.0125)

    def test_ethanol_over_temperature_against_another_library(self):
        self.source = "Schroeder et al. 2014, by CoolProp"
        from CoolProp.CoolProp import PropsSI

        properties = catalogue()["ethanol"].properties
        for temperature in (278.15, 308.15, 338.15):
            self.met(properties["density"].at(temperature), PropsSI("D", "T", temperature, "P", 101325, "Ethanol"), relative=0.0005)
        for temperature in (288.15, 318.15):
            self.met(properties["vapour_pressure"].at(temperature), PropsSI("P", "T", temperature, "Q", 0, "Ethanol"), relative=0.02)

    def test_sea_water(self):
        self.source = "UNESCO Technical Papers 44 (1983), check values of EOS-80 (from memory)"
        at = catalogue()["salt water"].properties["density"].at
        for celsius, density in ((5, 1027.675), (25, 1023.343)):
            self.met(at(celsius + 273.15, 0.035), density, relative=2e-5)

    def test_brines_of_other_salinities(self):
        self.source = "Sharqawy et al. 2010, seawater property tables, by CoolProp"
        from CoolProp.CoolProp import PropsSI

        properties = catalogue()["salt water"].properties
        for salinity, celsius in ((0.01, 10), (0.02, 20), (0.04, 30)):
            fluid = f"INCOMP::MITSW[{salinity}]"
            self.met(properties["density"].at(celsius + 273.15, salinity), PropsSI("D", "T", celsius + 273.15, "P", 101325, fluid), relative=3e-4)
        for salinity, celsius in ((0.02, 20), (0.04, 30)):
            self.met(
                properties["viscosity"].at(celsius + 273.15, salinity),
                PropsSI("V", "T", celsius + 273.15, "P", 101325, f"INCOMP::MITSW[{salinity}]"),
                relative=0.02,
            )

    def test_glycerol_and_isopropanol(self):
        self.source = "CRC Handbook, physical constants of organic compounds (from memory)"
        for name, density in (("glycerol", 1261.3), ("isopropanol", 785.5)):
            self.met(catalogue()[name].properties["density"].at(293.15), density, relative=0.0025)

    def test_sugar_syrup(self):
        self.source = "NBS Circular C440, 65 % sucrose (from memory)"
        self.met(catalogue()["sugar syrup"].properties["density"].at(293.15), 1316.3, relative=5e-4)


class Dissolved(Sourced):
    def test_henrys_constants(self):
        self.source = "IAPWS G7-04, by iapws"
        from iapws._iapws import _Henry

        vapour = catalogue()["water"].properties["vapour_pressure"].at
        for gas, symbol in (("nitrogen", "N2"), ("oxygen", "O2"), ("argon", "Ar")):
            self.met(dissolved_air.henry_constant(gas, 298.15, vapour(298.15)), 1e6 * _Henry(298.15, symbol), relative=2e-4)

    def test_henrys_constants_as_published(self):
        self.source = "IAPWS G7-04, 298.15 K"
        vapour = catalogue()["water"].properties["vapour_pressure"].at(298.15)
        for gas, constant in (("nitrogen", 8.560e9), ("oxygen", 4.364e9), ("argon", 3.966e9)):
            self.met(dissolved_air.henry_constant(gas, 298.15, vapour), constant, relative=2e-3)

    def test_oxygen_in_saturated_water(self):
        self.source = "Benson and Krause 1984 (from memory)"
        water = catalogue()["water"].properties
        vapour, density = water["vapour_pressure"].at(293.15), water["density"].at(293.15)
        fraction = 0.20946 * (101325.0 - vapour) / dissolved_air.henry_constant("oxygen", 293.15, vapour)
        self.met(fraction * density / 0.018015268 * 31.998, 9.09, relative=0.012)

    def test_air_in_saturated_water(self):
        self.source = "Weiss, Deep-Sea Research 17 (1970), solubility of nitrogen, oxygen, argon (from memory, given room)"
        water = catalogue()["water"].properties
        # 11.9, 6.36 and 0.31 mL of gas at 0 degC and 1 atm to the litre of fresh water at 20 degC under damp air at 1 atm
        held = dissolved_air.dissolved_air(293.15, 101325.0, water["vapour_pressure"].at(293.15), water["density"].at(293.15))
        self.met(held, (11.9 + 6.36 + 0.31) / 22.39, relative=0.015)


class Columns(Sourced):
    def test_jurins_height_in_clean_glass(self):
        self.source = "Jurin, Phil. Trans. 30, with IAPWS properties"
        for bore, rise in ((0.4e-3, 74.30e-3), (1.0e-3, 29.72e-3)):
            self.met(hydrostatic.jurin_height(0.0727361, 0.0, 998.207, G0, bore), rise, relative=2e-4)

    def test_a_column_under_gas_against_a_root_finder(self):
        self.source = "Boyle's law, by scipy's brentq"
        for pressure, weight, length, gas in ((98e3, 9790.0, 0.6, 1.2e4), (70e3, 9790.0, 11.0, 5e3), (101e3, 133e3, 0.9, 400.0)):
            expected = brentq(lambda x, p=pressure, w=weight, n=length, c=gas: (p - w * x) * (n - x) - c, -50.0, length - 1e-12)
            self.met(columns.column_under_gas(pressure, weight, length, gas), expected, relative=1e-9)

    def test_a_covers_sink_against_a_root_finder(self):
        self.source = "Boyle's law, by scipy's brentq"
        for air, pressure, top, vapour in ((0.05, 1.0e5, 9.91e4, 2339.0), (0.3, 9.4e4, 8.9e4, 1900.0)):
            expected = brentq(lambda s, a=air, p=pressure, t=top, v=vapour: (p - v) * a / (a + s) + v - t, 0.0, 1.0)
            self.met(columns.card_sink(air, pressure - vapour, top, vapour), expected, relative=1e-9)

    def test_the_edge_of_a_puddle(self):
        self.source = "de Gennes, Brochard-Wyart, Quéré, ch. 2: 2 sin(theta/2) capillary lengths"
        for length in (2.7e-3, 1.5e-3):
            self.met(hydrostatic.rim_bridge(length), 2 * length * math.sin(math.radians(45)), relative=1e-9)

    def test_two_handbook_barometers(self):
        self.source = "NIST SP 811 (2008), conventional mercury and water columns"
        mercury = {"density": "13595.1 kg/m^3", "vapour_pressure": "0 Pa"}
        water = {"density": "1000 kg/m^3", "vapour_pressure": "0 Pa"}
        for liquid, tube, height in ((mercury, "1 m", 0.760), (water, "12 m", 10.3323)):
            got = predicted(document("barometer", {"liquid": liquid, "tube_length": tube, "bore": "8 mm"}))
            self.met(got["results"]["column_height"]["value"], height, relative=5e-6)

    def test_an_amount_of_gas(self):
        self.source = "CODATA 2018, molar volume of an ideal gas"
        self.met(columns.gas_amount(101325.0, 22.413969545e-3, 273.15), 1.0, relative=1e-9)
        self.met(columns.gas_amount(100000.0, 22.710954641e-3, 273.15), 1.0, relative=1e-9)

    def test_boyles_own_table(self):
        self.source = "R. Boyle 1662, table of condensed air (from memory)"
        # air spaces 48, 24, 12 under 29 1/8, 58 13/16, 117 9/16 inches of mercury: their products stay within 1.5 %
        for space, inches in ((24.0, 58 + 13 / 16), (12.0, 117 + 9 / 16)):
            self.met(space * inches, 48 * (29 + 1 / 8), relative=0.015)


class Walls(Sourced):
    def test_a_dry_other_side(self):
        self.source = "Massey, Mechanics of Fluids, centre of pressure of a rectangle"
        self.met(walls.centre_of_pressure(3.0, 0.0), 2.0, relative=1e-12)
        self.met(walls.wall_force(1000.0, G0, 1.0, 3.0, 0.0), 1000 * G0 * 4.5, relative=1e-12)

    def test_water_on_both_sides_by_summing_strips(self):
        self.source = "Massey, by summing strips (numpy)"
        deep, low = 4.4, 1.7
        z = (np.arange(200_000) + 0.5) / 200_000 * deep
        net = z - np.maximum(z - (deep - low), 0)
        self.met(walls.centre_of_pressure(deep, low), float((net * z).sum() / net.sum()), relative=1e-6)

    def test_a_circle(self):
        self.source = "geometry, by math"
        self.met(walls.disc_area(0.3), math.pi * 0.15**2, relative=1e-12)


class Units(Sourced):
    def test_a_pressure_in_every_unit(self):
        self.source = "NIST SP 811 (2008)"
        told = pressure_in_every_unit(101325.0)
        for unit, value in (("psi", 14.695949), ("torr", 760.0), ("inHg", 29.921252), ("mH2O", 10.332275), ("atm", 1.0)):
            self.met(told[unit], value, relative=2e-7)

    def test_the_same_pressure_by_another_library(self):
        self.source = "NIST SP 811 (2008), by scipy.constants"
        from scipy import constants

        told = pressure_in_every_unit(250000.0)
        for unit, factor in (("psi", constants.psi), ("bar", constants.bar), ("torr", constants.torr)):
            self.met(told[unit], 250000.0 / factor, relative=1e-9)

    def test_the_quick_line(self):
        self.source = "NIST SP 811 (2008), conventional factors"
        from hydrostatics.documents.reader import read_room

        room = read_room({})
        for text, number in (("1 atm in torr", 760.0), ("100 ft in m", 30.48), ("1 inHg in Pa", 3386.0), ("1 bar in psi", 14.5)):
            self.met(float(quick_line(text, room).answer.split("\u00a0")[0].replace("\u202f", "")), number, relative=5e-4)


class Practice(Sourced):
    """Facts of the trade, for checks alone."""

    source = "common practice, no published source"

    def test_barometers(self):
        textbook = document("barometer", {"liquid": "water", "tube_length": "12 m", "bore": "10 mm"}, constants="textbook", station_pressure="86.105 kPa")
        got = predicted(textbook)["results"]
        self.met(got["ideal_column_height"]["value"], 8.79, absolute=0.005)
        self.met(got["vapour_depression"]["value"], 0.24, absolute=0.005)
        for trapped, reads in ((1, 75), (2, 74)):
            gas = {"length": "1 m", "pressure": f"{trapped * 1333.22:.1f} Pa"}
            liquid = {"density": "13595.1 kg/m^3", "vapour_pressure": "0 Pa"}
            long = document(
                "barometer", {"liquid": liquid, "tube_length": f"{1 + reads / 100} m", "bore": "8 mm", "trapped_gas": gas}, station_pressure="76 cmHg"
            )
            self.met(100 * predicted(long)["results"]["column_height"]["value"], reads, absolute=0.05)

    def test_suction_pumps(self):
        setup = {"liquid": "water", "bore": "20 mm", "lift_height": "9 m", "source_pressure": "0 Pa"}
        got = predicted(document("suction-lift", setup, station_pressure="14.7 psi"))["results"]
        self.met(got["boiling_limit"]["value"] / 0.3048, 33.2, absolute=0.1)

    def test_tubes_closed_at_the_top(self):
        for inches, kilopascal in ((5, 1.25), (10, 2.49), (22, 5.48), (33, 8.22)):
            setup = {"liquid": {"density": "1000 kg/m^3"}, "mouth_diameter": "4 cm", "inside_height": f"{inches} inch", "fill_height": f"{inches} inch"}
            got = predicted(document("inverted-glass", {**setup, "cover": {"kind": "card"}, "ports": [f"{inches} inch"]}))
            self.met(-got["results"]["ports"][0]["gauge_pressure"]["value"] / 1000, kilopascal, absolute=0.006)

    def test_pressures_people_name(self):
        got = predicted(document("depth-pressure", {"liquid": {"density": "1000 kg/m^3"}, "depth": "160 ft"}))["results"]
        self.met(got["equivalents"]["psi"], 69.4, absolute=0.05)
        self.met(got["equivalents"]["atm"], 4.7, absolute=0.05)


if __name__ == "__main__":
    unittest.main()
