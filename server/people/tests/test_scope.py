"""Nobody sees another department's data: every endpoint of the API, by enumeration."""

from __future__ import annotations

import json
import re

from server.project.api import api

from .base import Departments, text

PERSONAL = {"/me", "/me/preferences", "/predict", "/playback", "/section.svg", "/demonstrations", "/demonstrations/{key}/schema", "/tables"}
"""Endpoints that hold no department's data: one's own, and pure computation."""


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
        self.bodies = {
            "create_setup": {"name": "x", "document": text()},
            "save_setup": {"document": text(), "version": 1},
            "rename_setup": {"name": "x"},
            "log_run": {"setup": self.setup["id"], "document": text(), "outcome": "worked"},
            "change_run": {"note": "overwritten"},
            "correct_reading": {"text": "1 cm"},
            "add_member": {"username": "intruder", "role": "head"},
        }

    def endpoints(self):
        for address, methods in api.get_openapi_schema(path_prefix="")["paths"].items():
            for method, operation in methods.items():
                yield address, method, operation["operationId"]

    def filled(self, address: str, department: str) -> str:
        values = {
            "department": department,
            "setup": self.setup["id"],
            "run": self.run["id"],
            "reading": self.run["series"][0]["readings"][0]["id"],
            "member": self.teacher.pk,
            "key": "holed-bottle",
        }
        return "/api" + re.sub(r"\{(\w+)\}", lambda m: str(values[m[1]]), address)

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
                if re.search(r"\{(setup|run|reading|member)\}", address) or operation == "log_run":
                    self.assertEqual(got.status_code, 404)
        after = (
            self.client_in.get(f"/api/departments/lakeside/runs/{self.run['id']}").json(),
            self.client_in.get(f"/api/departments/lakeside/setups/{self.setup['id']}").json(),
        )
        self.assertEqual((after[0]["note"], after[0]["series"], after[1]), (before[0]["note"], before[0]["series"], before[1]))

    def test_nobody_signed_out_reaches_anything(self):
        from django.test import Client

        for address, method, operation in self.endpoints():
            with self.subTest(operation=operation):
                got = self.call(Client(), self.filled(address, "lakeside"), method, operation)
                self.assertEqual((got.status_code, got.json()["code"]), (401, "signed-out"))
