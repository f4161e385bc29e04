"""The cooling flask: what is refused, what state it is in, what it says of steam and of air."""

from __future__ import annotations

import unittest

from hydrostatics.answer import work_out
from hydrostatics.errors import Conflict, MissingKey, OutOfRange
from tests.support.documents import answered, started, values, worked_out


def flask(start: int = 0, **changes):
    return started("cooling-flask", start, **changes)


class Refused(unittest.TestCase):
    def test_what_a_flask_cannot_be(self):
        for document, kind, path in (
            (flask(neck_diameter=None, needed_force=None), MissingKey, "setup.neck_diameter"),
            (flask(2, needed_force="4 N"), Conflict, "setup.needed_force"),
            (flask(stopper_volume="480 mL"), OutOfRange, "setup.stopper_volume"),
            (flask(final_temperature="-8 degC"), OutOfRange, "setup.final_temperature"),
            (flask(moisture=None), MissingKey, "setup.moisture"),
        ):
            with self.subTest(path=path), self.assertRaises(kind) as caught:
                work_out(document)
            self.assertEqual(caught.exception.path, path)

    def test_dry_air_may_be_cooled_below_freezing(self):
        self.assertGreater(values(flask(1, final_temperature="-8 degC"))["results.push_force"], values(flask(1))["results.push_force"])


class Fares(unittest.TestCase):
    def test_warmed_it_fails_and_nothing_is_pushed_in(self):
        got = answered(flask(final_temperature="95 degC"))
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertEqual(got["results"]["volume_pushed_in"]["value"], 0)
        self.assertIn("not cooled", got["verdict"]["reason"])

    def test_above_boiling_it_is_steam_without_air_and_says_so(self):
        got = answered(flask(hot_temperature="104 degC"))
        self.assertEqual(got["results"]["air_closed_in"]["value"], 0)
        self.assertTrue(any("steam without air" in line for line in got["assumptions"]))
        self.assertEqual(got["results"]["final_pressure"]["value"], got["results"]["steam_pressure"]["value"])

    def test_steam_does_more_than_air(self):
        wet, dry = (values(flask(moisture=one))["results.push_force"] for one in ("saturated", "dry"))
        self.assertGreater(wet, 2.5 * dry)

    def test_the_margin_decides(self):
        end = values(flask())["results.push_force_end"]
        for part, state in ((0.8, "works"), (0.9, "marginal"), (1.01, "fails")):
            self.assertEqual(answered(flask(needed_force=f"{part * end} N"))["verdict"]["state"], state)

    def test_the_worse_of_stopper_and_can_counts(self):
        can = {"diameter": "66 mm", "height": "115 mm", "wall": "3 mm", "collapse_factor": 0.7}
        got = answered(flask(can=can))
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIn("The can holds", got["verdict"]["reason"])

    def test_the_cooling_is_played_in_time_where_its_constant_is_known(self):
        one, now = worked_out(flask())
        timeline = one.moments(now)
        self.assertIsNone(timeline.over)
        self.assertAlmostEqual(timeline.marks[0][0], now.value("results.time_to_move"), places=6)
        one, now = worked_out(flask(1))
        self.assertEqual(one.moments(now).over[1], "temperature")

    def test_a_can_is_drawn_dented_where_it_crumples_and_whole_where_it_holds(self):
        def waist(**can) -> float:
            one, now = worked_out(flask(2, can={"diameter": "64 mm", "height": "115 mm", **can}))
            left = next(shape for shape in one.section(now).shapes if shape.id == "gas")
            return min(abs(x) for x, z in left.points if 0.05 < z < 0.06)

        self.assertAlmostEqual(waist(wall="3 mm"), 0.032, places=6)
        self.assertLess(waist(), 0.027)
