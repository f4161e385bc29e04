"""Wrong input, lost servers, other tabs: each is said with field and remedy, and nothing typed is lost."""

from __future__ import annotations

import json
import re

from playwright.sync_api import expect

from server.setups.models import Setup
from server.setups.queries import newest
from server.setups.services.save_setup import save_setup
from tests.support.documents import bottle

from .base import BrowserCase


class WrongInput(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.number = self.keep()
        self.bench(self.number)
        self.quiet()

    def row(self, path: str):
        return self.page.locator(f'[data-row="{path}"] [role=alert]')

    def test_each_is_said_beside_its_field_while_the_last_good_answer_stays(self):
        said = self.verdict().text_content()
        for path, named, typed, words in (
            ("setup.fill_height", "^Liquid above the base:$", "abc", "is not a number with a unit"),
            ("setup.fill_height", "^Liquid above the base:$", "29", "29 has no unit; a length is needed"),
            ("setup.fill_height", "^Liquid above the base:$", "29 kg", "29 kg is a mass; a length is needed, for example 3 mm"),
            ("setup.holes.1.diameter", "^diameter, no. 2:$", "0 mm", "it must be above 0 m"),
            ("setup.holes.1.diameter", "^diameter, no. 2:$", "12 cm", "as wide as the bottle"),
            ("setup.liquid", "^liquid:$", "quicksand", "is not a liquid of the catalogue"),
        ):
            field = self.input(path)
            before = field.input_value()
            field.fill(typed)
            expect(self.row(path)).to_contain_text(words)
            expect(field).to_have_value(typed)
            expect(self.page.locator("strong", has_text=re.compile(named))).to_be_visible()
            expect(self.verdict()).to_have_text(said or "")
            expect(self.page.get_by_role("button", name="Save", exact=True)).to_be_disabled()
            field.fill(before)
            expect(self.row(path)).to_have_count(0)

    def test_what_people_type_is_read_as_they_mean_it_and_shown_before_it_is_kept(self):
        field, page = self.input("setup.fill_height"), self.page
        for typed, read in (("29,5 cm", "29.5 cm"), ("29,5 ± 1 % cm", "29.5 ± 0.295 cm"), ("28(1) cm", "28 ± 1 cm"), ("11 1/2 in", "11.5 in")):
            field.fill(typed)
            expect(page.get_by_text(f"read as {read}".replace(" cm", "\u00a0cm").replace(" ± ", "\u00a0±\u00a0").replace(" in", "\u00a0in"))).to_be_visible()
            expect(field).to_have_value(typed)
            expect(self.row("setup.fill_height")).to_have_count(0)
        field.blur()
        expect(field).to_have_value("11.5 in")
        field.fill("27 cm")
        field.fill("28")
        expect(self.row("setup.fill_height")).to_contain_text("28 has no unit")
        expect(page.get_by_role("button", name=re.compile("^Take 28.cm"))).to_be_visible()
        field.press("Enter")
        expect(field).to_have_value("28 cm")
        expect(self.row("setup.fill_height")).to_have_count(0)

    def test_a_hole_above_the_rim_and_a_thirteenth_hole(self):
        self.page.get_by_text("more: wall").click()
        self.input("setup.bottle_height").fill("30 cm")
        self.input("setup.holes.0.height").fill("31 cm")
        expect(self.row("setup.holes.0.height")).to_contain_text("the hole is above the rim")
        self.input("setup.holes.0.height").fill("23 cm")
        add = self.page.locator('[data-list="setup.holes"] > button')
        for _ in range(9):
            add.click()
        expect(add).to_be_disabled()
        expect(add).to_have_text("no more than 12 holes")

    def test_a_field_that_is_wrong_in_what_is_folded_away_is_shown(self):
        self.page.get_by_text("more: edge").first.click()
        self.input("setup.holes.0.discharge_coefficient").fill("50")
        expect(self.row("setup.holes.0.discharge_coefficient")).to_contain_text("50 % is written '50 %' or 0.5")

    def test_what_is_typed_survives_a_reload_and_can_be_taken_back(self):
        self.input("setup.fill_height").fill("29,7 kg")
        expect(self.row("setup.fill_height")).to_be_visible()
        self.page.reload()
        expect(self.input("setup.fill_height")).to_have_value("29,7 kg")
        expect(self.row("setup.fill_height")).to_be_visible()
        self.page.get_by_role("button", name="back to what is saved").click()
        expect(self.input("setup.fill_height")).to_have_value("29 ± 0.3 cm")

    def test_files_that_are_no_set_up(self):
        self.page.goto(f"{self.live_server_url}/d/lakeside")
        box = self.page.locator("input[type=file]")
        for name, content, words in (
            ("holiday.json", b'{"beach": 1}', "anchorage: it is missing"),
            ("photo.json", b"\x89PNG\xff", "not UTF-8"),
            ("twice.json", b'{"anchorage": 1, "anchorage": 1}', "twice"),
        ):
            box.set_input_files({"name": name, "mimeType": "application/json", "buffer": content})
            expect(self.page.get_by_text("This file is not a set-up.")).to_contain_text(words)
        mendable = json.dumps(bottle(fill_height="29,5 cm")).encode()
        box.set_input_files({"name": "mend-me.setup.json", "mimeType": "application/json", "buffer": mendable})
        expect(self.input("setup.fill_height")).to_have_value("29,5 cm")
        expect(self.row("setup.fill_height")).to_contain_text("decimal point")

    def test_a_dropped_file_is_read(self):
        self.page.goto(f"{self.live_server_url}/d/lakeside")
        expect(self.page.get_by_text("Three holes")).to_be_visible()
        self.page.evaluate("""() => {
            const data = new DataTransfer();
            data.items.add(new File(['not json'], 'x.json'));
            window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
        }""")
        expect(self.page.get_by_text("This file is not a set-up.")).to_contain_text("not JSON")


class LostAndFound(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.number = self.keep()
        self.bench(self.number)

    def test_a_server_that_stops_in_the_middle_of_a_drag_and_comes_back(self):
        page = self.page
        ring = page.locator('[data-handle="setup.fill_height"]').bounding_box()
        assert ring
        x, y = ring["x"] + ring["width"] / 2, ring["y"] + ring["height"] / 2
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x, y - 20, steps=3)
        self.context.set_offline(True)
        page.mouse.move(x, y - 60, steps=5)
        page.mouse.up()
        expect(page.get_by_text("No connection to the server")).to_be_visible()
        typed = self.input("setup.fill_height").input_value()
        expect(self.verdict()).to_contain_text("lands farthest")
        self.context.set_offline(False)
        expect(page.get_by_text("No connection to the server")).to_have_count(0)
        expect(self.input("setup.fill_height")).to_have_value(typed)
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_text("saved by teacher")).to_be_visible()

    def test_signed_out_in_another_tab(self):
        page = self.page
        cookies = self.context.cookies()
        self.context.clear_cookies(name="sessionid")
        self.input("setup.stand_drop").fill("19 cm")
        expect(page.get_by_text("You are signed out. What you typed is kept.")).to_be_visible()
        expect(page.get_by_role("link", name="Sign in again in a new tab")).to_have_attribute("target", "_blank")
        expect(self.input("setup.stand_drop")).to_have_value("19 cm")
        self.context.add_cookies(cookies)
        expect(page.get_by_text("You are signed out")).to_have_count(0)
        expect(self.input("setup.stand_drop")).to_have_value("19 cm")

    def save_elsewhere(self) -> None:
        setup = Setup.objects.get(pk=self.number)
        save_setup(self.head, setup, json.dumps(bottle(stand_drop="25 cm")), newest(setup).number)

    def test_two_tabs_theirs_or_mine_as_a_copy(self):
        page = self.page
        self.input("setup.stand_drop").fill("19 cm")
        expect(self.verdict()).to_be_visible()
        self.save_elsewhere()
        page.get_by_role("button", name="Save", exact=True).click()
        dialog = page.get_by_role("dialog")
        expect(dialog).to_contain_text("head saved this set-up after you opened it")
        expect(dialog.get_by_role("row").nth(1)).to_have_text(re.compile("Base above the tray.*19 cm.*25 cm", re.S))
        dialog.get_by_role("button", name="Save mine as a copy").click()
        expect(page.get_by_text("Three holes, mine")).to_be_visible()
        self.bench(self.number)
        expect(self.input("setup.stand_drop")).to_have_value("25 cm")

    def test_two_tabs_take_theirs(self):
        self.input("setup.stand_drop").fill("19 cm")
        self.save_elsewhere()
        self.page.get_by_role("button", name="Save", exact=True).click()
        self.page.get_by_role("dialog").get_by_role("button", name="Take theirs").click()
        expect(self.input("setup.stand_drop")).to_have_value("25 cm")
        expect(self.page.get_by_role("dialog")).to_have_count(0)
        expect(self.page.get_by_text("saved by")).to_be_visible()

    def test_a_set_up_that_is_not_there(self):
        self.page.goto(f"{self.live_server_url}/d/lakeside/bench/99999")
        expect(self.page.get_by_text("This set-up cannot be opened")).to_be_visible()
