"""Set-ups and the shelf: what is picked from it, and what a thing measured again changes."""

from __future__ import annotations

import json
from typing import Any

from server.people.tests.base import text
from server.setups.models import Pick
from server.shelf.tests.test_shelf import TUBE, Shelf


class Picked(Shelf):
    def setUp(self) -> None:
        super().setUp()
        self.item = self.put()
        size = self.item["sizes"][0]["id"]
        body = {"name": "Bottle", "document": text(), "picks": {"setup.inner_diameter": size, "setup.fill_height": size}}
        self.setup = self.call("post", "/setups", body).json()

    def picks(self, setup: int | None = None) -> list[dict[str, Any]]:
        return self.call("get", f"/setups/{setup or self.setup['id']}").json()["picks"]

    def test_a_field_remembers_its_thing_as_long_as_it_says_the_same(self):
        self.assertEqual([(one["path"], one["name"], one["newer"]) for one in self.picks()], [("setup.inner_diameter", "Clear pipe", None)])
        copy = self.call("post", f"/setups/{self.setup['id']}/copy").json()
        self.assertEqual(len(copy["picks"]), 1)
        self.call("put", f"/setups/{self.setup['id']}", {"document": text(stand_drop="40 cm"), "version": 1})
        self.assertEqual(len(self.picks()), 1)
        self.call("put", f"/setups/{self.setup['id']}", {"document": text(inner_diameter="80 mm"), "version": 2})
        self.assertEqual(self.picks(), [])

    def test_a_thing_measured_again_offers_its_size_and_changes_nothing_by_itself(self):
        self.measured(self.item["id"], "inner_diameter", "40 +/- 0.5 mm")
        (pick,) = self.picks()
        self.assertEqual((pick["quantity"], pick["newer_quantity"]), ("87 +/- 1 mm", "40 +/- 0.5 mm"))
        (use,) = self.call("get", f"/shelf/{self.item['id']}/uses").json()
        self.assertEqual((use["name"], use["path"], use["refused"]), ("Bottle", "setup.inner_diameter", ""))
        self.assertTrue(use["verdict"])
        self.assertTrue(use["then_verdict"])
        self.assertIn("87", self.call("get", f"/setups/{self.setup['id']}").json()["document"])
        body = {"path": pick["path"], "size": pick["newer"], "version": 1}
        taken = self.call("post", f"/setups/{self.setup['id']}/take-size", body).json()
        self.assertEqual(json.loads(taken["document"])["setup"]["inner_diameter"], "40 +/- 0.5 mm")
        self.assertEqual((taken["version"], taken["picks"][0]["newer"]), (2, None))
        self.assertEqual(self.call("post", f"/setups/{self.setup['id']}/take-size", body | {"size": pick["size"]}).status_code, 409)

    def test_a_size_that_cannot_be_there_is_told_instead_of_a_verdict(self):
        self.measured(self.item["id"], "inner_diameter", "1 mm")
        (use,) = self.call("get", f"/shelf/{self.item['id']}/uses").json()
        self.assertIn("the hole is as wide as the bottle", use["refused"])
        self.assertEqual(use["then_verdict"], "")

    def test_a_thing_taken_off_the_shelf_is_kept_where_it_is_used(self):
        self.call("post", f"/shelf/{self.item['id']}/archive")
        (pick,) = self.picks()
        self.assertEqual((pick["name"], pick["gone"]), ("Clear pipe", True))

    def test_nothing_of_another_departments_shelf_can_be_picked_or_seen(self):
        quarry = self.as_(self.stranger)
        theirs = self.send(quarry, "post", "/api/departments/quarry/shelf", TUBE | {"name": "Theirs"}).json()
        body = {"document": text(), "version": 1, "picks": {"setup.inner_diameter": theirs["sizes"][0]["id"]}}
        got = self.call("put", f"/setups/{self.setup['id']}", body)
        self.assertEqual((got.status_code, got.json()["path"]), (422, "picks"))
        body = {"path": "setup.inner_diameter", "size": theirs["sizes"][0]["id"], "version": 1}
        self.assertEqual(self.call("post", f"/setups/{self.setup['id']}/take-size", body).status_code, 422)
        self.assertEqual(self.call("get", f"/shelf/{theirs['id']}").status_code, 404)
        crossed = Pick.objects.create(setup_id=self.setup["id"], path="setup.stand_drop", size_id=theirs["sizes"][0]["id"])
        uses = self.send(quarry, "get", f"/api/departments/quarry/shelf/{theirs['id']}/uses").json()
        self.assertEqual(uses, [], "not even where a row were to cross")
        crossed.delete()
        self.assertEqual(self.send(quarry, "get", "/api/departments/quarry/shelf/sizes/inner_diameter").json()[0]["name"], "Theirs")
