"""Water as IAPWS and the handbooks publish it; computed here by one library, checked besides with two others."""

from __future__ import annotations

from hydrostatics.liquids.water import WATER
from tests.support.published import PublishedCase

R7, R1, R12, R6, CRC = "IAPWS R7-97(2012)", "IAPWS R1-76(2014)", "IAPWS R12-08", "IAPWS R6-95(2018)", "CRC Handbook, standard density of water"


def of(name: str, celsius: float) -> float:
    return WATER.properties[name].at(celsius + 273.15)


class Water(PublishedCase):
    def test_vapour_pressure_table_35(self):
        at = WATER.properties["vapour_pressure"].at
        self.meets(R7, "table 35", at(300.0), 3536.58941, rel=1e-8)
        self.meets(R7, "table 35", at(500.0), 2.63889776e6, rel=1e-8)

    def test_boiling_at_a_tenth_of_a_megapascal_table_36(self):
        self.meets(R7, "table 36", WATER.properties["vapour_pressure"].at(372.755919), 0.1e6, rel=1e-7)

    def test_surface_tension(self):
        for celsius, value in ((20, 72.74), (25, 71.97), (40, 69.60)):
            self.meets(R1, "table 1", 1e3 * of("surface_tension", celsius), value, abs_=0.005)

    def test_density(self):
        # the industrial formulation states its density in this region to 0.003 %; the handbook follows the scientific one
        for celsius, value in ((4, 999.975), (10, 999.702), (25, 997.048), (40, 992.216), (80, 971.790)):
            self.meets(CRC, "water", of("density", celsius), value, rel=3e-5)

    def test_viscosity(self):
        for celsius, value in ((20, 1.0016), (40, 0.6527)):
            self.meets(R12, "values at 1 atm", 1e3 * of("viscosity", celsius), value, abs_=5e-5)

    def test_against_the_scientific_formulation_of_another_library(self):
        from CoolProp.CoolProp import PropsSI

        for celsius in (1, 18, 35, 60, 99):
            kelvin = celsius + 273.15
            self.meets(R6, "density, by CoolProp", of("density", celsius), PropsSI("D", "T", kelvin, "P", 101325, "Water"), rel=3e-5)
            self.meets(R6, "saturation, by CoolProp", of("vapour_pressure", celsius), PropsSI("P", "T", kelvin, "Q", 0, "Water"), rel=2e-4)

    def test_against_a_second_library(self):
        from iapws._iapws import _Tension, _Viscosity
        from iapws.iapws97 import _PSat_T

        for celsius in (5, 22, 41):
            kelvin = celsius + 273.15
            self.meets(R7, "saturation, by iapws", of("vapour_pressure", celsius), _PSat_T(kelvin) * 1e6, rel=1e-9)
            self.meets(R1, "tension, by iapws", of("surface_tension", celsius), _Tension(kelvin), rel=1e-9)
            self.meets(R12, "viscosity, by iapws", of("viscosity", celsius), _Viscosity(of("density", celsius), kelvin), rel=1e-6)
