"""Beyond the verdict: gauges dragged down a tube, schools settled, curves, solving, other rooms, the guide, playback over a quantity."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from .base import BrowserCase

TUBE = {
    "anchorage": 1,
    "demonstration": "inverted-glass",
    "room": {"station_pressure": "941.7 hPa"},
    "setup": {
        "liquid": "water",
        "mouth_diameter": "74 mm",
        "inside_height": "98 cm",
        "cover": {"kind": "plate", "mass": "64 g"},
        "ports": ["60 cm"],
        "fill_height": "70 cm",
    },
}


class Works(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.bench(self.keep("Tube", TUBE))

    def read(self) -> float:
        text = self.page.locator('[data-id="port-0"]').text_content() or ""
        found = re.search(r"[−-]?[\d.]+", text)
        assert found
        return float(found[0].replace("−", "-"))

    def test_a_gauge_dragged_down_the_tube_reads_less_and_less_below_the_room(self):
        high = self.read()
        self.drag("setup.ports.0", 0, 150)
        self.quiet()
        low = self.read()
        self.assertLess(high, low)
        self.assertLess(low, 0)
        self.page.get_by_role("button", name="undo").click()
        expect(self.input("setup.ports.0")).to_have_value("60 cm")

    def test_the_dispute_is_settled_on_the_screen_with_its_curve(self):
        page = self.page
        page.get_by_text("Only a brim-full glass works").click()
        expect(page.get_by_text("Here only brim-full works")).to_be_visible()
        expect(page.locator('aside figure svg [data-part="line"] path').first).to_be_visible()
        page.locator(".advice button").first.click()
        expect(page.get_by_text("This one is brim-full and works")).to_be_visible()
        expect(self.input("setup.fill_height")).to_have_value("98 cm")

    def test_a_result_is_made_to_come_out_and_a_wrong_target_is_said(self):
        page = self.page
        page.get_by_text("Make it come out as wanted").click()
        self.pick("result to come out", "weight of liquid and cover")
        self.pick("input to change", "liquid, while upright")
        page.get_by_label("come to").fill("20 cm")
        page.get_by_role("button", name="Work it out").click()
        expect(page.get_by_text("a force is needed")).to_be_visible()
        page.get_by_label("come to").fill("20")
        page.get_by_role("button", name="Work it out").click()
        answer = page.get_by_role("button", name=re.compile(r"^Take 4\d\.\d+\scm$"))
        answer.click()
        expect(page.locator("dl").filter(has_text="Weight of liquid and cover").first).to_contain_text("20")
        page.get_by_label("come to").fill("20 kN")
        page.get_by_role("button", name="Work it out").click()
        expect(page.get_by_text(re.compile("Nothing from .* does it"))).to_be_visible()

    def test_a_table_of_one_result_over_two_inputs(self):
        page = self.page
        page.get_by_text("A table over two inputs").click()
        self.pick("result of the table", "weight of liquid and cover")
        self.pick("input down", "liquid, while upright")
        self.pick("input across", "mouth, inside")
        page.get_by_label("values down").fill("10; 20 cm")
        page.get_by_label("values across").fill("70 mm; 4 kg")
        row = page.get_by_role("row", name=re.compile("^20.cm"))
        expect(row).to_contain_text("a length is needed")
        expect(row.get_by_role("cell").first).to_contain_text("N")

    def test_a_curve_is_drawn_and_saved_in_three_forms(self):
        page = self.page
        page.get_by_text("A curve over one input").click()
        self.pick("input of the curve", "inside height")
        expect(page.locator('aside figure svg [data-part="line"] path').first).to_be_visible()
        for kind in ("SVG", "PNG", "CSV"):
            with page.expect_download() as waiting:
                page.get_by_role("button", name=kind, exact=True).click()
            self.assertTrue(waiting.value.suggested_filename.endswith(kind.lower()))

    def test_other_rooms_stand_side_by_side(self):
        page = self.page
        page.get_by_role("button", name="What if it stood elsewhere?").click()
        expect(page.get_by_text("Ridge hut")).to_be_visible()
        page.get_by_label("pressure", exact=True).fill("850 hPa")
        expect(page.get_by_text("Your own")).to_be_visible()
        page.get_by_label("pressure", exact=True).fill("850")
        expect(page.get_by_text("It cannot be taken there")).to_be_visible()
        self.assertEqual(self.faults(), [])

    def test_the_guide_stands_one_key_away_with_the_set_ups_sizes(self):
        page = self.page
        page.keyboard.press("3")
        guide = page.get_by_label("how to prepare it")
        expect(guide).to_contain_text("inside height 98")
        expect(guide).to_contain_text("If it does not work, and they are watching")
        self.assertEqual(self.faults(), [])
        self.input("setup.inside_height").fill("91 cm")
        expect(guide).to_contain_text("inside height 91")

    def test_playback_runs_over_what_is_moved_and_shows_no_seconds(self):
        page = self.page
        page.keyboard.press("p")
        bar = page.get_by_label("playback")
        expect(bar).to_contain_text("sink of the cover")
        expect(bar.get_by_role("button", name="double")).to_have_count(0)
        self.assertNotRegex(bar.text_content() or "", r"\d s\b")

    def test_on_a_phone_nothing_runs_over_the_edge(self):
        phone = self.new_page(self.new_context(self.teacher, 390, 844))
        for address in ("rooms", "liquids", "bench/" + str(self.keep("Again", TUBE))):
            phone.goto(f"{self.live_server_url}/d/lakeside/{address}")
            expect(phone.get_by_role("heading", level=1).first).to_be_visible()
            self.quiet(phone)
            self.assertLessEqual(phone.evaluate("document.documentElement.scrollWidth"), 390, address)


class Variations(BrowserCase):
    def test_a_run_of_variations_is_kept_switched_by_keys_outlined_and_set_side_by_side(self):
        page = self.page
        light = {**TUBE, "setup": {**TUBE["setup"], "cover": {"kind": "card"}}}
        self.bench(self.keep("Tube", light))
        self.input("setup.mouth_diameter").fill("31 mm")
        page.get_by_role("button", name="keep as a variation").click()
        page.get_by_label("name of the variation").fill("Narrow")
        page.get_by_role("button", name="Keep", exact=True).click()
        expect(page.get_by_role("heading", level=1).first).to_have_text("Narrow")
        expect(page.locator("path.earlier").first).to_be_attached()
        page.keyboard.press(",")
        expect(self.input("setup.mouth_diameter")).to_have_value("74 mm")
        page.keyboard.press(".")
        expect(self.input("setup.mouth_diameter")).to_have_value("31 mm")
        expect(page).to_have_url(re.compile(r"/bench/\d+$"))
        page.get_by_role("link", name="side by side").click()
        expect(page.get_by_role("heading", name="What differs")).to_be_visible()
        expect(page.locator("tr").filter(has_text="Mouth, inside")).to_contain_text("31")
        expect(page.get_by_text("The same in all").locator("..")).to_contain_text("pressure at the top")
        scales = page.locator('[data-id="caption"]').all_text_contents()
        self.assertEqual(len(scales), 2)
        self.assertEqual(scales[0], scales[1])
        self.assertEqual(self.faults(), [])

    def test_up_to_four_stand_side_by_side_with_every_difference(self):
        def tube(name: str, **changes) -> int:
            return self.keep(name, {**TUBE, "setup": {**TUBE["setup"], **changes}})

        first, second = tube("Card", cover={"kind": "card"}), tube("Mesh", cover={"kind": "mesh", "opening": "1 mm"})
        tube("Oil", cover={"kind": "card"}, liquid="vegetable oil")
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/compare/{first}/{second}")
        expect(page.get_by_role("row", name="Cover kind card mesh")).to_be_visible()
        self.pick("another set-up", "Oil")
        expect(page.get_by_role("row", name="Liquid water water vegetable oil")).to_be_visible()
        expect(page.locator('[data-id="caption"]')).to_have_count(3)
        self.quiet()
        self.assertEqual(self.faults(), [])
        page.get_by_role("button", name="take Mesh away").click()
        expect(page.get_by_role("row", name="Liquid water vegetable oil")).to_be_visible()
        expect(page.get_by_role("row", name=re.compile("^Cover kind"))).to_have_count(0)

    def test_two_of_different_kinds_are_not_compared(self):
        cup = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "5 cm", "air_left": "30 %"}}
        self.page.goto(f"{self.live_server_url}/d/lakeside/compare/{self.keep('Tube', TUBE)}/{self.keep('Cup', cup)}")
        expect(self.page.get_by_text("not of one kind")).to_be_visible()


PIPE = {
    "anchorage": 1,
    "demonstration": "lifted-column",
    "room": {"station_pressure": "941.7 hPa"},
    "setup": {"liquid": "water", "bore": "18 mm", "tube_length": "60 cm", "vent": True, "lift": "12 cm"},
}


class GoesOn(BrowserCase):
    def test_a_pipe_lowered_open_is_closed_lifted_and_the_run_played_as_one(self):
        page = self.page
        self.bench(self.keep("Lowered open", PIPE))
        page.get_by_role("button", name="go on from its end").click()
        expect(page.get_by_text("Begins with the air let in, if it is closed now")).to_be_visible()
        expect(self.input("setup.trapped_gas.length")).to_have_value("12 cm")
        page.get_by_label("Upper end open").uncheck()
        self.input("setup.lift").fill("45 cm")
        self.quiet()
        page.get_by_label("name of the variation").fill("Closed and lifted")
        page.get_by_role("button", name="Keep").click()
        expect(page.get_by_role("button", name="2 Closed and lifted")).to_contain_text("from the end of 1")
        first, second = (page.get_by_role("button", name=re.compile(f"^{start}")) for start in ("1 Lowered", "2 Closed"))
        page.get_by_role("button", name="play as one run").click()
        expect(first).to_have_attribute("aria-pressed", "true")
        expect(second).to_have_attribute("aria-pressed", "true")
        page.get_by_role("button", name="stop the run").click()
