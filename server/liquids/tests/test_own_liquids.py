"""A department's own liquids are kept as a set-up could use them; the catalogue tells its curves and sources."""

from __future__ import annotations

from server.people.tests.base import Departments


class OwnLiquids(Departments):
    base = "/api/departments/lakeside/liquids"

    def keep(self, method: str, address: str, **body):
        return self.send(self.as_(self.teacher), method, address, {"name": "Linseed from the barrel", "stated": {"density": "931 +/- 2 kg/m^3"}, **body})

    def test_kept_changed_listed_and_removed(self):
        made = self.keep("post", self.base).json()
        self.assertEqual(made["by"], "lakeside-teacher")
        changed = self.keep("put", f"{self.base}/{made['id']}", note="measured in May").json()
        self.assertEqual([one["note"] for one in self.as_(self.head).get(self.base).json()], ["measured in May"])
        self.assertEqual(self.as_(self.head).delete(f"{self.base}/{changed['id']}").status_code, 204)
        self.assertEqual(self.as_(self.head).get(self.base).json(), [])

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
                self.assertTrue(prop["drawing"]["items"])
        self.assertIn("never poured", next(one for one in got if one["name"] == "mercury")["caution"])
