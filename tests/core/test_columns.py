"""What the six columns and covers say and refuse, case by case."""

from __future__ import annotations

import unittest

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.errors import Conflict, MissingKey, OutOfRange, Refusal, UnknownKey
from tests.support.documents import answered, predicted


def case(key: str, start: int = 0, room: dict | None = None, **changes):
    document = by_key()[key].guide.starts[start]["document"]
    setup = {k: v for k, v in {**document["setup"], **changes}.items() if v is not None}
    return {**document, "room": room or {"station_pressure": "955 hPa"}, "setup": setup}


class Refusals(unittest.TestCase):
    def refused(self, document, kind, path: str) -> None:
        with self.assertRaises(kind) as caught:
            predicted(document)
        self.assertEqual(caught.exception.path, path)
        self.assertTrue(caught.exception.remedy)

    def test_what_the_gear_cannot_be(self):
        for document, kind, path in (
            (case("inverted-glass", fill_height="14 cm"), OutOfRange, "setup.fill_height"),
            (case("inverted-glass", ports=["2 cm", "13.6 cm"]), OutOfRange, "setup.ports.1"),
            (case("inverted-glass", cover={"kind": "mesh"}), MissingKey, "setup.cover.opening"),
            (case("inverted-glass", cover={"kind": "card", "opening": "2 mm"}), Conflict, "setup.cover.opening"),
            (case("inverted-glass", cover={"kind": "mesh", "opening": "7 cm"}), OutOfRange, "setup.cover.opening"),
            (case("inverted-glass", cover={"mass": "2 g"}), MissingKey, "setup.cover.kind"),
            (case("lifted-column", ports=["60 cm"]), OutOfRange, "setup.ports.0"),
            (case("lifted-column", trapped_gas={"length": "70 cm"}), OutOfRange, "setup.trapped_gas.length"),
            (case("lifted-column", trapped_gas={"length": "7 cm", "pressure": "1 bar", "level": "2 cm"}), Conflict, "setup.trapped_gas.level"),
            (case("lifted-column", trapped_gas={}), MissingKey, "setup.trapped_gas.length"),
            (case("barometer", trapped_gas={"length": "11 m"}), OutOfRange, "setup.trapped_gas.length"),
            (case("barometer", tilt="90 deg"), OutOfRange, "setup.tilt"),
            (case("barometer", air_saturation=50), OutOfRange, "setup.air_saturation"),
            (case("suction-lift", source_suction="-1 kPa"), OutOfRange, "setup.source_suction"),
            (case("suction-lift", source_pressure="3 kPa"), Conflict, "setup.source_suction"),
            (case("suction-cup", inside_pressure="500 hPa"), Conflict, "setup.inside_pressure"),
            (case("suction-cup", air_left=None), MissingKey, "setup.air_left"),
            (case("suction-cup", air_left="130 %"), OutOfRange, "setup.air_left"),
            (case("depth-pressure", liquid={"name": "water", "salinity": "30 g/kg"}), UnknownKey, "setup.liquid.salinity"),
            (case("depth-pressure", liquid={"name": "salt water", "salinity": "80 g/kg"}), OutOfRange, "setup.liquid.salinity"),
            (case("depth-pressure", room={"temperature": "101 degC"}), OutOfRange, "room.temperature"),
            (case("depth-pressure", room={"temperature": "-1 degC"}), OutOfRange, "room.temperature"),
        ):
            with self.subTest(path=path):
                self.refused(document, kind, path)


class Glass(unittest.TestCase):
    def results(self, **changes):
        return answered(case("inverted-glass", **changes))

    def test_brim_full_need_not_sink_and_part_filled_need_a_little(self):
        self.assertEqual(self.results(fill_height="13.5 cm")["results"]["card_drop"]["value"], 0)
        self.assertGreater(self.results(fill_height="7 cm")["results"]["card_drop"]["value"], 1e-4)

    def test_the_dispute_is_settled_in_numbers_both_ways(self):
        glass = self.results()["schools"][0]["words"]
        tube = self.results(inside_height="2 m", fill_height="1 m")["schools"][0]["words"]
        self.assertIn("part-filled works as well", glass)
        self.assertIn("only brim-full works", tube)

    def test_a_heavy_plate_leaves_the_rim_nothing_to_bridge(self):
        got = self.results(cover={"kind": "plate", "mass": "2 kg"}, fill_height="13.5 cm")
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertEqual(got["verdict"]["about"], "results.card_drop_limit")

    def test_a_mesh_by_its_openings(self):
        states = [self.results(cover={"kind": "mesh", "opening": f"{mm} mm"})["verdict"]["state"] for mm in (5, 15, 25)]
        self.assertEqual(states, ["works", "marginal", "fails"])
        steep = self.results(cover={"kind": "mesh", "opening": "9 mm"})
        self.assertTrue(any("draw the card off level" in line for line in steep["verdict"]["advice"]))

    def test_rubber_sheets_are_dished_flat_or_bulged(self):
        closed = self.results(cover={"kind": "sheet"}, top_sheet=True)["results"]["sheets"]
        self.assertEqual([(one["end"], one["shape"]) for one in closed], [("top", "dished"), ("bottom", "flat")])
        vented = self.results(cover={"kind": "sheet"}, vent=True)
        self.assertEqual([(one["end"], one["shape"]) for one in vented["results"]["sheets"]], [("bottom", "bulged")])
        self.assertEqual(vented["verdict"]["state"], "works")

    def test_a_gauge_reads_less_below_the_room_on_the_way_down_and_the_gas_above_the_liquid(self):
        ports = self.results(ports=["1 cm", "5 cm", "9 cm", "12 cm", "13 cm"])["results"]["ports"]
        gauges = [port["gauge_pressure"]["value"] for port in ports]
        self.assertEqual(gauges, sorted(gauges, reverse=True))
        self.assertEqual(gauges[3], gauges[4])

    def test_without_a_surface_tension_it_cannot_be_said(self):
        got = self.results(liquid={"density": "930 kg/m^3"})
        self.assertEqual(got["verdict"]["state"], "marginal")
        self.assertIsNone(got["results"]["card_drop_limit"])


