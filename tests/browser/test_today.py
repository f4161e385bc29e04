"""The page one starts on, and the pressure at the bench as its sensor has it."""

from __future__ import annotations

from datetime import timedelta

from django.utils import timezone
from PIL import Image
from playwright.sync_api import expect

from server.rooms.models import AirReading, AirSource, Room
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

    def test_a_pressure_is_typed_with_one_key_and_asked_about_where_it_cannot_be_the_rooms(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/today")
        air = page.get_by_role("region", name="the air now")
        expect(air).to_contain_text("of “Bench sensor”")
        page.keyboard.press("b")
        page.keyboard.type("12 kg")
        page.keyboard.press("Enter")
        expect(air.get_by_role("alert")).to_contain_text("12 kg is a mass")
        field = air.get_by_role("textbox")
        expect(field).to_have_value("12 kg")
        field.fill("1016 hPa")
        field.press("Enter")
        expect(air.get_by_role("alert")).to_contain_text("would be")
        field.fill("940.4 hPa")
        field.press("Enter")
        expect(air).to_contain_text("as typed")
        expect(page.locator("header")).to_contain_text("940.4")

    def test_sources_are_set_ordered_and_taken_away_on_the_rooms_page(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/rooms")
        sources = page.get_by_role("region", name="where the pressure comes from")
        expect(sources).to_contain_text("1. Bench sensor")
        sources.get_by_role("button", name="A sensor or a weather service").click()
        sources.get_by_label("name").fill("Airfield")
        sources.get_by_label("what it is").select_option("weather")
        sources.get_by_label("where it is read").fill("the airfield")
        sources.get_by_role("button", name="Keep this source").click()
        expect(sources.get_by_role("alert")).to_contain_text("http://")
        sources.get_by_label("where it is read").fill("http://127.0.0.1:9/now")
        sources.get_by_role("button", name="Keep this source").click()
        expect(sources).to_contain_text("2. Airfield")
        sources.get_by_role("button", name="Airfield earlier").click()
        expect(sources).to_contain_text("1. Airfield")
        expect(sources).to_contain_text("2. Bench sensor")
        sources.get_by_role("button", name="stop reading it").first.click()
        expect(sources).to_contain_text("not read")
        sources.get_by_role("button", name="remove Airfield").click()
        expect(sources).not_to_contain_text("Airfield")

    def test_the_trend_is_a_picture_that_can_be_saved_with_its_own_colours_and_type(self):
        page = self.page
        now = timezone.now()
        AirReading.objects.bulk_create([AirReading(source=self.sensor, at=now - timedelta(hours=k), pressure=94_000 + 30 * k) for k in range(1, 20)])
        page.goto(f"{self.live_server_url}/d/lakeside/today")
        expect(page.get_by_role("img", name="pressure in Boathouse over 24 hours")).to_be_visible()
        with page.expect_download() as saved:
            page.get_by_role("button", name="SVG").click()
        text = saved.value.path().read_text("utf-8")
        self.assertIn("font/woff2", text)
        self.assertNotIn("var(--", text)
        with page.expect_download() as painted:
            page.get_by_role("button", name="PNG").click()
        with Image.open(painted.value.path()) as picture:
            self.assertGreater(picture.width, 900)
            self.assertGreater(len(picture.convert("L").getcolors()), 10)
