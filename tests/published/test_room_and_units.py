"""Gravity, the standard atmosphere, and the conversions of NIST SP 811."""

from __future__ import annotations

import math

from hydrostatics.laws.atmosphere import standard_pressure
from hydrostatics.laws.gravity import normal_gravity
from hydrostatics.quantities.reading import read_quantity
from tests.support.published import PublishedCase

ISO, GRS, SP = "ISO 2533:1975", "GRS80, Moritz 2000", "NIST SP 811 (2008)"


class Room(PublishedCase):
    def test_standard_atmosphere_at_geopotential_heights(self):
        # the heights are geopotential, the contract's choice; geometric ones differ by 0.06 hPa at 2000 m
        for height, value in ((500, 95460.8), (1000, 89874.6), (2000, 79495.2), (4000, 61640.2), (8848, 31444.0)):
            self.meets(ISO, "table 5", standard_pressure(float(height)), value, rel=2e-6)

    def test_the_other_reading_of_the_height_would_be_seen(self):
        self.assertGreater(abs(standard_pressure(2000.0) - 79501.4), 5)

    def test_normal_gravity(self):
        for degrees, value in ((0, 9.78032677), (45, 9.80619920), (90, 9.83218637)):
            self.meets(GRS, "normal gravity", normal_gravity(math.radians(degrees), 0.0), value, rel=2e-9)

    def test_free_air_gradient(self):
        self.meets(GRS, "free air", normal_gravity(0.7, 0.0) - normal_gravity(0.7, 1000.0), 3.086e-3, rel=1e-9)


class Units(PublishedCase):
    def pascals(self, text: str) -> float:
        return read_quantity("x", text, "pressure").si

    def test_pressure(self):
        table = (("1 psi", 6894.75729), ("1 torr", 133.322368), ("1 mmHg", 133.322387415), ("1 inHg", 3386.38864), ("1 atm", 101325.0))
        for text, value in table:
            # half a unit of the last of the nine digits printed
            self.meets(SP, "B.8, pressure", self.pascals(text), value, rel=5e-9)

    def test_columns_of_water(self):
        for text, value in (("1 cmH2O", 98.0665), ("1 inH2O", 249.08891), ("1 ft H2O", 2989.06692)):
            self.meets(SP, "B.8, conventional water", self.pascals(text), value, rel=1e-9)

    def test_force_and_length(self):
        self.meets(SP, "B.8, force", read_quantity("x", "1 lbf", "force").si, 4.4482216, rel=2e-8)
        self.meets(SP, "B.8, length", read_quantity("x", "1 inch", "length").si, 0.0254, rel=1e-15)
        self.meets(SP, "B.8, length", read_quantity("x", "1 ft", "length").si, 0.3048, rel=1e-15)

    def test_a_density_in_grams_per_millilitre(self):
        self.assertAlmostEqual(read_quantity("x", "0.998 g/mL", "density").si, 998.0, places=9)

    def test_another_library_agrees(self):
        from scipy import constants

        self.assertAlmostEqual(self.pascals("1 psi"), constants.psi, places=6)
        self.assertAlmostEqual(self.pascals("1 torr"), constants.torr, places=9)
