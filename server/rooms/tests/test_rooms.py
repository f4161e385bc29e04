"""Rooms: what a set-up takes from the one in use, when a pressure is old, and heights that are asked about."""

from __future__ import annotations

import json
from datetime import timedelta

from django.utils import timezone

from server.people.tests.base import Departments
from server.rooms.in_room import merged
from server.rooms.models import Room
from tests.support.documents import bottle

BOATHOUSE = {"metar": "EGZZ 251120Z 24012KT 9999 SCT020 06/03 Q1016", "elevation": "640 m", "latitude": "54 deg", "temperature": "17 degC"}


def document(**room: str) -> dict:
    return {"anchorage": 1, "demonstration": "suction-cup", "room": room, "setup": {"diameter": "6 cm", "inside_pressure": "300 hPa"}}


class Merging(Departments):
    def setUp(self) -> None:
        self.room = Room.objects.create(department=self.head.department, name="Boathouse", stated=BOATHOUSE, pressure_at=timezone.now())

    def taken(self, **room: str) -> set[str]:
        return set(merged(document(**room), self.room).document["room"]) - set(room)

    def test_a_silent_set_up_takes_everything(self):
        self.assertEqual(self.taken(), set(BOATHOUSE))

    def test_what_the_set_up_states_wins(self):
        got = merged(document(temperature="25 degC"), self.room).document["room"]
        self.assertEqual(got["temperature"], "25 degC")

    def test_a_pressure_of_its_own_leaves_the_rooms_out_but_not_the_height(self):
        self.assertEqual(self.taken(station_pressure="951 hPa"), {"elevation", "latitude", "temperature"})

    def test_a_height_of_its_own_is_another_place(self):
        self.assertEqual(self.taken(elevation="20 m"), {"latitude", "temperature"})

    def test_gravity_and_latitude_exclude_each_other(self):
        self.assertNotIn("latitude", self.taken(gravity="9.81 m/s^2"))

    def test_whatever_a_set_up_states_the_merged_room_can_be_read(self):
        client = self.as_(self.teacher)
        for room in (
            {},
            {"station_pressure": "951 hPa"},
            {"elevation": "20 m"},
            {"sea_level_pressure": "1013 hPa", "elevation": "30 m"},
            {"gravity": "9.81 m/s^2"},
        ):
            got = client.post(f"/api/predict?department=lakeside&room={self.room.pk}", json.dumps(document(**room)), content_type="application/json")
            self.assertEqual(got.status_code, 200, got.content)

    def test_the_answer_tells_what_was_taken(self):
        got = self.as_(self.teacher).post(f"/api/predict?department=lakeside&room={self.room.pk}", json.dumps(document()), content_type="application/json")
        self.assertTrue(any("taken from the room “Boathouse”" in line for line in got.json()["room"]["how"]))
        self.assertAlmostEqual(got.json()["room"]["station_pressure"]["value"], 94187, delta=60)

    def test_a_pressure_of_more_than_three_hours_is_called_old(self):
        for hours, old in ((2.9, False), (3.1, True)):
            self.room.pressure_at = timezone.now() - timedelta(hours=hours)
            self.assertEqual(bool(merged(document(), self.room).cautions), old)
        self.assertFalse(merged(document(station_pressure="950 hPa"), self.room).cautions)

    def test_a_run_freezes_the_room_it_used(self):
        client = self.as_(self.teacher)
        client.post(f"/api/departments/lakeside/rooms/{self.room.pk}/use")
        text = json.dumps(bottle() | {"room": {}})
        setup = self.send(client, "post", "/api/departments/lakeside/setups", {"name": "b", "document": text}).json()
        run = self.send(client, "post", "/api/departments/lakeside/runs", {"setup": setup["id"], "document": text, "outcome": "worked"}).json()
        self.room.stated = {"station_pressure": "900 hPa"}
        self.room.save()
        again = client.get(f"/api/departments/lakeside/runs/{run['id']}").json()
        self.assertEqual(json.loads(again["document"])["room"]["metar"], BOATHOUSE["metar"])
        self.assertAlmostEqual(again["prediction"]["room"]["station_pressure"]["value"], 94187, delta=60)


