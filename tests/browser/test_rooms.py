"""The room's true pressure, as a teacher at 640 m would find it; the quick line; liquids; and wrong input in each."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from server.rooms.models import Room
from server.rooms.services.save_room import use_room

from .base import BrowserCase

LINE = "METAR EGZY 251120Z 23011KT 9999 SCT022 07/04 Q1016"
HOSE = {"anchorage": 1, "demonstration": "barometer", "setup": {"liquid": "water", "tube_length": "10.6 +/- 0.02 m", "bore": "12 mm"}}


class Rooms(BrowserCase):
    def open_rooms(self) -> None:
        self.page.goto(f"{self.live_server_url}/d/lakeside/rooms")
        self.page.get_by_role("button", name="Another room").click()
        self.page.get_by_label("Name", exact=True).fill("Boathouse")

    def state(self, path: str, text: str) -> None:
        if not self.input(path).is_visible():
            self.page.locator("summary", has_text="more:").click()
        self.input(path).fill(text)

    def test_from_a_report_to_the_room_to_the_barometers_height_and_the_tube_that_fits(self):
        page = self.page
        self.open_rooms()
        self.state("room.metar", LINE)
        expect(page.get_by_text(re.compile("it is missing; .* is not the room's pressure"))).to_be_visible()
        self.state("room.elevation", "640 m")
        self.state("room.ceiling_height", "9.6 m")
        expect(page.get_by_label("from report to room")).to_contain_text("941.7 hPa")
        expect(page.get_by_label("from report to room")).to_contain_text("would put the height of the column")
        page.get_by_role("button", name="Keep this room").click()
        expect(page.get_by_text("Kept.")).to_be_visible()
        expect(page.get_by_label("room in use")).to_have_value(re.compile(r"\d+"))
        self.bench(self.keep("Hose", HOSE))
        expect(self.verdict()).to_contain_text("9.38")
        expect(page.get_by_text(re.compile(r"surface to closed end up to 9\.6.m fits"))).to_be_visible()
        page.get_by_text("What else to change").click()
        expect(page.get_by_text("taken from the room “Boathouse”")).to_be_visible()

    def test_another_room_another_answer(self):
        page = self.page
        for name, height in (("Valley", "100 m"), ("Ridge", "1400 m")):
            self.open_rooms()
            page.get_by_label("Name", exact=True).fill(name)
            self.state("room.elevation", height)
            page.get_by_role("button", name="Keep this room").click()
            expect(page.get_by_text("Kept.")).to_be_visible()
        self.bench(self.keep("Hose", HOSE))
        page.get_by_label("room in use").select_option(label="Valley")
        expect(self.verdict()).to_contain_text("9.99")
        page.get_by_label("room in use").select_option(label="Ridge")
        expect(self.verdict()).to_contain_text("8.5")

    def test_a_height_that_may_be_feet_is_asked_about_and_never_changed(self):
        page = self.page
        self.open_rooms()
        self.state("room.elevation", "2100 m")
        page.get_by_role("button", name="Keep this room").click()
        expect(page.get_by_text("2100 m is 6890 ft")).to_be_visible()
        expect(self.input("room.elevation")).to_have_value("2100 m")
        self.state("room.elevation", "2100 ft")
        page.get_by_role("button", name="Keep this room").click()
        expect(page.get_by_text("Kept.")).to_be_visible()

    def test_wrong_input_is_said_beside_its_field_and_nothing_typed_is_lost(self):
        page = self.page
        self.open_rooms()
        for path, text, words in (
            ("room.elevation", "high", "is not a number with a unit"),
            ("room.metar", "EGZZ 251120Z CAVOK 10/05", "no pressure group was found"),
            ("room.temperature", "12 hPa", "a temperature is needed"),
        ):
            self.state(path, text)
            expect(page.get_by_text(words)).to_be_visible()
            expect(self.input(path)).to_have_value(text)
            self.state(path, "")
        self.assertEqual(self.faults(), [])


class Site(BrowserCase):
    def test_landings_and_signals_are_added_refused_where_they_are_wrong_kept_and_taken_out(self):
        page = self.page
        room = Room.objects.create(department=self.teacher.department, name="Stairs", stated={"elevation": "640 m"})
        use_room(self.teacher, room)
        page.goto(f"{self.live_server_url}/d/lakeside/rooms")
        page.locator("summary", has_text="As a site for something tall").click()
        form = page.get_by_role("form", name="site of Stairs")
        for k, (name, height) in enumerate((("foot", "0.4 m"), ("gallery", "8 kg")), 1):
            form.get_by_role("button", name="add a landing").click()
            form.get_by_label(f"landing {k}", exact=True).fill(name)
            form.get_by_label(f"landing {k}, height above the basin").fill(height)
        form.get_by_role("button", name="add a signal").click()
        form.get_by_label("signal 1", exact=True).fill("one whistle")
        form.get_by_label("signal 1, what it means").fill("haul, slowly")
        form.get_by_role("button", name="Keep this site").click()
        expect(form.get_by_role("alert")).to_contain_text("8 kg is a mass")
        wrong = form.get_by_label("landing 2, height above the basin")
        expect(wrong).to_have_attribute("aria-invalid", "true")
        expect(wrong).to_have_css("border-left-width", "4px")
        wrong.fill("8.2 m")
        form.get_by_role("button", name="take landing 1 out").click()
        form.get_by_role("button", name="Keep this site").click()
        expect(form.get_by_role("status")).to_contain_text("Kept.")
        page.reload()
        expect(form.get_by_label("landing 1", exact=True)).to_have_value("gallery")
        expect(form.get_by_label("landing 1, height above the basin")).to_have_value("8.2 m")
        expect(form.get_by_label("signal 1, what it means")).to_have_value("haul, slowly")
        self.assertEqual(self.faults(), [])


class QuickLine(BrowserCase):
    def test_one_key_away_on_every_page(self):
        page = self.page
        for address in ("/d/lakeside", "/d/lakeside/log", "/d/lakeside/rooms", "/d/lakeside/liquids"):
            page.goto(f"{self.live_server_url}{address}")
            expect(page.get_by_role("heading", level=1).first).to_be_visible()
            page.keyboard.press("q")
            field = page.get_by_label("quantity, and in what")
            field.fill("38 m of water in bar")
            expect(page.get_by_text("gauge, above the room")).to_be_visible()
            page.keyboard.press("Escape")
        page.keyboard.press("q")
        page.get_by_label("quantity, and in what").fill("30 psig in bar")
        expect(page.get_by_text("psig has two meanings; write psi gauge")).to_be_visible()
        expect(page.get_by_label("quantity, and in what")).to_have_value("30 psig in bar")
        page.get_by_role("button", name="30 psi gauge in bar").click()
        expect(page.get_by_role("row", name=re.compile("^bar 2.068.*, as asked"))).to_be_visible()
        self.assertEqual(self.faults(), [])


class Liquids(BrowserCase):
    def test_an_own_liquid_is_kept_and_chosen_by_its_name(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/liquids")
        page.get_by_role("button", name="Another liquid").click()
        page.get_by_label("name", exact=True).fill("Linseed")
        page.locator("form").get_by_label("density").fill("931")
        page.get_by_role("button", name="Keep this liquid").click()
        expect(page.get_by_text("a density is needed, for example")).to_be_visible()
        page.locator("form").get_by_label("density").fill("931 +/- 2 kg/m^3")
        page.get_by_role("button", name="Keep this liquid").click()
        expect(page.get_by_text("931 ± 2 kg/m³")).to_be_visible()
        page.locator("summary", has_text="mercury").click()
        expect(page.get_by_text("never poured")).to_be_visible()
        self.assertEqual(self.faults(), [])
        self.bench(self.keep("Hose", HOSE))
        self.input("setup.liquid").focus()
        self.input("setup.liquid").fill("Linseed")
        expect(self.input("setup.liquid.density")).to_have_value("931 ± 2 kg/m³")
        expect(page.locator("b", has_text="Linseed")).to_be_visible()
