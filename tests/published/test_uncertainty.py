"""The guide to the expression of uncertainty, and its Monte Carlo supplement."""

from __future__ import annotations

import math
from typing import Any

import numpy as np

from hydrostatics.demonstrations.holed_bottle import HOLED_BOTTLE
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.documents.inputs import Inputs
from hydrostatics.documents.reader import read_inputs
from hydrostatics.prediction import Code, Value, walk
from hydrostatics.readings import gap, series
from hydrostatics.uncertainty import propagate
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

    def test_every_demonstration_against_monte_carlo(self):
        """JCGM 101: draws of every input; results whose branch holds, within 15 % (5 % where a straight line is expected to hold)."""
        compared = 0
        for one in ALL_DEMONSTRATIONS:
            for k, start in enumerate(one.guide.starts):
                inputs = read_inputs(start["document"], one.setup)
                told, _, _, spread = propagate(inputs, one.predict)
                drawn = draws(inputs, 8_000, seed=100 + k)
                results = dict(walk(one.predict(*inputs.made(drawn)).results))
                holds = in_branch(results, dict(walk(told.results)))
                for path, value in spread.values:
                    v = spread.index[path]
                    sample = results.get(path)
                    if not (spread.exists[v] and isinstance(sample, Value)):
                        continue
                    si, there = (np.broadcast_to(column, holds.shape) for column in (sample.si, sample.exists))
                    kept = holds & there
                    if kept.mean() < 0.98 or spread.sd[v] == 0:
                        continue
                    with self.subTest(demonstration=one.key, start=start["name"], result=path, label=value.label):
                        self.assertAlmostEqual(float(spread.sd[v]) / float(si[kept].std()), 1.0, delta=0.15)
                    compared += 1
        self.assertGreater(compared, 250)

    def test_against_monte_carlo(self):
        """JCGM 101: 20 000 draws of every input, results that stay in their branch, within 5 %."""
        document = bottle(stand_drop="21 +/- 0.4 cm", fill_height="29 +/- 0.6 cm")
        inputs = read_inputs(document, HOLED_BOTTLE.setup)
        results = dict(walk(HOLED_BOTTLE.predict(*inputs.made(draws(inputs, 20_000, seed=20))).results))
        told = answered(document)["results"]
        paths = [f"holes.{i}.{key}" for i in range(3) for key in ("speed", "range", "flow", "stops_after", "landing_speed", "gauge_pressure")]
        for path in (*paths, "lead", "stand_drop_for_depth_order", "volume_lost", "time_to_stop"):
            with self.subTest(path=path):
                at: Any = told
                for key in path.split("."):
                    at = at[int(key)] if key.isdigit() else at[key]
                self.assertAlmostEqual(at["standard_uncertainty"] / float(results[f"results.{path}"].si.std()), 1.0, delta=0.05)


def draws(inputs: Inputs[Any], count: int, seed: int) -> dict[str, np.ndarray]:
    """Independent draws of every uncertain input, rectangular within its half-width, normal where a handbook gives its standard uncertainty."""
    rng = np.random.default_rng(seed)
    rows = inputs.nominal()
    for leaf in inputs.uncertain():
        if leaf.half_width:
            # the temperature is drawn from few values: the liquid's properties are found once for each
            part = rng.choice(np.linspace(-1, 1, 41), count) if leaf.kind == "temperature" else rng.uniform(-1, 1, count)
            column = leaf.si + leaf.half_width * part
        else:
            column = leaf.si + leaf.standard_uncertainty * rng.standard_normal(count)
        rows[leaf.path] = np.clip(column, leaf.least, leaf.most)
    return rows


def in_branch(results: dict[str, Any], nominal: dict[str, Any]) -> np.ndarray:
    """The draws in which every code is as in the nominal case."""
    count = max(np.shape(node.si)[0] if isinstance(node, Value) else node.numbers.shape[0] for node in results.values())
    holds = np.ones(count, dtype=bool)
    for path, node in results.items():
        if isinstance(node, Code) and node.numbers.shape[0] == count and path in nominal:
            same = node.numbers == nominal[path].numbers[:1]
            holds &= same if same.ndim == 1 else same.all(axis=1)
    return holds