class BackRow(Departments):
    def test_what_is_hardly_seen_from_the_last_seats_brings_advice(self):
        client = self.as_(self.teacher)
        for back_row, told in (("1 m", False), ("60 m", True), ("", False)):
            room = Room.objects.create(department=self.head.department, name=f"Hall {back_row}", back_row=back_row)
            got = client.post(f"/api/predict?department=lakeside&room={room.pk}", json.dumps(bottle()), content_type="application/json").json()
            advice = [one for one in got["verdict"]["advice"] if "back row" in one]
            self.assertEqual(bool(advice), told, back_row)
            self.assertEqual(len(got["verdict"]["advice"]), len(got["verdict"]["changes"]))

    def test_it_is_kept_as_typed_and_refused_where_it_is_no_length(self):
        body = {"name": "Hall", "stated": {}, "back_row": "12 m"}
        self.assertEqual(self.send(self.as_(self.teacher), "post", "/api/departments/lakeside/rooms", body).json()["room"]["back_row"], "12 m")
        got = self.send(self.as_(self.teacher), "post", "/api/departments/lakeside/rooms", {**body, "name": "x", "back_row": "far"})
        self.assertEqual((got.status_code, got.json()["path"]), (422, "back_row"))


class Keeping(Departments):
    base = "/api/departments/lakeside/rooms"

    def put(self, method: str, address: str, stated: dict, *, name: str = "Boathouse", sure: bool = False):
        seen = {"version": Room.objects.get(pk=int(address.split("/")[-1])).version} if method == "put" else {}
        return self.send(self.as_(self.teacher), method, address, {"name": name, "stated": stated, "sure": sure, **seen})

    def test_the_first_room_is_in_use_at_once_and_another_can_be_switched_to(self):
        first = self.put("post", self.base, {"elevation": "640 m"}).json()["room"]
        second = self.put("post", self.base, {"elevation": "30 m"}, name="Cellar").json()["room"]
        me = self.as_(self.teacher).get("/api/me").json()["departments"][0]
        self.assertEqual((me["room"], [one["name"] for one in me["rooms"]]), (first["id"], ["Boathouse", "Cellar"]))
        self.as_(self.teacher).post(f"{self.base}/{second['id']}/use")
        self.assertEqual(self.as_(self.teacher).get("/api/me").json()["departments"][0]["room"], second["id"])

    def test_a_high_first_entry_is_asked_about_and_kept_when_sure(self):
        got = self.put("post", self.base, {"elevation": "2100 m"}).json()
        self.assertIsNone(got["room"])
        self.assertIn("2100 m is 6890 ft", got["questions"][0]["words"])
        self.assertEqual(self.put("post", self.base, {"elevation": "2100 m"}, sure=True).json()["room"]["stated"], {"elevation": "2100 m"})

    def test_feet_taken_for_metres_are_asked_about_either_way(self):
        room = self.put("post", self.base, {"elevation": "640 m"}).json()["room"]
        for height, asked in (("2100 m", True), ("195 m", True), ("900 m", False), ("3000 m", False), ("2100 ft", False)):
            got = self.put("put", f"{self.base}/{room['id']}", {"elevation": height}).json()
            self.assertEqual(got["room"] is None, asked, height)
            self.put("put", f"{self.base}/{room['id']}", {"elevation": "640 m"}, sure=True)

    def test_a_pressure_that_no_weather_makes_is_asked_about(self):
        got = self.put("post", self.base, {"elevation": "1200 m", "station_pressure": "1012 hPa"}).json()
        self.assertIn("no weather makes", got["questions"][0]["words"])

    def test_the_pressures_age_counts_from_its_own_change(self):
        room = self.put("post", self.base, {"station_pressure": "941 hPa"}).json()["room"]
        Room.objects.update(pressure_at=timezone.now() - timedelta(hours=5))
        kept = self.put("put", f"{self.base}/{room['id']}", {"station_pressure": "941 hPa", "temperature": "18 degC"}).json()["room"]
        self.assertTrue(kept["old"])
        fresh = self.put("put", f"{self.base}/{room['id']}", {"station_pressure": "939 hPa"}).json()["room"]
        self.assertFalse(fresh["old"])
        self.assertEqual(fresh["version"], 3)

    def test_refusals_name_the_field_and_nothing_is_kept(self):
        for stated, path in (
            ({"metar": "rain"}, "room.metar"),
            ({"elevation": "high"}, "room.elevation"),
            ({"altimeter_setting": "1013 hPa"}, "room.elevation"),
        ):
            got = self.put("post", self.base, stated)
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))
        self.assertEqual(self.put("post", self.base, {}, name=" ").json()["path"], "name")
        self.put("post", self.base, {})
        self.assertEqual(self.put("post", self.base, {}).status_code, 409)

    def test_who_has_not_seen_the_last_change_does_not_overwrite_it(self):
        room = self.put("post", self.base, {"station_pressure": "941 hPa"}).json()["room"]
        address = f"{self.base}/{room['id']}"
        self.put("put", address, {"station_pressure": "939 hPa"})
        got = self.send(self.as_(self.head), "put", address, {"name": "Boathouse", "stated": {}, "version": room["version"], "sure": True})
        told = got.json()
        self.assertEqual((got.status_code, told["code"], told["extra"]["by"], told["extra"]["version"]), (409, "conflict", "lakeside-teacher", 2))
        self.assertEqual(told["extra"]["theirs"]["stated"], {"station_pressure": "939 hPa"})
        self.assertEqual(Room.objects.get().stated, {"station_pressure": "939 hPa"})

    def test_the_account_tells_steps_and_what_the_reports_pressure_would_have_done(self):
        got = self.send(self.as_(self.teacher), "post", "/api/room-account", {"name": "x", "stated": BOATHOUSE}).json()
        self.assertAlmostEqual(got["station_pressure"], 94187, delta=60)
        self.assertGreaterEqual(len(got["steps"]), 4)
        barometer = next(one for one in got["mistakes"] if one["title"] == "Barometer")
        self.assertAlmostEqual(barometer["mistaken"] - barometer["here"], 0.76, delta=0.04)
        self.assertIn("too high here", barometer["words"])

    def test_a_stale_pressure_is_told_only_where_it_has_moved(self):
        for stale, told in ((94_180.0, False), (92_600.0, True)):
            body = {"stated": BOATHOUSE, "stale": stale, "stale_words": "the pressure of 5 h ago"}
            got = self.send(self.as_(self.teacher), "post", "/api/room-account", body).json()
            self.assertEqual(bool(got["stale_mistakes"]), told)
        self.assertIn("the pressure of 5 h ago would put the", got["stale_mistakes"][0]["words"])


