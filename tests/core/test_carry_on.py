"""A next set-up begun where one ended: what is conserved from one to the next, and what begins anew each time."""

from __future__ import annotations

import unittest
from typing import Any

from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.documents.changing import with_changes
from hydrostatics.errors import OutOfRange, UnknownName
from hydrostatics.works.carry_on import carry_on
from tests.support.documents import answered, bare, bottle, started, values, worked_out

ROOM = {"station_pressure": "955 hPa", "temperature": "20 degC"}
FOUR_FIGURES = 1e-3


def after(document: dict[str, Any], moment: int | None = None, **changes: Any) -> dict[str, Any]:
    """The set-up that begins where a document's ended, or at a moment; changes replace keys of its setup."""
    stays = carry_on(*worked_out(document), moment)
    begun = with_changes(document, [(one.path, one.typed) for one in stays])
    return {**begun, "setup": {**begun["setup"], **changes}}


class Conserved(unittest.TestCase):
    def near(self, got: float, wanted: float, part: float = FOUR_FIGURES):
        self.assertAlmostEqual(got / wanted, 1.0, delta=part)

    def test_a_tube_lowered_open_then_closed_then_lifted_lifts_the_air_that_it_let_in(self):
        tube = {"liquid": "water", "bore": "20 mm", "tube_length": "60 cm"}
        lowered = bare("lifted-column", {**tube, "vent": True, "lift": "12 cm"}, **ROOM)
        lifted = values(after(lowered, vent=False, lift="45 cm"))
        by_hand = values(bare("lifted-column", {**tube, "trapped_gas": {"length": "12 cm", "level": "0 cm"}, "lift": "45 cm"}, **ROOM))
        self.near(lifted["results.level"], by_hand["results.level"])
        self.assertGreater(lifted["results.level"], 0.2)

    def test_closed_gas_is_the_same_amount_by_whatever_stops_it_is_lifted(self):
        tube = {"liquid": "water", "bore": "20 mm", "tube_length": "60 cm", "trapped_gas": {"length": "9 cm"}, "lift": "50 cm"}
        at_once = bare("lifted-column", tube, **ROOM)
        _, now = worked_out(at_once)
        self.assertNotEqual(after(at_once, 25)["setup"]["lift"], "50 cm")
        for moment in (None, 10, 25):
            by_stops = values(after(at_once, moment, lift="50 cm"))
            self.near(by_stops["results.level"], now.value("results.level"))
            self.near(by_stops["results.dry_gas_amount"], now.value("results.dry_gas_amount"))

    def test_a_carried_tube_moves_on_from_where_it_was_held_up_or_down(self):
        tube = {"liquid": "water", "bore": "20 mm", "tube_length": "60 cm", "trapped_gas": {"length": "9 cm"}, "lift": "50 cm"}
        before = bare("lifted-column", tube, **ROOM)
        for lift in (8.0, 55.0):
            one, now = worked_out(after(before, lift=f"{lift} cm"))
            timeline = one.moments(now)
            self.near(timeline.times[0], 0.50)
            self.near(timeline.times[-1], lift / 100)
            self.near(timeline.series["level"][2][0], worked_out(before)[1].value("results.level"))

    def test_a_carried_gas_keeps_its_uncertainty(self):
        document = started("lifted-column", 0, room=ROOM)
        _, now = worked_out(document)
        if now.setup.trapped_gas is None:
            document["setup"]["trapped_gas"] = {"length": "9 +/- 0.3 cm"}
        _, now = worked_out(document)
        _, then = worked_out(after(document))
        wanted, got = (one.half_width("results.gas_length") for one in (now, then))
        self.near(got, wanted, 0.5)

    def test_what_is_left_of_a_draining_takes_the_time_that_is_left(self):
        document = bottle(holes=[{"height": "6 cm", "diameter": "2.8 mm"}])
        one, now = worked_out(document)
        timeline = one.moments(now)
        for moment in (10, 40):
            rest = values(after(document, moment))["results.time_to_stop"]
            self.near(rest, timeline.times[-1] - timeline.times[moment], 0.01)
        self.assertFalse(values(after(document))["results.time_to_stop"], "at its end it has run out")

    def test_a_bottle_kept_level_leaves_all_as_it_was(self):
        self.assertEqual(carry_on(*worked_out(bottle(refill="constant-head"))), ())

    def test_what_is_left_of_a_siphons_emptying_takes_the_time_that_is_left(self):
        hose = {"crest": "20 cm", "drop": "80 cm", "bore": "8 mm", "length": "1.8 m", "length_to_crest": "50 cm", "loss_coefficient": "0.5"}
        both = {"upper_area": "400 cm^2", "lower_area": "600 cm^2", "draw_depth": "15 cm"}
        document = bare("siphon", {"liquid": "water", **hose, **both}, **ROOM)
        one, now = worked_out(document)
        timeline = one.moments(now)
        for moment in (12, 30):
            rest = values(after(document, moment))["results.time_to_empty"]
            self.near(rest, timeline.times[-1] - timeline.times[moment], 0.01)

    def test_a_water_barometer_keeps_the_air_that_came_out_when_it_is_leant(self):
        upright = bare("barometer", {"liquid": "water", "tube_length": "11 m", "bore": "10 mm", "air_saturation": "90 %"}, **ROOM)
        before = values(upright)
        again = values(after(upright))
        self.near(again["results.column_height"], before["results.level_with_air"])
        self.near(again["results.level_with_air"], again["results.column_height"])
        leant = values(after(upright, tilt="50 deg"))
        self.assertGreater(leant["results.head_space"], 0.05, "a bubble stays where an empty tube would fill")
        without = values(bare("barometer", {**upright["setup"], "air_saturation": "0 %", "tilt": "50 deg"}, **ROOM))
        self.assertEqual(without["results.behaviour"], "full to the top")

    def test_water_pumped_once_stands_the_second_time_as_water_without_air_does(self):
        document = started("vacuum-receiver", 0, room=ROOM, degassed=False, air_saturation="90 %")
        first, second = values(document), values(after(document))
        self.assertLess(first["results.level_with_air"], first["results.level_at_ultimate"] - 0.01)
        self.assertAlmostEqual(second["results.level_with_air"], second["results.level_at_ultimate"], delta=5e-3)

    def test_a_flask_opened_and_closed_again_begins_at_the_temperature_it_had(self):
        flask = {"volume": "500 mL", "moisture": "dry", "hot_temperature": "90 degC", "final_temperature": "20 degC", "neck_diameter": "25 mm"}
        document = bare("cooling-flask", flask, **ROOM)
        one, now = worked_out(document)
        moment = 30
        begun = after(document, moment)
        _, then = worked_out(begun)
        self.near(float(then.setup.hot_temperature[0]), one.moments(now).states[moment].temperature)
        self.assertLess(then.value("results.push_force"), now.value("results.push_force"))

    def test_joined_vessels_keep_what_did_not_run_over(self):
        document = started("communicating-vessels", 0, room=ROOM, poured_volume="20 L")
        self.assertEqual(values(document)["results.behaviour"], "overflows")
        kept = values(after(document))
        self.assertEqual(kept["results.behaviour"], "stands")
        self.near(kept["results.level"], values(document)["results.level"], 2e-3)
        self.assertEqual(carry_on(*worked_out(after(document))), (), "and nothing more runs over")


class Told(unittest.TestCase):
    def test_every_start_of_every_demonstration_that_carries_begins_a_set_up_that_can_be_predicted(self):
        for one in ALL_DEMONSTRATIONS:
            if one.stays is None:
                continue
            for start in one.guide.starts:
                with self.subTest(demonstration=one.key, start=start["name"]):
                    self.assertTrue(answered(after(start["document"]))["verdict"]["reason"])

    def test_a_demonstration_that_begins_anew_says_so_and_its_answer_too(self):
        document = by_key()["hydraulic-press"].guide.starts[0]["document"]
        self.assertFalse(answered(document)["carries"])
        self.assertTrue(answered(bottle())["carries"])
        with self.assertRaises(UnknownName) as caught:
            carry_on(*worked_out(document))
        self.assertIn("begin the next one from its own measures", str(caught.exception))

    def test_a_moment_that_is_not_on_the_timeline_is_refused(self):
        for moment in (-1, 100_000):
            with self.assertRaises(OutOfRange) as caught:
                carry_on(*worked_out(bottle()), moment)
            self.assertEqual(caught.exception.path, "moment")
