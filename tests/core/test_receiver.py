"""The receiver: what is refused, when it drops, what comes of its air, and how it plays."""

from __future__ import annotations

import json
import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.errors import OutOfRange
from hydrostatics.prediction import Plot, Table, told_results
from tests.support.documents import answered, started, values, worked_out


def receiver(start: int = 0, **changes):
    return started("vacuum-receiver", start, **changes)


class Refused(unittest.TestCase):
    def test_a_pump_that_ends_above_the_room_and_a_saturation_above_one(self):
        for document, path in (
            (receiver(ultimate_pressure="1020 hPa"), "setup.ultimate_pressure"),
            (receiver(room={"station_pressure": "700 hPa"}, ultimate_pressure="701 hPa"), "setup.ultimate_pressure"),
            (receiver(air_saturation=90), "setup.air_saturation"),
        ):
            with self.subTest(path=path), self.assertRaises(OutOfRange) as caught:
                work_out(document)
            self.assertEqual(caught.exception.path, path)


class Fares(unittest.TestCase):
    def test_degassed_sets_only_the_default(self):
        self.assertEqual(values(receiver(2))["results.level_with_air"], values(receiver(2))["results.level_at_ultimate"])
        both = values(receiver(2, air_saturation=0.7))["results.level_with_air"]
        self.assertLess(both, values(receiver(2))["results.level_with_air"])
        self.assertEqual(both, values(receiver(2, degassed=None, air_saturation=0.7))["results.level_with_air"])

    def test_a_pump_that_never_gets_there_is_said_to_and_has_no_time(self):
        got = answered(receiver(ultimate_pressure="90 hPa", air_saturation=0))
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIsNone(got["results"]["time_to_drop"])
        self.assertIsNone(got["results"]["time_to_half_with_air"])
        self.assertTrue(any("however long" in line for line in got["assumptions"]))

    def test_air_alone_may_bring_it_down(self):
        got = answered(receiver(ultimate_pressure="90 hPa"))
        self.assertEqual(got["verdict"]["state"], "marginal")
        self.assertIn("only the air that comes out", got["verdict"]["reason"])

    def test_taller_than_the_room_holds_it_drops_at_once(self):
        got = values(receiver(column_height="11 m"))
        self.assertEqual(got["results.time_to_drop"], 0)
        self.assertEqual(got["results.time_to_drop_damp"], 0)

    def test_below_its_vapour_the_pump_down_stalls_and_it_is_said(self):
        got = answered(receiver(ultimate_pressure="2 hPa"))
        self.assertTrue(any("stalls" in line for line in got["cautions"]))
        pressures = [one["receiver_pressure"]["value"] for one in got["results"]["frames"]]
        self.assertAlmostEqual(min(pressures), 2339, delta=2)
        self.assertGreater(got["results"]["time_to_drop_damp"]["value"], got["results"]["time_to_drop"]["value"])

    def test_what_other_liquids_hold_dissolved_is_not_told(self):
        got = values(receiver(liquid="light mineral oil", air_saturation=None))
        for key in ("level_with_air", "half_with_air_pressure", "time_to_half_with_air"):
            self.assertIsNone(got[f"results.{key}"])

    def test_a_hanging_column_is_called_one_that_may_hang(self):
        got = answered(receiver(2))
        self.assertLess(got["results"]["top_pressure_at_ultimate"]["value"], 0)
        self.assertTrue(any(" may hang" in line for line in got["assumptions"]))

    def test_calls_from_the_rooms_pressure_up_are_at_once_and_below_the_end_never(self):
        got = values(receiver(calls=["1013.25 hPa", "1100 hPa", "20 hPa"]))
        self.assertEqual([got[f"results.calls.{k}.time"] for k in range(3)], [0, 0, None])


class Told(unittest.TestCase):
    def test_frames_are_told_whole_and_stay_out_of_lists_of_results(self):
        got = answered(receiver())
        json.dumps(got["results"]["frames"], allow_nan=False)
        self.assertFalse([path for path, _ in told_results(got) if "frames" in path])

    def test_the_pump_down_is_drawn_and_the_calls_stand_in_a_table(self):
        one, now = worked_out(receiver())
        plot, table = one.say(now).table
        self.assertIsInstance(plot, Plot)
        self.assertIsInstance(table, Table)
        self.assertEqual(len(plot.lines), 2)
        self.assertEqual(len(table.rows), 5)

    def test_the_play_ends_where_the_numbers_say_and_bubbles_grow_only_where_they_can(self):
        one, now = worked_out(receiver())
        timeline = one.moments(now)
        self.assertIsNone(timeline.over)
        self.assertAlmostEqual(timeline.series["level"][2][-1], now.value("results.level_at_ultimate"), delta=0.02)
        self.assertTrue((np.diff(timeline.series["with-air"][2]) <= 1e-12).all())
        words = [words for _, words in timeline.marks]
        self.assertIn("it drops", words)
        self.assertEqual(len(words), 6)

        def size(state) -> float:
            bubble = next(shape for shape in one.section(now, state).shapes if shape.id == "bubble-0")
            return float(np.ptp([z for _, z in bubble.points]))

        self.assertEqual(size(timeline.states[0]), 0)
        self.assertGreater(size(timeline.states[30]), 0)
