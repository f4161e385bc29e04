"""Joined vessels: what is refused, how they fare, the paradox in words, pouring and swinging."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.registry import by_key
from hydrostatics.errors import Conflict, MissingKey, OutOfRange
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.window import Paper
from tests.support.documents import answered, started, values, worked_out
from tests.support.lettered import box


def joined(start: int = 0, **changes):
    return started("communicating-vessels", start, **changes)


def with_vessel(**vessel):
    return joined(vessels=[{"bottom_diameter": "4 cm", "height": "20 cm"}, {"height": "20 cm", **vessel}])


class Refused(unittest.TestCase):
    def test_what_a_vessel_cannot_be(self):
        profile = [{"height": "0 cm", "diameter": "4 cm"}, {"height": "20 cm", "diameter": "5 cm"}]
        for vessel, kind, key in (
            ({}, MissingKey, "bottom_diameter"),
            ({"bottom_diameter": "4 cm", "profile": profile}, Conflict, "profile"),
            ({"bottom_diameter": "4 cm", "tilt": "20 deg", "path_length": "30 cm"}, Conflict, "path_length"),
            ({"bottom_diameter": "4 cm", "top_diameter": "5 cm", "tilt": "20 deg"}, Conflict, "tilt"),
            ({"bottom_diameter": "4 cm", "path_length": "19 cm"}, OutOfRange, "path_length"),
            ({"profile": [profile[0], {"height": "19 cm", "diameter": "5 cm"}]}, OutOfRange, "profile.1.height"),
            ({"profile": [profile[0], {"height": "0 cm", "diameter": "5 cm"}]}, OutOfRange, "profile.1.height"),
        ):
            with self.subTest(vessel=vessel), self.assertRaises(kind) as caught:
                work_out(with_vessel(**vessel))
            self.assertEqual(caught.exception.path, f"setup.vessels.1.{key}")

    def test_half_of_a_joining_tube_and_one_vessel_alone(self):
        with self.assertRaises(MissingKey) as caught:
            work_out(joined(link_length="1 m"))
        self.assertEqual(caught.exception.path, "setup.link_bore")
        with self.assertRaises(OutOfRange):
            work_out(joined(vessels=[{"bottom_diameter": "4 cm", "height": "20 cm"}]))


class Fares(unittest.TestCase):
    def test_more_than_they_hold_runs_over_at_the_lowest_rim(self):
        low = with_vessel(bottom_diameter="3 cm", height="12 cm")
        got = answered({**low, "setup": {**low["setup"], "poured_volume": "2 L"}})
        self.assertEqual(got["results"]["overflows"], 1)
        self.assertAlmostEqual(got["results"]["level"]["value"], 0.12, places=12)
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIn("vessel 2", got["verdict"]["reason"])

    def test_what_the_joining_tube_takes_does_not_show(self):
        got = answered(joined(poured_volume="30 mL"))
        self.assertEqual(got["results"]["level"]["value"], 0)
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIsNone(got["results"]["overflows"])

    def test_a_hundredth_too_much_flows_over_and_a_hundredth_less_stays(self):
        most = values(joined())["results.max_pour"] * 1e3
        for part, state in ((1.01, "fails"), (0.99, "works")):
            self.assertEqual(answered(joined(poured_volume=f"{part * most:.9f} L"))["verdict"]["state"], state)

    def test_a_stated_link_volume_wins_over_its_size(self):
        self.assertGreater(values(joined(1, link_volume="0 mL"))["results.level"], values(joined(1))["results.level"])

    def test_walls_carry_what_leans_out_press_where_they_lean_in_and_nothing_when_upright(self):
        got = values(joined())
        self.assertGreater(got["results.vessels.0.wall_share"], 0)
        self.assertLess(got["results.vessels.1.wall_share"], 0)
        self.assertEqual(got["results.vessels.2.wall_share"], 0)
        for k in range(3):
            share = got[f"results.vessels.{k}.weight"] - got[f"results.vessels.{k}.base_force"]
            self.assertAlmostEqual(share, got[f"results.vessels.{k}.wall_share"], places=9)

    def test_a_narrow_link_creeps_and_says_so_and_other_shapes_have_no_swing(self):
        narrow = answered(joined(1, link_bore="1.5 mm", link_length="2 m"))
        self.assertIsNone(narrow["results"]["swing_period"])
        self.assertIsNotNone(narrow["results"]["settling_time"])
        self.assertTrue(any("creeps" in line for line in narrow["assumptions"]))
        self.assertIsNone(values(joined())["results.settling_time"])
        dry = values(joined(1, liquid={"density": "998 kg/m^3"}))
        self.assertIsNotNone(dry["results.swing_period"])
        self.assertIsNone(dry["results.settling_time"])

    def test_thin_tubes_stand_higher_and_it_is_told_and_not_added(self):
        got = values(joined(3))
        self.assertGreater(got["results.vessels.2.capillary_rise"], got["results.vessels.1.capillary_rise"])


class Played(unittest.TestCase):
    def test_pouring_ends_at_the_level_and_marks_where_the_link_is_full(self):
        one, now = worked_out(joined())
        timeline = one.moments(now)
        self.assertEqual(timeline.over[1], "volume")
        self.assertAlmostEqual(timeline.series["level"][2][-1], now.value("results.level"), places=9)
        self.assertAlmostEqual(timeline.marks[0][0], 4e-5, places=12)
        self.assertEqual(timeline.marks[0][1], "the joining tube is full")

    def test_it_runs_over_where_it_is_full(self):
        one, now = worked_out(joined(poured_volume="3 L"))
        timeline = one.moments(now)
        self.assertIn(("runs over"), [words for _, words in timeline.marks])
        self.assertAlmostEqual(max(timeline.series["level"][2]), 0.23)

    def test_a_swing_keeps_its_volume_and_comes_to_rest(self):
        one, now = worked_out(joined(1))
        timeline = one.moments(now)
        self.assertIsNone(timeline.over)
        left, right = (np.array(timeline.series[key][2]) for key in ("left", "right"))
        volume = 0.046**2 * left + 0.038**2 * right
        np.testing.assert_allclose(volume, volume[0], rtol=1e-12)
        level = now.value("results.level")
        self.assertLess(abs(left[-1] - level), 0.011 * abs(left[0] - level))
        self.assertGreater(np.count_nonzero(np.diff(np.sign(left - level))), 3)


class Drawn(unittest.TestCase):
    def test_every_vessel_stands_filled_to_the_level(self):
        for start in range(4):
            one, now = worked_out(joined(start))
            shapes = {shape.id: shape for shape in one.section(now).shapes}
            foot = max(z for _, z in shapes["link"].points)
            for k in range(len(now.setup.vessels)):
                self.assertAlmostEqual(max(z for _, z in shapes[f"liquid-{k}"].points) - foot, now.value("results.level"), places=9)
                self.assertAlmostEqual(shapes[f"liquid-{k}"].pressures[0], now.value("results.base_pressure"), places=6)

    def test_what_a_vessel_weighs_is_lettered_on_no_wall(self):
        lettered = 0
        for start in by_key()["communicating-vessels"].guide.starts:
            items = draw(*worked_out(start["document"]), Paper())["items"]
            walls = [np.reshape(item["d"], (-1, 2)) for item in items if item["id"].startswith("wall-")]
            for item in (one for one in items if one["id"].startswith(("label-weight-", "label-force-"))):
                left, top, right, bottom = box(item)
                for wall in walls:
                    ends = np.concatenate([wall, wall[:1]])
                    x, y = (ends[:-1, None] + np.linspace(0, 1, 200)[:, None] * (ends[1:] - ends[:-1])[:, None]).reshape(-1, 2).T
                    self.assertFalse(np.any((left < x) & (x < right) & (top < y) & (y < bottom)), (start["name"], item["id"]))
                lettered += 1
        self.assertGreater(lettered, 2)
