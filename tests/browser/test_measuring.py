"""What can be weighed, poured, timed or read, turned into a size and taken over."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from .base import BrowserCase


class Measuring(BrowserCase):
    def measured(self, key: str):
        return self.page.get_by_role("dialog").locator(f'[id="f-measured.{key}"]')

    def test_a_bore_is_weighed_several_times_and_taken_over_with_its_tolerance(self):
        page = self.bench(self.keep())
        page.get_by_role("button", name="work out inside diameter").click()
        self.measured("length").fill("30 ± 0.1 cm")
        expect(page.get_by_text("Still to be stated: empty.")).to_be_visible()
        self.measured("empty_mass").fill("212.4 g; 212.6 g; 212.5 g")
        self.measured("filled_mass").fill("1.9 kg")
        expect(page.get_by_text(re.compile("mean of 3: 212.5"))).to_be_visible()
        expect(page.get_by_role("dialog")).to_contain_text(re.compile(r"The tube is\s84\.\d+\s±\s0\.\d+\smm wide inside"))
        page.get_by_role("button", name="Take over").click()
        expect(self.input("setup.inner_diameter")).to_have_value(re.compile(r"^84\.\d+ ± 0\.\d+ mm$"))
        page.get_by_role("button", name="undo").click()
        expect(self.input("setup.inner_diameter")).to_have_value("87 ± 1 mm")

    def test_wrong_measures_are_told_at_their_field_and_stay_after_a_reload(self):
        page = self.bench(self.keep())
        page.get_by_role("button", name="work out inside diameter").click()
        for key, text in (("length", "30 cm"), ("empty_mass", "212 g"), ("filled_mass", "200 g")):
            self.measured(key).fill(text)
        expect(page.get_by_role("dialog").get_by_role("alert").first).to_contain_text("full it weighs no more than empty")
        self.quiet()
        page.reload()
        page.get_by_role("button", name="work out inside diameter").click()
        expect(self.measured("filled_mass")).to_have_value("200 g")

    def test_a_hole_is_timed_and_comes_with_its_coefficient(self):
        page = self.bench(self.keep())
        page.get_by_role("button", name="work out diameter").first.click()
        for key, text in (("inner_diameter", "84 mm"), ("start_head", "22 cm"), ("end_head", "8 cm"), ("time", "90 s")):
            self.measured(key).fill(text)
        expect(page.get_by_text("they err together")).to_be_visible()
        page.get_by_role("button", name="Take over").click()
        expect(self.input("setup.holes.0.discharge_coefficient")).to_have_value(re.compile(r"^0\.61"))

    def test_every_aid_has_a_page_with_an_example(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/measuring")
        names = page.get_by_role("navigation", name="measuring aids").get_by_role("link")
        expect(names).to_have_count(15)
        for name in ("Shape of a vessel, by pouring", "Calibration of a gauge, by dipping"):
            names.filter(has_text=name).click()
            page.get_by_role("button", name="fill in an example").click()
            expect(page.get_by_role("img").nth(1)).to_be_visible()
            self.quiet()
            self.assertEqual(self.faults(), [])
