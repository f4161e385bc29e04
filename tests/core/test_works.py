"""Sweep, solve, what if and seen from, on every demonstration."""

from __future__ import annotations

import itertools
import json
import math
import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.errors import OutOfRange, UnknownName
from hydrostatics.prediction import STATES
from hydrostatics.quantities.kinds import KINDS
from hydrostatics.views.curve import chart_of_curve
from hydrostatics.works.glance import nominal_case
from hydrostatics.works.solve import solve
from hydrostatics.works.sweep import curve_as_csv, curve_as_json, sweep
from hydrostatics.works.what_if import in_room, rooms, what_if
from tests.support.documents import answered, bottle, worked_out


def worked(key: str, start: int = 0):
    return work_out(by_key()[key].guide.starts[start]["document"])


class AtAGlance(unittest.TestCase):
    def test_it_tells_of_each_result_what_the_whole_answer_does(self):
        there = set()
        for demonstration in ALL_DEMONSTRATIONS:
            for start in demonstration.guide.starts:
                (_, brief), (_, whole) = nominal_case(start["document"]), worked_out(start["document"])
                for path in whole.spread.index:
                    with self.subTest(demonstration=demonstration.key, path=path):
                        told, wanted = brief.value(path), whole.value(path)
                        there.add(wanted is None)
                        if wanted is None:
                            self.assertIsNone(told)
                        else:
                            assert told is not None
                            self.assertTrue(math.isclose(told, wanted, rel_tol=1e-9, abs_tol=1e-12), (told, wanted))
                self.assertEqual(brief.prediction.state[0], whole.prediction.state[0])
        self.assertEqual(there, {True, False})


class Sweep(unittest.TestCase):
    def test_every_input_of_every_demonstration_can_be_swept_and_drawn(self):
        for one in ALL_DEMONSTRATIONS:
            _, now = work_out(one.guide.starts[0]["document"])
            about = one.say(now).about
            for path, leaf in now.inputs.leaves.items():
                if leaf.origin != "handbook" and leaf.kind != "fraction":
                    with self.subTest(demonstration=one.key, input=path):
                        curve = sweep(one, now.inputs, path, about)
                        json.dumps(chart_of_curve(curve, leaf.unit or KINDS[leaf.kind].units[0], now.unit(about)), allow_nan=False)

    def test_the_curve_passes_through_todays_point_with_todays_uncertainty(self):
        one, now = worked("barometer", 1)
        curve = sweep(one, now.inputs, "setup.tube_length", "results.column_height", 9.0, 13.0)
        at = float(np.interp(11.0, curve.x, curve.y))
        self.assertAlmostEqual(at, now.value("results.column_height"), places=4)
        self.assertAlmostEqual(float(np.interp(11.0, curve.x, curve.sd)) / (now.half_width("results.column_height") / 2), 1.0, delta=0.02)

    def test_vector_equals_one_by_one(self):
        one, now = worked("inverted-glass")
        curve = sweep(one, now.inputs, "setup.fill_height", "results.card_drop", 0.02, 0.12, points=5)
        start = by_key()["inverted-glass"].guide.starts[0]["document"]
        for x, y, state in zip(curve.x, curve.y, curve.states, strict=True):
            got = answered({**start, "setup": {**start["setup"], "fill_height": f"{x} m"}})
            self.assertAlmostEqual(got["results"]["card_drop"]["value"], y, places=12)
            self.assertEqual(got["verdict"]["state"], STATES[int(state)])

    def test_the_range_stays_where_nothing_is_refused(self):
        one, now = worked("inverted-glass")
        curve = sweep(one, now.inputs, "setup.fill_height", "results.load")
        self.assertLessEqual(curve.x[-1], 0.135 + 1e-9)
        one, now = worked("barometer")
        curve = sweep(one, now.inputs, "room.temperature", "results.column_height", 200.0, 500.0)
        self.assertGreaterEqual(curve.x[0], 273.15 - 1e-6)
        self.assertLessEqual(curve.x[-1], 373.15 + 1e-6)

    def test_what_does_not_exist_is_null(self):
        one, now = worked("lifted-column")
        curve = sweep(one, now.inputs, "setup.lift", "results.level", 0.1, 0.9)
        told = curve_as_json(curve)
        self.assertIsNone(told["y"][-1])
        self.assertEqual(told["states"][-1], "fails")
        self.assertTrue(curve_as_csv(curve).splitlines()[-1].endswith(",,,fails"))

    def test_sweep_and_solve_keep_to_the_same_range(self):
        """Ends left open are the usual ones; ends beyond what can be are drawn in."""
        one, now = worked("inverted-glass")
        path, result = "setup.fill_height", "results.load"
        for low, high in ((None, None), (0.02, None), (None, 0.1), (-3.0, 90.0)):
            with self.subTest(low=low, high=high):
                curve = sweep(one, now.inputs, path, result, low, high)
                answers = solve(one, now.inputs, result, float(curve.y[500]), path, low, high)
                self.assertEqual((answers.low, answers.high), (float(curve.x[0]), float(curve.x[-1])))
                self.assertTrue(
                    any(min(abs(one.low - curve.x[500]), abs(one.high - curve.x[500])) < 1e-8 or one.low < curve.x[500] < one.high for one in answers.found)
                )

    def test_a_range_that_lies_outside_what_can_be_is_empty(self):
        one, now = worked("barometer")
        for low, high in ((0.02, 0.01), (-2.0, -1.0)):
            for call in (
                lambda a, b: sweep(one, now.inputs, "setup.bore", "results.column_height", a, b),
                lambda a, b: solve(one, now.inputs, "results.column_height", 9.0, "setup.bore", a, b),
            ):
                with self.subTest(low=low), self.assertRaises(OutOfRange) as caught:
                    call(low, high)
                self.assertEqual(caught.exception.path, "input")

    def test_names_that_are_not_there(self):
        one, now = worked("barometer")
        for path, result in (("setup.colour", "results.column_height"), ("setup.bore", "results.beauty"), ("setup.bore", "results.behaviour")):
            with self.assertRaises(UnknownName):
                sweep(one, now.inputs, path, result)
        with self.assertRaises(OutOfRange):
            sweep(one, now.inputs, "setup.bore", "results.column_height", 2.0, 1.0)


