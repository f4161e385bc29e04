"""Documents: every refusal names the field and the remedy, by the one reader."""

from __future__ import annotations

import json
import unittest
from typing import Any

from hydrostatics.answer import predict_bytes
from hydrostatics.documents.raw import parse_document
from hydrostatics.errors import Conflict, MalformedDocument, MissingKey, OutOfRange, Refusal, UnknownKey, UnknownName, WrongKind
from tests.support.documents import bottle, predicted


def with_room(**room: Any) -> dict[str, Any]:
    return bottle() | {"room": room}


class Bytes(unittest.TestCase):
    def test_what_is_no_sound_document(self):
        sound = json.dumps(bottle())
        for raw, path, words in (
            (sound.replace('"fill_height"', '"stand_drop": "1 cm", "fill_height"').encode(), "setup.stand_drop", "twice"),
            (sound.replace('"29 +/- 0.3 cm"', "NaN").encode(), "setup.fill_height", "NaN"),
            (sound.replace('"29 +/- 0.3 cm"', "-Infinity").encode(), "setup.fill_height", "NaN and Infinity"),
            (sound[:150].encode(), "", "not JSON"),
            (sound.replace('"water"', "[" * 30 + "]" * 30).encode(), "", "deeper than 20"),
            (b"[" * 200_000, "", "deeper than 20"),
            (sound.encode() + b" " * 1_000_001, "", "larger than 1 MB"),
            (sound.encode("utf-16"), "", "not UTF-8"),
            (b"\xff\xfe", "", "not UTF-8"),
            (b"", "", "empty"),
            (b"[]", "", "not a JSON object"),
            (b'{"anchorage": 1' + b"0" * 5000 + b"}", "", "thousands of digits"),
        ):
            with self.subTest(words=words), self.assertRaises(MalformedDocument) as caught:
                predict_bytes(raw)
            self.assertEqual(caught.exception.path, path)
            self.assertIn(words, caught.exception.message)

    def test_a_byte_order_mark_is_no_fault(self):
        self.assertEqual(parse_document(b"\xef\xbb\xbf{}"), {})


class Keys(unittest.TestCase):
    def refused(self, document: dict[str, Any], error: type[Refusal], path: str, words: str = "") -> None:
        with self.subTest(path=path, words=words):
            with self.assertRaises(error) as caught:
                predicted(document)
            self.assertEqual(caught.exception.path, path)
            self.assertIn(words, caught.exception.message)

    def test_the_frame(self):
        whole = bottle()
        self.refused({k: v for k, v in whole.items() if k != "anchorage"}, MissingKey, "anchorage")
        self.refused(whole | {"anchorage": 2}, MalformedDocument, "anchorage", "version 2")
        self.refused(whole | {"anchorage": True}, MalformedDocument, "anchorage")
        self.refused(whole | {"demonstration": "fountain"}, UnknownName, "demonstration", "holed-bottle")
        self.refused(whole | {"demonstration": 3}, UnknownName, "demonstration")
        self.refused(whole | {"extra": 1}, UnknownKey, "extra")
        self.refused({k: v for k, v in whole.items() if k != "setup"}, MissingKey, "setup")
        self.refused(whole | {"setup": []}, WrongKind, "setup")
        self.refused(whole | {"room": "cold"}, WrongKind, "room")

    def test_the_setup(self):
        self.refused(bottle(fill_height=None), MissingKey, "setup.fill_height", "a length is needed")
        self.refused(bottle(radius="3 mm"), UnknownKey, "setup.radius", "known are")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "3 mm", "radius": "1 mm"}]), UnknownKey, "setup.holes.0.radius")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "3 kg"}]), WrongKind, "setup.holes.0.diameter", "3 kg is a mass")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "0 mm"}]), OutOfRange, "setup.holes.0.diameter", "above 0 m")
        self.refused(bottle(holes=[{"height": "5 cm"}]), MissingKey, "setup.holes.0.diameter")
        self.refused(bottle(holes=[]), OutOfRange, "setup.holes", "give 1 to 12")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "3 mm"}] * 13), OutOfRange, "setup.holes", "13 holes")
        self.refused(bottle(holes={"height": "5 cm"}), WrongKind, "setup.holes", "a list belongs")
        self.refused(bottle(holes=["5 cm"]), WrongKind, "setup.holes.0")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "3 mm", "edge": "smooth"}]), UnknownName, "setup.holes.0.edge", "sharp, short-tube, rounded")
        self.refused(
            bottle(holes=[{"height": "5 cm", "diameter": "3 mm", "discharge_coefficient": 50}]), OutOfRange, "setup.holes.0.discharge_coefficient", "50 %"
        )
        self.refused(bottle(stand_drop="-1 cm"), OutOfRange, "setup.stand_drop", "not below 0 m")
        self.refused(bottle(liquid="quicksand"), UnknownName, "setup.liquid", "water")
        self.refused(bottle(liquid={"name": "quicksand"}), UnknownName, "setup.liquid.name")
        self.refused(bottle(liquid={"viscosity": "1 mPa*s"}), MissingKey, "setup.liquid.density")
        self.refused(bottle(liquid={"density": "1 m"}), WrongKind, "setup.liquid.density")
        self.refused(bottle(liquid={"colour": "red"}), UnknownKey, "setup.liquid.colour")
        self.refused(bottle(liquid=7), WrongKind, "setup.liquid")
        self.refused(bottle(profile=[{"height": "0 cm", "diameter": "8 cm"}] * 2), Conflict, "setup.profile", "both stated")
        self.refused(bottle(inner_diameter=None), MissingKey, "setup.inner_diameter", "profile")

    def test_what_the_gear_cannot_be(self):
        self.refused(bottle(bottle_height="28 cm"), OutOfRange, "setup.fill_height", "above the rim")
        self.refused(bottle(bottle_height="22 cm", fill_height="20 cm"), OutOfRange, "setup.holes.0.height", "above the rim")
        self.refused(bottle(holes=[{"height": "5 cm", "diameter": "9 cm"}]), OutOfRange, "setup.holes.0.diameter", "as wide as the bottle")
        falling = [{"height": "5 cm", "diameter": "8 cm"}, {"height": "5 cm", "diameter": "7 cm"}]
        self.refused(bottle(inner_diameter=None, profile=falling), OutOfRange, "setup.profile.1.height", "does not rise")

    def test_the_room(self):
        self.refused(with_room(gravity="9.8 m/s^2", latitude="50 deg"), Conflict, "room.latitude")
        self.refused(with_room(constants="metric"), UnknownName, "room.constants", "textbook")
        self.refused(with_room(station_pressure="300 kPa"), OutOfRange, "room.station_pressure")
        self.refused(with_room(temperature="120 degC"), OutOfRange, "room.temperature", "0 to 100 degC")
        self.refused(with_room(gravity="0.01 m/s^2"), OutOfRange, "room.gravity")
        self.refused(with_room(elevation="12 km"), OutOfRange, "room.elevation")
        self.refused(with_room(weather="wet"), UnknownKey, "room.weather")
        self.refused(with_room(sea_level_pressure="1013 hPa"), MissingKey, "room.elevation", "640 m")
        self.refused(with_room(altimeter_setting="1013 hPa"), MissingKey, "room.elevation")
        self.refused(with_room(metar="EGZZ 251120Z 24012KT 10/05 Q1013"), MissingKey, "room.elevation")
        self.refused(with_room(station_pressure="950 hPa", metar="EGZZ 251120Z 10/05 Q1013", elevation="300 m"), Conflict, "room.metar")
        self.refused(with_room(sea_level_pressure="1013 hPa", altimeter_setting="1013 hPa", elevation="3 m"), Conflict, "room.altimeter_setting")
        self.refused(with_room(relative_humidity=50), OutOfRange, "room.relative_humidity", "50 %")
        self.refused(with_room(ceiling_height="0 m"), OutOfRange, "room.ceiling_height")
        self.refused(with_room(outdoor_temperature="12 hPa"), WrongKind, "room.outdoor_temperature")


