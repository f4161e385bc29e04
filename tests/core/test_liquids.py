"""The mechanism of liquids: handbook uncertainties as inputs, ranges, and what a person states."""

from __future__ import annotations

import unittest
from unittest.mock import patch

import numpy as np

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.reader import read_inputs
from hydrostatics.errors import OutOfRange
from hydrostatics.liquids import Entry, Property
from hydrostatics.liquids.at_each import at_each
from hydrostatics.liquids.catalogue import catalogue
from tests.support.documents import answered, bottle

MADE_UP = Entry(
    "made-up oil",
    {
        "density": Property(lambda t: 900.0 - 0.5 * (t - 293.15), "practice", 273.15, 333.15, 0.004),
        "vapour_pressure": Property(lambda t: 10.0, "practice", 273.15, 333.15),
        "surface_tension": Property(lambda t: 0.03, "practice", 273.15, 333.15, 0.0005),
    },
    caution="made-up oil stains",
)


class AtManyTemperatures(unittest.TestCase):
    """Many rows of a narrow band are a polynomial through the library's own values: no less true than those."""

    def test_it_is_what_one_row_at_a_time_gives(self):
        inputs = read_inputs(bottle(liquid="water"), by_key()["holed-bottle"].setup)
        setup, _ = inputs.made(inputs.nominal())
        for low, high in ((274.0, 333.5), (318.0, 372.8), (273.2, 372.8)):  # the library itself steps by 7e-8 of the density just above
            many = np.linspace(low, high, 401)
            for known_at in (setup.liquid.density_at, setup.liquid.vapour_pressure_at):
                alone = np.array([known_at(np.array([one]))[0] for one in many])
                np.testing.assert_allclose(known_at(many), alone, rtol=1e-8)

    def test_nor_where_it_depends_on_something_else_as_well(self):
        for least, most in ((0.033, 0.037), (0.0, 0.042), (0.0, 0.0)):
            salinity, many = np.linspace(least, most, 301), np.linspace(273.3, 312.9, 301)[::-1]
            for key in ("density", "vapour_pressure", "viscosity"):
                prop = catalogue()["salt water"].properties[key]
                at, known = prop.at, (prop.least, prop.most)
                alone = np.array([at(*one) for one in zip(many.tolist(), salinity.tolist(), strict=True)])
                with self.subTest(key=key, salinity=(least, most)):
                    np.testing.assert_allclose(at_each(at, [many, salinity], known), alone, rtol=1e-8)


class Catalogue(unittest.TestCase):
    def setUp(self):
        patched = patch("hydrostatics.documents.liquid_reading.catalogue", lambda: {**catalogue(), "made-up oil": MADE_UP})
        patched.start()
        self.addCleanup(patched.stop)

    def oil(self, **room):
        return answered(bottle(liquid="made-up oil", fill_height="29 cm", holes=[{"height": "6 cm", "diameter": "3 mm"}]) | {"room": room})

    def test_a_handbook_uncertainty_above_a_thousandth_is_an_input(self):
        pressure = self.oil()["results"]["holes"][0]["gauge_pressure"]
        self.assertAlmostEqual(pressure["standard_uncertainty"] / pressure["value"], 0.004, places=6)
        self.assertEqual(list(pressure["shares"]), ["setup.liquid.density"])

    def test_one_below_a_thousandth_is_not(self):
        self.assertNotIn("setup.liquid.surface_tension", self.oil()["inputs"])

    def test_it_counts_in_the_reference_set_alone(self):
        self.assertEqual(self.oil(constants="textbook")["results"]["holes"][0]["gauge_pressure"]["standard_uncertainty"], 0)

    def test_the_temperature_moves_the_density_and_its_range_is_kept(self):
        self.assertAlmostEqual(self.oil(temperature="40 degC")["room"]["liquids"]["setup.liquid"]["density"]["value"], 890.0)
        with self.assertRaises(OutOfRange) as caught:
            self.oil(temperature="80 degC")
        self.assertEqual(caught.exception.path, "room.temperature")
        self.assertIn("0 to 60 degC", caught.exception.message)

    def test_its_caution_is_always_told(self):
        self.assertIn("made-up oil stains", self.oil()["cautions"])

    def test_what_is_stated_outright_loses_the_handbooks_uncertainty_and_source(self):
        liquid = {"name": "made-up oil", "density": "905 kg/m^3"}
        got = answered(bottle(liquid=liquid, holes=[{"height": "6 cm", "diameter": "3 mm"}], fill_height="29 cm"))
        self.assertEqual(got["results"]["holes"][0]["gauge_pressure"]["standard_uncertainty"], 0)
        self.assertEqual(got["room"]["liquids"]["setup.liquid"]["density"]["source"], "as stated")
        self.assertIsNone(got["room"]["liquids"]["setup.liquid"]["viscosity"])


class Water(unittest.TestCase):
    def test_its_handbook_uncertainty_never_counts(self):
        self.assertFalse([path for path in answered(bottle())["inputs"] if path.startswith("setup.liquid")])

    def test_its_temperature_is_an_input_that_moves_its_properties(self):
        document = bottle() | {"room": {"temperature": "60 +/- 5 degC"}}
        self.assertIn("room.temperature", answered(document)["results"]["holes"][0]["gauge_pressure"]["shares"])
