"""The shelf: what there is, its sizes as they were measured, what is picked from it, and what a new measurement changes."""

from __future__ import annotations

from typing import Any

from hydrostatics.aids.registry import aids_by_key
from hydrostatics.works.size_names import size_names
from server.people.tests.base import Departments
from server.shelf.models import Item, Size

BASE = "/api/departments/lakeside"
TUBE = {"name": "Clear pipe", "sort": "tube", "place": "rack by the door", "sizes": [{"key": "inner_diameter", "quantity": "87 ± 1 mm", "how": "weighed"}]}


class Shelf(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)

    def call(self, method: str, address: str, body: Any = None):
        return self.send(self.client_in, method, f"{BASE}{address}", body)

    def put(self, **changes: Any) -> dict[str, Any]:
        got = self.call("post", "/shelf", TUBE | changes)
        self.assertEqual(got.status_code, 200, got.content)
        return got.json()

    def measured(self, item: int, key: str, quantity: str, **more: Any):
        return self.call("post", f"/shelf/{item}/sizes", {"key": key, "quantity": quantity, **more})


class Things(Shelf):
    def test_a_thing_stands_on_the_shelf_with_its_sizes_and_tells_what_can_be_shown_with_it(self):
        item = self.put()
        self.assertEqual([(one["label"], one["quantity"], one["by"]) for one in item["sizes"]], [("Inside diameter", "87 +/- 1 mm", "lakeside-teacher")])
        self.assertIn("Holed bottle", item["shows"])
        listed = self.call("get", "/shelf").json()["results"]
        self.assertEqual([(one["name"], one["sizes"][0]["quantity"]) for one in listed], [("Clear pipe", "87 +/- 1 mm")])

    def test_what_is_measured_again_counts_and_what_was_before_is_kept(self):
        item = self.put()
        aid = aids_by_key()["bore-by-filling"].steps.start
        got = self.measured(item["id"], "inner_diameter", "86.4 +/- 0.2 mm", how="filled", aid=aid).json()
        self.assertEqual([one["quantity"] for one in got["sizes"]], ["86.4 +/- 0.2 mm"])
        self.assertEqual([(one["quantity"], one["measured"]) for one in got["history"]], [("86.4 +/- 0.2 mm", True), ("87 +/- 1 mm", False)])
        kept = self.call("get", f"/shelf/{item['id']}/sizes/{got['sizes'][0]['id']}").json()
        self.assertEqual(kept, aid)
        again = self.measured(item["id"], "inner_diameter", "86.4 +/- 0.2 mm", how="filled", aid=aid).json()
        self.assertEqual(len(again["history"]), 2, "the same said again is kept once")

    def test_it_is_searched_by_name_place_and_note_and_filtered(self):
        self.put()
        self.put(name="Old gauge", sort="gauge", place="drawer", note="sticks at the top", state="worn", sizes=[])
        self.put(name="Long hose", sort="hose", place="", wanted=True, sizes=[])
        for query, names in (
            ("search=rack", ["Clear pipe"]),
            ("search=STICKS gauge", ["Old gauge"]),
            ("sort=hose", ["Long hose"]),
            ("state=worn", ["Old gauge"]),
            ("wanted=false", ["Clear pipe", "Old gauge"]),
            ("search=nothing", []),
        ):
            self.assertEqual([one["name"] for one in self.call("get", f"/shelf?{query}").json()["results"]], names, query)

    def test_a_list_of_many_asks_no_question_for_each(self):
        items = Item.objects.bulk_create([Item(department=self.teacher.department, name=f"Tube {i:03}", sort="tube") for i in range(120)])
        Size.objects.bulk_create([Size(item=one, key=key, kind="length", quantity="1 cm") for one in items for key in ("bore", "length")])
        with self.assertNumQueries(5):
            got = self.call("get", "/shelf?page_size=100").json()
        self.assertEqual((len(got["results"]), len(got["results"][0]["sizes"])), (100, 2))
        following = self.client_in.get(got["next"]).json()["results"]
        self.assertEqual(following[0]["name"], "Tube 100")

    def test_what_can_be_had_for_a_field_leaves_out_what_is_wanted_or_away(self):
        first = self.put()
        self.put(name="Wished for", wanted=True)
        gone = self.put(name="Gone")
        self.call("post", f"/shelf/{gone['id']}/archive")
        self.assertEqual([one["name"] for one in self.call("get", "/shelf/sizes/inner_diameter").json()], ["Clear pipe"])
        self.assertEqual(self.call("get", "/shelf/sizes").json()["there"], ["inner_diameter"])
        self.call("post", f"/shelf/{first['id']}/archive")
        self.assertEqual(self.call("get", "/shelf/sizes").json()["there"], [])
        self.assertEqual(self.call("get", "/shelf?archived=true").json()["results"][0]["name"], "Clear pipe")

    def test_every_size_that_a_demonstration_asks_for_has_a_name_and_a_kind(self):
        self.assertEqual(size_names()["bore"].kinds, ("length",))
        self.assertGreater(len(size_names()["bore"].asked_by), 3)

    def test_what_cannot_be_is_told_at_its_field_and_nothing_is_kept_of_it(self):
        for body, path in (
            (TUBE | {"name": "  "}, "name"),
            (TUBE | {"count": 0}, "count"),
            (TUBE | {"lent_until": "2026-12-01"}, "lent_to"),
            (TUBE | {"sizes": [{"key": "charm", "quantity": "3 mm"}]}, "key"),
            (TUBE | {"sizes": [{"key": "bore", "quantity": "3 kg"}]}, "quantity"),
            (TUBE | {"sizes": [{"key": "smallest_mark", "quantity": "0 hPa"}]}, "quantity"),
            (TUBE | {"sizes": [{"key": "bore", "quantity": "3 mm", "aid": {"anchorage": 1, "aid": "dowsing", "measured": {}}}]}, "aid"),
        ):
            got = self.call("post", "/shelf", body)
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))
        self.assertEqual(Item.objects.count(), 0)
        self.put()
        self.assertEqual(self.call("post", "/shelf", TUBE).status_code, 409)

    def test_somebody_elses_change_is_not_overwritten(self):
        item = self.put()
        facts = {key: item[key] for key in ("name", "sort")}
        self.assertEqual(self.call("put", f"/shelf/{item['id']}", facts | {"state": "worn", "version": 1}).json()["state"], "worn")
        got = self.call("put", f"/shelf/{item['id']}", facts | {"state": "broken", "version": 1})
        self.assertEqual((got.status_code, got.json()["code"]), (409, "conflict"))
