"""Requests made up from the API's own description: whatever is sent, the answer is an answer or a problem, never a failure of the server."""

from __future__ import annotations

import json
from copy import deepcopy
from typing import Any

import schemathesis
from hypothesis import HealthCheck, Phase, given, settings
from hypothesis import strategies as st

from server.people.tests.base import Departments, text
from server.project.tests.described import described

EXAMPLES, FEW = 12, 4
"""Requests for each operation, and for one whose address alone varies; drawn alike each time, so that what fails once fails again."""
OWN = ("setup", "run", "reading", "room", "liquid", "member", "lesson", "course", "item")


class Generated(Departments):
    def setUp(self) -> None:
        self.http = self.as_(self.head)
        self.http.raise_request_exception = False
        base = "/api/departments/lakeside"
        setup = self.send(self.http, "post", f"{base}/setups", {"name": "b", "document": text()}).json()["id"]
        series = [{"path": "results.holes.0.range", "instrument": "1 mm", "readings": ["20 cm"]}]
        run = self.send(self.http, "post", f"{base}/runs", {"setup": setup, "document": text(), "outcome": "worked", "series": series}).json()
        room = self.send(self.http, "post", f"{base}/rooms", {"name": "r", "stated": {}}).json()["room"]["id"]
        liquid = self.send(self.http, "post", f"{base}/liquids", {"name": "l", "stated": {"density": "900 kg/m^3"}}).json()["id"]
        reading = run["series"][0]["readings"][0]["id"]
        lesson = {"name": "l", "starts_at": "2027-01-11T09:15:00Z", "room": room, "items": [{"setup": setup, "minutes": 8}]}
        kept = [self.send(self.http, "post", f"{base}/{kind}", body).json()["id"] for kind, body in (("lessons", lesson), ("courses", {"name": "c"}))]
        item = self.send(self.http, "post", f"{base}/shelf", {"name": "t", "sort": "tube"}).json()["id"]
        self.there = dict(zip(OWN, (setup, run["id"], reading, room, liquid, self.teacher.pk, *kept, item), strict=True))

    def ask(self, method: str, path: str, case: Any, *, sound: bool) -> None:
        """sound: ids are of things that are there, and a document is a good one, so that what lies deeper is reached."""
        own: dict[str, Any] = self.there if sound else {}
        filled = {**(case.path_parameters or {}), "department": "lakeside", **{key: own[key] for key in OWN if key in own}}
        address = path
        for key, value in filled.items():
            address = address.replace(f"{{{key}}}", str(value))
        body = case.body
        if isinstance(body, dict) and sound:
            body = {**body, **({"document": text()} if "document" in body else {}), **({"setup": own["setup"]} if "setup" in body else {})}
        raw = json.dumps(body).encode("utf-8", "surrogatepass") if isinstance(body, (dict, list, str, int, float, bool)) else b""
        query = {key: value for key, value in (case.query or {}).items() if isinstance(value, (str, int, float, bool))}
        got = self.http.generic(method.upper(), address, raw, content_type="application/json", query_params=query)
        self.assertLess(got.status_code, 500, (method, address, query, raw[:500], got.content[:300]))
        if got.status_code >= 400 and address.startswith("/api/") and got.status_code not in (404, 405):
            self.assertEqual(got["Content-Type"], "application/problem+json", (method, address, query, raw[:500]))

    def test_no_request_of_the_description_brings_a_failure(self):
        schema = schemathesis.openapi.from_dict(deepcopy(described()))
        operations = [one.ok() for one in schema.get_all_operations()]
        asked = [one for one in operations if one.method.upper() != "DELETE"]  # who is head here would be removed
        self.assertGreater(len(asked), 40)
        for operation in asked:
            with self.subTest(operation=f"{operation.method} {operation.path}"):
                self.fuzz(operation)

    def fuzz(self, operation: Any) -> None:
        """So many requests of one operation."""

        varies = operation.body or operation.query

        @settings(
            max_examples=EXAMPLES if varies else FEW,
            deadline=None,
            derandomize=True,
            database=None,
            phases=[Phase.generate],
            suppress_health_check=list(HealthCheck),
        )
        @given(case=operation.as_strategy(), sound=st.booleans())
        def ask(case: Any, sound: bool) -> None:
            self.ask(operation.method, operation.path, case, sound=sound)

        ask()
