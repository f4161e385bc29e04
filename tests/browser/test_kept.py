"""Nothing typed is lost: what waits for a server, what somebody else changed meanwhile, what was put away."""

from __future__ import annotations

import json
import re

from playwright.sync_api import expect

from server.liquids.services.keep_liquid import keep_liquid
from server.rooms.models import Room
from server.rooms.services.save_room import save_room
from server.runs.models import Run
from server.runs.services.change_run import change_run
from server.runs.services.log_run import log_run
from server.setups.models import Setup
from tests.support.documents import bottle

from .base import BrowserCase

FIRST = "reading 1 of landing distance, no. 3"


class Typed(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.number = self.keep()
        self.bench(self.number)
        self.page.keyboard.press("5")

    def fill(self) -> None:
        self.page.get_by_label(FIRST).fill("40.5 cm")
        self.page.get_by_label("Half of the finest division you read (length)").fill("5 mm")
        self.page.get_by_label("partly", exact=True).check()
        self.page.get_by_label("Note for next time").fill("a gust from the door")

    def stands(self) -> None:
        expect(self.page.get_by_label(FIRST)).to_have_value("40.5 cm")
        expect(self.page.get_by_label("partly", exact=True)).to_be_checked()
        expect(self.page.get_by_label("Note for next time")).to_have_value("a gust from the door")

    def test_a_run_that_is_being_typed_survives_steps_and_a_reload_until_it_is_logged(self):
        self.fill()
        self.page.get_by_role("button", name="2 Predict").click()
        self.page.get_by_role("button", name="5 Run").click()
        self.stands()
        self.page.reload()
        self.page.get_by_role("button", name="5 Run").click()
        self.stands()
        self.page.get_by_role("button", name="Log this run").click()
        expect(self.page.get_by_role("cell").last).to_contain_text("40.5 cm")
        expect(self.page.get_by_role("heading", level=1)).to_be_focused()
        self.bench(self.number)
        self.page.keyboard.press("5")
        expect(self.page.get_by_label(FIRST)).to_have_value("")

    def test_another_person_at_this_browser_does_not_find_it(self):
        self.fill()
        self.quiet()
        found = self.page.evaluate("Object.keys(localStorage)")
        self.assertEqual([key for key in found if key.startswith("run:")], [f"run:teacher:lakeside:{self.number}"])

    def test_a_run_without_a_server_waits_and_is_logged_once(self):
        self.fill()
        self.context.set_offline(True)
        self.page.get_by_role("button", name="Log this run").click()
        expect(self.page.locator(".waiting")).to_contain_text("waits in this browser: no server answers")
        expect(self.page.get_by_label(FIRST)).to_have_value("")
        self.context.set_offline(False)
        expect(self.page.locator(".waiting")).to_contain_text("that waited is logged")
        self.page.get_by_role("link", name="see it").click()
        expect(self.page.get_by_role("cell").last).to_contain_text("40.5 cm")
        self.assertEqual([run.note for run in Run.objects.all()], ["a gust from the door"])

    def test_a_run_that_waited_and_is_refused_goes_back_into_the_form(self):
        self.fill()
        self.page.get_by_label(FIRST).fill("40.5 kg")
        self.context.set_offline(True)
        self.page.get_by_role("button", name="Log this run").click()
        expect(self.page.locator(".waiting")).to_contain_text("no server answers")
        self.context.set_offline(False)
        expect(self.page.locator(".waiting")).to_contain_text("was not logged")
        self.page.get_by_label("Note for next time").fill("of another run")
        expect(self.page.get_by_role("button", name="back into the form")).to_have_count(0)
        self.page.get_by_label("Note for next time").fill("")
        self.page.get_by_role("button", name="back into the form").click()
        expect(self.page.get_by_label(FIRST)).to_have_value("40.5 kg")
        expect(self.page.get_by_label("Note for next time")).to_have_value("a gust from the door")
        expect(self.page.locator(".waiting p")).to_have_count(0)
        self.assertEqual(Run.objects.count(), 0)

    def test_a_reading_far_off_is_asked_about_and_logged_when_it_is_so(self):
        self.fill()
        self.page.get_by_label(FIRST).fill("405 cm")
        self.page.get_by_role("button", name="Log this run").click()
        expect(self.page.get_by_text("405 cm lies far from the predicted")).to_be_visible()
        expect(self.page.get_by_label(FIRST)).to_have_value("405 cm")
        self.page.get_by_role("button", name="Yes, log it so").click()
        expect(self.page.get_by_role("cell").last).to_contain_text("405 cm")

    def test_a_save_without_a_server_is_made_when_one_answers_and_what_is_stale_says_so(self):
        page = self.page
        page.get_by_role("button", name="2 Predict").click()
        self.context.set_offline(True)
        self.input("setup.stand_drop").fill("19 cm")
        expect(page.get_by_role("note")).to_have_text("Drawing and numbers are those of the last good answer.")
        expect(page.get_by_role("button", name=re.compile("2 Predict was:"))).to_be_visible()
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_text("The save waits for it too.")).to_be_visible()
        self.context.set_offline(False)
        expect(page.get_by_text("saved by teacher")).to_be_visible()
        expect(page.get_by_role("note")).to_have_count(0)
        self.assertEqual(Setup.objects.get().version, 2)

    def test_a_new_set_up_saved_without_a_server_has_its_address_when_one_answers(self):
        page = self.page
        page.get_by_role("link", name="Set-ups").click()
        page.get_by_role("button", name="New set-up").click()
        page.get_by_role("button", name="Measured bottle, three holes").click()
        expect(self.verdict()).to_contain_text("lands farthest")
        self.context.set_offline(True)
        page.get_by_role("button", name="Save", exact=True).click()
        expect(page.get_by_text("The save waits for it too.")).to_be_visible()
        self.context.set_offline(False)
        expect(page).to_have_url(re.compile(r"/bench/\d+$"))
        self.assertEqual(Setup.objects.count(), 2)


