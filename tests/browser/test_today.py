"""The page one starts on, and the pressure at the bench as its sensor has it."""

from __future__ import annotations

from playwright.sync_api import expect

from server.rooms.models import AirSource, Room
from server.rooms.services.save_room import use_room
from server.rooms.services.take_in import take_in

from .base import BrowserCase

STRAW = {"anchorage": 1, "demonstration": "barometer", "setup": {"liquid": "water", "tube_length": "11 m", "bore": "10 mm"}}


class Today(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"elevation": "640 m"})
        use_room(self.teacher, room)
        self.sensor = AirSource.objects.create(room=room, name="Bench sensor", sort="sensor", place="socket://127.0.0.1:1")
        take_in(self.sensor, 94_170.0, None)

    def test_one_starts_here_a_new_reading_comes_by_itself_and_the_bench_predicts_with_it(self):
        page = self.page
        page.goto(self.live_server_url)
        air = page.get_by_role("region", name="the air now")
        expect(air).to_contain_text("941.7 hPa")
        expect(air).to_contain_text("of “Bench sensor”")
        take_in(self.sensor, 94_120.0, None)
        expect(air).to_contain_text("941.2 hPa")
        self.bench(self.keep("Hose", STRAW))
        expect(page.locator("header")).to_contain_text("941.2")
        before = self.verdict().inner_text()
        take_in(self.sensor, 93_960.0, None)
        expect(self.verdict()).not_to_have_text(before)
        expect(page.locator("header")).to_contain_text("939.6")

    def test_what_no_weather_makes_is_asked_about_and_a_set_up_is_pinned(self):
        page = self.page
        self.keep("Hose", STRAW)
        take_in(self.sensor, 98_000.0, None)
        page.goto(f"{self.live_server_url}/d/lakeside/today")
        expect(page.get_by_role("alert")).to_contain_text("no weather makes")
        self.assertEqual(self.faults(), [])
        page.get_by_role("button", name="It is so").click()
        expect(page.get_by_role("region", name="the air now")).to_contain_text("980 hPa")
        page.get_by_role("link", name="list of set-ups").click()
        page.get_by_role("button", name="more for Hose").click()
        page.get_by_role("menuitemcheckbox", name="To be shown next").click()
        expect(page.get_by_text("to be shown next")).to_be_visible()
        page.get_by_role("link", name="Today", exact=True).click()
        expect(page.get_by_role("list", name="to be shown next")).to_contain_text("Hose")
