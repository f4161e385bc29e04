"""Edges of rules, ranges and branches, each a little to either side of where it changes."""

from __future__ import annotations

import json
import unittest
from dataclasses import dataclass
from typing import Any, ClassVar

import numpy as np

from hydrostatics.answer import predict_bytes, work_out
from hydrostatics.demonstrations.margin import SPARE, margin_state
from hydrostatics.documents.ranges import in_range
from hydrostatics.documents.raw import DEEPEST, parse_document
from hydrostatics.documents.reader import read_inputs
from hydrostatics.errors import Case, Conflict, MalformedDocument, MissingKey, OutOfRange, Refusal
from hydrostatics.fields import Array, Part, group, items, quantity
from hydrostatics.laws.columns import card_sink
from hydrostatics.laws.draining import Holes, stop_times, stretch_times
from hydrostatics.laws.vessels import diameter_at, volume_below
from hydrostatics.prediction import Code, Prediction, Value
from hydrostatics.quantities.reading import read_quantity
from hydrostatics.room.derived import Room
from hydrostatics.room.merging import taken_from
from hydrostatics.uncertainty import propagate
from hydrostatics.works.sweep import sweep
from tests.support.documents import bottle, predicted


class Laws(unittest.TestCase):
    def test_no_sink_thins_the_air_enough_where_the_column_would_boil(self):
        p_v = 2339.0
        sink = card_sink(0.04, 101_325.0, np.array([p_v + 2000, p_v + 20, p_v, p_v - 500]), p_v)
        self.assertTrue(np.isfinite(sink[:2]).all() and sink[1] > sink[0] > 1.0)
        self.assertTrue(np.isinf(sink[2:]).all())

    def test_above_a_profiles_last_height_and_below_its_first_the_wall_goes_straight_on(self):
        heights, widths = np.array([[0.02, 0.20]]), np.array([[0.10, 0.06]])
        whole = volume_below(np.array([0.20]), heights, widths)[0]
        self.assertAlmostEqual(volume_below(np.array([0.25]), heights, widths)[0] - whole, np.pi / 4 * 0.06**2 * 0.05, places=12)
        self.assertAlmostEqual(volume_below(np.array([0.01]), heights, widths)[0], np.pi / 4 * 0.10**2 * 0.01, places=12)
        np.testing.assert_allclose(diameter_at(np.array([[0.0, 0.25]]), heights, widths), [[0.10, 0.06]])

    def test_rows_drained_together_come_out_as_each_alone(self):
        """Rows share stretches that are the same in several; each kind of sharing, and none, against a row by itself."""
        made = np.random.default_rng(20)
        for case in range(150):
            rows, n, points = 40, int(made.integers(1, 6)), int(made.integers(1, 4))
            start = made.choice(made.uniform(0.1, 0.4, 4), rows)
            datum = np.repeat(made.uniform(0.0, 0.38, (1, n)), rows, axis=0)
            strength = np.repeat(made.uniform(1e-6, 1e-4, (1, n)), rows, axis=0)
            heights, widths = np.sort(made.uniform(0, 0.4, (1, points)), axis=1), made.uniform(0.05, 0.2, (rows, points))
            widths[made.random(rows) < 0.8] = widths[0]
            for of in (datum, strength):
                moved = made.random((rows, n)) < 0.1
                of[moved] *= made.choice([0.99, 1.01], moved.sum())
            stop = datum + 0.004 * made.integers(0, 2)
            marks = np.linspace(0.05, 0.3, 5) * made.choice([0.9, 1.0], (rows, 1)) if case % 3 == 0 else None
            runs = stop < start[:, None]

            def drained(at: slice, of=(start, datum, stop, strength, widths, runs), heights=heights, marks=marks) -> Any:
                start, datum, stop, strength, widths, runs = (a[at] for a in of)
                holes = Holes(strength, datum, stop, runs)
                times = stretch_times(start, holes, heights, widths, None if marks is None else marks[at])
                return np.concatenate([*times, stop_times(start, holes, heights, widths)], axis=1)

            with self.subTest(case=case):
                np.testing.assert_allclose(drained(slice(None)), np.vstack([drained(slice(r, r + 1)) for r in range(rows)]), rtol=1e-12)