class Meanwhile(BrowserCase):
    def test_a_room_that_somebody_else_kept_is_shown_beside_mine(self):
        room, _ = save_room(self.head, None, "Hall", {"station_pressure": "941 hPa"}, sure=True)
        self.page.goto(f"{self.live_server_url}/d/lakeside/rooms")
        field = self.page.locator('[id="f-room.station_pressure"]')
        for take, expected in (("Take theirs", "939 hPa"), ("Keep mine instead", "945 hPa")):
            field.fill("945 hPa")
            now = Room.objects.get(pk=room.pk)
            save_room(self.head, now, "Hall", {"station_pressure": "939 hPa", "temperature": f"{15 + now.version} degC"}, sure=True, seen=now.version)
            self.page.get_by_role("button", name="Keep this room").click()
            told = self.page.get_by_role("alert").filter(has_text="head changed the room “Hall” after you opened it")
            expect(told.get_by_role("row").filter(has_text="station pressure")).to_have_text(re.compile("945 hPa.*939 hPa"))
            told.get_by_role("button", name=take).click()
            expect(field).to_have_value(expected)
            expect(told).to_have_count(0)
        expect(self.page.get_by_text("Kept.")).to_be_visible()
        self.assertEqual(Room.objects.get().stated["station_pressure"], "945 hPa")

    def test_a_liquid_likewise(self):
        liquid = keep_liquid(self.head, None, "Rape oil", {"density": "915 kg/m^3"}, "")
        self.page.goto(f"{self.live_server_url}/d/lakeside/liquids")
        self.page.get_by_role("button", name="change").click()
        self.page.get_by_role("textbox", name="density").fill("917 kg/m^3")
        keep_liquid(self.head, liquid, "Rape oil", {"density": "919 kg/m^3"}, "", seen=1)
        self.page.get_by_role("button", name="Keep this liquid").click()
        expect(self.page.get_by_role("row").nth(1)).to_have_text(re.compile("density.*917 kg/m.*919 kg/m"))
        self.page.get_by_role("button", name="Keep mine instead").click()
        expect(self.page.get_by_role("textbox", name="density")).to_have_count(0)
        liquid.refresh_from_db()
        self.assertEqual((liquid.stated["density"], liquid.version), ("917 kg/m^3", 3))

    def test_a_runs_note_likewise_and_mine_stays_typed_meanwhile(self):
        setup = Setup.objects.get(pk=self.keep())
        run = log_run(self.head, setup, json.dumps(bottle()), outcome="worked", note="", rehearsal=False, series=[])
        self.page.goto(f"{self.live_server_url}/d/lakeside/log/{run.pk}")
        note = self.page.get_by_label("Note", exact=True)
        note.fill("bring a towel")
        change_run(self.head, run, seen=1, outcome="partly", note="cold", series=[])
        note.blur()
        expect(self.page.get_by_text("head changed this run after you opened it")).to_be_visible()
        expect(note).to_have_value("bring a towel")
        expect(self.page.get_by_role("row").filter(has_text="note")).to_have_text(re.compile("bring a towel.*cold"))
        self.page.get_by_role("button", name="Keep mine instead").click()
        expect(self.page.get_by_text("head changed this run")).to_have_count(0)
        self.quiet()
        run.refresh_from_db()
        self.assertEqual((run.note, run.outcome), ("bring a towel", "partly"), "the outcome was not touched here")


