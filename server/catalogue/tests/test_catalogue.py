"""What can be set up, over HTTP."""

from __future__ import annotations

import json

from server.people.tests.base import Departments, text
from tests.support.documents import bottle


class Catalogue(Departments):
    def test_demonstrations_schema_and_units(self):
        client = self.as_(self.teacher)
        keys = [one["key"] for one in client.get("/api/demonstrations").json()]
        self.assertIn("holed-bottle", keys)
        for key in keys:
            self.assertEqual(client.get(f"/api/demonstrations/{key}/schema").json()["properties"]["demonstration"], {"const": key})
        self.assertEqual(client.get("/api/demonstrations/fountain/schema").status_code, 422)
        self.assertEqual(client.get("/api/tables").json()["units"]["length"][0]["unit"], "cm")
        told = {one["key"]: one for one in client.get("/api/tables").json()["liquid_properties"]}
        self.assertEqual(told["surface_tension"]["label"], "surface tension")

    def test_what_is_typed_is_told_as_it_is_understood(self):
        client = self.as_(self.teacher)

        def typed(text: str, **more: str):
            return self.send(client, "post", "/api/typed", {"path": "setup.fill_height", "text": text, "kind": "length", "unit": "mm", **more})

        self.assertEqual(typed("88,5 ± 1 %").json(), {"quantity": "88.5 +/- 0.885 mm", "offered": True})
        self.assertEqual(typed("88,5 mm").json(), {"quantity": "88.5 mm", "offered": False})
        refused = typed("3 kg")
        self.assertEqual((refused.status_code, refused.json()["path"]), (422, "setup.fill_height"))


class AtAForm(Departments):
    """A refusal over the wire speaks to one who fills in a form: labels and units as people write them, no key of a file."""

    def detail(self, **changes: object) -> str:
        got = self.as_(self.teacher).post("/api/predict", text(**changes), content_type="application/json")
        self.assertEqual(got.status_code, 422)
        return str(got.json()["detail"])

    def test_other_fields_by_their_labels(self):
        self.assertIn("“Rim above the base”", self.detail(bottle_height="20 cm"))
        told = self.detail(inner_diameter=None)
        self.assertIn("“Inside diameter” or “Profile”", told)
        self.assertNotRegex(told, "_")

    def test_what_one_can_do_there(self):
        told = self.detail(liquid="wine")
        self.assertIn("press “another”", told)
        self.assertNotRegex(told, r"object|\{")

    def test_units_as_people_write_them(self):
        document = bottle()
        document["room"]["temperature"] = "140 degC"
        got = self.as_(self.teacher).post("/api/predict", json.dumps(document), content_type="application/json").json()["detail"]
        self.assertIn("°C", got)
        self.assertNotIn("degC", got)
