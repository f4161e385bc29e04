"""Gear with its measured sizes: picked into a set-up, measured again, offered, never changed silently."""

from __future__ import annotations

import io
import re

from PIL import Image
from playwright.sync_api import expect

from server.shelf.services.keep_item import Facts, Measured, put_on_shelf

from .base import BrowserCase


class Shelf(BrowserCase):
    def test_a_tube_is_put_on_the_shelf_measured_picked_measured_again_and_taken(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/shelf")
        page.get_by_role("button", name="A new thing").click()
        page.get_by_label("name", exact=True).fill("Clear pipe")
        page.get_by_label("until").fill("2027-01-31")
        page.get_by_role("button", name="Keep it").click()
        expect(page.get_by_role("alert")).to_contain_text("say who has it")
        page.get_by_label("until").fill("")
        page.get_by_role("button", name="Keep it").click()
        expect(page.get_by_role("heading", name="Clear pipe")).to_be_visible()
        self.measure("80 kg")
        expect(page.get_by_role("alert")).to_be_visible()
        self.measure("80 ± 1 mm")
        expect(page.get_by_role("list", name="sizes")).to_contain_text("80 ± 1 mm")
        thing = page.url

        self.bench(self.keep())
        page.get_by_role("button", name="take inside diameter from the shelf").click()
        page.get_by_role("button", name=re.compile("Clear pipe")).click()
        expect(self.input("setup.inner_diameter")).to_have_value("80 ± 1 mm")
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_text("saved by teacher")).to_be_visible()

        page.goto(thing)
        self.measure("62 ± 0.5 mm")
        uses = page.get_by_role("list", name="set-ups that use it")
        expect(uses).to_contain_text(re.compile(r"with 62\s±\s0\.5\smm:"))
        expect(uses).to_contain_text("80 ± 1")
        uses.get_by_role("link", name="Three holes").click()
        expect(page.get_by_text("measured again: 62 ± 0.5")).to_be_visible()
        expect(self.input("setup.inner_diameter")).to_have_value("80 ± 1 mm")
        page.get_by_role("button", name="take it", exact=True).click()
        expect(self.input("setup.inner_diameter")).to_have_value("62 ± 0.5 mm")
        self.input("setup.inner_diameter").fill("61 mm")
        expect(page.get_by_role("link", name="Clear pipe")).to_have_count(0)

    def measure(self, quantity: str) -> None:
        self.pick("size:", "Inside diameter")
        self.page.get_by_label("measured", exact=True).fill(quantity)
        self.page.get_by_role("button", name="Keep this size").click()

    def test_what_is_taken_off_is_brought_back_and_a_word_finds_it(self):
        page = self.page
        for name in ("Bell jar", "Bait jar"):
            page.goto(f"{self.live_server_url}/d/lakeside/shelf")
            page.get_by_role("button", name="A new thing").click()
            page.get_by_label("name", exact=True).fill(name)
            page.get_by_role("button", name="Keep it").click()
            expect(page.get_by_role("heading", name=name)).to_be_visible()
        page.goto(f"{self.live_server_url}/d/lakeside/shelf")
        page.get_by_label("search the shelf").fill("bait")
        things = page.get_by_role("list", name="things on the shelf")
        expect(things.get_by_role("link")).to_have_count(1)
        page.get_by_role("button", name="archive Bait jar").click()
        expect(things).to_contain_text("Nothing of that on the shelf.")
        page.get_by_role("button", name="undo").click()
        expect(things.get_by_role("link", name="Bait jar")).to_be_visible()
        self.assertEqual(self.faults(), [])

    def test_a_file_is_looked_through_before_anything_of_it_is_kept(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/shelf")
        page.get_by_role("button", name="Read a file").click()
        chooser = page.get_by_label("Choose a file")
        chooser.set_input_files({"name": "gear.csv", "mimeType": "text/csv", "buffer": b"thing;sort\nPipe;tube\n"})
        expect(page.get_by_role("alert")).to_contain_text("no column is called")
        text = "name;sort;bore\nPipe;tube;18,4 mm\nHose;tube;9 mm\n".encode("cp1252")
        chooser.set_input_files({"name": "gear.csv", "mimeType": "text/csv", "buffer": text})
        lines = page.get_by_role("list", name="lines of the file")
        expect(lines.get_by_role("listitem")).to_have_count(2)
        expect(lines).to_contain_text("refused")
        page.get_by_role("button", name="Keep one line").click()
        expect(page.get_by_text("One line stands on the shelf now.")).to_be_visible()
        page.keyboard.press("Escape")
        expect(page.get_by_role("link", name="Hose")).to_be_visible()

    def test_a_result_stands_in_the_marks_of_a_gauge_and_off_the_scale_is_said_beforehand(self):
        rule = Facts(name="Short rule", sort="rule")
        put_on_shelf(self.teacher, rule, [Measured("smallest_mark", "1 mm"), Measured("full_scale", "15 cm")])
        page = self.bench(self.keep())
        page.get_by_text("Read on a gauge of the shelf").click()
        self.pick("gauge:", "Short rule")
        marks = page.get_by_role("list", name="in marks")
        expect(marks).to_contain_text("marks")
        expect(marks).to_contain_text("off the scale")

    def test_a_photo_of_a_telephone_is_made_small_on_its_way_and_a_false_one_is_refused(self):
        page = self.page
        item = put_on_shelf(self.teacher, Facts("Clear pipe", "tube"), [])
        page.goto(f"{self.live_server_url}/d/lakeside/shelf/{item.pk}")
        chosen = page.get_by_label("A photo of it")
        chosen.set_input_files({"name": "pipe.jpg", "mimeType": "image/jpeg", "buffer": b"%PDF-1.7 not one"})
        expect(page.get_by_role("alert")).to_contain_text("“pipe.jpg” is no picture")
        large = io.BytesIO()
        Image.effect_noise((3200, 2400), 60).save(large, "JPEG", quality=98)
        self.assertGreater(large.tell(), 2_000_000, "more than the server takes at once")
        chosen.set_input_files({"name": "pipe.jpg", "mimeType": "image/jpeg", "buffer": large.getvalue()})
        expect(page.get_by_role("img", name="Clear pipe")).to_be_visible()
        self.assertEqual(page.get_by_role("img", name="Clear pipe").evaluate("image => image.decode().then(() => image.naturalWidth)"), 1600)
        expect(page.get_by_role("alert")).to_have_count(0)
        self.assertEqual(self.faults(), [])
        page.get_by_role("button", name="take the photo away").click()
        expect(page.get_by_role("img", name="Clear pipe")).to_have_count(0)
