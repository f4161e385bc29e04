"""A lesson planned in the browser: set-ups taken in and moved, a conflict resolved by what is offered, the calendar fetched."""

from __future__ import annotations

from typing import Any

import icalendar
from playwright.sync_api import expect

from hydrostatics.demonstrations.registry import by_key
from server.rooms.models import Room
from server.rooms.services.save_room import use_room

from .base import BrowserCase


def start(key: str) -> dict[str, Any]:
    return dict(by_key()[key].guide.starts[0]["document"])


class Lessons(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"elevation": "640 m", "temperature": "17 degC"})
        use_room(self.teacher, self.room)
        self.keep("Hose", start("barometer"))
        self.keep("Tubs", start("siphon"))

    def test_it_is_planned_moved_cured_and_put_into_a_calendar(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        expect(page.get_by_text("No lesson is planned yet")).to_be_visible()
        page.get_by_role("button", name="Plan a lesson").click()
        order = page.get_by_role("list", name="running order").get_by_role("listitem")
        for k, name in enumerate(("Hose", "Tubs")):
            self.pick("take a set-up in", name)
            expect(order.nth(k)).to_contain_text(name)
        beforehand = page.get_by_role("region", name="before the bell, planned")
        expect(beforehand).to_contain_text("Boil the water")
        self.assertEqual(self.faults(), [])
        page.get_by_role("button", name="Tubs earlier").click()
        expect(order.first).to_contain_text("Tubs")
        page.get_by_label("cooled").select_option("pot")
        expect(page.get_by_role("alert")).to_contain_text("cannot be done in 3 h")
        expect(beforehand).to_contain_text("No timetable can do")
        page.get_by_role("button", name="boil it the day before").click()
        expect(beforehand).to_contain_text("The day before")
        expect(page.get_by_role("alert")).to_have_count(0)
        with page.expect_download() as fetched:
            page.get_by_role("link", name="into a calendar").click()
        events = icalendar.Calendar.from_ical(fetched.value.path().read_bytes()).walk("VEVENT")
        self.assertIn("A new lesson", [str(one["SUMMARY"]) for one in events])
        self.assertGreater(len(events), 3)

    def test_what_cannot_be_read_says_so_and_a_colleagues_change_is_not_overwritten(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        page.get_by_role("button", name="Plan a lesson").click()
        expect(page.get_by_role("heading", name="A new lesson")).to_be_visible()
        page.get_by_label("boiled each time").fill("3 kg")
        page.get_by_label("boiled each time").press("Tab")
        expect(page.get_by_role("alert")).to_contain_text("is a mass")
        expect(page.get_by_label("boiled each time")).to_have_value("3 kg")
        other = self.new_page(self.new_context(self.head))
        other.goto(page.url)
        other.get_by_label("name", exact=True).fill("Ours")
        other.get_by_label("name", exact=True).press("Tab")
        expect(other.get_by_role("heading", name="Ours")).to_be_visible()
        page.get_by_label("boiled each time").fill("2 L")
        page.get_by_label("boiled each time").press("Tab")
        expect(page.get_by_role("alert")).to_contain_text("head changed the lesson “Ours”")
        page.get_by_role("button", name="Show what is kept now").click()
        expect(page.get_by_role("heading", name="Ours")).to_be_visible()
        expect(page.get_by_label("boiled each time")).to_have_value("3 L")