class Solve(unittest.TestCase):
    def test_the_lowest_jet_lands_where_it_is_wanted(self):
        one, now = work_out(bottle())
        got = solve(one, now.inputs, "results.holes.2.range", 0.45, "setup.stand_drop")
        self.assertEqual(len(got.found), 1)
        moved = answered(bottle(stand_drop=f"{got.found[0][0]} m"))
        self.assertAlmostEqual(moved["results"]["holes"][2]["range"]["value"], 0.45, places=8)

    def test_all_answers_in_the_range_are_found(self):
        one, now = work_out(bottle(stand_drop="0 cm", holes=[{"height": "10 cm", "diameter": "3 mm"}]))
        got = solve(one, now.inputs, "results.holes.0.range", 0.2, "setup.holes.0.height", 0.01, 0.28)
        self.assertEqual(len(got.found), 2)
        low, high = (one.low for one in got.found)
        # the two holes that land together stand symmetrically about half the depth, but for the jet's own surface pressure
        self.assertAlmostEqual(low + high, 0.29, delta=0.01)

    def test_none_in_the_range_says_so_with_the_nearest_reach(self):
        one, now = worked("barometer")
        got = solve(one, now.inputs, "results.column_height", 20.0, "setup.tube_length")
        self.assertEqual(got.found, ())
        assert got.nearest is not None
        self.assertLess(got.nearest[1], 10.5)

    def test_a_jump_of_behaviour_is_no_answer(self):
        one, now = work_out(bottle(holes=[{"height": "6 cm", "diameter": "0.6 mm"}]))
        got = solve(one, now.inputs, "results.holes.0.speed", 0.2, "setup.fill_height", 0.07, 0.2)
        for x, *_ in got.found:
            speed = answered(bottle(holes=[{"height": "6 cm", "diameter": "0.6 mm"}], fill_height=f"{x} m"))["results"]["holes"][0]["speed"]["value"]
            self.assertAlmostEqual(speed, 0.2, places=6)

    def test_the_edge_of_a_verdict_is_found(self):
        """What one solves for most: the lift at which nothing is to spare, where the verdict changes."""
        one, now = worked("suction-lift")
        got = solve(one, now.inputs, "results.lift_margin", 0.0, "setup.lift_height")
        self.assertEqual(len(got.found), 1)
        self.assertAlmostEqual(got.found[0].low, now.value("results.source_limit"), places=8)

    def test_a_target_that_is_only_touched_is_found(self):
        """Two holes: the lead comes down to nothing where they land together, and rises again."""
        one, now = work_out(bottle(stand_drop="0 cm", holes=[{"height": "10 cm", "diameter": "3 mm"}, {"height": "8 cm", "diameter": "3 mm"}]))
        got = solve(one, now.inputs, "results.lead", 0.0, "setup.holes.0.height", 0.01, 0.27)
        self.assertEqual(len(got.found), 2)
        self.assertAlmostEqual(got.found[0].low, 0.08, places=5)

    def test_a_stretch_on_which_it_stays_is_one_answer_with_both_ends(self):
        one, now = work_out(by_key()["hydraulic-press"].guide.starts[0]["document"])
        got = solve(one, now.inputs, "results.pressure", 0.0, "setup.input_force", 0.0, 10.0)
        self.assertEqual(len(got.found), 1)
        self.assertAlmostEqual(got.found[0].low, 0.0, places=12)
        self.assertAlmostEqual(got.found[0].high, 1.2, places=6)  # what the seal takes

    def test_what_is_just_before_a_result_goes_missing_is_found(self):
        one, now = worked("lifted-column")
        tube = float(now.setup.tube_length[0])
        got = solve(one, now.inputs, "results.mouth_depth", 0.0, "setup.lift", 0.1, 2 * tube)
        self.assertAlmostEqual(got.found[0].low, tube, places=8)

    def test_what_a_source_makes_from_the_height_once_reached(self):
        one, now = worked("suction-lift")
        got = solve(one, now.inputs, "results.source_limit", 4.0, "setup.source_suction")
        self.assertAlmostEqual(got.found[0][0], 998.206 * 9.80665 * 4.0, delta=1.0)


