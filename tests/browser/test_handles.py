"""What can be held on the drawing: with pointer, finger and keys; holes added and taken away; undo covers all."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from .base import BrowserCase


class Handles(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.bench(self.keep())

    def value(self, path: str) -> float:
        found = re.match(r"[\d.]+", self.input(path).input_value())
        assert found
        return float(found[0])

    def test_a_ring_drags_with_the_pointer_its_field_follows_and_the_scale_holds_until_release(self):
        page = self.page
        ring = page.locator('[data-handle="setup.fill_height"]').bounding_box()
        assert ring
        x, y = ring["x"] + ring["width"] / 2, ring["y"] + ring["height"] / 2
        caption = page.locator('[data-id="caption"]').text_content()
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x, y - 140, steps=10)
        expect(page.locator(".tag .big")).to_have_text(re.compile(r"^\d+\.\d ± 0.3 cm$"))
        self.assertGreater(self.value("setup.fill_height"), 35)
        self.quiet()
        self.assertEqual(page.locator('[data-id="caption"]').text_content(), caption)
        page.mouse.up()
        expect(page.locator('[data-id="caption"]')).not_to_have_text(caption or "")
        page.get_by_role("button", name="undo").click()
        expect(self.input("setup.fill_height")).to_have_value("29 ± 0.3 cm")
        page.get_by_role("button", name="redo").click()
        expect(self.input("setup.fill_height")).not_to_have_value("29 ± 0.3 cm")

    def test_keys_step_it_and_a_screen_reader_is_told(self):
        ring = self.page.locator('[data-handle="setup.stand_drop"]')
        ring.focus()
        self.page.keyboard.press("ArrowUp")
        expect(self.input("setup.stand_drop")).to_have_value("11.1 ± 0.2 cm")
        expect(ring).to_have_attribute("aria-valuetext", re.compile("11.1 ± 0.2 cm"))
        self.page.keyboard.press("Shift+ArrowDown")
        expect(self.input("setup.stand_drop")).to_have_value("10.1 ± 0.2 cm")
        expect(ring).to_have_attribute("role", "slider")
        expect(ring).to_have_attribute("aria-label", "base above the tray")

    def test_a_value_stops_at_its_end(self):
        self.drag("setup.stand_drop", 0, 400)
        expect(self.input("setup.stand_drop")).to_have_value("0.0 ± 0.2 cm")

    def test_holes_come_and_go_on_the_drawing_and_in_the_form(self):
        page = self.page
        holes = page.locator('[data-handle^="setup.holes."]')
        expect(holes).to_have_count(3)
        page.locator('[data-adder="setup.holes"]').focus()
        page.keyboard.press("Enter")
        expect(holes).to_have_count(4)
        expect(self.input("setup.holes.3.diameter")).to_have_value("2.8 ± 0.1 mm")
        page.locator('[data-handle="setup.holes.3.height"]').focus()
        page.keyboard.press("Delete")
        expect(holes).to_have_count(3)
        page.locator('[data-list="setup.holes"] > button').click()
        expect(holes).to_have_count(4)
        page.get_by_role("button", name="remove hole 1").click()
        expect(holes).to_have_count(3)
        for _ in range(4):
            page.get_by_role("button", name="undo").click()
        expect(self.input("setup.holes.0.height")).to_have_value("23 ± 0.1 cm")
        expect(holes).to_have_count(3)

    def test_a_hole_is_added_where_the_wall_is_pressed(self):
        page = self.page
        line = page.locator('[data-adder="setup.holes"] > path').bounding_box()
        assert line
        page.mouse.click(line["x"] + line["width"] / 2, line["y"] + line["height"] * 0.42)
        expect(page.locator('[data-handle^="setup.holes."]')).to_have_count(4)
        self.assertAlmostEqual(self.value("setup.holes.3.height"), 29 * 0.58, delta=0.6)

    def test_a_finger_drags_as_a_pointer_does(self):
        context = self.browser.new_context(viewport={"width": 390, "height": 844}, has_touch=True, storage_state=self.context.storage_state())
        self.addCleanup(context.close)
        page = self.new_page(context)
        self.bench(self.page.url.rsplit("/", 1)[1], page)
        ring = page.locator('[data-handle="setup.fill_height"]')
        ring.scroll_into_view_if_needed()
        self.quiet(page)
        place = ring.bounding_box()
        assert place
        x, y = place["x"] + place["width"] / 2, place["y"] + place["height"] / 2
        session = context.new_cdp_session(page)
        session.send("Input.dispatchTouchEvent", {"type": "touchStart", "touchPoints": [{"x": x, "y": y}]})
        for k in range(1, 6):
            session.send("Input.dispatchTouchEvent", {"type": "touchMove", "touchPoints": [{"x": x, "y": y - 6 * k}]})
        session.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
        expect(self.input("setup.fill_height", page)).not_to_have_value("29 ± 0.3 cm")

    def test_single_keys_rest_while_typing_and_when_switched_off(self):
        page = self.page
        field = self.input("setup.stand_drop")
        field.focus()
        page.keyboard.press("Home")
        page.keyboard.press("5")
        expect(page.get_by_role("button", name=re.compile("Predict"))).to_have_attribute("aria-current", "step")
        page.keyboard.press("Escape")
        expect(field).to_have_value("511 ± 0.2 cm")
        page.keyboard.press("5")
        expect(page.get_by_role("button", name=re.compile("Run"))).to_have_attribute("aria-current", "step")
        page.get_by_label("teacher, your settings").click()
        page.get_by_role("menuitemcheckbox", name="Single keys").click()
        page.locator("h1").first.click()
        page.keyboard.press("1")
        expect(page.get_by_role("button", name=re.compile("Run"))).to_have_attribute("aria-current", "step")
