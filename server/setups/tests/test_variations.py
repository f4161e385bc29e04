"""A run of variations: the same thing with one change, kept together."""

from __future__ import annotations

import json
from functools import partial
from typing import Any

from hydrostatics.documents.changing import with_changes
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


class GoesOn(Departments):
    """A variation that begins where the one before ended."""

    base = "/api/departments/lakeside/setups"

    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.first = self.send(self.client_in, "post", self.base, {"name": "Bottle", "document": text()}).json()

    def vary(self, name: str, document: str, **more: Any):
        return self.send(self.client_in, "post", f"{self.base}/{self.first['id']}/variations", {"name": name, "document": document, **more})

    def run_of(self) -> list[dict[str, Any]]:
        return self.client_in.get(f"{self.base}/{self.first['id']}").json()["run"]

    def test_what_stays_comes_from_the_core_and_the_run_knows_where_each_began(self):
        stays = self.client_in.post("/api/carry-on?moment=20", text(), content_type="application/json").json()
        self.assertEqual([one["path"] for one in stays], ["setup.fill_height"])
        begun = with_changes(json.loads(text()), [(one["path"], one["quantity"]) for one in stays])
        got = self.vary("Then capped", json.dumps(begun), goes_on=True, moment=20).json()
        self.assertEqual([(one["follows"], one["moment"], one["outdated"]) for one in got["run"]], [(None, None, False), (self.first["id"], 20, False)])

    def test_one_that_was_saved_since_is_told_until_what_stays_is_carried_over_again(self):
        second = self.vary("Then capped", text(cap="closed"), goes_on=True).json()
        changed = {"document": text(stand_drop="40 cm"), "version": 1}
        self.send(self.client_in, "put", f"{self.base}/{self.first['id']}", changed)
        self.assertEqual([one["outdated"] for one in self.run_of()], [False, True])
        for anew, outdated in ((False, True), (True, False)):
            body = {"document": text(cap="closed", stand_drop=f"4{anew:d} cm"), "version": 1 + anew, "anew": anew}
            self.send(self.client_in, "put", f"{self.base}/{second['id']}", body)
            self.assertEqual(self.run_of()[1]["outdated"], outdated)

    def test_wrong_moments_and_demonstrations_are_told(self):
        post = partial(self.client_in.post, content_type="application/json")
        got = post("/api/carry-on?moment=5000", text())
        self.assertEqual((got.status_code, got.json()["path"]), (422, "moment"))
        cup = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "5 cm", "air_left": "30 %"}}
        got = post("/api/carry-on", json.dumps(cup))
        self.assertEqual((got.status_code, got.json()["path"]), (422, "demonstration"))
        self.assertEqual(self.vary("x", text(), goes_on=True, moment=-1).status_code, 422)
