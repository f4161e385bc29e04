"""A department's own liquids are kept as a set-up could use them; the catalogue tells its curves and sources."""

from __future__ import annotations

from server.people.tests.base import Departments


class OwnLiquids(Departments):
    base = "/api/departments/lakeside/liquids"

    def keep(self, method: str, address: str, **body):
        return self.send(self.as_(self.teacher), method, address, {"name": "Linseed from the barrel", "stated": {"density": "931 +/- 2 kg/m^3"}, **body})

    def names(self, query: str = "") -> list[str]:
        return [one["name"] for one in self.as_(self.head).get(self.base + query).json()]

    def test_kept_changed_listed_put_away_and_brought_back(self):
        made = self.keep("post", self.base).json()
        self.assertEqual(made["by"], "lakeside-teacher")
        changed = self.keep("put", f"{self.base}/{made['id']}", note="measured in May", version=made["version"]).json()
        self.assertEqual([one["note"] for one in self.as_(self.head).get(self.base).json()], ["measured in May"])
        self.assertEqual(self.as_(self.head).post(f"{self.base}/{changed['id']}/archive").status_code, 204)
        self.assertEqual((self.names(), self.names("?archived=true")), ([], [made["name"]]))
        self.assertEqual(self.keep("put", f"{self.base}/{made['id']}", version=2).status_code, 404, "what is away is not changed")
        self.keep("post", self.base)
        self.assertEqual(self.as_(self.head).post(f"{self.base}/{made['id']}/bring-back").json()["code"], "name-taken")
        newer = self.as_(self.head).get(self.base).json()[0]["id"]
        self.as_(self.head).post(f"{self.base}/{newer}/archive")
        self.assertEqual(self.as_(self.head).post(f"{self.base}/{made['id']}/bring-back").status_code, 204)
        self.assertEqual(self.names(), [made["name"]])

    def test_a_note_that_is_too_long_is_refused_and_never_cut(self):
        got = self.keep("post", self.base, note="x" * 401)
        self.assertEqual((got.status_code, got.json()["path"]), (422, "note"))
        self.assertEqual(self.keep("post", self.base, note="x" * 400).json()["note"], "x" * 400)

    def test_who_has_not_seen_the_last_change_does_not_overwrite_it(self):
        made = self.keep("post", self.base).json()
        self.keep("put", f"{self.base}/{made['id']}", note="measured in May", version=1)
        got = self.keep("put", f"{self.base}/{made['id']}", note="guessed", version=1)
        self.assertEqual((got.status_code, got.json()["code"], got.json()["extra"]["theirs"]["note"]), (409, "conflict", "measured in May"))
        self.assertEqual(self.keep("put", f"{self.base}/{made['id']}", note="guessed", version=2).json()["note"], "guessed")

    def test_refusals_name_the_property(self):
        for body, path in (
            ({"stated": {}}, "stated.density"),
            ({"stated": {"density": "0.93"}}, "stated.density"),
            ({"stated": {"density": "931 kg/m^3", "colour": "gold"}}, "stated.colour"),
            ({"name": "mercury"}, "name"),
            ({"name": ""}, "name"),
        ):
            got = self.keep("post", self.base, **body)
            self.assertIn(got.status_code, (409, 422))
            self.assertEqual(got.json()["path"], path)
        self.keep("post", self.base)
        self.assertEqual(self.keep("post", self.base).json()["code"], "name-taken")

    def test_the_catalogue_tells_nine_liquids_each_with_curves_and_sources(self):
        got = self.as_(self.teacher).get("/api/liquids").json()
        self.assertEqual(len(got), 9)
        for liquid in got:
            for prop in liquid["properties"]:
                self.assertTrue(prop["source"])
                low, high = (end["temperature"] for end in prop["ends"])
                self.assertTrue(low <= prop["usual"]["temperature"] <= high)
                self.assertTrue(prop["chart"]["lines"])
        self.assertIn("never poured", next(one for one in got if one["name"] == "mercury")["caution"])

    def test_today_tells_each_liquid_at_the_rooms_temperature_and_how_high_it_would_stand(self):
        client = self.as_(self.teacher)
        stated = {"station_pressure": "940 hPa", "temperature": "20 degC", "gravity": "9.80665 m/s^2"}
        room = self.send(client, "post", "/api/departments/lakeside/rooms", {"name": "Boathouse", "stated": stated}).json()["room"]
        got = client.get(f"/api/liquids/now?department=lakeside&room={room['id']}").json()
        self.assertEqual((got["temperature"], got["station_pressure"]), (293.15, 94_000))
        water = next(one for one in got["liquids"] if one["name"] == "water")
        known = {one["key"]: one["value"] for one in water["properties"]}
        self.assertAlmostEqual(known["density"], 998.206, delta=0.01)
        self.assertAlmostEqual(water["column"], (94_000 - known["vapour_pressure"]) / (known["density"] * 9.80665), places=6)
        self.assertEqual(len(got["liquids"]), 9)

    def test_what_is_not_known_at_a_temperature_is_told_as_that(self):
        client = self.as_(self.teacher)
        stated = {"station_pressure": "940 hPa", "temperature": "90 degC"}
        room = self.send(client, "post", "/api/departments/lakeside/rooms", {"name": "Sauna", "stated": stated}).json()["room"]
        got = client.get(f"/api/liquids/now?department=lakeside&room={room['id']}").json()
        ethanol = next(one for one in got["liquids"] if one["name"] == "ethanol")
        self.assertIsNone(ethanol["column"])
        self.assertTrue(all(one["value"] is None for one in ethanol["properties"]))
