"""The whole way of one demonstration: start, measure, predict, change, save, run, log."""

from __future__ import annotations

import json
import re

from playwright.sync_api import expect

from .base import BrowserCase


class TheWayThrough(BrowserCase):
    def test_from_a_starting_set_up_to_the_logged_reading(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside")
        expect(page.get_by_text("No set-ups yet")).to_be_visible()
        page.get_by_role("button", name="New set-up").click()
        page.get_by_role("button", name="Measured bottle, three holes").click()
        expect(self.verdict()).to_contain_text("jet lands farthest")
        page.get_by_label("name of the set-up").fill("Measured today")
        self.input("setup.stand_drop").fill("30 ± 0.2 cm")
        expect(self.verdict()).to_contain_text("The lowest jet lands farthest, by")
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_role("heading", name="Measured today")).to_be_visible()
        expect(page).to_have_url(re.compile(r"/bench/\d+$"))
        page.keyboard.press("5")
        page.get_by_label("reading 1 of landing distance, no. 3").fill("61.5")
        page.get_by_label("reading 1 of landing distance, no. 3").blur()
        page.get_by_label("reading 2 of landing distance, no. 3").fill("0.62 m")
        page.get_by_label("Half of the finest division you read (length)").fill("5 mm")
        page.get_by_label("worked", exact=True).check()
        page.get_by_label("Note for next time").fill("bring a longer tray")
        page.get_by_role("button", name="Log this run").click()
        expect(page.get_by_role("cell", name="mean of 2, with their scatter")).to_be_visible()
        expect(page.get_by_role("cell").last).to_contain_text("61.5 cm")
        expect(page.locator(".means path")).to_have_count(2)
        page.get_by_role("button", name="correct 0.62 m").click()
        page.get_by_label("corrected reading").fill("0.612 m")
        page.get_by_role("button", name="keep").click()
        expect(page.get_by_text("was 0.62 m, changed by teacher")).to_be_visible()
        page.get_by_role("link", name="Log", exact=True).click()
        expect(page.get_by_text("bring a longer tray")).to_be_visible()
        page.get_by_role("link", name="Set-ups").click()
        expect(page.get_by_text("one run")).to_be_visible()

    def test_advice_is_pressed_and_keeps_its_word(self):
        self.bench(self.keep())
        expect(self.verdict()).to_contain_text("but only by")
        self.page.get_by_role("button", name=re.compile("Raise the bottle to")).click()
        expect(self.verdict()).not_to_contain_text("but only by")
        expect(self.input("setup.stand_drop")).to_have_value(re.compile(r"^\d+ ± 0.2 cm$"))
        self.page.get_by_role("button", name="undo").click()
        expect(self.input("setup.stand_drop")).to_have_value("11 ± 0.2 cm")

    def test_what_advice_would_do_stands_on_the_tape(self):
        self.bench(self.keep())
        expect(self.page.locator("path.would")).to_have_count(3)

    def test_draining_plays_pauses_and_scrubs(self):
        page = self.bench(self.keep())
        liquid = page.locator('[data-id="liquid"]')
        before = liquid.get_attribute("d")
        page.keyboard.press("p")
        expect(page.get_by_role("button", name="Pause")).to_be_visible()
        expect(liquid).not_to_have_attribute("d", before or "")
        page.get_by_role("button", name="double").click()
        page.get_by_role("button", name="Pause").click()
        page.get_by_label("moment").fill("0")
        expect(liquid).to_have_attribute("d", before or "")
        expect(page.get_by_text("hole 1 stops")).to_be_visible()
        page.get_by_label("moment").press("End")
        expect(page.locator(".values")).to_contain_text("level above the base")

    def test_the_section_is_saved_from_the_same_primitives(self):
        page = self.bench(self.keep())
        self.quiet(pause=300)  # the preview of the advice comes a moment after the drawing
        shown = page.eval_on_selector_all("svg [data-id]", "all => all.filter(e => e.tagName === 'path').map(e => e.getAttribute('d'))")
        with page.expect_download() as waiting:
            page.get_by_role("button", name="save the drawing").click()
        text = waiting.value.path().read_text("utf-8")
        self.assertEqual(waiting.value.suggested_filename, "three-holes.svg")
        saved = re.findall(r' d="([^"]+)" fill=', text)
        numbers = lambda d: [round(float(n), 2) for n in re.findall(r"-?\d+(?:\.\d+)?", d)]  # noqa: E731
        self.assertGreater(len(shown), 20)
        self.assertEqual(sorted(map(numbers, shown)), sorted(map(numbers, saved)))

    def test_a_set_up_file_goes_out_and_comes_in_again(self):
        page = self.bench(self.keep())
        with page.expect_download() as waiting:
            page.get_by_role("button", name="save as a file").click()
        file = waiting.value.path()
        self.assertEqual(waiting.value.suggested_filename, "three-holes.setup.json")
        from tests.support.documents import bottle

        self.assertEqual(json.loads(file.read_text("utf-8")), bottle())
        page.get_by_role("link", name="Set-ups").click()
        payload = {"name": "from-a-colleague.setup.json", "mimeType": "application/json", "buffer": file.read_bytes()}
        page.locator("input[type=file]").set_input_files(payload)
        expect(page.get_by_label("name of the set-up")).to_have_value("from a colleague")
        expect(self.verdict()).to_contain_text("lands farthest")

    def test_copy_rename_archive_and_back(self):
        self.keep("Bottle A")
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside")
        page.get_by_label("more for Bottle A").click()
        page.get_by_role("menuitem", name="Copy").click()
        page.get_by_label("more for Bottle A, copy").click()
        page.get_by_role("menuitem", name="Rename").click()
        page.get_by_label("new name").fill("Cordial")
        page.get_by_role("button", name="Rename").click()
        page.get_by_label("more for Bottle A", exact=True).click()
        page.get_by_role("menuitem", name="Archive").click()
        expect(page.get_by_text("Bottle A", exact=True)).to_have_count(0)
        page.get_by_role("button", name="archived ones").click()
        page.get_by_label("more for Bottle A").click()
        page.get_by_role("menuitem", name="Bring back").click()
        page.get_by_role("button", name="back to the set-ups in use").click()
        expect(page.locator("[role=listitem] strong")).to_have_count(2)
        page.get_by_label("search the set-ups").fill("cordial")
        expect(page.locator("[role=listitem] strong")).to_have_text(["Cordial"])
