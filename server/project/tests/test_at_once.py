"""Two people, or the same sending twice, in the same moment: on connections of their own, started together."""

from __future__ import annotations

import json
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from contextlib import suppress
from threading import Barrier, BrokenBarrierError
from typing import Any
from unittest.mock import patch

from django.db import connection
from django.test import Client

from server.people.models import Membership
from server.people.services.add_member import add_member
from server.people.services.create_department import create_department
from server.people.tests.base import PASSWORD, text
from server.runs.models import Run
from server.setups.models import Setup, Version
from tests.support.emptied import EmptiedCase

BASE = "/api/departments/lakeside"
TIMES = 5
"""Trials of each: without its lock a service does not fail at the first."""


class AtOnce(EmptiedCase):
    def setUp(self) -> None:
        self.head = create_department("Lakeside", "lakeside-head", PASSWORD)
        self.teacher, _ = add_member(self.head, "lakeside-teacher", Membership.Role.TEACHER)

    def as_(self, member: Membership) -> Client:
        client = Client(enforce_csrf_checks=False)
        client.force_login(member.person, backend="django.contrib.auth.backends.ModelBackend")
        return client

    def make(self) -> int:
        got = self.as_(self.teacher).post(f"{BASE}/setups", json.dumps({"name": "Bottle", "document": text()}), content_type="application/json")
        return int(got.json()["id"])

    def together(self, *calls: tuple[Client, str, str, Any]) -> list[Any]:
        """The responses to requests that leave in one moment."""
        start = Barrier(len(calls))

        def one(call: tuple[Client, str, str, Any]) -> Any:
            client, method, address, body = call
            start.wait(10)
            try:
                send: Callable[..., Any] = getattr(client, method)
                return send(address, json.dumps(body), content_type="application/json")
            finally:
                connection.close()

        with ThreadPoolExecutor(len(calls)) as pool:
            return list(pool.map(one, calls))

    def test_of_two_saves_one_is_kept_and_the_other_is_told(self):
        clients = (self.as_(self.teacher), self.as_(self.head))
        for _ in range(TIMES):
            setup = self.make()
            bodies = [{"document": text(stand_drop=drop), "version": 1} for drop in ("12 cm", "13 cm")]
            got = self.together(*((client, "put", f"{BASE}/setups/{setup}", body) for client, body in zip(clients, bodies, strict=True)))
            self.assertEqual(sorted(one.status_code for one in got), [200, 409])
            lost = next(one for one in got if one.status_code == 409).json()
            kept = clients[0].get(f"{BASE}/setups/{setup}").json()
            self.assertEqual((kept["version"], kept["document"]), (2, lost["extra"]["document"]), "who lost is shown what stands")
            self.assertEqual(Version.objects.filter(setup=setup).count(), 2)

    def test_a_set_up_sent_twice_is_one(self):
        client = self.as_(self.teacher)
        for k in range(TIMES):
            body = {"name": "Bottle", "document": text(), "sent": f"{k}f" * 16}
            got = self.together(*((client, "post", f"{BASE}/setups", body) for _ in range(3)))
            self.assertEqual(len({one.json()["id"] for one in got}), 1, [one.content[:200] for one in got])
        self.assertEqual(Setup.objects.count(), TIMES)

    def test_a_run_sent_twice_is_one(self):
        client, setup = self.as_(self.teacher), self.make()
        series = [{"path": "results.holes.2.range", "instrument": "5 mm", "readings": ["39 cm"]}]
        for k in range(TIMES):
            body = {"setup": setup, "document": text(), "outcome": "worked", "note": "", "series": series, "sent": f"{k}f" * 16}
            got = self.together(*((client, "post", f"{BASE}/runs", body) for _ in range(3)))
            self.assertEqual(len({one.json()["id"] for one in got}), 1, [one.content[:200] for one in got])
        self.assertEqual(Run.objects.count(), TIMES)

    def test_two_heads_who_go_at_once_leave_one(self):
        self.teacher.role = Membership.Role.HEAD
        self.teacher.save()
        both = Barrier(2)

        def held_open(*_: object) -> None:
            """Before it is committed: until the other has come as far, which it cannot where the two wait for each other."""
            with suppress(BrokenBarrierError):
                both.wait(0.5)

        with patch("server.people.services.change_member.note_role", held_open):
            got = self.together(*((self.as_(one), "patch", f"{BASE}/members/{one.pk}", {"role": "teacher"}) for one in (self.head, self.teacher)))
        self.assertEqual(sorted(one.status_code for one in got), [200, 409])
        self.assertEqual(Membership.objects.filter(department=self.head.department, role=Membership.Role.HEAD).count(), 1)
