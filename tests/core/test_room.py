"""The room's pressure from whatever a teacher has, and what is said of it."""

from __future__ import annotations

import unittest

from hydrostatics.documents.reader import read_room
from hydrostatics.errors import MissingKey, Refusal, UnreadableQuantity, WrongKind
from hydrostatics.room.weather import read_report
from hydrostatics.works.room_account import room_account
from tests.support.documents import answered

CUP = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "5 cm", "inside_pressure": "400 hPa"}}
LINE = "METAR EGZY 251120Z 23011KT 9999 SCT022 07/04 Q1016"


def pressure(**room: str) -> float:
    return float(read_room(room).station_pressure[0])


class Reports(unittest.TestCase):
    def setting(self, line: str) -> tuple[float, float, float | None]:
        found = read_report("room.metar", line)
        return found.setting.si, found.setting.half_width, found.temperature

    def test_a_q_group_is_rounded_down_so_half_a_hectopascal_is_added_and_allowed_for(self):
        self.assertEqual(self.setting(LINE), (101650.0, 50.0, 7.0))

    def test_an_a_group_is_taken_as_it_stands(self):
        si, half, _ = self.setting("KZZZ 121153Z 24008KT 10SM FEW250 14/09 A2971 RMK AO2 SLP062")
        self.assertAlmostEqual(si, 29.71 * 3386.38864, places=3)
        self.assertEqual(half, 0.0)

    def test_of_both_groups_the_first_counts(self):
        self.assertEqual(self.setting("EGZZ 251120Z 24012KT 10/05 Q1013 A2992")[0], 101350.0)
        self.assertAlmostEqual(self.setting("EGZZ 251120Z 24012KT 10/05 A2992 Q1013")[0], 29.92 * 3386.38864, places=3)

    def test_remarks_never_count(self):
        self.assertEqual(self.setting("EGZZ 251120Z 10/05 Q1013 RMK A2950 Q0990")[0], 101350.0)
        with self.assertRaises(MissingKey):
            self.setting("EGZZ 251120Z 10/05 RMK A2950")

    def test_every_shape_that_stations_send(self):
        for line, temperature in (
            ("METAR EGZZ 251120Z AUTO 24012KT 9999 // ///// M02/M05 Q0987", -2.0),
            ("METAR COR EGZZ 251120Z VRB02KT CAVOK 10/05 Q1013=", 10.0),
            ("SPECI EGZZ 251120Z 00000KT 0500 FG VV/// M00/M00 Q1031 NOSIG", 0.0),
            ("egzz 251120z 24012kt cavok 10/05 q1013", 10.0),
            ("EGZZ 251120Z 24012KT 9999 SCT020 10/05 QNH1013", 10.0),
            ("EGZZ 251120Z NIL Q1002", None),
            ("Q1013", None),
        ):
            with self.subTest(line=line):
                found = self.setting(line)
                self.assertTrue(95_000 < found[0] < 105_000)
                self.assertEqual(found[2], temperature)

    def test_what_cannot_be_read_is_refused_with_what_would_be_right(self):
        for line, kind, words in (
            ("EGZZ 251120Z 24012KT 9999 SCT020 10/05", MissingKey, "looks like Q1013 or A2992"),
            ("EGZZ 251120Z CAVOK 10/05 Q////", MissingKey, "empty"),
            ("garbage", MissingKey, "paste one whole line"),
            ("", MissingKey, "no pressure group"),
            ("Q1013 " + "x" * 5000, UnreadableQuantity, "at most 600"),
            ("EGZZ\0 251120Z Q1013", UnreadableQuantity, "control character"),
            (7, WrongKind, "a weather report's line belongs"),
            ("Q10133 A29", MissingKey, "no pressure group"),
        ):
            with self.subTest(line=str(line)[:30]), self.assertRaises(kind) as caught:
                read_report("room.metar", line)
            self.assertIn(words, str(caught.exception))
            self.assertEqual(caught.exception.path, "room.metar")