class PutAway(BrowserCase):
    def test_a_room_a_liquid_and_a_set_up_come_back_by_undo_and_from_what_is_archived(self):
        save_room(self.head, None, "Hall", {"station_pressure": "941 hPa"}, sure=True)
        keep_liquid(self.head, None, "Rape oil", {"density": "915 kg/m^3"}, "")
        page = self.page
        for address, name in (("rooms", "Hall"), ("liquids", "Rape oil")):
            page.goto(f"{self.live_server_url}/d/lakeside/{address}")
            page.get_by_role("button", name=f"archive {name}").click()
            expect(page.locator(".undo")).to_contain_text(f"“{name}” is archived.")
            expect(page.get_by_role("button", name=f"archive {name}")).to_have_count(0)
            page.get_by_role("button", name="undo").click()
            expect(page.locator(".undo")).to_have_text("")
            page.get_by_role("button", name=f"archive {name}").click()
            page.get_by_role("button", name="archived ones").click()
            page.get_by_role("button", name=f"bring back {name}").click()
            expect(page.get_by_role("button", name=f"archive {name}")).to_be_visible()
        self.keep("Bottle A")
        page.goto(f"{self.live_server_url}/d/lakeside")
        page.get_by_label("more for Bottle A").click()
        page.get_by_role("menuitem", name="Archive").click()
        expect(page.locator(".undo")).to_contain_text("“Bottle A” is archived.")
        page.get_by_role("button", name="undo").click()
        expect(page.get_by_label("more for Bottle A")).to_be_visible()

    def test_a_run_is_taken_back_by_who_logged_it_and_found_under_what_was_taken_back(self):
        setup = Setup.objects.get(pk=self.keep())
        mine, theirs = (
            log_run(who, setup, json.dumps(bottle()), outcome="worked", note=who.person.username, rehearsal=False, series=[])
            for who in (self.teacher, self.head)
        )
        page = self.page
        page.goto(f"{self.live_server_url}/d/lakeside/log/{theirs.pk}")
        expect(page.get_by_role("heading", level=1)).to_be_visible()
        expect(page.get_by_role("button", name="take this run back")).to_have_count(0)
        page.goto(f"{self.live_server_url}/d/lakeside/log/{mine.pk}")
        page.get_by_role("button", name="take this run back").click()
        expect(page.get_by_text("Taken back by teacher")).to_be_visible()
        page.get_by_role("button", name="undo").click()
        expect(page.get_by_text("Taken back by")).to_have_count(0)
        page.get_by_role("button", name="take this run back").click()
        expect(page.get_by_text("Taken back by teacher")).to_be_visible()
        page.get_by_role("link", name="Log", exact=True).click()
        expect(page.get_by_role("listitem")).to_have_count(1)
        page.get_by_role("button", name="taken back").click()
        expect(page.get_by_role("listitem")).to_contain_text("teacher")
