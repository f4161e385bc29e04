"""A lesson planned in the browser: set-ups taken in and moved, a conflict resolved by what is offered, the calendar fetched."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Any
from urllib.parse import urlsplit

import icalendar
from playwright.sync_api import Page, expect

from hydrostatics.demonstrations.registry import by_key
from server.lessons.models import Lesson, Tick
from server.rooms.models import Room
from server.rooms.services.save_room import use_room
from server.setups.models import Setup
from tests.support.wire import Wire

from .base import ROOT, BrowserCase

FRAME = "new Promise(requestAnimationFrame)"
HELD = """async () => {
  const caught = await Promise.all((await caches.keys()).map(async (name) => [name, (await (await caches.open(name)).keys()).length]));
  return Object.fromEntries(caught);
}"""
"""How many answers the browser keeps for when there is no network, by what they are."""


def start(key: str) -> dict[str, Any]:
    return dict(by_key()[key].guide.starts[0]["document"])


class Lessons(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"elevation": "640 m", "temperature": "17 degC"})
        use_room(self.teacher, self.room)
        self.keep("Hose", start("barometer"))
        self.keep("Tubs", start("siphon"))

    def part(self, name: str, page: Page | None = None) -> None:
        (page or self.page).get_by_role("navigation", name="parts of the lesson").get_by_role("button", name=name).click()

    def begin(self) -> Page:
        self.page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        self.page.get_by_role("button", name="Plan a lesson").click()
        expect(self.page.get_by_role("heading", name="A new lesson")).to_be_visible()
        return self.page

    def test_a_lesson_of_four_with_one_sink_is_planned_moved_cured_and_put_into_a_calendar(self):
        for name, key in (("Glass", "inverted-glass"), ("Holes", "holed-bottle")):
            self.keep(name, start(key))
        self.page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        expect(self.page.get_by_text("No lesson is planned yet")).to_be_visible()
        page = self.begin()
        order = page.get_by_role("list", name="running order").get_by_role("listitem")
        for k, name in enumerate(("Hose", "Tubs", "Glass", "Holes")):
            self.pick("take a set-up in", name)
            expect(order.nth(k)).to_contain_text(name)
        page.get_by_role("button", name="Tubs earlier").click()
        expect(order.first).to_contain_text("Tubs")
        self.assertEqual(self.faults(), [])
        self.part("Before the bell")
        jobs = page.get_by_role("list", name="before the bell").get_by_role("listitem")
        expect(jobs.filter(has_text="Boil the water")).to_have_count(1)
        sinks = [text for text in jobs.all_inner_texts() if "sink" in text]
        self.assertGreater(len(sinks), 5)
        self.assertEqual(self.faults(), [])
        self.part("Running order")
        page.get_by_label("cooled").select_option("pot")
        expect(page.get_by_role("alert").first).to_contain_text("cannot be done in 3 h")
        expect(page.locator(".verdict")).to_contain_text("It cannot be as it stands")
        page.get_by_role("button", name="boil it the day before").click()
        expect(page.locator(".verdict")).to_contain_text("all is ready at the bell")
        self.part("Before the bell")
        expect(page.get_by_role("heading", name="The day before")).to_be_visible()
        self.part("Sheets and calendar")
        with page.expect_download() as fetched:
            page.get_by_role("link", name="Into a calendar").click()
        events = icalendar.Calendar.from_ical(fetched.value.path().read_bytes()).walk("VEVENT")
        self.assertIn("A new lesson", [str(one["SUMMARY"]) for one in events])
        self.assertGreater(len(events), 3)
        self.assertEqual(self.faults(), [])

    def test_it_is_ticked_by_phone_with_the_network_cut_in_the_middle_and_every_tick_arrives_once(self):
        page = self.begin()
        self.pick("take a set-up in", "Tubs")
        expect(page.get_by_role("list", name="running order").get_by_role("listitem").first).to_contain_text("Tubs")
        context = self.new_context(self.head, 390, 844)
        phone = self.new_page(context)
        phone.goto(page.url.split("#")[0] + "#before")
        boxes = phone.get_by_role("list", name="before the bell").get_by_role("checkbox")
        expect(boxes).to_have_count(2)
        self.assertEqual(phone.evaluate("document.documentElement.scrollWidth"), 390)
        boxes.nth(0).check()
        self.quiet(phone)
        context.set_offline(True)
        boxes.nth(1).check()
        phone.get_by_label("speed in the hose of Tubs, read at the dry run").fill("1.4 m/s")
        phone.keyboard.press("Tab")
        expect(phone.get_by_role("status")).to_contain_text("2 ticks are kept here")
        context.set_offline(False)
        expect(phone.get_by_role("status")).to_have_count(0)
        self.assertEqual(Tick.objects.count(), 3)
        self.assertEqual(set(Tick.objects.values_list("by__username", flat=True)), {self.head.person.username})
        page.reload()
        self.part("Before the bell")
        for box in page.get_by_role("list", name="before the bell").get_by_role("checkbox").all():
            expect(box).to_be_checked()
        expect(page.get_by_label("speed in the hose of Tubs, read at the dry run")).to_have_value("1.4 m/s")
        self.assertEqual(self.faults(phone), [])

    def test_the_page_opens_without_a_network_says_so_and_what_is_ticked_then_arrives_once(self):
        page = self.begin()
        self.pick("take a set-up in", "Tubs")
        wire = Wire(urlsplit(self.live_server_url).port)
        self.addCleanup(wire.cut)
        phone = self.new_page(self.new_context(self.head, 390, 844, through=wire))
        phone.goto(f"http://localhost:{wire.port}{urlsplit(page.url).path}#before")
        built = len(list((ROOT / "web/dist/assets").iterdir())) + len(["the mark"])
        held = {"files": built, "page": 1, "told": 2}
        self.until(lambda: phone.evaluate(HELD) == held, lambda: str(phone.evaluate(HELD)), lambda: phone.evaluate(FRAME))
        bench = f"http://localhost:{wire.port}/d/lakeside/bench/{Setup.objects.get(name='Tubs').pk}"
        lesson = phone.url
        phone.goto(bench)
        expect(phone.get_by_role("heading", name="Tubs")).to_be_visible()
        self.assertNotIn(
            "Tubs", phone.evaluate("caches.match('/', { cacheName: 'page' }).then((page) => page.text())"), "a set-up may be old when it is wanted"
        )
        wire.cut()
        phone.goto(bench)
        expect(phone.get_by_text("The server does not answer").first).to_be_visible()
        phone.goto(lesson)
        expect(phone.get_by_role("status").first).to_contain_text("The server does not answer. What you see it told on")
        boxes = phone.get_by_role("list", name="before the bell").get_by_role("checkbox")
        expect(boxes).to_have_count(2)
        boxes.nth(0).check()
        phone.reload()
        expect(boxes.nth(0)).to_be_checked()
        expect(phone.get_by_text("One tick is kept here")).to_be_visible()
        self.assertEqual(phone.evaluate("document.documentElement.scrollWidth"), 390)
        self.assertEqual(Tick.objects.count(), 0)
        Lesson.objects.update(name="Named anew meanwhile")
        wire.mend()
        expect(phone.get_by_role("status")).to_have_count(0)
        expect(phone.get_by_role("heading", name="Named anew meanwhile")).to_be_visible()
        self.assertEqual(Tick.objects.count(), 1)
        Lesson.objects.get().put_away(self.head.person)
        phone.reload()
        self.until(lambda: phone.evaluate(HELD)["told"] == 1, lambda: "what was put away is kept", lambda: phone.evaluate(FRAME))
        phone.goto(f"http://localhost:{wire.port}/accounts/logout/")
        self.until(
            lambda: not any(phone.evaluate(HELD).get(name) for name in ("page", "told")), lambda: str(phone.evaluate(HELD)), lambda: phone.evaluate(FRAME)
        )

    def test_prepare_tells_the_steps_with_their_minutes_and_for_which_lesson_it_is(self):
        page = self.begin()
        self.pick("take a set-up in", "Tubs")
        self.quiet()
        page.goto(f"{self.live_server_url}/d/lakeside/bench/{Setup.objects.get(name='Tubs').pk}")
        self.quiet()
        page.keyboard.press("3")
        sheet = page.get_by_role("article", name="how to prepare it")
        steps = by_key()["siphon"].guide.prepare.steps
        expect(sheet.get_by_role("heading", name="Steps")).to_contain_text("about 10 min at the bench")
        expect(sheet.get_by_role("listitem").filter(has_text="Bring the crest to")).to_contain_text(f"{steps[1].minutes:g} min May happen: {steps[1].amiss}")
        sheet.get_by_role("link", name="A new lesson").click()
        expect(page.get_by_role("heading", name="A new lesson")).to_be_visible()

    def test_a_course_is_made_filled_and_moved_by_a_week(self):
        page = self.begin()
        page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        page.get_by_label("a new course").fill("Air and depth")
        page.get_by_role("button", name="Make it").click()
        expect(page.get_by_role("article", name="Air and depth")).to_contain_text("No lesson is in it yet")
        page.get_by_role("list", name="lessons").get_by_role("link", name="A new lesson").click()
        self.pick("take a set-up in", "Tubs")
        page.get_by_role("combobox", name="course").select_option("Air and depth")
        self.quiet()
        before = page.get_by_label("the bell").input_value()
        page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        course = page.get_by_role("article", name="Air and depth")
        expect(course).to_contain_text("needs what nothing before it has shown: pressure grows with depth")
        page.get_by_role("button", name="move Air and depth").click()
        self.quiet()
        page.get_by_role("list", name="lessons").get_by_role("link", name="A new lesson").click()
        self.part("Running order")
        after = page.get_by_label("the bell").input_value()
        self.assertEqual(datetime.fromisoformat(after) - datetime.fromisoformat(before), timedelta(weeks=1))
        self.assertEqual(self.faults(), [])

    def test_a_note_after_it_stands_on_the_bench_and_a_printed_sheet_goes_stale(self):
        page = self.begin()
        self.pick("take a set-up in", "Tubs")
        self.quiet()
        self.part("After the bell")
        page.get_by_label("to be known next time").fill("bring a longer hose")
        page.reload()
        expect(page.get_by_label("to be known next time")).to_have_value("bring a longer hose")
        Lesson.objects.update(note="a wider tub")
        page.get_by_role("button", name="Keep it").click()
        expect(page.get_by_role("alert")).to_contain_text(
            "Somebody changed the note of the lesson “A new lesson” after you opened it. Nothing was overwritten."
        )
        expect(page.get_by_role("alert")).to_contain_text("a wider tub")
        page.get_by_role("button", name="Keep mine instead").click()
        expect(page.get_by_text("Kept.")).to_be_visible()
        self.assertEqual(Lesson.objects.get().note, "bring a longer hose")
        address = page.url.split("#")[0]
        pdf = page.request.get(address.replace("/d/lakeside", "/api/departments/lakeside") + "/prep.pdf")
        self.assertEqual(pdf.headers["content-type"], "application/pdf")
        self.part("Running order")
        page.get_by_label("until the next, min").fill("60")
        page.get_by_label("until the next, min").press("Tab")
        self.part("Sheets and calendar")
        expect(page.get_by_role("alert")).to_contain_text("is stale: this is version 3")
        self.bench(Setup.objects.get(name="Tubs").pk)
        expect(page.get_by_label("noted last time")).to_contain_text("bring a longer hose")

    def test_what_cannot_be_read_says_so_and_a_colleagues_change_is_not_overwritten(self):
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/lessons")
        page.get_by_role("button", name="Plan a lesson").click()
        expect(page.get_by_role("heading", name="A new lesson")).to_be_visible()
        page.get_by_label("boiled each time").fill("3 kg")
        page.get_by_label("boiled each time").press("Tab")
        expect(page.get_by_role("alert")).to_contain_text("boiled each time: 3 kg is a mass; a volume is needed")
        expect(page.get_by_label("boiled each time")).to_have_value("3 kg")
        other = self.new_page(self.new_context(self.head))
        other.goto(page.url)
        other.get_by_label("name", exact=True).fill("Ours")
        other.get_by_label("name", exact=True).press("Tab")
        expect(other.get_by_role("heading", name="Ours")).to_be_visible()
        page.get_by_label("boiled each time").fill("2 L")
        page.get_by_label("boiled each time").press("Tab")
        expect(page.get_by_role("alert")).to_contain_text("head changed the lesson “Ours”")
        page.get_by_role("button", name="Show what is kept now").click()
        expect(page.get_by_role("heading", name="Ours")).to_be_visible()
        expect(page.get_by_label("boiled each time")).to_have_value("3 L")