class Pressures(unittest.TestCase):
    def test_its_temperature_is_the_outdoor_ones_default_and_never_the_rooms(self):
        got = answered({**CUP, "room": {"metar": LINE, "elevation": "640 m"}})
        self.assertAlmostEqual(got["inputs"]["room.outdoor_temperature"]["value"], 280.15)
        self.assertAlmostEqual(got["room"]["temperature"]["value"], 293.15)

    def test_the_reports_rounding_is_an_input(self):
        got = answered({**CUP, "room": {"metar": LINE, "elevation": "640 m"}})
        self.assertEqual(list(got["results"]["limit_force"]["shares"]), ["room.metar"])

    def test_the_rooms_temperature_never_enters_an_altimeter_setting(self):
        self.assertEqual(
            pressure(altimeter_setting="1016 hPa", elevation="640 m", temperature="4 degC"),
            pressure(altimeter_setting="1016 hPa", elevation="640 m", temperature="30 degC", outdoor_temperature="-9 degC"),
        )

    def test_a_colder_day_leaves_less_of_a_sea_level_pressure_up_here(self):
        cold, warm = (pressure(sea_level_pressure="1016 hPa", elevation="640 m", outdoor_temperature=f"{t} degC") for t in (-10, 20))
        self.assertLess(cold, warm)

    def test_at_sea_level_all_reports_are_the_rooms_pressure(self):
        for key in ("sea_level_pressure", "altimeter_setting"):
            self.assertAlmostEqual(pressure(**{key: "1009 hPa", "elevation": "0 m"}), 100900.0, places=6)

    def test_a_reduction_without_outdoor_temperature_is_cautioned_above_300_m(self):
        for elevation, said in (("290 m", False), ("640 m", True)):
            room = read_room({"sea_level_pressure": "1016 hPa", "elevation": elevation})
            self.assertEqual(any("outdoor temperature" in one.words for one in room.cautions), said)

    def test_a_stated_pressure_that_no_weather_makes_at_its_height_is_asked_about(self):
        self.assertIn("no weather makes", read_room({"station_pressure": "1012 hPa", "elevation": "2100 m"}).cautions[0].words)
        self.assertEqual(read_room({"station_pressure": "786 hPa", "elevation": "2100 m"}).cautions, ())

    def test_a_set_up_taller_than_the_ceiling_is_told_what_fits(self):
        setup = {"liquid": "water", "tube_length": "10.6 m", "bore": "12 mm"}
        document = {"anchorage": 1, "demonstration": "barometer", "room": {"ceiling_height": "3.1 m"}, "setup": setup}
        got = [line for line in answered(document)["cautions"] if "ceiling" in line]
        self.assertEqual(len(got), 1)
        self.assertIn("up to 3.1\u00a0m fits", got[0])
        tilted = {**document, "setup": {**setup, "tilt": "60 deg"}}
        self.assertIn("up to 6.2\u00a0m fits", next(line for line in answered(tilted)["cautions"] if "ceiling" in line))
        low = {**document, "room": {"ceiling_height": "12 m"}}
        self.assertFalse([line for line in answered(low)["cautions"] if "ceiling" in line])


class Account(unittest.TestCase):
    def test_the_steps_end_at_the_bench_and_the_wrong_pressure_is_the_reports(self):
        got = room_account({"sea_level_pressure": "1012 hPa", "elevation": "640 m", "outdoor_temperature": "8 degC"})
        self.assertAlmostEqual(got["wrong_pressure"], 101200.0)
        self.assertEqual(got["steps"][0]["number"], "1012.0 hPa")
        barometer = next(one for one in got["mistakes"] if one["title"] == "Barometer")
        self.assertIn("0.77\u00a0m too high here", barometer["words"])

    def test_the_part_left_up_here_leads_from_each_report_to_the_bench(self):
        stated = {"elevation": "640 m", "outdoor_temperature": "8 degC"}
        for key, words in (("sea_level_pressure", "sea-level pressure"), ("altimeter_setting", "altimeter setting")):
            with self.subTest(key):
                got = room_account({**stated, key: "1012 hPa"})
                steps = {one["words"]: one["number"] for one in got["steps"]}
                part = float(steps[f"of the {words}, this part is left up here"])
                self.assertAlmostEqual(101200.0 * part, got["station_pressure"], delta=0.6)
                self.assertEqual(list(steps)[-2:], ["pressure at the bench", "gravity at the bench"])

    def test_an_airfields_line_is_told_as_it_stands_and_why_half_a_hectopascal_is_added(self):
        for group, told in (("Q1017", ["1017 hPa", "1017.5 hPa"]), ("A3000", ["1015.9 hPa"])):
            steps = room_account({"metar": f"EGZZ 251120Z 24012KT 9999 SCT020 08/05 {group}", "elevation": "640 m"})["steps"]
            self.assertIn(group, steps[0]["words"])
            self.assertEqual([one["number"] for one in steps[: len(told)]], told)
        self.assertIn("640", steps[1]["number"])

    def test_a_height_alone_says_that_no_pressure_was_stated(self):
        words = [one["words"] for one in room_account({"elevation": "640 m"})["steps"]]
        self.assertIn("no pressure stated: the standard atmosphere at that height", words)
        self.assertFalse(any("left up here" in one for one in words))

    def test_a_pressure_that_stood_before_is_told_only_once_it_has_moved(self):
        stated = {"station_pressure": "941.7 hPa", "elevation": "640 m"}
        moved = room_account(stated, 95_300.0, "this morning's")["stale_mistakes"]
        self.assertTrue(all(one["words"].startswith("this morning's would put") for one in moved))
        self.assertIn("Barometer", [one["title"] for one in moved])
        self.assertEqual(room_account(stated, 94_200.0, "this morning's")["stale_mistakes"], [])

    def test_a_room_at_the_sea_has_nothing_to_mistake(self):
        self.assertEqual(room_account({"station_pressure": "1012 hPa"})["mistakes"], [])

    def test_what_cannot_be_read_is_refused(self):
        with self.assertRaises(Refusal):
            room_account({"sea_level_pressure": "1012 hPa"})