class RoomAndConstants(unittest.TestCase):
    def test_elevation_alone_is_the_standard_atmosphere_and_a_pressure_wins(self):
        self.assertAlmostEqual(predicted(with_room(elevation="1000 m"))["room"]["station_pressure"]["value"], 89874.6, delta=0.1)
        self.assertAlmostEqual(predicted(with_room(elevation="1000 m", station_pressure="912 hPa"))["room"]["station_pressure"]["value"], 91200)

    def test_the_sets_change_their_own_numbers_alone(self):
        found = {name: predicted(with_room(constants=name)) for name in ("reference", "textbook", "engineering")}
        self.assertEqual([round(a["room"]["gravity"]["value"], 5) for a in found.values()], [9.80665, 9.8, 9.81])
        self.assertEqual([a["room"]["station_pressure"]["value"] for a in found.values()], [101325.0, 101300.0, 101325.0])
        liquids = [a["room"]["liquids"]["setup.liquid"] for a in found.values()]
        self.assertEqual([round(one["density"]["value"], 1) for one in liquids], [998.2, 1000.0, 1000.0])
        self.assertEqual(len({one["surface_tension"]["value"] for one in liquids}), 1)

    def test_what_is_stated_wins_over_the_set(self):
        got = predicted(bottle(liquid={"name": "water", "density": "1003 kg/m^3"}) | {"room": {"constants": "textbook", "gravity": "9.83 m/s^2"}})
        self.assertEqual(got["room"]["gravity"]["value"], 9.83)
        self.assertEqual(got["room"]["liquids"]["setup.liquid"]["density"]["value"], 1003)

    def test_a_room_off_the_earth_is_a_what_if(self):
        self.assertTrue(predicted(with_room(gravity="3.7 m/s^2"))["room"]["what_if"])
        self.assertTrue(predicted(with_room(elevation="5000 m"))["room"]["what_if"])
        self.assertFalse(predicted(with_room(latitude="54 deg", elevation="640 m"))["room"]["what_if"])

    def test_an_own_liquid_says_what_it_lacks(self):
        got = predicted(bottle(liquid={"density": "910 kg/m^3"}))
        self.assertTrue(any("vapour pressure is not stated" in line for line in got["assumptions"]))
        self.assertEqual({hole["behaviour"] for hole in got["results"]["holes"]}, {"jet"})
        self.assertEqual(got["results"]["holes"][0]["head_to_start"]["value"], 0)
