"""A department with a room, and lessons made over HTTP."""

from __future__ import annotations

import json
from datetime import timedelta
from typing import Any

import pypdfium2
from django.utils import timezone

from hydrostatics.demonstrations.registry import by_key
from server.people.tests.base import Departments
from server.rooms.models import Room

BASE = "/api/departments/lakeside"


class LessonCase(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"elevation": "640 m", "temperature": "17 degC"})

    def setup_of(self, key: str, name: str = "") -> int:
        document = json.dumps(by_key()[key].guide.starts[0]["document"])
        return int(self.send(self.client_in, "post", f"{BASE}/setups", {"name": name or key, "document": document}).json()["id"])

    def body(self, *setups: int, **changes: Any) -> dict[str, Any]:
        starts = (timezone.now() + timedelta(days=2)).isoformat()
        items = [{"setup": setup, "minutes": 8} for setup in setups]
        return {"name": "Pressure, third lesson", "room": self.room.pk, "starts_at": starts, "items": items, **changes}

    def planned(self, *setups: int, **changes: Any) -> dict[str, Any]:
        got = self.send(self.client_in, "post", f"{BASE}/lessons", self.body(*setups, **changes))
        self.assertEqual(got.status_code, 200, got.content)
        return dict(got.json())

    def lesson(self, lesson: int) -> dict[str, Any]:
        return dict(self.client_in.get(f"{BASE}/lessons/{lesson}").json())

    def pdf(self, address: str) -> tuple[int, str]:
        """How many pages a sheet has, and its words."""
        got = self.client_in.get(f"{BASE}/{address}")
        self.assertEqual((got.status_code, got["Content-Type"]), (200, "application/pdf"))
        pdf = pypdfium2.PdfDocument(got.content)
        return len(pdf), " ".join("\n".join(page.get_textpage().get_text_bounded() for page in pdf).split())
