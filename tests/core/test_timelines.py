"""What moves, moment by moment: what is conserved, where it ends, and that no seconds are shown where no law gives them."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.answer import answer
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.layout.drawing import play
from hydrostatics.layout.window import Paper
from tests.support.documents import worked_out


def case(key: str, start: int = 0, **changes):
    document = by_key()[key].guide.starts[start]["document"]
    one, now = worked_out({**document, "room": {"station_pressure": "955 hPa"}, "setup": {**document["setup"], **changes}})
    return one, now, one.moments(now) if one.moments else None


class Timelines(unittest.TestCase):
    def test_every_series_has_a_value_for_every_moment_and_every_frame_the_same_shapes(self):
        for one in ALL_DEMONSTRATIONS:
            for start in one.guide.starts:
                _, now = worked_out(start["document"])
                timeline = one.moments(now) if one.moments else None
                if timeline is None:
                    continue
                with self.subTest(demonstration=one.key, start=start["name"]):
                    for _, _, values in timeline.series.values():
                        self.assertEqual(len(values), len(timeline.times))
                    self.assertEqual(len(timeline.states), len(timeline.times))
                    steps = np.diff(timeline.times)
                    self.assertTrue((steps > 0).all() or (steps < 0).all())
                    low, high = sorted((timeline.times[0], timeline.times[-1]))
                    for at, words in timeline.marks:
                        self.assertTrue(low - 1e-9 <= at <= high + 1e-9, words)
                    played = play(one, now, Paper())
                    self.assertEqual({len(frame) for frame in played["frames"]}, {len(played["moving"])})

    def test_seconds_are_shown_only_where_a_law_gives_them(self):
        over = {key: timeline.over for key in by_key() if (timeline := case(key)[2]) is not None}
        self.assertIsNone(over["holed-bottle"])
        for key in ("inverted-glass", "lifted-column", "barometer", "suction-lift", "hydraulic-press"):
            self.assertIsNotNone(over[key], key)
        self.assertIsNone(case("suction-lift", 1)[2].over, "a pump whose flow is known fills in time")

    def test_a_demonstration_in_which_nothing_moves_says_so(self):
        for key in ("depth-pressure", "suction-cup"):
            one, now, timeline = case(key)
            self.assertIsNone(timeline)
            self.assertFalse(answer(one, now)["moves"])


class Conserved(unittest.TestCase):
    def test_a_lifted_columns_dry_gas_is_the_same_at_every_lift(self):
        _, now, timeline = case("lifted-column")
        p_v = float(now.setup.liquid.vapour_pressure[0])
        lifts, levels = np.array(timeline.times), np.array(timeline.series["level"][2])
        dry = np.array(timeline.series["pressure"][2]) - p_v
        amounts = dry * (lifts - levels)
        np.testing.assert_allclose(amounts, amounts[-1], rtol=1e-9)

    def test_a_sinking_covers_air_obeys_boyle_and_ends_where_it_holds(self):
        _, now, timeline = case("inverted-glass")
        p_v, air = float(now.setup.liquid.vapour_pressure[0]), now.value("results.trapped_air_height")
        pressures, sunk = np.array(timeline.series["air"][2]), np.array(timeline.times)
        np.testing.assert_allclose((pressures - p_v) * (air + sunk), (95_500 - p_v) * air, rtol=1e-9)
        self.assertAlmostEqual(pressures[-1], now.value("results.top_pressure"), places=4)
        self.assertAlmostEqual(timeline.series["cover"][2][0], now.value("results.load") / (np.pi * 0.034**2) - 2.1e-3 * 9.80665 / (np.pi * 0.034**2), places=3)

    def test_a_falling_barometer_ends_where_nothing_but_the_vapour_is_left_for_the_top(self):
        _, now, timeline = case("barometer")
        self.assertAlmostEqual(timeline.series["top"][2][-1], float(now.setup.liquid.vapour_pressure[0]), places=4)

    def test_a_press_hands_on_the_volume(self):
        timeline = case("hydraulic-press")[2]
        risen = np.array(timeline.series["risen"][2]) * np.pi / 4 * 0.0286**2
        np.testing.assert_allclose(risen, np.array(timeline.times) * np.pi / 4 * 0.0124**2, rtol=1e-9)

    def test_a_full_glass_has_no_sink_to_show(self):
        self.assertIsNone(case("inverted-glass", fill_height="13.5 cm")[2])


class Capped(unittest.TestCase):
    """A cap closes the air in: the liquid is at the room's pressure where air comes in, not at its surface."""

    def start(self, name: str):
        one = by_key()["holed-bottle"]
        document = next(start["document"] for start in one.guide.starts if start["name"] == name)
        return worked_out(document)

    def test_a_steady_bottle_is_at_the_rooms_pressure_at_its_inlet(self):
        one, now = self.start("Capped, running steadily")
        shapes = {shape.id: shape for shape in one.section(now).shapes}
        weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
        inlet, level = 0.17 - now.value("results.holes.0.head_to_start") / 2, float(now.setup.fill_height[0])
        foot, top = shapes["liquid"].pressures
        self.assertAlmostEqual(foot, weight * inlet, places=6)
        self.assertAlmostEqual(top, weight * (inlet - level), places=6)
        self.assertEqual(shapes["air"].pressures, (top, top))
        self.assertLess(top, 0)

    def test_it_falls_evenly_until_air_comes_in_freely_and_then_ever_slower(self):
        one, now = self.start("Capped, running steadily")
        timeline = one.moments(now)
        steady = now.value("results.steady_time")
        self.assertEqual(timeline.marks[0], (steady, "no longer steady"))
        times, levels = np.array(timeline.times), np.array(timeline.series["level"][2])
        rate = -np.diff(levels) / np.diff(times)
        first, later = rate[times[1:] < steady], rate[times[:-1] > steady]
        np.testing.assert_allclose(first, first[0], rtol=1e-6)
        self.assertTrue((np.diff(later) < 1e-9).all())

    def test_the_air_over_what_a_cap_holds_is_below_the_rooms(self):
        one, now = self.start("One hole and the cap on")
        air = next(shape for shape in one.section(now).shapes if shape.id == "air")
        self.assertLess(air.pressures[0], -1000)
