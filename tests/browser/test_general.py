"""No screen knows a demonstration: one that exists in the tests alone is opened, dragged, saved and run; and all views are for all."""

from __future__ import annotations

from playwright.sync_api import expect

from server.people.models import Membership
from tests.support.imagined import IMAGINED

from .base import COLOURS, BrowserCase


class AnotherDemonstration(BrowserCase):
    def test_it_is_opened_dragged_saved_and_run(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside")
        page.get_by_role("button", name="New set-up").click()
        page.get_by_role("button", name="Two layers").click()
        expect(self.verdict()).to_contain_text("The foot carries 33.6")
        expect(page.get_by_label("Above the liquid")).to_have_value("atmosphere")
        expect(self.input("setup.rise")).to_have_value("unknown")
        expect(page.locator('[data-id^="cell-"]').first).to_be_attached()
        self.drag("setup.layers.1.depth", 0, -60)
        expect(self.verdict()).not_to_contain_text("33.6")
        self.drag("setup.ports.0", 0, 30)
        expect(self.input("setup.ports.0")).not_to_have_value("6 cm")
        page.locator('[data-adder="setup.ports"]').focus()
        page.keyboard.press("Enter")
        expect(page.locator('[data-handle^="setup.ports."]')).to_have_count(3)
        page.locator('[data-handle="setup.ports.2"]').focus()
        page.keyboard.press("Delete")
        expect(page.locator('[data-handle^="setup.ports."]')).to_have_count(2)
        page.locator('[data-list="setup.layers"] > button').click()
        expect(page.locator('[data-handle^="setup.layers."][data-handle$=".depth"]')).to_have_count(3)
        page.get_by_role("button", name="or by slot, width").click()
        expect(self.page.locator('[data-row="setup.slot"] [role=alert]')).to_be_visible()
        self.input("setup.slot").fill("4 mm")
        expect(self.page.locator('[data-row="setup.slot"] [role=alert]')).to_have_count(0)
        page.get_by_label("Above the liquid").select_option("")
        self.input("setup.above.gauge").fill("5 hPa")
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_text("saved by teacher")).to_be_visible()
        page.keyboard.press("5")
        self.pick("read something else", "whole depth")
        page.get_by_label("reading 1 of whole depth").fill("40 cm")
        page.get_by_label("Half of the finest division you read (length)").fill("1 mm")
        page.get_by_label("partly").check()
        page.get_by_role("button", name="Log this run").click()
        expect(page.get_by_role("rowheader", name="whole depth")).to_be_visible()

    def test_fields_that_appear_groups_put_in_and_taken_away(self):
        number = self.keep("Tank", {**IMAGINED.guide.starts[0]["document"]})
        page = self.bench(number)
        page.get_by_text("more: lid, pressure outside, vented").click()
        expect(self.input("setup.vent")).to_have_count(0)
        self.input("setup.vented").select_option("yes")
        expect(self.input("setup.vent")).to_be_visible()  # it appears where one is: nothing closes or moves meanwhile
        self.input("setup.vent").press_sequentially("4 mm")
        expect(self.input("setup.vent")).to_be_focused()
        page.get_by_role("button", name="state it").click()
        self.input("setup.lid.mass").fill("12 g")
        self.quiet(pause=300)  # what it comes to may push what is pressed next
        page.get_by_role("button", name="take it away").click()
        expect(self.input("setup.lid.mass")).to_have_count(0)

    def test_its_advice_is_pressed(self):
        document = {**IMAGINED.guide.starts[0]["document"]}
        document["setup"] = {**document["setup"], "layers": [{"depth": "1.2 m"}]}
        page = self.bench(self.keep("Tall tank", document))
        page.get_by_role("button", name="Pour less").click()
        expect(self.input("setup.layers.0.depth")).to_have_value("10 cm")


class ForAll(BrowserCase):
    def views(self):
        number = self.keep()
        for address, ready in (
            ("/d/lakeside", "[role=listitem] strong"),
            (f"/d/lakeside/bench/{number}", "[data-handle]"),
            ("/d/lakeside/log", "h1"),
            ("/d/lakeside/members", "li strong"),
            ("/d/lakeside/measuring", "h1"),
            ("/d/lakeside/shelf", "h1"),
            ("/d/lakeside/today", "h1"),
        ):
            self.page.goto(self.live_server_url + address)
            expect(self.page.locator(ready).first).to_be_attached()
            yield address

    def test_every_view_keeps_wcag_22_aa_is_one_step_from_every_other_and_fits_a_phone(self):
        for address in self.views():
            with self.subTest(view=address):
                for name in ("Set-ups", "Measuring", "Log", "Members"):
                    expect(self.page.get_by_role("link", name=name, exact=True)).to_be_visible()
                self.assertEqual(self.faults(), [])
                self.page.evaluate("document.documentElement.dataset.theme = 'night'")
                self.assertEqual(self.faults(rules=COLOURS), [], "by night")
                self.page.set_viewport_size({"width": 390, "height": 844})
                self.quiet()
                self.assertLessEqual(self.page.evaluate("document.documentElement.scrollWidth"), 390)
                self.page.set_viewport_size({"width": 1280, "height": 800})
        self.page.goto(f"{self.live_server_url}/accounts/logout/")
        self.assertEqual(self.faults(), [])

    def test_the_steps_of_the_bench_too(self):
        self.bench(self.keep())
        for key in "125":
            self.page.keyboard.press(key)
            with self.subTest(step=key):
                self.assertEqual(self.faults(), [])

    def test_a_unit_is_pressed_and_stays_this_persons(self):
        page = self.bench(self.keep())
        page.get_by_role("button", name="cm, press for another unit").first.click()
        expect(page.get_by_role("button", name="mm, press for another unit").first).to_be_visible()
        self.quiet()
        page.reload()
        expect(page.get_by_role("button", name="mm, press for another unit").first).to_be_visible()

    def test_a_person_of_several_departments_chooses(self):
        from server.people.services.add_member import add_member
        from server.people.services.create_department import create_department

        add_member(create_department("Quarry", "other-head", "long-enough-to-be-one"), "teacher", Membership.Role.TEACHER)
        self.keep()
        self.page.goto(f"{self.live_server_url}/d/lakeside")
        expect(self.page.locator("[role=listitem] strong")).to_have_text(["Three holes"])
        self.page.get_by_label("department").select_option("quarry")
        expect(self.page.get_by_text("No set-ups yet")).to_be_visible()

    def test_the_head_adds_a_member(self):
        page = self.new_page(self.new_context(self.head))
        page.goto(f"{self.live_server_url}/d/lakeside/members")
        page.get_by_label("Sign-in name").fill("technician-2")
        page.locator("form").get_by_label("Role").select_option("technician")
        page.get_by_role("button", name="Add").click()
        expect(page.get_by_role("status")).to_contain_text("technician-2 signs in first with")
        page.get_by_label("role of head").select_option("teacher")
        expect(page.get_by_role("alert")).to_contain_text("make somebody else head first")
        expect(page.get_by_label("role of head")).to_have_value("head")
        page.get_by_label("role of technician-2").select_option("head")
        expect(page.get_by_role("alert")).to_have_count(0)
        self.quiet(page)
        self.assertEqual(Membership.objects.get(person__username="technician-2").role, "head")
        page.locator("li", has_text="technician-2").get_by_role("button", name="remove").click()
        expect(page.locator("li", has_text="technician-2")).to_have_count(0)
