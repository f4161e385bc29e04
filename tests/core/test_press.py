"""The syringe press: force is gained, work is not."""

from __future__ import annotations

import unittest

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.errors import OutOfRange
from tests.support.documents import answered, predicted


def press(**changes):
    document = by_key()["hydraulic-press"].guide.starts[0]["document"]
    return {**document, "setup": {k: v for k, v in {**document["setup"], **changes}.items() if v is not None}}


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

    def test_margin_and_state(self):
        states = [answered(press(load=load))["verdict"]["state"] for load in ("20 N", "38 N", "60 N", None)]
        self.assertEqual(states, ["works", "marginal", "fails", "works"])
        self.assertIsNone(answered(press(load=None))["results"]["margin"])

    def test_an_efficiency_of_fifty_is_refused(self):
        with self.assertRaises(OutOfRange) as caught:
            predicted(press(efficiency=50))
        self.assertEqual(caught.exception.path, "setup.efficiency")
