"""Two departments and their people, for the server's tests."""

from __future__ import annotations

import json
from typing import Any

from django.test import Client, TestCase

from server.people.models import Membership
from server.people.services.add_member import add_member
from server.people.services.create_department import create_department
from tests.support.documents import bottle

PASSWORD = "long-enough-to-be-one"


def text(**changes: Any) -> str:
    """A valid document as text."""
    return json.dumps(bottle(**changes), indent=1)


class Departments(TestCase):
    """Lakeside with a head and a teacher; Quarry with a head of its own."""

    @classmethod
    def setUpTestData(cls) -> None:
        cls.head = create_department("Lakeside", "lakeside-head", PASSWORD)
        cls.teacher, _ = add_member(cls.head, "lakeside-teacher", Membership.Role.TEACHER)
        cls.stranger = create_department("Quarry", "quarry-head", PASSWORD)

    def as_(self, membership: Membership) -> Client:
        client = Client(enforce_csrf_checks=False)
        client.force_login(membership.person, backend="django.contrib.auth.backends.ModelBackend")
        return client

    def send(self, client: Client, method: str, address: str, body: Any = None) -> Any:
        return getattr(client, method)(address, json.dumps(body), content_type="application/json") if body is not None else getattr(client, method)(address)