class PuttingAway(Departments):
    base = "/api/departments/lakeside/rooms"

    def room(self, name: str) -> dict:
        return self.send(self.as_(self.teacher), "post", self.base, {"name": name, "stated": {"station_pressure": "941 hPa"}}).json()["room"]

    def mine(self) -> tuple[int | None, list[str]]:
        me = self.as_(self.teacher).get("/api/me").json()["departments"][0]
        return me["room"], [one["name"] for one in me["rooms"]]

    def test_a_room_that_was_put_away_is_nobodys_until_it_is_brought_back(self):
        client, room = self.as_(self.teacher), self.room("Hall")
        self.assertEqual(self.mine(), (room["id"], ["Hall"]))
        self.assertEqual(client.post(f"{self.base}/{room['id']}/archive").status_code, 204)
        self.assertEqual((self.mine(), client.get(self.base).json()), ((None, []), []))
        away = client.get(f"{self.base}?archived=true").json()
        self.assertEqual([(one["name"], one["archived_by"]) for one in away], [("Hall", "lakeside-teacher")])
        asked = f"department=lakeside&room={room['id']}"
        self.assertEqual(client.post(f"/api/predict?{asked}", json.dumps(bottle()), content_type="application/json").status_code, 404)
        silent = json.dumps({key: value for key, value in bottle().items() if key != "room"})
        saved = self.send(client, "post", "/api/departments/lakeside/setups", {"name": "b", "document": silent}).json()
        run = self.send(client, "post", "/api/departments/lakeside/runs", {"setup": saved["id"], "document": silent, "outcome": "worked"}).json()
        self.assertNotIn("room", json.loads(run["document"]), "nothing is taken from a room that was put away")
        client.post(f"{self.base}/{room['id']}/bring-back")
        self.assertEqual(self.mine(), (room["id"], ["Hall"]))

    def test_its_name_is_free_meanwhile_and_then_it_is_asked_for(self):
        first = self.room("Hall")
        self.as_(self.teacher).post(f"{self.base}/{first['id']}/archive")
        second = self.room("Hall")
        self.assertEqual(self.mine(), (second["id"], ["Hall"]), "the new one is in use")
        got = self.as_(self.teacher).post(f"{self.base}/{first['id']}/bring-back")
        self.assertEqual((got.status_code, got.json()["code"]), (409, "name-taken"))
