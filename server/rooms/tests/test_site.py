"""Sites: kept as typed, refused by the field, never overwritten unseen, and a set-up told where it is read on one."""

from __future__ import annotations

import json
from typing import Any

from hydrostatics.demonstrations.registry import by_key
from server.people.tests.base import Departments
from server.rooms.models import Room

BASE = "/api/departments/lakeside"


class Sites(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"station_pressure": "942 +/- 0.5 hPa"})
        self.landings = [{"name": "door", "height": "9 m", "who": "reader"}, {"name": "stairs", "height": "320 cm", "who": ""}]

    def put(self, **changes: Any) -> Any:
        body = {"landings": self.landings, "path": "up the rail", "foot": "technician", "signals": [{"sign": "one whistle", "means": "lower it"}], **changes}
        return self.send(self.client_in, "put", f"{BASE}/rooms/{self.room.pk}/site", body)

    def test_it_is_kept_as_typed_and_changed_by_who_saw_it_last(self):
        self.assertEqual(self.client_in.get(f"{BASE}/rooms/{self.room.pk}/site").json()["landings"], [])
        first = self.put()
        self.assertEqual((first.status_code, first.json()["version"], first.json()["landings"]), (200, 1, self.landings))
        self.assertEqual(self.put(version=1, foot="head").json()["foot"], "head")
        late = self.put(version=1, foot="somebody else")
        self.assertEqual((late.status_code, late.json()["code"]), (409, "conflict"))
        self.assertEqual(self.client_in.get(f"{BASE}/rooms/{self.room.pk}/site").json()["foot"], "head")

    def test_a_height_that_is_none_names_its_landing(self):
        for height in ("3 kg", "900 m", "-1 m", "up"):
            got = self.put(landings=[self.landings[0], {"name": "roof", "height": height}])
            self.assertEqual((got.status_code, got.json()["path"]), (422, "landings.1.height"), height)
        self.assertEqual(self.put(landings=[{"name": "", "height": "3 m"}]).json()["path"], "landings.0.name")
        self.assertEqual(self.client_in.get(f"{BASE}/rooms/{self.room.pk}/site").json()["version"], 0)

    def asked(self, key: str) -> Any:
        document = json.dumps(by_key()[key].guide.starts[0]["document"])
        return self.client_in.generic("POST", f"{BASE}/on-site?room={self.room.pk}", document, content_type="application/json").json()

    def test_a_set_up_is_told_where_it_is_read_and_what_nobody_goes_up_for_nothing(self):
        self.assertIsNone(self.asked("barometer"))
        self.put()
        told = self.asked("barometer")
        self.assertIn("above the floor of “door”", told["words"][0])
        self.assertEqual((told["room"], told["signals"][0]["means"]), ("Boathouse", "lower it"))
        self.assertIsNone(self.asked("inverted-glass"))
