"""Nobody sees another department's data: every endpoint of the API, by enumeration."""

from __future__ import annotations

import json
import re
from uuid import uuid4

from django.test import Client

from server.people.tests.base import Departments, text
from server.project.tests.described import described

PERSONAL = {
    "/me",
    "/me/preferences",
    "/predict",
    "/playback",
    "/section.svg",
    "/strips.pdf",
    "/scale.pdf",
    "/sweep",
    "/sweep.csv",
    "/solve",
    "/what-if",
    "/one-line",
    "/carry-on",
    "/in-marks",
    "/measured",
    "/aids",
    "/aids/{key}/schema",
    "/quick-line",
    "/room-account",
    "/liquids",
    "/liquids/now",
    "/typed",
    "/demonstrations",
    "/demonstrations/{key}/schema",
    "/tables",
}
"""Endpoints that hold no department's data: one's own, and pure computation; those that take a room ask for it by department."""


class Scope(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        base = "/api/departments/lakeside"
        self.setup = self.send(self.client_in, "post", f"{base}/setups", {"name": "Secret bottle", "document": text()}).json()
        series = [{"path": "results.holes.0.range", "instrument": "1 mm", "readings": ["20 cm"]}]
        self.run = self.send(
            self.client_in,
            "post",
            f"{base}/runs",
            {"setup": self.setup["id"], "document": text(), "outcome": "worked", "note": "secret note", "series": series},
        ).json()
        self.room = self.send(self.client_in, "post", f"{base}/rooms", {"name": "Secret room", "stated": {"station_pressure": "941 hPa"}}).json()["room"]
        self.liquid = self.send(self.client_in, "post", f"{base}/liquids", {"name": "Secret oil", "stated": {"density": "911 kg/m^3"}}).json()
        self.send(self.client_in, "put", f"{base}/setups/{self.setup['id']}/pin", {"pinned": True})
        source = {"name": "Secret sensor", "sort": "sensor", "place": "socket://127.0.0.1:1"}
        self.source = self.send(self.client_in, "post", f"{base}/rooms/{self.room['id']}/sources", source).json()
        size = {"key": "bore", "quantity": "3 mm", "how": "secret way"}
        self.item = self.send(self.client_in, "post", f"{base}/shelf", {"name": "Secret tube", "sort": "tube", "sizes": [size]}).json()
        lesson = {"name": "Secret lesson", "starts_at": "2027-01-11T09:15:00Z", "items": []}
        self.lesson = self.send(self.client_in, "post", f"{base}/lessons", lesson).json()
        self.course = self.send(self.client_in, "post", f"{base}/courses", {"name": "Secret course"}).json()
        tick = {"sent": str(uuid4()), "key": "1.boil", "done": True, "at": "2027-01-11T09:15:00Z"}
        self.bodies = {
            "save_site": {"landings": [{"name": "x", "height": "3 m"}]},
            "create_course": {"name": "x"},
            "rename_course": {"name": "x"},
            "move_course": {"weeks": 1},
            "copy_course": {"name": "x", "weeks": 1},
            "note_lesson": {"note": "overwritten"},
            "tick_lesson": {"ticks": [tick]},
            "take_in_lesson": {"anchorage": 1, "lesson": {**lesson, "name": "x"}},
            "create_lesson": {**lesson, "name": "x"},
            "save_lesson": {**lesson, "name": "x", "version": 1},
            "create_source": source,
            "save_source": source,
            "pin_setup": {"pinned": True},
            "create_item": {"name": "x", "sort": "tube"},
            "save_item": {"name": "x", "sort": "tube", "version": 1},
            "measure_item": {"key": "bore", "quantity": "4 mm"},
            "take_size": {"path": "setup.bore", "size": self.item["sizes"][0]["id"], "version": 1},
            "type_pressure": {"text": "938 hPa"},
            "create_room": {"name": "x", "stated": {}},
            "save_room": {"name": "x", "stated": {}, "version": 1},
            "create_liquid": {"name": "x", "stated": {"density": "900 kg/m^3"}},
            "save_liquid": {"name": "x", "stated": {"density": "900 kg/m^3"}, "version": 1},
            "create_setup": {"name": "x", "document": text()},
            "save_setup": {"document": text(), "version": 1},
            "rename_setup": {"name": "x"},
            "vary_setup": {"name": "x", "document": text()},
            "log_run": {"setup": self.setup["id"], "document": text(), "outcome": "worked"},
            "change_run": {"note": "overwritten", "version": 1},
            "correct_reading": {"text": "1 cm"},
            "give_role": {"role": "head"},
            "add_member": {"username": "intruder", "role": "head"},
        }

    def endpoints(self):
        for address, methods in described()["paths"].items():
            for method, operation in methods.items():
                yield address.removeprefix("/api"), method, operation["operationId"]

    def filled(self, address: str, department: str) -> str:
        values = {
            "department": department,
            "setup": self.setup["id"],
            "run": self.run["id"],
            "reading": self.run["series"][0]["readings"][0]["id"],
            "member": self.teacher.pk,
            "room": self.room["id"],
            "liquid": self.liquid["id"],
            "item": self.item["id"],
            "source": self.source["id"],
            "lesson": self.lesson["id"],
            "course": self.course["id"],
            "kind": "run",
            "size": self.item["sizes"][0]["id"],
            "key": "holed-bottle",
        }
        queries = {"week.ics": "?since=2027-01-11", "day.pdf": "?on=2027-01-11"}
        return "/api" + re.sub(r"\{(\w+)\}", lambda m: str(values[m[1]]), address) + queries.get(address.rsplit("/", 1)[-1], "")

    def call(self, client, address: str, method: str, operation: str):
        body = self.bodies.get(operation)
        return client.generic(method.upper(), address, json.dumps(body) if body is not None else "", content_type="application/json")

    def test_every_endpoint_is_personal_or_below_a_department(self):
        found = {address for address, _, _ in self.endpoints()}
        self.assertEqual({address for address in found if not address.startswith("/departments/{department}/")}, PERSONAL)
        self.assertGreater(len(found), 14)

    def test_a_member_of_another_department_reaches_nothing(self):
        stranger = self.as_(self.stranger)
        before = self.run, self.client_in.get(f"/api/departments/lakeside/setups/{self.setup['id']}").json()
        for address, method, operation in self.endpoints():
            if address in PERSONAL:
                continue
            with self.subTest(operation=operation, through="the other department's name"):
                got = self.call(stranger, self.filled(address, "lakeside"), method, operation)
                self.assertEqual(got.status_code, 404)
                self.assertNotIn(b"ecret", got.content)
            with self.subTest(operation=operation, through="their own department's name"):
                got = self.call(stranger, self.filled(address, "quarry"), method, operation)
                self.assertNotIn(b"ecret", got.content)
                if re.search(r"\{(setup|run|reading|member|room|liquid|item|source|lesson|course)\}", address) or operation == "log_run":
                    self.assertEqual(got.status_code, 404)
        after = (
            self.client_in.get(f"/api/departments/lakeside/runs/{self.run['id']}").json(),
            self.client_in.get(f"/api/departments/lakeside/setups/{self.setup['id']}").json(),
        )
        self.assertEqual((after[0]["note"], after[0]["series"], after[1]), (before[0]["note"], before[0]["series"], before[1]))

    def test_no_prediction_is_made_in_another_departments_room(self):
        stranger = self.as_(self.stranger)
        for department in ("lakeside", "quarry"):
            asked = f"department={department}&room={self.room['id']}"
            for address in ("/api/predict", "/api/playback", "/api/section.svg", "/api/what-if", "/api/carry-on", "/api/in-marks?smallest_mark=1 mm"):
                self.assertEqual(
                    stranger.post(f"{address}{'&' if '?' in address else '?'}{asked}", text(), content_type="application/json").status_code, 404, address
                )
            for address in ("/api/sweep", "/api/sweep.csv", "/api/solve"):
                more = "&input=setup.stand_drop&result=results.lead&target=3 cm"
                self.assertEqual(stranger.post(f"{address}?{asked}{more}", text(), content_type="application/json").status_code, 404, address)
            self.assertNotIn(b"ecret", stranger.get(f"/api/departments/{department}/air?room={self.room['id']}").content)
            measured = json.dumps({"anchorage": 1, "aid": "length-over-stack", "measured": {"length": "4 cm", "count": 20}})
            self.assertEqual(stranger.post(f"/api/measured?{asked}", measured, content_type="application/json").status_code, 404)
            self.assertEqual(stranger.get(f"/api/quick-line?{asked}&text=3 ft in m").status_code, 404)
            self.assertEqual(stranger.get(f"/api/liquids/now?{asked}").status_code, 404)

    def test_nobody_signed_out_reaches_anything(self):
        signed_out = Client()
        for address, method, operation in self.endpoints():
            with self.subTest(operation=operation):
                got = self.call(signed_out, self.filled(address, "lakeside"), method, operation)
                self.assertEqual((got.status_code, got.json()["code"]), (401, "signed-out"))
