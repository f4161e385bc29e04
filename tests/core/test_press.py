"""The syringe press: force is gained, work is not."""

from __future__ import annotations

import unittest

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.errors import OutOfRange
from tests.support.documents import answered, predicted


def press(**changes):
    """The first start without what rubs, and changes to it."""
    document = by_key()["hydraulic-press"].guide.starts[0]["document"]
    smooth = {"input_friction": "0 N", "output_friction": "0 N"}
    return {**document, "setup": {k: v for k, v in {**document["setup"], **smooth, **changes}.items() if v is not None}}


class Press(unittest.TestCase):
    def test_without_friction_as_much_work_comes_out_as_goes_in(self):
        got = answered(press(efficiency=1))["results"]
        self.assertAlmostEqual(got["work_out"]["value"], got["work_in"]["value"], places=12)
        self.assertAlmostEqual(got["advantage"]["value"], (28.6 / 12.4) ** 2, places=9)
        self.assertAlmostEqual(got["advantage"]["value"], 0.06 / got["output_travel"]["value"], places=9)

    def test_friction_takes_its_part_of_the_force_alone(self):
        whole, less = (answered(press(efficiency=e))["results"] for e in (1, 0.5))
        self.assertAlmostEqual(less["output_force"]["value"], whole["output_force"]["value"] / 2, places=9)
        self.assertEqual(less["output_travel"]["value"], whole["output_travel"]["value"])

    def test_seals_rub_with_a_fixed_force_and_never_push_back(self):
        rubbing = answered(press(input_friction="2 N", output_friction="5 N"))["results"]
        area, wide = 0.0124**2, 0.0286**2
        self.assertAlmostEqual(rubbing["output_force"]["value"], (9 - 2) * wide / area - 5, places=9)
        stuck = answered(press(input_friction="20 N"))
        self.assertEqual((stuck["results"]["pressure"]["value"], stuck["results"]["output_force"]["value"]), (0, 0))
        self.assertEqual(answered(press(input_friction="1 N", output_friction="200 N"))["results"]["output_force"]["value"], 0)

    def test_what_is_gained_is_told_as_it_is(self):
        gained = answered(press())["schools"][0]["words"]
        other_way = answered(press(input_diameter="28.6 mm", output_diameter="12.4 mm", load=None))["schools"][0]["words"]
        self.assertTrue(gained.startswith("Force is gained"), gained)
        self.assertTrue(other_way.startswith("Travel is gained, force is lost"), other_way)

    def test_margin_and_state(self):
        states = [answered(press(load=load))["verdict"]["state"] for load in ("20 N", "42 N", "60 N", None)]
        self.assertEqual(states, ["works", "marginal", "fails", "works"])
        self.assertIsNone(answered(press(load=None))["results"]["margin"])

    def test_an_efficiency_of_fifty_is_refused(self):
        with self.assertRaises(OutOfRange) as caught:
            predicted(press(efficiency=50))
        self.assertEqual(caught.exception.path, "setup.efficiency")
