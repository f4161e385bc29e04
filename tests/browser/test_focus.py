"""The focus stays where the work is; the page is as wide as its window; the colours are the system's until somebody chooses."""

from __future__ import annotations

import json

from playwright.sync_api import expect

from server.rooms.services.save_room import save_room
from server.runs.services.log_run import log_run
from server.setups.models import Setup
from tests.support.documents import bottle

from .base import BrowserCase

WIDTHS = (320, 390, 640, 768, 936, 1024, 1100, 1280, 1440)


class Focus(BrowserCase):
    def test_a_bench_that_is_opened_takes_it_nowhere_and_what_is_pressed_leads_on(self):
        page = self.bench(self.keep())
        self.assertEqual(page.evaluate("document.activeElement.tagName"), "BODY")
        page.get_by_role("button", name="keep as a variation").click()
        expect(page.get_by_label("name of the variation")).to_be_focused()
        page.keyboard.type("taller")
        page.keyboard.press("Enter")
        expect(page.get_by_role("button", name="keep as a variation")).to_be_focused()
        page.get_by_role("button", name="another", exact=True).click()
        expect(page.get_by_role("textbox", name="density")).to_be_visible()

    def test_a_correction_starts_in_its_field_and_ends_at_its_reading(self):
        setup = Setup.objects.get(pk=self.keep())
        series = [{"path": "results.holes.0.range", "instrument": "1 mm", "readings": ["20 cm"]}]
        run = log_run(self.teacher, setup, json.dumps(bottle()), outcome="worked", note="", rehearsal=False, series=series)
        self.page.goto(f"{self.live_server_url}/d/lakeside/log/{run.pk}")
        self.page.get_by_role("button", name="correct 20 cm").click()
        expect(self.page.get_by_label("corrected reading")).to_be_focused()
        self.page.get_by_role("button", name="leave").click()
        expect(self.page.get_by_role("button", name="correct 20 cm")).to_be_focused()

    def test_a_new_set_up_starts_at_its_first_start_and_signing_in_at_the_name(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside")
        page.get_by_role("button", name="New set-up").click()
        expect(page.get_by_role("dialog").get_by_role("listitem").first.get_by_role("button")).to_be_focused()
        self.context.clear_cookies()
        page.goto(f"{self.live_server_url}/accounts/login/")
        expect(page.get_by_label("Name").or_(page.locator("[name=login]")).first).to_be_focused()

    def test_the_fields_of_a_list_carry_their_number(self):
        self.bench(self.keep())
        expect(self.page.get_by_label("diameter, no. 2", exact=True)).to_have_value("2.8 ± 0.1 mm")


class Widths(BrowserCase):
    def test_what_lies_below_in_the_column_is_told_until_it_is_in_sight(self):
        page = self.bench(self.keep())
        column, more = page.locator("aside"), page.get_by_role("button", name="more below")
        expect(more).to_be_visible()
        column.evaluate("at => at.scrollTo(0, at.scrollHeight)")
        expect(more).to_be_hidden()
        page.set_viewport_size({"width": 1280, "height": 700})
        expect(more).to_be_visible()
        page.set_viewport_size({"width": 1280, "height": 2400})
        expect(more).to_be_hidden()
        page.set_viewport_size({"width": 1280, "height": 800})
        column.evaluate("at => at.scrollTo(0, 200)")
        page.get_by_role("navigation", name="steps").get_by_role("button").nth(3).click()
        expect(page.locator("aside")).to_have_js_property("scrollTop", 0)

    def test_nothing_runs_over_the_edge_at_any_width(self):
        save_room(self.head, None, "Hall", {"sea_level_pressure": "1016 hPa", "elevation": "640 m"}, sure=True)
        setup = Setup.objects.get(pk=self.keep())
        run = log_run(self.teacher, setup, json.dumps(bottle()), outcome="worked", note="", rehearsal=False, series=[])
        for address in ("", "/log", f"/log/{run.pk}", "/rooms", "/liquids", "/members", f"/bench/{setup.pk}", f"/compare/{setup.pk}/{setup.pk}"):
            self.page.goto(f"{self.live_server_url}/d/lakeside{address}")
            self.quiet()
            for width in WIDTHS:
                with self.subTest(view=address, width=width):
                    self.page.set_viewport_size({"width": width, "height": 800})
                    self.page.wait_for_function(f"() => document.documentElement.scrollWidth <= {width}", timeout=3000)


class Printed(BrowserCase):
    def test_the_bench_prints_guide_gear_numbers_and_section_and_no_menus(self):
        page = self.bench(self.keep())
        page.evaluate("() => { window.print = () => (window.printed = document.body.innerText) }")
        page.get_by_role("button", name="print").click()
        page.wait_for_function("() => window.printed")
        told = page.evaluate("window.printed")
        for words in ("On the bench", "Steps", "lands farthest", "Liquid lost until all stop"):
            self.assertIn(words, told)
        page.emulate_media(media="print")
        for hidden in (page.get_by_role("navigation"), page.get_by_role("button", name="Save", exact=True), page.get_by_role("button", name="Let it run")):
            expect(hidden.first).to_be_hidden()
        expect(page.get_by_role("button", name="press for another unit").first).to_be_visible()
        page.emulate_media(media="screen")
        expect(page.get_by_role("button", name="Let it run")).to_be_visible()


class Touch(BrowserCase):
    def test_a_finger_on_a_ring_moves_it_and_not_the_page_and_playing_is_in_sight(self):
        context = self.browser.new_context(viewport={"width": 390, "height": 844}, has_touch=True, is_mobile=True)
        self.addCleanup(context.close)
        context.add_cookies(self.context.cookies())
        page = self.bench(self.keep(), self.new_page(context))
        self.quiet(page, pause=400)  # the drawing for this sheet, and the preview after it
        self.assertLess(page.get_by_role("button", name="Let it run").bounding_box()["y"], 780)
        ring = page.locator('[data-handle="setup.fill_height"]').bounding_box()
        x, y = ring["x"] + ring["width"] / 2, ring["y"] + ring["height"] / 2
        before = page.locator('[data-handle="setup.fill_height"]').get_attribute("aria-valuenow")
        line = context.new_cdp_session(page)
        line.send("Input.dispatchTouchEvent", {"type": "touchStart", "touchPoints": [{"x": x, "y": y}]})
        for k in range(1, 9):
            line.send("Input.dispatchTouchEvent", {"type": "touchMove", "touchPoints": [{"x": x, "y": y - 6 * k}]})
        line.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
        expect(page.locator('[data-handle="setup.fill_height"]')).not_to_have_attribute("aria-valuenow", before)
        self.assertEqual(page.evaluate("scrollY"), 0)


class Colours(BrowserCase):
    def ground(self) -> str:
        return self.page.evaluate("getComputedStyle(document.documentElement).backgroundColor")

    def test_they_are_the_systems_until_somebody_chooses(self):
        page = self.page
        page.emulate_media(color_scheme="dark")
        page.goto(f"{self.live_server_url}/d/lakeside")
        expect(page.get_by_text("No set-ups yet")).to_be_visible()
        night = self.ground()
        page.emulate_media(color_scheme="light")
        light = self.ground()
        self.assertNotEqual(night, light)
        page.get_by_role("button", name="teacher, your settings").click()
        page.get_by_role("menuitemcheckbox", name="Night colours").click()
        page.wait_for_function(f"() => getComputedStyle(document.documentElement).backgroundColor === '{night}'")
        self.quiet()
        page.reload()
        expect(page.get_by_text("No set-ups yet")).to_be_visible()
        self.assertEqual(self.ground(), night)
