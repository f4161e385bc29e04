"""Manometers: what is refused, what can be known, closure and its mending, the one-line chain, the drawing."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.manometer.chain_line import read_chain
from hydrostatics.errors import Conflict, MissingKey, OutOfRange, Refusal
from hydrostatics.prediction import Table
from hydrostatics.works.one_line import one_line
from tests.support.documents import answered, bare, changed, started, values, worked_out


def chain(*drops: str, start="atmosphere", end="unknown", liquid="water", **changes):
    return bare("manometer", {"start": start, "end": end, "legs": [{"liquid": liquid, "drop": drop} for drop in drops], **changes}, station_pressure="1000 hPa")


def legs(*given, start="atmosphere", end="atmosphere"):
    return bare("manometer", {"start": start, "end": end, "legs": list(given)}, station_pressure="1000 hPa")


class Refused(unittest.TestCase):
    def test_what_a_chain_cannot_be(self):
        for document, kind, path in (
            (chain("unknown", "unknown", end="atmosphere"), Conflict, "setup.legs.1.drop"),
            (chain("unknown"), Conflict, "setup.legs.0.drop"),
            (legs({"liquid": "water", "drop": "3 cm", "length": "4 cm", "angle": "10 deg"}), Conflict, "setup.legs.0.length"),
            (legs({"liquid": "water", "length": "4 cm"}), MissingKey, "setup.legs.0.angle"),
            (legs({"liquid": "water", "drop": "4 cm", "angle": "10 deg"}), Conflict, "setup.legs.0.angle"),
            (legs({"liquid": "water"}), MissingKey, "setup.legs.0.drop"),
            (chain(*(["1 cm"] * 21)), OutOfRange, "setup.legs"),
            (chain("1 cm", start="open"), Refusal, "setup.start"),
            (chain("1 cm", start={"pressure": "1 bar", "gauge_pressure": "1 bar"}), Conflict, "setup.start.gauge_pressure"),
        ):
            with self.subTest(path=path), self.assertRaises(kind) as caught:
                work_out(document)
            self.assertEqual(caught.exception.path, path)

    def test_twenty_legs_are_taken(self):
        self.assertEqual(len(answered(chain(*(["1 cm", "-2 cm"] * 10)))["results"]["ledger"]), 20)


class Known(unittest.TestCase):
    def test_nothing_is_known_of_two_unknown_ends_but_their_difference(self):
        got = values(chain("10 cm", "-4 cm", start="unknown"))
        for key in ("start_pressure", "end_pressure", "start_gauge", "end_gauge", "closure", "ledger.0.pressure"):
            self.assertIsNone(got[f"results.{key}"], key)
        self.assertAlmostEqual(got["results.difference"], -998.207 * 9.80665 * 0.06, delta=0.05)

    def test_the_walk_may_begin_at_either_end(self):
        forward = values(chain("10 cm", "-4 cm", start={"gauge_pressure": "2 kPa"}))
        back = values(chain("10 cm", "-4 cm", start="unknown", end={"pressure": f"{forward['results.end_pressure']} Pa"}))
        self.assertAlmostEqual(back["results.start_gauge"], 2000, places=6)
        for i in range(2):
            self.assertAlmostEqual(back[f"results.ledger.{i}.pressure"], forward[f"results.ledger.{i}.pressure"], places=6)

    def test_a_closed_end_has_the_vapour_of_what_touches_it(self):
        got = values(chain("-20 cm", start="unknown", end="vacuum"))
        self.assertAlmostEqual(got["results.end_pressure"], 2339.2, delta=0.5)

    def test_a_wanted_drop_closes_the_chain(self):
        document = started("manometer", 5)
        got = values(document)
        drop = got["results.ledger.1.drop"]
        again = {**document, "setup": {**document["setup"], "legs": [document["setup"]["legs"][0], {"liquid": "vegetable oil", "drop": f"{drop} m"}]}}
        self.assertAlmostEqual(values(again)["results.closure"], 0, places=6)
        self.assertIsNone(got["results.closure"])

    def test_twice_as_dense_moves_half_as_far(self):
        def drop(density: float) -> float:
            return values(legs({"liquid": {"density": f"{density} kg/m^3"}, "drop": "unknown"}, start={"gauge_pressure": "1 kPa"}))["results.ledger.0.drop"]

        self.assertAlmostEqual(drop(1000), 2 * drop(2000), places=12)


class Closing(unittest.TestCase):
    def test_ends_that_meet_within_what_is_known_do(self):
        close = legs({"liquid": "water", "drop": "10 +/- 0.2 cm"}, {"liquid": "water", "drop": "-10.2 +/- 0.2 cm"})
        self.assertEqual(answered(close)["verdict"]["state"], "works")
        sharp = legs({"liquid": "water", "drop": "10 +/- 0.01 cm"}, {"liquid": "water", "drop": "-10.2 +/- 0.01 cm"})
        self.assertEqual(answered(sharp)["verdict"]["state"], "fails")

    def test_a_millimetre_of_the_densest_leg_is_never_too_much(self):
        for off, state in (("-9.91 cm", "works"), ("-9.89 cm", "fails")):
            self.assertEqual(answered(legs({"liquid": "water", "drop": "10 cm"}, {"liquid": "water", "drop": off}))["verdict"]["state"], state, off)

    def test_a_turned_sign_is_found_and_pressing_it_mends_it(self):
        document = legs({"liquid": "water", "drop": "30 cm"}, {"liquid": "water", "drop": "12 cm"}, {"liquid": "water", "drop": "-18 cm"})
        got = answered(document)
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIn("The sign of leg 2 would mend it", got["verdict"]["advice"][0])
        self.assertEqual(answered(changed(document, got["verdict"]["changes"][0]))["verdict"]["state"], "works")

    def test_how_sure_it_is_that_they_meet_lies_between_the_edges(self):
        edge = legs({"liquid": "water", "drop": "10 +/- 0.2 cm"}, {"liquid": "water", "drop": "-10.47 +/- 0.2 cm"})
        got = answered(edge)["verdict"]
        self.assertTrue(0.02 < got["probability"] < 0.98, got["probability"])
        self.assertTrue(got["doubt"])


class Boiling(unittest.TestCase):
    def test_a_leg_too_tall_for_the_air_boils_and_is_named(self):
        got = answered(chain("20 cm", "-11 m"))
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIn("boils in leg 2", got["verdict"]["reason"])

    def test_a_pascal_of_slack(self):
        held = (100_000 - 2339.2) / (998.207 * 9.80665)
        self.assertEqual(answered(chain(f"{-held + 2e-3} m"))["verdict"]["state"], "works")
        self.assertEqual(answered(chain(f"{-held - 2e-3} m"))["verdict"]["state"], "fails")


class OneLine(unittest.TestCase):
    def test_as_people_write_it(self):
        told = read_chain("water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm", 9.80665)
        self.assertEqual([leg["drop"] for leg in told], ["14 cm", "-2.5 cm", "3 cm"])
        self.assertEqual([leg["liquid"] for leg in told], ["water", "mercury", {"density": "860 kg/m^3"}])
        for typed, liquid, drop in (
            ("Salt water up 3 in", "salt water", "-3 in"),
            ("something 9810 N/m^3 down 8 cm", {"density": "1000.34 kg/m^3"}, "8 cm"),
            ("glycol 1.11 g/cm^3 UP 4 cm", {"density": "1.11 g/cm^3"}, "-4 cm"),
            ("oil of relative density 0.9 down 5 ± 0.2 cm", {"density": "900 kg/m^3"}, "5 +/- 0.2 cm"),
            ("water down ?", "water", "unknown"),
            ("water up 2,5 cm", "water", "-2.5 cm"),
        ):
            with self.subTest(typed=typed):
                self.assertEqual(read_chain(typed, 9.80665), [{"liquid": liquid, "drop": drop}])
        self.assertEqual(len(read_chain("water down 3 cm\noil 0.9 up 2 cm, water down 1 cm then mercury up 1 cm", 9.8)), 4)

    def test_what_it_reads_is_a_set_up(self):
        work_out(legs(*read_chain("water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm; water up ?", 9.80665)))

    def test_what_it_cannot_read_names_the_piece(self):
        for typed, path, words in (
            ("", "setup.legs", "no leg"),
            ("water down 14 cm; mercury 2.5 cm", "setup.legs.1", "neither up nor down"),
            ("water down 14", "setup.legs.0.drop", "not a height"),
            ("syrup down 3 cm", "setup.legs.0.liquid", "no liquid"),
            ("water down 3 kg", "setup.legs.0.drop", "not a height"),
        ):
            with self.subTest(typed=typed), self.assertRaises(Refusal) as caught:
                read_chain(typed, 9.8)
            self.assertEqual(caught.exception.path, path)
            self.assertIn(words, caught.exception.message)

    def test_its_meaning_is_told_back_leg_by_leg(self):
        got = one_line(chain("1 cm"), "setup.legs", "water down 14 cm; oil 0.86 up 3 cm")
        self.assertEqual(len(got["items"]), 2)
        self.assertIn("14 cm", got["words"][0])
        self.assertIn("860 kg/m³", got["words"][1])
        self.assertIn("\u22123 cm", got["words"][1])

    def test_one_that_is_too_long_is_refused_whole(self):
        with self.assertRaises(Refusal) as caught:
            one_line(chain("1 cm"), "setup.legs", "water down 1 cm; " * 150)
        self.assertEqual(caught.exception.path, "setup.legs")
        self.assertIn("at most 2000", caught.exception.message)
        with self.assertRaisesRegex(Refusal, "not read from one line"):
            one_line(chain("1 cm"), "setup.end", "water down 1 cm")


class Drawn(unittest.TestCase):
    def test_each_leg_goes_as_far_as_it_drops_from_where_the_one_before_ended(self):
        one, now = worked_out(started("manometer", 3))
        shapes = {shape.id: shape for shape in one.section(now).shapes}
        z = shapes["start-surface"].points[0][1]
        for i in range(5):
            drop = now.value(f"results.ledger.{i}.drop")
            ends = np.array(shapes[f"leg-{i}"].points)[:, 1]
            low, high = sorted((z, z - drop))
            self.assertAlmostEqual(ends.min(), low, places=9)
            self.assertAlmostEqual(ends.max(), high, places=9)
            z -= drop
        self.assertAlmostEqual(shapes["end-surface"].points[0][1], z, places=9)

    def test_a_bend_stands_only_where_the_way_turns(self):
        def bends(*drops: str) -> set[str]:
            one, now = worked_out(chain(*drops))
            return {shape.id for shape in one.section(now).shapes if shape.id.startswith("bend-") and shape.role == "liquid"}

        self.assertEqual(bends("5 cm", "3 cm"), set())
        self.assertEqual(bends("5 cm", "-3 cm", "-2 cm", "4 cm"), {"bend-1", "bend-3"})

    def test_dragging_a_leg_through_nothing_bends_it_the_other_way(self):
        one, now = worked_out(chain("5 cm", "-0.1 cm"))
        other = worked_out(chain("5 cm", "0.1 cm"))[1]
        self.assertGreater(len(one.section(now).shapes), len(one.section(other).shapes))

    def test_legs_are_taken_off_and_added_by_handles_and_the_ledger_points_at_them(self):
        one, now = worked_out(started("manometer", 3))
        scene = one.section(now)
        self.assertEqual({ring.removes for ring in scene.handles}, {f"setup.legs.{i}" for i in range(5)})
        self.assertEqual(scene.adders[0].path, "setup.legs")
        table = next(view for view in one.say(now).table if isinstance(view, Table))
        ids = {shape.id for shape in scene.shapes}
        self.assertEqual(len(table.walks), 5)
        self.assertLessEqual(set(table.walks), ids)

    def test_a_swing_dies_down_about_its_level(self):
        one, now = worked_out(started("manometer"))
        timeline = one.moments(now)
        drops = np.array(timeline.series["drop"][2])
        self.assertLess(abs(drops[-1] - now.value("results.ledger.1.drop")), 0.011 * abs(drops[0] - now.value("results.ledger.1.drop")))
        self.assertIsNone(timeline.over)
