"""What can be set up, over HTTP."""

from __future__ import annotations

from server.people.tests.base import Departments


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
