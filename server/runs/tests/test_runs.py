"""Runs: frozen predictions, readings in any unit, corrections that keep the old value, CSV."""

from __future__ import annotations

import csv
import io
import json
import math
from typing import Any

from django.utils import timezone

from server.people.models import Membership
from server.people.services.add_member import add_member
from server.people.tests.base import Departments, text
from server.rooms.models import Room
from server.runs.models import Run
from tests.support.documents import bottle

BASE = "/api/departments/lakeside/runs"
RANGE = "results.holes.2.range"


class Runs(Departments):
    def setUp(self) -> None:
        body = {"name": "Bottle", "document": text()}
        self.setup = self.send(self.as_(self.teacher), "post", "/api/departments/lakeside/setups", body).json()

    def log(self, readings: list[str], **changes: Any) -> Any:
        series = [{"path": RANGE, "instrument": "5 mm", "readings": readings}] if readings else []
        body = {"setup": self.setup["id"], "document": text(), "outcome": "worked", "note": "wind still", "series": series} | changes
        return self.send(self.as_(self.teacher), "post", BASE, body)

    def test_mean_uncertainty_and_gap(self):
        got = self.log(["39 cm", "0.4 m", "16.14 inch"]).json()
        one = got["series"][0]
        si = [0.39, 0.4, 0.409956]
        mean = sum(si) / 3
        scatter = sum((v - mean) ** 2 for v in si) / 2 / 3
        self.assertAlmostEqual(one["mean"], mean, places=12)
        self.assertAlmostEqual(one["standard_uncertainty"], math.sqrt(scatter + 0.005**2 / 3), places=12)
        together = math.hypot(one["standard_uncertainty"], one["predicted_uncertainty"])
        self.assertAlmostEqual(one["gap"], (mean - one["predicted"]) / together, places=9)
        self.assertTrue(one["repeated"])

    def test_a_run_sent_again_is_one_run(self):
        sent = "0f" * 16
        first, again = self.log(["39 cm"], sent=sent), self.log(["39 cm"], sent=sent)
        self.assertEqual((again.status_code, again.json()["id"]), (first.status_code, first.json()["id"]))
        self.assertEqual(len(self.as_(self.teacher).get(BASE).json()["results"]), 1)
        self.log(["39 cm"], sent="1f" * 16)
        self.log(["39 cm"])
        self.log(["39 cm"])
        self.assertEqual(len(self.as_(self.teacher).get(BASE).json()["results"]), 4)

    def test_another_department_may_call_its_run_alike(self):
        sent = "0f" * 16
        self.log(["39 cm"], sent=sent)
        client, base = self.as_(self.stranger), "/api/departments/quarry"
        setup = self.send(client, "post", f"{base}/setups", {"name": "B", "document": text()}).json()["id"]
        body = {"setup": setup, "document": text(), "outcome": "worked", "sent": sent}
        self.assertEqual(self.send(client, "post", f"{base}/runs", body).json()["setup"], setup)

    def test_a_note_longer_than_a_page_is_refused_by_name(self):
        got = self.log([], note="x" * 4001)
        self.assertEqual((got.status_code, got.json()["path"], got.json()["detail"]), (422, "note", "note is longer than 4000 characters; shorten it"))
        self.assertEqual(self.log([], note="x" * 4000).status_code, 200)

    def test_one_reading_says_that_no_scatter_is_known(self):
        one = self.log(["39 cm"]).json()["series"][0]
        self.assertFalse(one["repeated"])
        self.assertAlmostEqual(one["standard_uncertainty"], 0.005 / math.sqrt(3), places=12)

    def test_the_run_freezes_what_it_was_made_with(self):
        run = self.log(["39 cm"]).json()
        address = f"/api/departments/lakeside/setups/{self.setup['id']}"
        self.send(self.as_(self.head), "put", address, {"document": text(stand_drop="40 cm"), "version": 1})
        again = self.as_(self.head).get(f"{BASE}/{run['id']}").json()
        self.assertEqual(again["prediction"], run["prediction"])
        self.assertEqual(again["drawing"]["items"], run["drawing"]["items"])
        self.assertEqual(again["prediction"]["room"]["constants"], "reference")
        self.assertEqual(again["document"], text())

    def test_it_is_frozen_in_the_room_that_was_shown(self):
        """Another window may have switched rooms since."""
        shown, switched = (
            Room.objects.create(department=self.head.department, name=name, stated={"station_pressure": stated}, pressure_at=timezone.now())
            for name, stated in (("Hall", "941 hPa"), ("Cellar", "1003 hPa"))
        )
        self.teacher.room = switched
        self.teacher.save()
        silent = json.dumps({key: value for key, value in bottle().items() if key != "room"})
        for room, expected in ((shown.pk, 94100.0), (None, 100300.0)):
            run = self.log([], document=silent, room=room).json()
            self.assertAlmostEqual(run["prediction"]["room"]["station_pressure"]["value"], expected, msg=str(room))

    def test_another_departments_room_is_not_found(self):
        theirs = Room.objects.create(department=self.stranger.department, name="Pit", stated={"station_pressure": "941 hPa"}, pressure_at=timezone.now())
        self.assertEqual(self.log([], room=theirs.pk).status_code, 404)
        body = {"document": text(), "version": 1, "room": theirs.pk}
        address = f"/api/departments/lakeside/setups/{self.setup['id']}"
        self.assertEqual(self.send(self.as_(self.teacher), "put", address, body).status_code, 404)

    def test_several_runs_a_set_up_and_none_read(self):
        self.log([])
        self.log(["39 cm"], outcome="partly")
        rows = self.as_(self.head).get(f"{BASE}?setup={self.setup['id']}").json()["results"]
        self.assertEqual([row["outcome"] for row in rows], ["partly", "worked"])
        self.assertEqual([len(row["series"]) for row in rows], [1, 0])

    def test_a_correction_keeps_the_old_value_with_who_and_when(self):
        run = self.log(["39 cm", "41 cm"]).json()
        reading = run["series"][0]["readings"][0]
        got = self.send(self.as_(self.head), "patch", f"/api/departments/lakeside/readings/{reading['id']}", {"text": "39.5 cm"}).json()
        corrected = got["series"][0]["readings"][0]
        self.assertEqual(
            (corrected["text"], corrected["corrections"][0]["text_before"], corrected["corrections"][0]["by"]), ("39.5 cm", "39 cm", "lakeside-head")
        )
        self.assertAlmostEqual(got["series"][0]["mean"], 0.4025)
        self.send(self.as_(self.head), "patch", f"/api/departments/lakeside/readings/{reading['id']}", {"text": "39.5 cm"})
        self.assertEqual(len(self.as_(self.head).get(f"{BASE}/{run['id']}").json()["series"][0]["readings"][0]["corrections"]), 1)

    def test_what_cannot_be_read_is_refused_by_its_place_and_nothing_is_kept(self):
        for series, path in (
            ([{"path": RANGE, "instrument": "5 mm", "readings": ["39 cm", "40"]}], "series.0.readings.1"),
            ([{"path": RANGE, "instrument": "5 mm", "readings": ["3 s"]}], "series.0.readings.0"),
            ([{"path": RANGE, "instrument": "", "readings": ["39 cm"]}], "series.0.instrument"),
            ([{"path": RANGE, "instrument": "-5 mm", "readings": ["39 cm"]}], "series.0.instrument"),
            ([{"path": "results.lead", "instrument": "5 mm", "readings": ["3 cm"]}], "series.0.path"),
            ([{"path": "results.nowhere", "instrument": "5 mm", "readings": ["3 cm"]}], "series.0.path"),
        ):
            got = self.log([], series=series)
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))
        self.assertEqual(self.as_(self.head).get(BASE).json()["results"], [])

    def test_outcome_note_and_further_readings(self):
        run = self.log(["39 cm"]).json()
        body = {"version": 1, "outcome": "partly", "note": "burr in the hole", "series": [{"path": RANGE, "instrument": "1 cm", "readings": ["41 cm"]}]}
        got = self.send(self.as_(self.head), "patch", f"{BASE}/{run['id']}", body).json()
        self.assertEqual((got["outcome"], got["note"], got["series"][0]["count"], got["series"][0]["instrument"]), ("partly", "burr in the hole", 2, "1 cm"))
        self.assertEqual(self.send(self.as_(self.head), "patch", f"{BASE}/{run['id']}", {"version": 2, "outcome": "splendid"}).status_code, 422)

    def test_who_has_not_seen_the_last_change_does_not_overwrite_it(self):
        run = self.log(["39 cm"]).json()
        reading = run["series"][0]["readings"][0]["id"]
        self.send(self.as_(self.head), "patch", f"{BASE}/{run['id']}", {"version": run["version"], "note": "cold that day"})
        got = self.send(self.as_(self.teacher), "patch", f"{BASE}/{run['id']}", {"version": run["version"], "note": "warm", "outcome": "failed"})
        told = got.json()
        self.assertEqual((got.status_code, told["code"], told["extra"]["by"]), (409, "conflict", "lakeside-head"))
        self.assertEqual(told["extra"]["theirs"], {"outcome": "worked", "note": "cold that day"})
        now = self.as_(self.teacher).get(f"{BASE}/{run['id']}").json()
        self.assertEqual((now["note"], now["outcome"], now["version"]), ("cold that day", "worked", 2))
        self.send(self.as_(self.head), "patch", f"/api/departments/lakeside/readings/{reading}", {"text": "40 cm"})
        self.assertEqual(self.send(self.as_(self.teacher), "patch", f"{BASE}/{run['id']}", {"version": 2, "note": "warm"}).status_code, 409)
        self.assertEqual(self.send(self.as_(self.teacher), "patch", f"{BASE}/{run['id']}", {"version": 3, "note": "warm"}).json()["note"], "warm")

    def test_a_run_is_taken_back_by_who_logged_it_or_the_head_and_brought_back(self):
        other, _ = add_member(self.head, "lakeside-other", Membership.Role.TEACHER)
        run = self.log(["39 cm"]).json()["id"]
        self.assertEqual(self.as_(other).post(f"{BASE}/{run}/archive").status_code, 403)
        for who in (self.teacher, self.head):
            self.assertEqual(self.as_(who).post(f"{BASE}/{run}/archive").status_code, 204)
            listed = {away: [one["id"] for one in self.as_(other).get(f"{BASE}?archived={away}").json()["results"]] for away in ("false", "true")}
            self.assertEqual(listed, {"false": [], "true": [run]})
            self.assertEqual(len(self.as_(other).get(f"{BASE}.csv").content.splitlines()), 1)
            self.assertEqual(self.as_(other).get("/api/departments/lakeside/setups").json()["results"][0]["runs"], 0)
            self.assertEqual(self.as_(other).post(f"{BASE}/{run}/bring-back").status_code, 403)
            self.assertEqual(self.as_(who).post(f"{BASE}/{run}/bring-back").status_code, 204)
        self.assertEqual(self.as_(other).get(BASE).json()["results"][0]["id"], run)

    def test_a_reading_far_from_what_was_predicted_is_asked_about_and_kept_when_sure(self):
        for typed, asked in (("38 cm", False), ("31 cm", False), ("0.38 cm", True), ("380 cm", True)):
            got = self.log(["38 cm", typed])
            with self.subTest(typed=typed):
                self.assertEqual(got.status_code, 409 if asked else 200, got.content)
                if asked:
                    told = got.json()
                    self.assertEqual((told["code"], told["path"]), ("unlikely", "series.0.readings.1"))
                    self.assertIn(f"landing distance, no. 3: {typed} lies far from the predicted 37.8", told["detail"])
                    self.assertEqual(self.log(["38 cm", typed], sure=True).status_code, 200)
        self.assertEqual(Run.objects.count(), 4, "what was asked about was not kept")

    def test_search_and_csv(self):
        self.log(["39 cm", "40 cm"], note="=1+1, with wind")
        self.log([], note="calm")
        client = self.as_(self.head)
        self.assertEqual(len(client.get(f"{BASE}?search=wind").json()["results"]), 1)
        got = client.get(f"{BASE}.csv")
        rows = list(csv.DictReader(io.StringIO(got.content.decode())))
        self.assertEqual((got["Content-Type"], len(rows)), ("text/csv; charset=utf-8", 3))
        self.assertEqual((rows[1]["reading as typed"], float(rows[1]["reading [SI]"]), rows[1]["path"]), ("39 cm", 0.39, RANGE))
        self.assertRegex(rows[1]["result"], "^landing distance, no. 3$")
        self.assertEqual(rows[1]["SI unit"], "m")
        self.assertEqual(rows[1]["note"], "'=1+1, with wind", "a spreadsheet must not run a note as a formula")

    def test_the_log_takes_few_queries_however_long(self):
        for _ in range(6):
            self.log(["39 cm", "40 cm"])
        client = self.as_(self.head)
        with self.assertNumQueries(7):
            client.get(BASE)