class Elsewhere(unittest.TestCase):
    def test_what_a_room_states_replaces_what_stood_for_the_same_thing(self):
        here = {"room": {"metar": "Q1016", "elevation": "640 m", "latitude": "54 deg", "temperature": "17 degC", "ceiling_height": "3 m"}}
        self.assertEqual(
            in_room(here, {"temperature": "3 degC"})["room"], {**{k: v for k, v in here["room"].items() if k != "ceiling_height"}, "temperature": "3 degC"}
        )
        self.assertEqual(set(in_room(here, {"station_pressure": "700 hPa"})["room"]), {"station_pressure", "latitude", "temperature"})
        self.assertEqual(in_room(here, {"gravity": "3.7 m/s^2"})["room"]["elevation"], "640 m")

    def test_every_demonstration_is_answered_or_refused_in_words_everywhere(self):
        for one in ALL_DEMONSTRATIONS:
            for column in what_if(one.guide.starts[0]["document"]):
                self.assertTrue(column["refused"] or column["state"] in STATES)
        self.assertGreaterEqual(len(rooms()), 6)

    def test_thin_air_lifts_less_and_dense_air_more(self):
        document = by_key()["suction-lift"].guide.starts[1]["document"]
        got = {one["key"]: one["values"][0]["value"] for one in what_if(document)}
        self.assertLess(got["ridge-hut"], got["today"])
        self.assertLess(got["today"], got["diving-bell"])


class SeenFrom(unittest.TestCase):
    def test_ten_minutes_of_arc(self):
        got = answered(by_key()["barometer"].guide.starts[0]["document"])["results"]
        self.assertAlmostEqual(2 * math.atan(got["effect"]["value"] / 2 / got["seen_from"]["value"]), math.radians(10 / 60), places=9)

    def test_there_is_none_where_nothing_moves_and_the_smallest_gap_decides_for_jets(self):
        self.assertIsNone(answered(by_key()["inverted-glass"].guide.starts[0]["document"])["results"]["seen_from"])
        got = answered(bottle())["results"]
        landings = sorted(hole["range"]["value"] for hole in got["holes"])
        self.assertAlmostEqual(got["effect"]["value"], min(b - a for a, b in itertools.pairwise(landings)), places=12)
