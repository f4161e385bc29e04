"""The guide to the expression of uncertainty, and its Monte Carlo supplement."""

from __future__ import annotations

import math

import numpy as np

from hydrostatics.demonstrations.holed_bottle import HOLED_BOTTLE
from hydrostatics.documents.reader import read_inputs
from hydrostatics.prediction import Value, walk
from hydrostatics.readings import gap, series
from tests.support.documents import answered, bottle
from tests.support.published import PublishedCase

JCGM = "JCGM 100:2008"


class Uncertainty(PublishedCase):
    def test_a_rectangular_half_width(self):
        head = answered(bottle(fill_height="29 +/- 1 cm", holes=[{"height": "6 cm", "diameter": "3 mm"}]))["results"]["holes"][0]["head"]
        self.meets(JCGM, "4.3.7", 100 * head["standard_uncertainty"], 0.57735, abs_=5e-6)

    def test_mean_of_repeated_readings(self):
        # 4.2.3: s/sqrt n; worked by hand for 1, 2, 3, 4, 5 with an exact instrument
        got = series([1.0, 2.0, 3.0, 4.0, 5.0], 0.0)
        self.meets(JCGM, "4.2.3", got.standard_uncertainty, math.sqrt(2.5 / 5), rel=1e-12)
        self.assertEqual(got.mean, 3.0)

    def test_instrument_and_scatter_together(self):
        got = series([0.4, 0.6], 0.3)
        self.meets(JCGM, "4.3.7 with 4.2.3", got.standard_uncertainty, math.sqrt(0.1**2 + 0.3**2 / 3), rel=1e-12)

    def test_one_reading_has_no_scatter(self):
        got = series([0.4], 0.3)
        self.assertFalse(got.repeated)
        self.assertAlmostEqual(got.standard_uncertainty, 0.3 / math.sqrt(3), places=12)

    def test_a_gap_in_standard_uncertainties(self):
        self.meets(JCGM, "5.1.2, a difference", gap(1.0, 0.03, 0.9, 0.04) or 0.0, 2.0, rel=1e-12)
        self.assertIsNone(gap(1.0, 0.0, 1.0, 0.0))

    def test_against_monte_carlo(self):
        """JCGM 101: 20 000 draws of every input, results that stay in their branch, within 5 %."""
        document = bottle(stand_drop="21 +/- 0.4 cm", fill_height="29 +/- 0.6 cm")
        inputs = read_inputs(document, HOLED_BOTTLE.setup)
        rng = np.random.default_rng(20)
        rows = inputs.nominal()
        for leaf in inputs.uncertain():
            # the temperature is drawn from few values: the liquid's properties are found once for each
            draws = rng.choice(np.linspace(-1, 1, 41), 20_000) if leaf.kind == "temperature" else rng.uniform(-1, 1, 20_000)
            rows[leaf.path] = leaf.si + leaf.half_width * draws
        results = dict(walk(HOLED_BOTTLE.predict(*inputs.made(rows)).results))
        told = answered(document)["results"]
        compared = 0
        for i in range(3):
            for key in ("speed", "range", "flow", "stops_after", "landing_speed", "gauge_pressure"):
                value = results[f"results.holes.{i}.{key}"]
                assert isinstance(value, Value)
                with self.subTest(hole=i, key=key):
                    self.assertAlmostEqual(told["holes"][i][key]["standard_uncertainty"] / float(value.si.std()), 1.0, delta=0.05)
                    compared += 1
        for key in ("lead", "stand_drop_for_depth_order", "volume_lost", "time_to_stop"):
            value = results[f"results.{key}"]
            assert isinstance(value, Value)
            with self.subTest(key=key):
                self.assertAlmostEqual(told[key]["standard_uncertainty"] / float(value.si.std()), 1.0, delta=0.05)
                compared += 1
        self.assertEqual(compared, 22)