class Margins(unittest.TestCase):
    def test_a_fifth_of_the_need_to_spare_is_enough_and_none_is_not_a_failure(self):
        need = np.full(5, 50.0)
        margin = np.array([-1e-9, 0.0, SPARE * 50 - 1e-9, SPARE * 50, 30.0])
        self.assertEqual(margin_state(margin, need).tolist(), [2, 1, 1, 0, 0])

    def test_cup_and_press_keep_the_rule_at_its_edge(self):
        cup = {"diameter": "10 cm", "air_left": "0 %"}
        holds = predicted({"anchorage": 1, "demonstration": "suction-cup", "setup": cup})["results"]["holding_force"]["value"]
        press = {"input_diameter": "2 cm", "output_diameter": "4 cm", "input_force": "10 N", "input_travel": "5 cm"}
        for part, state in ((1.0001, "fails"), (0.9999, "marginal"), (1 / 1.2001, "works"), (1 / 1.1999, "marginal")):
            for key, setup in (("suction-cup", cup | {"pull_force": f"{part * holds:.9f} N"}), ("hydraulic-press", press | {"load": f"{part * 40:.9f} N"})):
                with self.subTest(demonstration=key, part=part):
                    self.assertEqual(predicted({"anchorage": 1, "demonstration": key, "setup": setup})["verdict"]["state"], state)


class Ranges(unittest.TestCase):
    def test_each_kind_of_bound_refuses_on_its_own_side_alone(self):
        at = read_quantity("x", "3 m", "length")
        for bound, refused in (("x-gt", True), ("x-ge", False), ("x-lt", True), ("x-le", False)):
            with self.subTest(bound=bound):
                extra = {bound: 3.0, "x-kind": "length"}
                if refused:
                    with self.assertRaises(OutOfRange) as caught:
                        in_range("x", at, extra)
                    self.assertEqual((caught.exception.parts["si"], caught.exception.parts["bound"]), (3.0, 3.0))
                else:
                    in_range("x", at, extra)
        for bound, si in (("x-gt", 2.999), ("x-ge", 2.999), ("x-lt", 3.001), ("x-le", 3.001)):
            with self.subTest(bound=bound, beyond=True), self.assertRaises(OutOfRange):
                in_range("x", read_quantity("x", f"{si} m", "length"), {bound: 3.0, "x-kind": "length"})

    def test_nesting_is_allowed_to_the_limit_and_no_deeper(self):
        def nested(depth: int) -> bytes:
            return b'{"a":' + b"[" * (depth - 1) + b"]" * (depth - 1) + b"}"

        parse_document(nested(DEEPEST))
        with self.assertRaises(MalformedDocument):
            parse_document(nested(DEEPEST + 1))


class NestedRefusals(unittest.TestCase):
    GLASS: ClassVar[dict[str, Any]] = {"liquid": "water", "mouth_diameter": "7 cm", "inside_height": "12 cm", "fill_height": "11 cm"}

    def refused(self, error: type[Refusal], path: str, **setup: Any) -> None:
        with self.subTest(path=path), self.assertRaises(error) as caught:
            predict_bytes(json.dumps({"anchorage": 1, "demonstration": "inverted-glass", "setup": self.GLASS | setup}).encode())
        self.assertEqual(caught.exception.path, path)

    def test_what_a_group_in_a_set_up_refuses_is_refused_with_its_whole_path(self):
        self.refused(MissingKey, "setup.cover.opening", cover={"kind": "mesh"})
        self.refused(Conflict, "setup.cover.opening", cover={"kind": "card", "opening": "1 mm"})
        self.refused(OutOfRange, "setup.ports.1", cover={"kind": "card"}, ports=["3 cm", "15 cm"])

    def test_what_an_item_of_a_list_refuses_too(self):
        with self.assertRaises(OutOfRange) as caught:
            predicted(bottle(bottle_height="33 cm", holes=[{"height": "5 cm", "diameter": "3 mm"}, {"height": "34 cm", "diameter": "3 mm"}]))
        self.assertEqual(caught.exception.path, "setup.holes.1.height")

    def test_a_group_that_refuses_nothing_itself_still_asks_those_within(self):
        with self.assertRaises(OutOfRange) as caught:
            read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"inner": {"list": [{"x": "1 cm"}, {"x": "9 mm"}]}}}, Outer)
        self.assertEqual(caught.exception.path, "setup.inner.list.1.x")

    def test_words_name_other_fields_by_key_or_by_label(self):
        with self.assertRaises(OutOfRange) as caught:
            predicted({"anchorage": 1, "demonstration": "inverted-glass", "setup": self.GLASS | {"cover": {"kind": "card"}, "fill_height": "13 cm"}})
        self.assertIn("measure inside_height again", caught.exception.message)
        self.assertIn("measure Inside height again", caught.exception.told({"inside_height": "Inside height"}))


