"""Set-ups: exactly as typed, with who and when; copied, renamed, archived, brought back; no save over another's."""

from __future__ import annotations

import json

from server.people.tests.base import Departments, text

BASE = "/api/departments/lakeside/setups"


class Setups(Departments):
    def make(self, name: str = "Bottle", **changes: object) -> dict:
        return self.send(self.as_(self.teacher), "post", BASE, {"name": name, "document": text(**changes)}).json()

    def test_it_is_kept_exactly_as_typed(self):
        typed = text(stand_drop="11.00 ± 0.20 cm").replace('"water"', '"water" ')
        got = self.send(self.as_(self.teacher), "post", BASE, {"name": " My   bottle ", "document": typed}).json()
        self.assertEqual((got["name"], got["by"], got["version"], got["state"]), ("My bottle", "lakeside-teacher", 1, "works"))
        self.assertEqual(self.as_(self.head).get(f"{BASE}/{got['id']}").json()["document"], typed)

    def test_an_invalid_document_is_never_saved(self):
        for document, path in ((text(fill_height="3 kg"), "setup.fill_height"), ("{", ""), ('{"anchorage": 1, "anchorage": 1}', "anchorage")):
            got = self.send(self.as_(self.teacher), "post", BASE, {"name": "x", "document": document})
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))
        kept = self.make()
        self.assertEqual(self.send(self.as_(self.head), "put", f"{BASE}/{kept['id']}", {"document": text(holes=[]), "version": 1}).status_code, 422)
        self.assertEqual(self.as_(self.head).get(f"{BASE}/{kept['id']}").json()["version"], 1)

    def test_what_is_sent_again_is_one_set_up_and_one_version(self):
        body = {"name": "Bottle", "document": text(), "sent": "0f" * 16}
        first, again = (self.send(self.as_(self.teacher), "post", BASE, body).json() for _ in range(2))
        self.assertEqual(first["id"], again["id"])
        change = {"document": text(stand_drop="12 cm"), "version": 1}
        saved, lost = (self.send(self.as_(self.teacher), "put", f"{BASE}/{first['id']}", change) for _ in range(2))
        self.assertEqual((saved.json()["version"], lost.status_code, lost.json()["version"]), (2, 200, 2))
        self.assertEqual(self.send(self.as_(self.head), "put", f"{BASE}/{first['id']}", change).status_code, 409, "another's is a conflict")
        varied = [self.send(self.as_(self.teacher), "post", f"{BASE}/{first['id']}/variations", body | {"sent": "1f" * 16}).json()["id"] for _ in range(2)]
        self.assertEqual(varied[0], varied[1])
        self.assertEqual(self.send(self.as_(self.stranger), "post", BASE.replace("lakeside", "quarry"), body).json()["by"], "quarry-head")

    def test_every_version_says_who_and_when(self):
        kept = self.make()
        self.send(self.as_(self.head), "put", f"{BASE}/{kept['id']}", {"document": text(stand_drop="12 cm"), "version": 1})
        versions = self.as_(self.teacher).get(f"{BASE}/{kept['id']}/versions").json()
        self.assertEqual([(v["number"], v["by"]) for v in versions], [(2, "lakeside-head"), (1, "lakeside-teacher")])

    def test_a_conflicting_save_shows_theirs_and_overwrites_nothing(self):
        kept = self.make()
        address = f"{BASE}/{kept['id']}"
        theirs = text(stand_drop="12 cm")
        self.assertEqual(self.send(self.as_(self.head), "put", address, {"document": theirs, "version": 1}).status_code, 200)
        got = self.send(self.as_(self.teacher), "put", address, {"document": text(stand_drop="13 cm"), "version": 1})
        self.assertEqual((got.status_code, got.json()["code"]), (409, "conflict"))
        extra = got.json()["extra"]
        self.assertEqual((extra["document"], extra["by"], extra["version"]), (theirs, "lakeside-head", 2))
        self.assertEqual(self.as_(self.teacher).get(address).json()["document"], theirs)

    def test_copy_rename_archive_and_back(self):
        kept = self.make()
        client, address = self.as_(self.head), f"{BASE}/{kept['id']}"
        copy = client.post(f"{address}/copy").json()
        self.assertEqual((copy["name"], copy["document"], copy["by"]), ("Bottle, copy", kept["document"], "lakeside-head"))
        self.assertEqual(self.send(client, "patch", address, {"name": "Tall bottle"}).json()["name"], "Tall bottle")
        self.assertEqual(self.send(client, "patch", address, {"name": "  "}).status_code, 422)
        gone = client.post(f"{address}/archive").json()
        self.assertEqual((gone["archived"], gone["archived_by"]), (True, "lakeside-head"))
        self.assertEqual([row["name"] for row in client.get(BASE).json()["results"]], ["Bottle, copy"])
        self.assertEqual([row["name"] for row in client.get(f"{BASE}?archived=true").json()["results"]], ["Tall bottle"])
        client.post(f"{address}/bring-back")
        self.assertEqual(len(client.get(BASE).json()["results"]), 2)

    def test_search_looks_at_names_and_verdicts(self):
        self.make("Rain tube")
        self.make("Held shut", holes=[{"height": "20 cm", "diameter": "0.3 mm"}])
        names = lambda words: [row["name"] for row in self.as_(self.head).get(BASE, {"search": words}).json()["results"]]  # noqa: E731
        self.assertEqual((names("rain"), names("tension"), names("RAIN lands"), names("rain tension")), (["Rain tube"], ["Held shut"], ["Rain tube"], []))

    def test_the_list_takes_few_queries_however_long(self):
        for i in range(12):
            self.make(f"Bottle {i}")
        client = self.as_(self.head)
        with self.assertNumQueries(4):
            client.get(BASE)

    def test_a_long_list_comes_whole_by_pages_though_it_grows_meanwhile(self):
        names = [f"Bottle {i:02}" for i in range(7)]
        for name in names:
            self.make(name)
        client = self.as_(self.head)
        page = client.get(BASE, {"page_size": 3}).json()
        found = [row["name"] for row in page["results"]]
        self.make("Made meanwhile")
        while page["next"]:
            page = client.get(page["next"]).json()
            found += [row["name"] for row in page["results"]]
        self.assertEqual(found, names[::-1])
        self.assertEqual(self.send(client, "get", f"{BASE}?cursor=nonsense").status_code, 422)

    def test_a_list_of_one_demonstration(self):
        from tests.support.imagined import IMAGINED

        self.make()
        self.send(self.as_(self.teacher), "post", BASE, {"name": "Other", "document": json.dumps(IMAGINED.guide.starts[0]["document"])})
        self.assertEqual([row["name"] for row in self.as_(self.head).get(f"{BASE}?demonstration={IMAGINED.key}").json()["results"]], ["Other"])

    def test_a_set_up_stays_one_demonstration(self):
        from tests.support.imagined import IMAGINED

        kept = self.make()
        other = json.dumps(IMAGINED.guide.starts[0]["document"])
        got = self.send(self.as_(self.teacher), "put", f"{BASE}/{kept['id']}", {"document": other, "version": 1})
        self.assertEqual((got.status_code, got.json()["path"]), (422, "demonstration"))

    def test_the_list_tells_how_much_a_verdict_is_in_doubt(self):
        cup = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "54 +/- 1 mm", "air_left": "45 +/- 10 %", "pull_force": "112 +/- 4 N"}}
        made = self.send(self.as_(self.teacher), "post", BASE, {"name": "Hook", "document": json.dumps(cup)}).json()
        self.assertRegex(made["doubt"], r"^in doubt, \d\d %$")
        self.assertTrue(made["verdict"].startswith("Most likely to work"))
        rows = self.as_(self.head).get(BASE).json()["results"]
        self.assertEqual([row["doubt"] for row in rows], [made["doubt"]])
        self.assertEqual(self.make()["doubt"], "")
