"""Lessons: planned with their set-ups as they stand, conflicts that their cures resolve, a calendar that a library reads."""

from __future__ import annotations

import json
from datetime import UTC, datetime, timedelta
from typing import Any

import icalendar
from django.db import connection
from django.test.utils import CaptureQueriesContext
from django.utils import timezone

from hydrostatics.demonstrations.registry import by_key
from server.lessons.models import Lesson
from server.lessons.printing import own
from server.rooms.models import Room

from .base import BASE, LessonCase


class Lessons(LessonCase):
    def test_it_is_planned_backwards_from_its_bell_with_every_job_before_it(self):
        got = self.planned(self.setup_of("barometer", "Hose"), self.setup_of("siphon", "Tubs"))
        bell = datetime.fromisoformat(got["starts_at"])
        self.assertEqual([(row["name"], row["minutes"]) for row in got["rows"]], [("Hose", 8), ("Tubs", 8)])
        self.assertEqual(datetime.fromisoformat(got["rows"][1]["begins"]) - bell, timedelta(minutes=11))
        self.assertEqual(got["conflicts"], [])
        self.assertTrue(got["proved"])
        self.assertTrue(all(datetime.fromisoformat(slot["ends"]) <= bell for slot in got["slots"]))
        self.assertIn("Boil the water", got["slots"][0]["words"])
        self.assertEqual(got["begins"], got["slots"][0]["begins"])

    def test_a_conflict_is_resolved_by_what_is_offered(self):
        body = self.body(self.setup_of("barometer"), way="pot")
        got = self.send(self.client_in, "post", f"{BASE}/lessons", body).json()
        (conflict,) = got["conflicts"]
        self.assertIsNone(got["slots"])
        cure = next(one for one in conflict["cures"] if one["changes"] == {"way": "day-before"})
        kept = self.send(self.client_in, "put", f"{BASE}/lessons/{got['id']}", {**body, **cure["changes"], "version": 1}).json()
        self.assertEqual((kept["conflicts"], kept["version"]), ([], 2))
        self.assertEqual([one["key"].partition(".")[2] for one in kept["early"]], ["boil", "cool"])

    def test_two_lessons_in_one_room_and_one_in_the_past_are_told(self):
        tubs = self.setup_of("siphon")
        self.planned(tubs, name="The other class")
        self.assertIn("“The other class” is in the same room", self.planned(tubs)["conflicts"][0]["words"])
        past = self.planned(tubs, starts_at=(timezone.now() - timedelta(days=1)).isoformat())
        self.assertIn("lies in the past", past["conflicts"][-1]["words"])

    def test_a_bell_too_near_says_what_it_would_take(self):
        got = self.planned(self.setup_of("barometer"), starts_at=(timezone.now() + timedelta(minutes=30)).isoformat())
        self.assertRegex(got["conflicts"][0]["words"], r"cannot be done in (29|30) min: it takes")

    def test_a_set_up_put_away_since_stands_where_it_was_and_can_be_taken_out(self):
        hose, tubs = self.setup_of("barometer", "Hose"), self.setup_of("siphon", "Tubs")
        got = self.planned(hose, tubs)
        self.send(self.client_in, "post", f"{BASE}/setups/{hose}/archive")
        again = self.client_in.get(f"{BASE}/lessons/{got['id']}").json()
        self.assertEqual((again["conflicts"][0]["words"], again["conflicts"][0]["item"]), ("“Hose” was put away.", 0))
        self.assertEqual(again["conflicts"][0]["cures"][0]["changes"], {"without": 0})
        self.assertTrue(again["slots"] and all(slot["item"] == 1 for slot in again["slots"]))

    def test_across_a_clock_change_minutes_stay_minutes(self):
        bell = datetime(2027, 3, 28, 0, 30, tzinfo=UTC)  # an hour later in many places the clocks go forward
        got = self.planned(self.setup_of("siphon"), self.setup_of("barometer"), starts_at=bell.isoformat(), minutes=60)
        last = got["rows"][-1]
        self.assertEqual(datetime.fromisoformat(last["ends"]) - bell, timedelta(minutes=22))

    def test_the_calendar_is_read_by_a_library_with_an_alarm_at_each_job(self):
        got = self.planned(self.setup_of("barometer", "Hose"))
        answer = self.client_in.get(f"{BASE}/lessons/{got['id']}/lesson.ics", headers={"host": "localhost"})
        self.assertEqual(answer["Content-Type"], "text/calendar; charset=utf-8")
        events = icalendar.Calendar.from_ical(answer.content).walk("VEVENT")
        self.assertEqual(len(events), 1 + len(got["slots"]))
        self.assertEqual(str(events[0]["SUMMARY"]), "Pressure, third lesson")
        self.assertEqual(events[0]["DTSTART"].dt, datetime.fromisoformat(got["starts_at"]).replace(microsecond=0))
        self.assertEqual(events[1]["DTSTART"].dt, datetime.fromisoformat(got["slots"][0]["begins"]).replace(microsecond=0))
        self.assertTrue(all(one.walk("VALARM") for one in events))

    def sheet(self, lesson: int, kind: str) -> tuple[int, str]:
        return self.pdf(f"lessons/{lesson}/{kind}.pdf")

    def test_the_technicians_sheet_has_every_job_with_its_time_and_the_clearing_on_one_page(self):
        got = self.planned(
            self.setup_of("barometer", "Hose"),
            self.setup_of("siphon", "Tubs"),
            self.setup_of("holed-bottle", "Holes"),
            self.setup_of("inverted-glass", "Glass"),
        )
        pages, words = self.sheet(got["id"], "prep")
        self.assertEqual(pages, 1)
        for slot in got["slots"]:
            at = timezone.localtime(datetime.fromisoformat(slot["begins"]))
            self.assertIn(f"{at:%H:%M} {slot['words'].split(',')[0]}", words)
        for said in ("Version 1, printed", "After it", "Pins and corks counted in", "rules of the place come first"):
            self.assertIn(said, words)

    def test_the_teachers_sheet_has_each_verdict_question_and_caution_on_one_page(self):
        got = self.planned(self.setup_of("barometer", "Hose"), self.setup_of("holed-bottle", "Holes"))
        pages, words = self.sheet(got["id"], "run")
        self.assertEqual(pages, 1)
        for said in ("Hose", "Which jet lands farthest", "The column stands at", "To end on.", "Boathouse"):
            self.assertIn(said, words)

    def test_a_sheet_of_a_lesson_that_cannot_be_planned_says_what_is_in_the_way(self):
        got = self.planned(self.setup_of("barometer", "Hose & <Sons>"), things={"hob": 0, "sink": 1, "pump": 1})
        _, words = self.sheet(got["id"], "prep")
        self.assertIn("In the way: “Hose & <Sons>” needs a hob", words)
        self.assertEqual(self.sheet(self.planned()["id"], "run")[0], 1)

    def test_a_sheet_takes_nothing_from_elsewhere(self):
        for address in ("http://127.0.0.1:1/x.png", "file:///etc/passwd", "data:text/html,x"):
            with self.assertRaises(ValueError):
                own(address)
        self.assertEqual(own("font:label-400.ttf")[1], "font/ttf")
        with self.assertRaises(OSError):
            own("font:../lettering.py/../passwd")

    def hose_with(self, name: str, **facts: Any) -> int:
        """A set-up that took its bore from a thing of the shelf."""
        thing = {"name": f"Thing of {name}", "sort": "hose", "sizes": [{"key": "bore", "quantity": "12 mm"}], **facts}
        self.thing = self.send(self.client_in, "post", f"{BASE}/shelf", thing).json()
        return self.taking(name, self.thing)

    def taking(self, name: str, thing: dict[str, Any]) -> int:
        start = by_key()["barometer"].guide.starts[0]["document"]
        document = json.dumps({**start, "setup": {**start["setup"], "bore": "12 mm"}})
        body = {"name": name, "document": document, "picks": {"setup.bore": thing["sizes"][0]["id"]}}
        return int(self.send(self.client_in, "post", f"{BASE}/setups", body).json()["id"])

    def gear(self, *setups: int, **changes: Any) -> list[str]:
        return [one["words"] for one in self.planned(*setups, **changes)["conflicts"] if "Thing of" in one["words"]]

    def test_a_thing_that_cannot_be_there_is_told_at_its_set_up(self):
        day = (timezone.localtime() + timedelta(days=2)).date()
        self.assertEqual(self.gear(self.hose_with("sound")), [])
        self.assertEqual(self.gear(self.hose_with("broken", state="broken")), ["“Thing of broken” is broken."])
        lent = {"lent_to": "the club", "lent_until": (day + timedelta(days=1)).isoformat()}
        self.assertIn("is lent to the club until", self.gear(self.hose_with("lent", **lent))[0])
        back = {"lent_to": "the club", "lent_until": (day - timedelta(days=1)).isoformat()}
        self.assertEqual(self.gear(self.hose_with("back by then", **back)), [])
        self.assertEqual(self.gear(self.hose_with("wanted", wanted=True)), ["“Thing of wanted” is wanted, and not there yet."])
        gone = self.hose_with("gone")
        self.send(self.client_in, "post", f"{BASE}/shelf/{self.thing['id']}/archive")
        self.assertEqual(self.gear(gone), ["“Thing of gone” is off the shelf."])

    def test_a_thing_in_two_set_ups_or_in_two_lessons_at_once_is_told(self):
        one = self.hose_with("one")
        two = self.taking("two", self.thing)
        week = (timezone.now() + timedelta(days=7)).isoformat()
        self.assertIn("is in 2 of the set-ups, and there is one", self.gear(one, two, starts_at=week)[0])
        self.planned(one, name="Next door", room=0)
        self.assertEqual(self.gear(two), ["“Thing of one” is in “Next door” at the same time."])
        self.assertEqual(self.gear(two, starts_at=(timezone.now() + timedelta(days=4)).isoformat()), [])

    def test_a_set_up_tells_the_lessons_that_will_show_it_and_what_of_its_own_gear_is_elsewhere_then(self):
        one = self.hose_with("one")
        two = self.taking("two", self.thing)
        other = self.hose_with("broken", state="broken")
        week = (timezone.now() + timedelta(days=7)).replace(microsecond=0).isoformat()
        self.planned(two, name="Next door", room=0)
        self.planned(one, other, name="Clash")
        self.planned(one, name="A week later", starts_at=week)
        self.planned(one, name="Gone by", starts_at=(timezone.now() - timedelta(days=1)).isoformat())
        got = self.client_in.get(f"{BASE}/setups/{one}/coming").json()
        self.assertEqual([lesson["name"] for lesson in got], ["Clash", "A week later"])
        self.assertEqual([lesson["in_the_way"] for lesson in got], [["“Thing of one” is in “Next door” at the same time."], []])
        self.assertEqual((got[0]["room"], datetime.fromisoformat(got[1]["starts_at"])), ("Boathouse", datetime.fromisoformat(week)))
        self.assertEqual(self.client_in.get(f"{BASE}/setups/{other}/coming").json()[0]["in_the_way"], ["“Thing of broken” is broken."])

    def test_what_is_borrowed_is_put_by_before_the_rest(self):
        got = self.planned(self.hose_with("borrowed", borrowed_from="the fire station"))
        self.assertEqual(got["clearing"][0]["words"], "Borrowed from the fire station, put by to go back: Thing of borrowed")
        self.assertFalse(any("Borrowed" in one["words"] for one in self.planned(self.hose_with("own"))["clearing"]))

    def test_what_somebody_kept_meanwhile_is_not_overwritten(self):
        body = self.body()
        got = self.send(self.client_in, "post", f"{BASE}/lessons", body).json()
        self.assertEqual(self.send(self.client_in, "put", f"{BASE}/lessons/{got['id']}", {**body, "name": "Mine", "version": 1}).status_code, 200)
        late = self.send(self.client_in, "put", f"{BASE}/lessons/{got['id']}", {**body, "name": "Theirs", "version": 1})
        self.assertEqual((late.status_code, late.json()["code"]), (409, "conflict"))
        self.assertEqual(Lesson.objects.get().name, "Mine")

    def test_wrong_input_names_its_field(self):
        for changes, path in (
            ({"boiled": "3 kg"}, "boiled"),
            ({"boiled": "0 L"}, "boiled"),
            ({"name": "  "}, "name"),
            ({"hands": 9}, "hands"),
            ({"minutes": 7.1}, "minutes"),
        ):
            got = self.send(self.client_in, "post", f"{BASE}/lessons", self.body(**changes))
            self.assertEqual((got.status_code, got.json()["path"]), (422, path), got.content)
        self.assertEqual(self.send(self.client_in, "post", f"{BASE}/lessons", self.body(starts_at="tomorrow")).json()["path"], "starts_at")

    def test_a_bell_of_another_age_is_refused_and_one_of_an_odd_zone_is_kept_in_its_moment(self):
        got = self.send(self.client_in, "post", f"{BASE}/lessons", self.body(starts_at="0321-03-03T14:34:07-17:23"))
        self.assertEqual((got.status_code, got.json()["path"]), (422, "starts_at"))
        self.assertEqual(self.planned(starts_at="2031-03-03T14:34:00-17:23")["starts_at"], "2031-03-04T07:57:00Z")

    def test_no_set_up_and_no_room_of_another_department_gets_in(self):
        quarry = self.as_(self.stranger)
        document = json.dumps(by_key()["siphon"].guide.starts[0]["document"])
        theirs = self.send(quarry, "post", "/api/departments/quarry/setups", {"name": "Secret", "document": document}).json()["id"]
        got = self.send(self.client_in, "post", f"{BASE}/lessons", self.body(theirs))
        self.assertEqual((got.status_code, got.json()["path"]), (422, "items.0.setup"))
        place = Room.objects.create(department=self.stranger.department, name="Secret place", stated={})
        self.assertEqual(self.send(self.client_in, "post", f"{BASE}/lessons", self.body(room=place.pk)).status_code, 404)

    def test_the_next_one_is_the_first_that_is_not_over(self):
        self.assertIsNone(self.client_in.get(f"{BASE}/lessons/next").json())
        now = timezone.now()
        for name, begins in (("Over", -90), ("On now", -20), ("Tomorrow", 1440)):
            self.planned(name=name, starts_at=(now + timedelta(minutes=begins)).isoformat())
        self.assertEqual(self.client_in.get(f"{BASE}/lessons/next").json()["name"], "On now")

    def test_it_is_put_away_and_brought_back(self):
        got = self.planned()
        self.send(self.client_in, "post", f"{BASE}/lessons/{got['id']}/archive")
        self.assertEqual(self.client_in.get(f"{BASE}/lessons").json(), [])
        self.send(self.client_in, "post", f"{BASE}/lessons/{got['id']}/bring-back")
        self.assertEqual([one["name"] for one in self.client_in.get(f"{BASE}/lessons").json()], ["Pressure, third lesson"])

    def test_eight_lessons_are_listed_with_as_many_queries_as_one(self):
        self.planned()
        one = self.asked_of_the_database()
        for _ in range(7):
            self.planned()
        self.assertEqual(self.asked_of_the_database(), one)

    def asked_of_the_database(self) -> int:
        with CaptureQueriesContext(connection) as seen:
            self.client_in.get(f"{BASE}/lessons")
        return len(seen)