class Gauge(Part):
    """A part with one input that may not go below zero nor above one."""

    x: Array = quantity("length", "x", ge=0, le=1)
    y: Array = quantity("length", "y", ge=0, le=1)


class Picky(Part):
    """A part that refuses what it is told to."""

    x: Array = quantity("length", "x", ge=0)

    def refuse(self) -> None:
        if self.x[0] < 0.01:
            raise OutOfRange("x", Case("too-short", "it is too short", "give a longer one"))


class Inner(Part):
    """A part that refuses nothing itself."""

    list: tuple[Picky, ...] = items("Several", "one", least=1, most=3)


class Outer(Part):
    """One that refuses nothing either."""

    inner: Inner = group("Inner")


@dataclass
class Fake:
    """A prediction of two inputs made for one test."""

    function: Any

    def propagated(self, x: str, y: str = "0.5 m") -> Any:
        inputs = read_inputs({"anchorage": 1, "demonstration": "x", "setup": {"x": x, "y": y}}, Gauge)
        return propagate(inputs, self.function)[3]


def straight(s: Gauge, room: Room) -> Prediction:
    return Prediction({"z": Value(3 * s.x + s.y, "length", "z")}, np.zeros(1, dtype=np.intp))


class OneSided(unittest.TestCase):
    def test_at_either_end_of_a_range_the_derivative_is_taken_from_inside(self):
        u = 0.01 / 3**0.5
        for x in ("0.5 +/- 0.01 m", "0 +/- 0.01 m", "1 +/- 0.01 m"):
            with self.subTest(x=x):
                self.assertAlmostEqual(float(Fake(straight).propagated(x).slope[0, 0]), 3, delta=1e-9)
        self.assertAlmostEqual(float(Fake(straight).propagated("0.5 +/- 0.01 m").sd[0]), 3 * u, delta=1e-9)

    def test_an_end_beyond_a_range_is_taken_at_the_ranges_end(self):
        """Half of 0 +/- 0.01 m lies below what can be: half of the draws stand at 0, whose variance is 5/48 of the half-width's square."""
        for x in ("0 +/- 0.01 m", "1 +/- 0.01 m"):
            with self.subTest(x=x):
                self.assertAlmostEqual(float(Fake(straight).propagated(x).sd[0]), 3 * 0.01 * (5 / 48) ** 0.5, delta=2e-5)

    def test_beside_a_branch_it_is_taken_from_the_nominal_one(self):
        def kinked(s: Gauge, room: Room) -> Prediction:
            high = s.x > 0.5
            return Prediction(
                {"z": Value(np.where(high, 100 * s.x, 2 * s.x), "length", "z"), "high": Code(high, bool(high[0]), "side")}, np.zeros(1, dtype=np.intp)
            )

        spread = Fake(kinked).propagated("0.5 +/- 0.01 m")
        self.assertAlmostEqual(float(spread.slope[0, 0]), 2, delta=1e-9)
        x = np.linspace(0.49, 0.51, 100_001)
        self.assertAlmostEqual(float(spread.sd[0]) / np.where(x > 0.5, 100 * x, 2 * x).std(), 1.0, delta=0.005)
        self.assertEqual([leaf.path for leaf in spread.edges["side"]], ["setup.x"])
        self.assertEqual(spread.unknown, ())

    def test_a_change_at_the_lower_end_of_a_tolerance_alone_is_told(self):
        def low(s: Gauge, room: Room) -> Prediction:
            below = s.x < 0.495
            return Prediction({"z": Value(s.x, "length", "z"), "low": Code(below, bool(below[0]), "side")}, np.zeros(1, dtype=np.intp))

        self.assertIn("side", Fake(low).propagated("0.5 +/- 0.01 m").edges)
        self.assertNotIn("side", Fake(low).propagated("0.5 +/- 0.004 m").edges)

    def test_an_input_with_no_derivative_on_either_side_is_told_to_be_left_out(self):
        def lonely(s: Gauge, room: Room) -> Prediction:
            moved = s.x != 0.5
            return Prediction({"z": Value(s.x + s.y, "length", "z"), "moved": Code(moved, bool(moved[0]), "place")}, np.zeros(1, dtype=np.intp))

        spread = Fake(lonely).propagated("0.5 +/- 0.01 m", "0.5 +/- 0.02 m")
        self.assertEqual([leaf.path for leaf in spread.unknown], ["setup.x"])
        self.assertAlmostEqual(float(spread.sd[0]) / ((0.01**2 + 0.02**2) / 3) ** 0.5, 1.0, delta=0.02)  # the draws know of both

    def test_a_result_that_exists_on_one_side_alone_has_that_sides_derivative(self):
        def partly(s: Gauge, room: Room) -> Prediction:
            return Prediction({"z": Value(5 * s.x, "length", "z", s.x <= 0.5)}, np.zeros(1, dtype=np.intp))

        spread = Fake(partly).propagated("0.5 +/- 0.01 m")
        self.assertTrue(spread.exists[0])
        self.assertAlmostEqual(float(spread.slope[0, 0]), 5, delta=1e-9)
        self.assertAlmostEqual(float(spread.sd[0]), 5 * 0.005 / 3**0.5, delta=5e-5)  # of the half in which it exists
        self.assertAlmostEqual(spread.curved[0], 0.5, delta=0.01)


