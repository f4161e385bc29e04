"""A run of variations: the same thing with one change, kept together."""

from __future__ import annotations

import json

from server.people.tests.base import Departments, text


class Variations(Departments):
    base = "/api/departments/lakeside/setups"

    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.first = self.send(self.client_in, "post", self.base, {"name": "Bottle", "document": text()}).json()

    def vary(self, setup: int, name: str, document: str):
        return self.send(self.client_in, "post", f"{self.base}/{setup}/variations", {"name": name, "document": document})

    def test_variations_stand_in_one_run_behind_their_base_whichever_is_open(self):
        second = self.vary(self.first["id"], "Raised", text(stand_drop="40 cm")).json()
        third = self.vary(second["id"], "Capped", text(cap="closed")).json()
        for one in (self.first, second, third):
            got = self.client_in.get(f"{self.base}/{one['id']}").json()
            self.assertEqual([row["name"] for row in got["run"]], ["Bottle", "Raised", "Capped"])

    def test_the_list_shows_the_base_with_a_count_and_search_finds_the_rest(self):
        self.vary(self.first["id"], "Raised", text(stand_drop="40 cm"))
        rows = self.client_in.get(self.base).json()["results"]
        self.assertEqual([(row["name"], row["variations"], row["runs"]) for row in rows], [("Bottle", 1, 0)])
        self.assertEqual([row["name"] for row in self.client_in.get(f"{self.base}?search=raised").json()["results"]], ["Raised"])

    def test_another_demonstration_is_no_variation_and_is_not_kept(self):
        cup = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "5 cm", "air_left": "30 %"}}
        got = self.vary(self.first["id"], "Cup", json.dumps(cup))
        self.assertEqual((got.status_code, got.json()["path"]), (422, "demonstration"))
        self.assertEqual(len(self.client_in.get(f"{self.base}?search=cup").json()["results"]), 0)

    def test_the_base_takes_its_variations_into_the_archive(self):
        second = self.vary(self.first["id"], "Raised", text(stand_drop="40 cm")).json()
        self.client_in.post(f"{self.base}/{self.first['id']}/archive")
        self.assertTrue(self.client_in.get(f"{self.base}/{second['id']}").json()["archived"])
        self.client_in.post(f"{self.base}/{self.first['id']}/bring-back")
        self.assertFalse(self.client_in.get(f"{self.base}/{second['id']}").json()["archived"])
        self.assertEqual([row["name"] for row in self.client_in.get(f"{self.base}/{second['id']}").json()["run"]], ["Bottle", "Raised"])

    def test_a_variation_brought_back_alone_leaves_the_others_where_they_are(self):
        second = self.vary(self.first["id"], "Raised", text(stand_drop="40 cm")).json()
        third = self.vary(self.first["id"], "Capped", text(cap="closed")).json()
        self.client_in.post(f"{self.base}/{self.first['id']}/archive")
        self.client_in.post(f"{self.base}/{second['id']}/bring-back")
        archived = [self.client_in.get(f"{self.base}/{one['id']}").json()["archived"] for one in (self.first, second, third)]
        self.assertEqual(archived, [True, False, True])

    def test_a_variation_of_another_departments_set_up_is_not_to_be_had(self):
        got = self.send(self.as_(self.stranger), "post", f"/api/departments/quarry/setups/{self.first['id']}/variations", {"name": "x", "document": text()})
        self.assertEqual(got.status_code, 404)
