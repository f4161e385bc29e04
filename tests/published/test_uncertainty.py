"""The guide to the expression of uncertainty, and its Monte Carlo supplement."""

from __future__ import annotations

import math
from typing import Any

import numpy as np

from hydrostatics.demonstrations.holed_bottle import HOLED_BOTTLE
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.documents.inputs import Inputs
from hydrostatics.documents.reader import read_inputs
from hydrostatics.doubt import doubt
from hydrostatics.errors import Refusal
from hydrostatics.nominal import Now
from hydrostatics.prediction import walk
from hydrostatics.readings import gap, series
from hydrostatics.uncertainty import predicted, propagate
from tests.support.documents import answered, bottle, random_bottle
from tests.support.published import PublishedCase
from tests.support.random_setups import MAKERS, random_setup, with_wide_tolerances

JCGM = "JCGM 100:2008"
DRAWN = 6_000
TOO_NOISY = 0.1
"""Relative standard error of a drawn standard deviation above which the draws tell nothing: a case in a hundred that is far off."""
WIDE = 60
"""Random set-ups of each demonstration that are compared."""


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

    def agrees(self, document: dict[str, Any], one: Any, seed: int) -> int:
        """Compares every uncertain result of a document, and the verdict's probability, with independent draws; how many."""
        inputs = read_inputs(document, one.setup)
        told, setup, room, spread = propagate(inputs, one.predict)
        drawn = draws(inputs, DRAWN, seed)
        made = predicted(one.predict, *inputs.made(drawn))
        now = Now(inputs, setup, room, told, spread)
        sure = doubt(now, one.say(now)).probability
        if made.judged is not None:  # a verdict that depends on how well a result is known
            made = made.knowing(float(spread.sd[spread.index[made.judged.path]]))
        works = float(np.mean(np.broadcast_to(made.state, (DRAWN,)) < 2))
        self.assertAlmostEqual(sure or 0.0, works, delta=0.03)
        compared, results = 0, dict(walk(made.results))
        for v, (path, value) in enumerate(spread.values):
            if not spread.exists[v] or path not in results:
                continue
            si, there = (np.broadcast_to(column, (DRAWN,)) for column in (results[path].si, results[path].exists))
            kept = si[there & np.isfinite(si)]
            if len(kept) < DRAWN / 5 or not kept.std() > max(1e-9 * abs(kept.mean()), 1e-12):
                continue
            noise = noise_of(kept)
            if noise > TOO_NOISY:
                continue
            with self.subTest(demonstration=one.key, seed=seed, result=path, label=value.label):
                self.assertLess(abs(float(spread.sd[v]) / float(kept.std()) - 1.0), 0.05 + 3 * noise)
            compared += 1
        return compared

    def test_every_start_against_monte_carlo(self):
        """JCGM 101: every result of every starting set-up within 5 % (and the draws' own noise), the probability within 0.03."""
        compared = sum(self.agrees(start["document"], one, 100 + k) for one in ALL_DEMONSTRATIONS for k, start in enumerate(one.guide.starts))
        self.assertGreater(compared, 300)

    def test_random_setups_with_wide_tolerances_against_monte_carlo(self):
        compared = 0
        for one in ALL_DEMONSTRATIONS:
            for seed in range(WIDE if one.key in (*MAKERS, "holed-bottle") else 0):
                document = random_bottle(seed) if one.key == "holed-bottle" else random_setup(one.key, seed)
                try:
                    compared += self.agrees(with_wide_tolerances(document, seed), one, 1000 + seed)
                except Refusal:
                    continue
        self.assertGreater(compared, 500)

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
        column[0] = leaf.si  # what exists is settled by the nominal case
        rows[leaf.path] = np.clip(column, leaf.least, leaf.most)
    return rows


def noise_of(sample: np.ndarray) -> float:
    """Relative standard error of a sample's standard deviation, from its fourth moment."""
    squared = np.square(sample - sample.mean())
    kurtosis = float(np.mean(np.square(squared)) / np.mean(squared) ** 2)
    return float(np.sqrt(max(kurtosis - 1, 0.0) / 4) * (1 / len(sample) ** 0.5 + 1 / 2000**0.5))