class Bands(unittest.TestCase):
    def test_the_band_at_the_end_of_an_inputs_range_is_as_wide_as_the_answers(self):
        """A full efficiency cannot rise by its tolerance: its derivative is one-sided there, in the curve as in the spread."""
        setup = {"input_diameter": "2 cm", "output_diameter": "4 cm", "input_force": "10 N", "input_travel": "5 cm", "efficiency": "100 +/- 10 %"}
        one, now = work_out({"anchorage": 1, "demonstration": "hydraulic-press", "setup": setup})
        curve = sweep(one, now.inputs, "setup.efficiency", "results.output_force", 0.5, 1.0)
        told = abs(float(now.spread.slope[now.spread.index["results.output_force"]][0])) * 0.1 / 3**0.5
        self.assertAlmostEqual(curve.sd[-1] / told, 1.0, delta=1e-6)
        self.assertAlmostEqual(curve.sd[0] / told, 1.0, delta=1e-6)


class Taken(unittest.TestCase):
    ROOM: ClassVar[dict[str, Any]] = {"metar": "…", "elevation": "640 m", "outdoor_temperature": "4 degC", "latitude": "56 deg", "temperature": "18 degC"}

    def test_a_pressure_of_its_own_leaves_the_rooms_and_its_place_where_they_are(self):
        for own, left in (
            ({}, set(self.ROOM)),
            ({"station_pressure": "950 hPa"}, {"elevation", "outdoor_temperature", "latitude", "temperature"}),
            ({"altimeter_setting": "1010 hPa", "elevation": "20 m"}, {"latitude", "temperature"}),
            ({"sea_level_pressure": "1010 hPa"}, {"latitude", "temperature"}),
            ({"elevation": "20 m"}, {"latitude", "temperature"}),
            ({"gravity": "9.81 m/s^2"}, {"metar", "elevation", "outdoor_temperature", "temperature"}),
            ({"temperature": "3 degC"}, {"metar", "elevation", "outdoor_temperature", "latitude"}),
        ):
            with self.subTest(own=own):
                self.assertEqual(set(taken_from(self.ROOM, own)), left)