class Columns(unittest.TestCase):
    def test_advice_to_level_a_gas_levels_it(self):
        document = case("lifted-column")
        changes = answered(document)["verdict"]["changes"][0]
        document["setup"] = {**document["setup"], "lift": changes[0]["quantity"]}
        got = answered(document)
        self.assertLess(abs(got["results"]["level"]["value"]), 1e-3)
        self.assertIn("levels agree", got["verdict"]["reason"])

    def test_gas_pushed_under_bubbles_out_at_the_mouth(self):
        got = answered(case("lifted-column", lift="1 cm", tube_length="20 cm", trapped_gas={"length": "20 cm", "pressure": "1100 hPa"}))
        self.assertAlmostEqual(got["results"]["level"]["value"], -0.19)
        self.assertTrue(any("Gas is lost" in line for line in got["cautions"]))

    def test_a_trapped_pressure_that_stands_for_the_rooms_moves_with_it(self):
        room = {"station_pressure": "955 +/- 5 hPa"}
        shared = answered(case("lifted-column", room=room))["results"]["level_equal_lift"]
        self.assertNotIn("setup.trapped_gas.pressure", answered(case("lifted-column", room=room))["inputs"])
        self.assertNotIn("room.station_pressure", shared["shares"])  # fully correlated: it cancels
        own = answered(case("lifted-column", room=room, trapped_gas={"length": "14 cm", "pressure": "955 +/- 5 hPa"}))
        self.assertIn("setup.trapped_gas.pressure", own["results"]["level_equal_lift"]["shares"])

    def test_a_tube_too_short_stays_full(self):
        got = answered(case("barometer", tube_length="9 m"))
        self.assertEqual((got["verdict"]["state"], got["results"]["column_height"]["value"]), ("fails", 9.0))
        self.assertEqual(got["results"]["head_space"]["value"], 0)
        for tube in ("8.7 m", "7.31 m", "6.123 m"):
            self.assertEqual(answered(case("barometer", tube_length=tube, tilt="17 deg"))["results"]["head_space"]["value"], 0)

    def test_air_that_comes_out_lowers_the_column_and_none_changes_nothing(self):
        none = answered(case("barometer", air_saturation=0))["results"]
        self.assertAlmostEqual(none["level_with_air"]["value"], none["column_height"]["value"], places=12)
        some = answered(case("barometer", air_saturation=1))["results"]
        self.assertLess(some["level_with_air"]["value"], some["column_height"]["value"] - 0.5)
        self.assertIsNone(answered(case("barometer", liquid="ethanol", air_saturation=1))["results"]["level_with_air"])

    def test_mercury_is_computed_and_always_cautioned(self):
        for key in ("barometer", "suction-lift", "depth-pressure", "inverted-glass", "lifted-column"):
            got = answered(case(key, liquid="mercury"))
            self.assertTrue(any("never poured" in line for line in got["cautions"]), key)

    def test_a_pressure_needed_may_be_negative_and_then_it_boils(self):
        got = answered(case("suction-lift", start=2))["results"]
        self.assertLess(got["pressure_needed"]["value"], 0)
        self.assertEqual((got["reaches"], got["boils"]), (False, True))

    def test_a_wall_with_equal_depths_feels_nothing(self):
        got = answered(case("depth-pressure", wall={"width": "1 m", "depth": "1 m", "other_side_depth": "1 m"}))
        self.assertEqual(got["results"]["wall_force"]["value"], 0)
        self.assertIsNone(got["results"]["centre_of_pressure"])

    def test_a_cup_pushed_from_inside(self):
        got = answered(case("suction-cup", start=2, inside_pressure="1100 hPa"))
        self.assertEqual(got["verdict"]["state"], "fails")
        self.assertIn("pushed off", got["verdict"]["reason"])

    def test_a_liquid_that_boils_in_the_room_fails_everywhere(self):
        for key in ("inverted-glass", "lifted-column", "barometer", "suction-lift", "depth-pressure"):
            got = answered(case(key, room={"station_pressure": "10 hPa", "temperature": "40 degC"}))
            self.assertEqual(got["verdict"]["state"], "fails", key)
            self.assertIn("boils", got["verdict"]["reason"])


class Everywhere(unittest.TestCase):
    def test_what_the_tolerance_of_salinity_does_is_told(self):
        got = answered(case("depth-pressure", liquid={"name": "salt water", "salinity": "30 +/- 5 g/kg"}))
        self.assertIn("setup.liquid.salinity", got["results"]["gauge_pressure"]["shares"])

    def test_a_refusal_never_comes_without_its_remedy(self):
        with self.assertRaises(Refusal) as caught:
            predicted(case("barometer", liquid="quicksilver"))
        self.assertIn("known are", caught.exception.remedy)
