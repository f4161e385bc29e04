"""Each of the fifteen opened, dragged and mended in the browser; a map dragged on, a ledger walked, legs moved, filled and typed as one line."""

from __future__ import annotations

import copy
import re

from playwright.sync_api import expect

from hydrostatics.demonstrations.registry import by_key

from .base import BrowserCase

BROKEN = {
    "cooling-flask": {"final_temperature": "95 degC"},
    "siphon": {"drop": "-5 cm"},
    "cartesian-diver": {"sinks_with": "3 g"},
    "vacuum-receiver": {"ultimate_pressure": "400 hPa", "air_saturation": 0},
    "communicating-vessels": {"poured_volume": "5 L"},
    "manometer": {"start": "atmosphere", "end": "atmosphere"},
}
"""What makes each of them fail; the plugged manometer has no verdict that could."""


class Fifteen(BrowserCase):
    def test_each_is_opened_has_a_ring_that_keys_move_and_says_what_it_predicts(self):
        for key, one in by_key().items():
            with self.subTest(demonstration=key):
                self.bench(self.keep(one.guide.title, one.guide.starts[0]["document"]))
                expect(self.verdict()).not_to_be_empty()
                ring = self.page.locator("main svg [data-handle], section svg [data-handle]").first
                path = ring.get_attribute("data-handle") or ""
                before = ring.get_attribute("aria-valuetext") or ""
                ring.focus()
                self.page.keyboard.press("ArrowUp")
                expect(self.page.locator(f'[data-handle="{path}"]').first, path).not_to_have_attribute("aria-valuetext", before)
                self.quiet()
                self.page.get_by_role("button", name="undo").click()
                self.quiet()

    def test_what_is_broken_is_mended_by_pressing_what_is_offered(self):
        for key, changes in BROKEN.items():
            with self.subTest(demonstration=key):
                document = copy.deepcopy(by_key()[key].guide.starts[0]["document"])
                document["setup"] |= changes
                self.bench(self.keep(f"Broken {key}", document))
                self.page.locator(".advice button").first.click()
                self.quiet()
                expect(self.page.get_by_role("button", name=re.compile("^2 Predict"))).to_contain_text(re.compile("works|doubtful"))


class OnTheDrawing(BrowserCase):
    def test_a_map_is_dragged_on_and_moves_both_inputs(self):
        self.bench(self.keep("Diver", by_key()["cartesian-diver"].guide.starts[0]["document"]))
        page = self.page
        ring = page.locator("aside [data-handle], details [data-handle]").first
        ring.scroll_into_view_if_needed()
        box = ring.bounding_box()
        assert box
        x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x + 40, y - 25, steps=6)
        page.mouse.up()
        self.quiet(pause=300)
        self.assertGreater(float(self.input("setup.air_volume").input_value().split()[0]), 1.9)
        self.assertGreater(float(self.input("setup.sinks_with").input_value().split()[0]), 0.128)
        page.get_by_role("button", name="undo").click()
        self.quiet()
        expect(self.input("setup.air_volume")).to_have_value(re.compile(r"^1\.9 "))

    def manometer(self) -> None:
        self.bench(self.keep("Compound", by_key()["manometer"].guide.starts[3]["document"]))

    def liquids(self) -> list[str]:
        return [self.input(f"setup.legs.{i}.liquid").input_value() for i in range(5)]

    def test_a_ledger_is_walked_and_points_at_each_leg(self):
        self.manometer()
        page = self.page
        page.get_by_role("button", name="Walk it, line by line").click()
        expect(page.locator(".pointed")).to_have_count(1)
        expect(page.get_by_text("…", exact=True)).to_have_count(12)
        page.keyboard.press("ArrowDown")
        page.get_by_role("button", name="on", exact=True).click()
        expect(page.get_by_text("…", exact=True)).to_have_count(6)
        page.get_by_role("button", name="show all").click()
        expect(page.locator(".pointed")).to_have_count(0)

    def test_legs_are_moved_filled_taken_away_and_bent_by_keys_on_their_rings(self):
        self.manometer()
        page = self.page
        self.assertEqual(self.liquids(), ["water", "glycerol", "vegetable oil", "glycerol", "water"])
        ring = page.locator('[data-handle="setup.legs.0.drop"]')
        ring.focus()
        page.keyboard.press("Alt+ArrowUp")
        self.quiet()
        self.assertEqual(self.liquids()[:2], ["glycerol", "water"])
        page.locator('[data-handle="setup.legs.1.drop"]').focus()
        page.keyboard.press("f")
        self.quiet()
        self.assertNotEqual(self.liquids()[1], "water")
        page.locator('[data-handle="setup.legs.4.drop"]').focus()
        page.keyboard.press("Delete")
        self.quiet()
        expect(page.locator('[data-handle="setup.legs.4.drop"]')).to_have_count(0)

    def test_a_chain_is_typed_as_one_line_and_its_meaning_shown_before_it_is_taken(self):
        self.manometer()
        page = self.page
        page.get_by_text("type or paste all as one line").click()
        line = page.get_by_label("Legs in one line")
        line.fill("water down 14 cm; oil 0.86 sideways 3 cm")
        page.get_by_role("button", name="read it").click()
        expect(page.get_by_role("alert").filter(has_text="neither up nor down")).to_be_visible()
        expect(line).to_have_value("water down 14 cm; oil 0.86 sideways 3 cm")
        line.fill("water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm")
        line.press("Enter")
        expect(page.get_by_text("liquid mercury; drop −2.5 cm")).to_be_visible()
        page.get_by_role("button", name="Take these 3 legs").click()
        self.quiet()
        expect(page.locator('[data-handle^="setup.legs."]')).to_have_count(3)
        expect(self.input("setup.legs.1.liquid")).to_have_value("mercury")
