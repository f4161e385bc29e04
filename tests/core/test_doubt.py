"""How sure a verdict is: when draws are made, how the doubt is said, what would make it sure; and cautions by heat, weight and height."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.documents.reader import read_inputs
from hydrostatics.doubt import SCALE, in_short, listed
from hydrostatics.prediction import Prediction, Value
from hydrostatics.room.derived import Room
from hydrostatics.uncertainty import propagate
from hydrostatics.uncertainty.probability import probability
from hydrostatics.works.roots import zeros
from tests.core.test_edges import Gauge
from tests.support.documents import answered, bottle

CUP = {"diameter": "54 +/- 1 mm", "air_left": "45 +/- 10 %", "pull_force": "112 +/- 4 N"}


def cup(**changes: Any) -> dict[str, Any]:
    return answered({"anchorage": 1, "demonstration": "suction-cup", "room": {"station_pressure": "1002.6 hPa"}, "setup": {**CUP, **changes}})


class Draws(unittest.TestCase):
    def chance(self, function: Any, deciding: str, by_sign: bool = True) -> float:
        inputs = read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"x": "0.5 +/- 0.01 m", "y": "0.5 +/- 0.01 m"}}, Gauge)
        prediction, _, _, spread = propagate(inputs, function)
        return probability(spread, int(prediction.state[0]), deciding, by_sign)

    def test_a_verdict_that_turns_at_both_ends_alike_is_in_doubt(self):
        """No corner shows it: the result that decides has no slope there."""

        def window(s: Gauge, room: Room) -> Prediction:
            margin = 0.006 - np.abs(s.x - 0.5)
            return Prediction({"margin": Value(margin, "length", "margin")}, np.where(margin < 0, 2, 0))

        self.assertAlmostEqual(self.chance(window, "results.margin"), 0.6, delta=0.01)

    def test_a_verdict_that_only_a_corner_turns_is_in_doubt(self):
        def both(s: Gauge, room: Room) -> Prediction:
            margin = 0.015 - (s.x - 0.5) - (s.y - 0.5)
            return Prediction({"margin": Value(margin, "length", "margin")}, np.where(margin < 0, 2, 0))

        # the corner beyond x + y = 0.015 is an eighth of an eighth of the square: (0.005^2/2)/0.02^2
        self.assertAlmostEqual(self.chance(both, "results.margin"), 1 - 0.03125, delta=0.006)

    def test_a_margin_that_is_clear_needs_none(self):
        def clear(s: Gauge, room: Room) -> Prediction:
            margin = 0.2 - (s.x - 0.5)
            return Prediction({"margin": Value(margin, "length", "margin")}, np.where(margin < 0, 2, 0))

        self.assertEqual(self.chance(clear, "results.margin"), 1.0)
        self.assertEqual(self.chance(lambda s, room: Prediction(clear(s, room).results, 2 + 0 * clear(s, room).state), "results.margin"), 0.0)

    def test_what_is_drawn_has_the_deviation_and_the_shares_of_its_distribution(self):
        """By hand: of the square of what lies evenly from 0 to 2 w the standard deviation is 4 w^2 sqrt(4/45); of two alike the shares are halves."""
        inputs = read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"x": "0.5 +/- 0.01 m", "y": "0.5 +/- 0.01 m"}}, Gauge)

        def squares(s: Gauge, room: Room) -> Prediction:
            x, y = s.x - 0.49, s.y - 0.49
            results = {
                "one": Value(x**2, "length", "of one"),
                "both": Value(x**2 + y**2, "length", "of both"),
                "half": Value(x**2, "length", "where x is not below its middle", x >= 0.01 - 1e-12),
            }
            return Prediction(results, np.zeros(1, dtype=np.intp))

        spread = propagate(inputs, squares)[3]
        one = 4e-4 * (4 / 45) ** 0.5
        by_chance = 2000**-0.5  # so far two inputs drawn apart go together
        for name, sd, within, shares, gone in (
            ("one", one, 1e-3, [1.0], 0.0),
            ("both", one * 2**0.5, by_chance, [0.5, 0.5], 0.0),
            ("half", None, 0.0, [1.0], 0.5),
        ):
            at = spread.index[f"results.{name}"]
            with self.subTest(result=name):
                self.assertAlmostEqual(spread.curved[at], gone, delta=1e-3)
                self.assertEqual([round(share, 1) for share in spread.shares[at].values() if share > by_chance], shares)
                if sd:
                    self.assertAlmostEqual(spread.sd[at] / sd, 1.0, delta=within)

    def test_a_tolerance_that_reaches_beyond_its_inputs_range_is_drawn_at_the_ranges_end(self):
        """By hand: of what lies evenly from -6 to 14 mm, taken as 0 where it is below, the variance is 14^3/60 - (14^2/40)^2 mm^2."""
        inputs = read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"x": "4 +/- 10 mm", "y": "0.5 m"}}, Gauge)
        spread = propagate(inputs, lambda s, room: Prediction({"x": Value(s.x, "length", "x")}, np.zeros(1, dtype=np.intp)))[3]
        self.assertAlmostEqual(float(spread.sd[0]), 1e-3 * (14**3 / 60 - (14**2 / 40) ** 2) ** 0.5, delta=2e-5)

    def test_no_slope_is_taken_over_rows_in_which_a_result_does_not_exist(self):
        inputs = read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"x": "0.5 +/- 0.01 m", "y": "0.5 +/- 0.01 m"}}, Gauge)

        def halves(s: Gauge, room: Room) -> Prediction:
            there = {"x": s.x >= 0.5, "y": s.y >= 0.5}
            made = {key: Value(np.where(there[key], getattr(s, key), 9.0), "length", key, there[key]) for key in ("x", "y")}
            return Prediction(made, np.zeros(1, dtype=np.intp))

        slope = propagate(inputs, halves)[3].slope
        np.testing.assert_allclose(slope, np.eye(2), atol=1e-6)


class Words(unittest.TestCase):
    def test_one_scale_from_very_likely_to_very_unlikely(self):
        said = [next(words for least, words in SCALE if p >= least) for p in (0.95, 0.8, 0.5, 0.2, 0.05)]
        self.assertEqual(said, ["Very likely to work", "Most likely to work", "As likely as not to work", "Hardly likely to work", "Very unlikely to work"])

    def test_the_sentence_begins_with_it_and_the_share_is_told(self):
        verdict = cup()["verdict"]
        self.assertRegex(verdict["reason"], r"^Most likely to work, 8\d %; as typed, doubtful: ")
        self.assertEqual(verdict["about"], "results.margin")
        self.assertTrue(cup(pull_force="125 +/- 4 N")["verdict"]["reason"].startswith("As likely as not to work, "))
        self.assertTrue(cup(pull_force="190 +/- 4 N")["verdict"]["reason"].startswith("It comes off"))

    def test_only_what_is_in_doubt_is_said_to_be(self):
        self.assertEqual([in_short(p) for p in (None, 0.0, 0.019, 0.981, 1.0)], [""] * 5)
        self.assertEqual((in_short(0.02), in_short(0.654), in_short(0.98)), ("in doubt, 2 %", "in doubt, 65 %", "in doubt, 98 %"))

    def test_the_margin_is_told_where_the_reason_does_not(self):
        straw = {"liquid": "water", "bore": "7 mm", "lift_height": "3.1 m", "source_suction": "32 +/- 15 kPa"}
        got = answered({"anchorage": 1, "demonstration": "suction-lift", "setup": straw})
        self.assertRegex(got["verdict"]["reason"], r"0\.2\s±\s1\.8\sm to spare; as typed, it reaches")
        higher = answered({"anchorage": 1, "demonstration": "suction-lift", "setup": {**straw, "lift_height": "3.5 m"}})
        self.assertRegex(higher["verdict"]["reason"], r"0\.2\s±\s1\.8\sm short; as typed, it does not reach")

    def test_what_is_worth_measuring_and_what_makes_it_sure_are_offered(self):
        for typed in ({}, {"pull_force": "125 +/- 4 N"}):
            verdict = cup(**typed)["verdict"]
            self.assertTrue(any(line.startswith("Know the air left in better") for line in verdict["advice"]), verdict["advice"])
            sure = next(changes for line, changes in zip(verdict["advice"], verdict["changes"], strict=True) if "as good as sure" in line)
            self.assertEqual(sure[0]["path"], "setup.pull_force")
            pressed = cup(pull_force=sure[0]["quantity"])
            self.assertGreater(pressed["verdict"]["probability"], 0.98)
            margin = pressed["results"]["margin"]
            self.assertTrue(2 < abs(margin["value"]) / margin["standard_uncertainty"] < 4, "as far as it takes, and no farther")

    def test_a_few_names_and_how_many_more(self):
        self.assertEqual(listed(["a"]), "a")
        self.assertEqual(listed(["a", "b", "c"]), "a, b and c")
        self.assertEqual(listed(["a", "b", "c", "d", "e"]), "a, b, c and 2 more")


class Cautions(unittest.TestCase):
    def told(self, key: str, room: dict[str, Any] | None = None, **changes: Any) -> str:
        start = by_key()[key].guide.starts[0]["document"]
        return " ".join(answered({**start, "room": room or {}, "setup": {**start["setup"], **changes}})["cautions"])

    def test_what_scalds_does_in_every_demonstration_with_a_liquid(self):
        for key in ("holed-bottle", "inverted-glass", "lifted-column", "barometer", "depth-pressure"):
            with self.subTest(demonstration=key):
                self.assertIn("scalds", self.told(key, {"temperature": "46 degC"}))
                self.assertNotIn("scalds", self.told(key, {"temperature": "44 degC"}))
        self.assertNotIn("scalds", self.told("suction-cup", {"temperature": "46 degC"}))

    def test_what_burns(self):
        for liquid in ("ethanol", "isopropanol"):
            self.assertIn("no flame", self.told("holed-bottle", liquid=liquid))

    def test_nothing_but_water_by_mouth(self):
        self.assertIn("mouthpiece each", self.told("suction-lift"))
        self.assertIn("Never by mouth", self.told("suction-lift", liquid="ethanol"))

    def test_weight_and_height(self):
        self.assertIn("more than two people hold", self.told("inverted-glass", mouth_diameter="40 cm", inside_height="1.6 m", fill_height="1.6 m"))
        self.assertNotIn("two people", self.told("inverted-glass"))
        self.assertIn("stands 3.", self.told("holed-bottle", stand_drop="3 m").replace("It ", ""))

    def test_a_press_of_kilonewtons(self):
        self.assertIn("crush", self.told("hydraulic-press", input_force="300 N"))

    def test_a_splash_beyond_the_landing(self):
        got = answered(bottle())
        reach = got["results"]["tray_reach"]["value"]
        told = next(line for line in got["cautions"] if "No socket" in line)
        within = float(told.split("within ")[1].split()[0]) / 100
        self.assertGreaterEqual(within, reach + 0.05)
        self.assertLess(within, 1.4 * reach + 0.06)


class Zeros(unittest.TestCase):
    X = np.linspace(0.0, 1.0, 200)

    def found(self, function: Any, exists: Any = lambda x: np.ones(x.shape, dtype=bool)) -> list[tuple[float, float]]:
        def f(x: np.ndarray) -> tuple[np.ndarray, np.ndarray]:
            return function(x), exists(x)

        return zeros(f, self.X, *f(self.X))

    def test_crossings_touches_and_stretches(self):
        self.assertAlmostEqual(self.found(lambda x: x - 0.3337)[0][0], 0.3337, places=9)
        np.testing.assert_allclose([low for low, _ in self.found(lambda x: (x - 0.2) ** 2 * (0.7 - x))], [0.2, 0.7], atol=1e-4)
        np.testing.assert_allclose(self.found(lambda x: np.maximum(0, np.abs(x - 0.5) - 0.1))[0], (0.4, 0.6), atol=1e-9)

    def test_a_jump_over_zero_is_none(self):
        self.assertEqual(self.found(lambda x: np.where(x < 0.41, -1.0, 1.0)), [])
        self.assertEqual(self.found(lambda x: np.where(x < 0.41, -1.0 + x, 1.0 + x)), [])

    def test_what_crosses_between_two_points_just_before_it_goes_missing(self):
        edge = float(self.X[120]) + 0.0021
        got = self.found(lambda x: x - (edge - 0.0005), lambda x: x < edge)
        self.assertEqual(len(got), 1)
        self.assertAlmostEqual(got[0][0], edge - 0.0005, places=9)

    def test_a_dip_that_stays_above_is_none(self):
        self.assertEqual(self.found(lambda x: 0.01 + (x - 0.5) ** 2), [])
        self.assertEqual(self.found(lambda x: np.full(x.shape, 0.2)), [])
