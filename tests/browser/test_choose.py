"""Choosing as a new teacher would, by pointer and by keys; what shows the same; small sections that come as they are wanted."""

from __future__ import annotations

from playwright.sync_api import expect

from .base import BrowserCase


class Choose(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.page.goto(f"{self.live_server_url}/d/lakeside/choose")
        expect(self.page.get_by_role("heading", name="Choose what to show")).to_be_visible()
        self.quiet()

    def names(self) -> list[str]:
        return [name for name in self.page.locator("main li strong").all_text_contents() if name]

    def test_something_about_pressure_and_depth_ten_minutes_no_sink_from_the_back_row(self):
        page = self.page
        self.assertEqual(len(self.names()), 15)
        page.get_by_label("It shows").select_option(value="depth")
        page.get_by_label("At the bench").select_option(value="10")
        page.get_by_label("no sink").check()
        page.get_by_label("Seen from").select_option(value="9")
        self.quiet()
        names = self.names()
        self.assertIn("Joined vessels", names)
        self.assertNotIn("Siphon", names)
        self.assertIn("idea=depth", page.url)
        page.reload()
        self.quiet()
        self.assertEqual(self.names(), names, "the wish is shared by its address")
        page.get_by_role("button", name="Begin with it: Joined vessels").click()
        expect(page.get_by_label("name of the set-up")).to_have_value("Three shapes on one foot")
        expect(self.verdict()).to_contain_text("one level")

    def test_search_forgives_typing_errors_and_says_what_finds_nothing(self):
        page = self.page
        page.get_by_label("search by idea, gear or mistake").fill("barometr")
        self.quiet(pause=300)
        self.assertIn("Barometer", self.names())
        page.get_by_label("search by idea, gear or mistake").fill("jets zeppelin")
        self.quiet(pause=300)
        expect(page.get_by_text("Nothing is called zeppelin.")).to_be_visible()
        self.assertEqual(self.names(), ["Holed bottle"])

    def test_it_is_gone_through_by_keys_alone(self):
        page = self.page
        page.get_by_label("search by idea, gear or mistake").focus()
        page.keyboard.type("diver")
        self.quiet(pause=300)
        for _ in range(30):
            page.keyboard.press("Tab")
            if page.evaluate("() => document.activeElement?.getAttribute('aria-label')") == "Begin with it: Cartesian diver":
                break
        page.keyboard.press("Enter")
        expect(self.verdict()).to_contain_text("sinks")

    def test_from_a_set_up_what_shows_the_same_is_one_step_away(self):
        self.bench(self.keep("Bottle"))
        self.page.get_by_role("link", name="what shows the same?").click()
        expect(self.page.get_by_role("heading", name="Instead of holed bottle")).to_be_visible()
        self.quiet()
        names = self.names()
        self.assertNotIn("Holed bottle", names)
        self.assertIn("Pressure at a depth", names)

    def test_small_sections_are_there_and_set_ups_are_offered_beside_the_demonstrations(self):
        self.keep("Rain barrel")
        self.page.reload()
        self.quiet()
        expect(self.page.get_by_role("button", name="Open it: Rain barrel")).to_be_visible()
        widths = self.page.evaluate("() => [...document.images].filter((one) => one.complete).map((one) => one.naturalWidth)")
        self.assertTrue(widths and all(width > 100 for width in widths[:4]), widths)

    def test_nothing_that_fits_says_what_helps(self):
        self.page.goto(f"{self.live_server_url}/d/lakeside/choose?idea=weather&minutes=5")
        expect(self.page.get_by_text("Nothing fits all of this.")).to_be_visible()
        self.page.get_by_role("button", name="leave all open").click()
        self.quiet()
        self.assertEqual(len(self.names()), 15)

    def test_a_phone_shows_it_without_scrolling_sideways(self):
        page = self.new_page(self.new_context(self.teacher, 390, 844))
        page.goto(f"{self.live_server_url}/d/lakeside/choose")
        expect(page.get_by_role("heading", name="Choose what to show")).to_be_visible()
        self.quiet(page)
        self.assertLessEqual(page.evaluate("() => document.documentElement.scrollWidth"), 390)
