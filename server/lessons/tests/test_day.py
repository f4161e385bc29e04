"""A lesson on its day: ticks that arrive once, sheets that go stale, notes that come back, people in two places, what is taken home."""

from __future__ import annotations

import json
from datetime import UTC, datetime, timedelta
from typing import Any
from uuid import uuid4

import icalendar
from django.utils import timezone

from hydrostatics.demonstrations.registry import by_key
from server.lessons.models import Lesson
from server.rooms.models import Room

from .base import BASE, LessonCase


def tick(key: str, done: bool = True, *, minutes: float = 0, **facts: Any) -> dict[str, Any]:
    return {"sent": str(uuid4()), "key": key, "done": done, "at": (timezone.now() + timedelta(minutes=minutes)).isoformat(), **facts}


class Ticks(LessonCase):
    def send_ticks(self, lesson: int, *ticks: dict[str, Any]) -> dict[str, Any]:
        got = self.send(self.client_in, "post", f"{BASE}/lessons/{lesson}/ticks", {"ticks": list(ticks)})
        self.assertEqual(got.status_code, 200, got.content)
        return dict(got.json())

    def test_a_tick_sent_twice_is_one_and_stays_with_its_job_when_items_are_moved(self):
        hose, tubs = self.setup_of("barometer", "Hose"), self.setup_of("siphon", "Tubs")
        got = self.planned(hose, tubs)
        key = next(slot["key"] for slot in got["slots"] if "kinks" in slot["words"])
        one = tick(key)
        self.assertEqual(self.send_ticks(got["id"], one), self.send_ticks(got["id"], one, one))
        moved = self.send(self.client_in, "put", f"{BASE}/lessons/{got['id']}", {**self.body(tubs, hose), "version": 1}).json()
        self.assertIn(key, {slot["key"] for slot in moved["slots"] if "kinks" in slot["words"]})
        twice = self.planned(tubs, self.setup_of("siphon", "Other tubs"), tubs)["slots"]
        self.assertEqual(len({slot["key"] for slot in twice}), len(twice), "each job of each item has a key of its own")
        self.assertEqual([(one["done"], one["by"]) for one in moved["ticks"].values()], [(True, "lakeside-teacher")])

    def test_what_was_done_last_counts_however_late_the_rest_arrives(self):
        got = self.planned(self.setup_of("siphon"))
        self.send_ticks(got["id"], tick("1.fill", False, minutes=5))
        self.assertFalse(self.send_ticks(got["id"], tick("1.fill", True, minutes=2))["1.fill"]["done"])

    def test_a_reading_of_the_dry_run_is_kept_as_typed_beside_what_was_predicted(self):
        got = self.planned(self.setup_of("barometer", "Hose"))
        asked = next(one for one in got["dry"] if one["words"] == "space above the column")
        self.assertRegex(asked["predicted"], r"1\.\d+\s±\s0\.\d+\sm")
        self.send_ticks(got["id"], tick(asked["key"], words="1.2 m"))
        self.assertEqual(self.lesson(got["id"])["ticks"][asked["key"]]["words"], "1.2 m")

    def test_a_tick_without_a_key_or_of_another_age_names_its_field(self):
        got = self.planned()
        for one, path in ((tick(""), "ticks.0.key"), (tick("1.fill", at="0999-01-01T00:00:00Z"), "ticks.0.at")):
            answer = self.send(self.client_in, "post", f"{BASE}/lessons/{got['id']}/ticks", {"ticks": [one]})
            self.assertEqual((answer.status_code, answer.json()["path"]), (422, path))

    def test_a_done_job_is_ticked_on_the_sheet_too(self):
        got = self.planned(self.setup_of("siphon"))
        plain = self.client_in.get(f"{BASE}/lessons/{got['id']}/prep.pdf").content
        self.send_ticks(got["id"], tick(got["slots"][0]["key"]))
        self.assertNotEqual(len(plain), len(self.client_in.get(f"{BASE}/lessons/{got['id']}/prep.pdf").content))


class Sheets(LessonCase):
    def test_a_bell_moved_after_the_sheet_was_printed_makes_it_stale_until_it_is_printed_again(self):
        tubs = self.setup_of("siphon")
        got = self.planned(tubs)
        self.pdf(f"lessons/{got['id']}/prep.pdf")
        self.assertEqual(self.lesson(got["id"])["stale"], [])
        later = (timezone.now() + timedelta(days=3)).isoformat()
        moved = self.send(self.client_in, "put", f"{BASE}/lessons/{got['id']}", {**self.body(tubs, starts_at=later), "version": 1}).json()
        self.assertEqual([one["kind"] for one in moved["stale"]], ["prep"])
        self.assertIn("(version 1) is stale: this is version 2", moved["stale"][0]["words"])
        self.assertIn("Version 2, printed", self.pdf(f"lessons/{got['id']}/prep.pdf")[1])
        self.assertEqual(self.lesson(got["id"])["stale"], [])

    def test_a_set_up_changed_since_makes_it_stale_too(self):
        tubs = self.setup_of("siphon")
        got = self.planned(tubs)
        self.pdf(f"lessons/{got['id']}/run.pdf")
        document = by_key()["siphon"].guide.starts[1]["document"]
        self.assertEqual(self.send(self.client_in, "put", f"{BASE}/setups/{tubs}", {"document": json.dumps(document), "version": 1}).status_code, 200)
        self.assertIn("a set-up or its times have changed", self.lesson(got["id"])["stale"][0]["words"])

    def test_variations_recall_and_hand_over_stand_in_the_order_and_on_the_run_sheet(self):
        hose, tubs = self.setup_of("barometer", "Hose"), self.setup_of("siphon", "Tubs")
        body = self.body(hose, tubs)
        body["items"][0] |= {"variations": [{"words": "a wider hose", "minutes": 3, "reset": 1.5}], "recall": True, "say": "From standing to running."}
        got = self.send(self.client_in, "post", f"{BASE}/lessons", body).json()
        bell = datetime.fromisoformat(got["starts_at"])
        self.assertEqual(datetime.fromisoformat(got["rows"][1]["begins"]) - bell, timedelta(minutes=15.5))
        self.assertEqual(datetime.fromisoformat(got["recalls"][0]["begins"]), datetime.fromisoformat(got["rows"][1]["ends"]))
        self.assertIn("It is going to come out by itself", got["rows"][0]["proposed"])
        _, words = self.pdf(f"lessons/{got['id']}/run.pdf")
        for said in (
            "then: a wider hose, 3 min, 1.5 min to put back",
            "To the next: From standing to running.",
            "Back to Hose: what did it show?",
            "To end on.",
        ):
            self.assertIn(said, words)

    def test_a_risk_assessment_has_every_caution_and_places_to_sign(self):
        got = self.planned(self.setup_of("siphon", "Tubs"), self.setup_of("barometer", "Hose"))
        pages, words = self.pdf(f"lessons/{got['id']}/risk.pdf")
        self.assertEqual(pages, 1)
        for key in ("siphon", "barometer"):
            for step in by_key()[key].guide.prepare.steps:
                if step.caution and "{" not in step.caution and "[" not in step.caution:
                    self.assertIn(" ".join(step.caution.split()), words)
        for said in ("The rules of the school and of the country come first", "Assessed by, date", "Accepted for the school by, date"):
            self.assertIn(said, words)

    def test_a_days_lessons_stand_in_one_sheet_in_the_order_one_walks(self):
        hut = Room.objects.create(department=self.teacher.department, name="Hut", stated={})
        bell = timezone.localtime(timezone.now() + timedelta(days=2)).replace(hour=11, minute=0)
        self.planned(self.setup_of("siphon", "Tubs"), name="Down below", starts_at=bell.isoformat())
        self.planned(self.setup_of("barometer", "Hose"), name="Up there", room=hut.pk, starts_at=(bell + timedelta(hours=1)).isoformat())
        day = f"lessons/day.pdf?on={bell:%Y-%m-%d}"
        for rooms, first in (("", "1. Hut"), (f"{self.room.pk}", "1. Boathouse"), (f"{hut.pk},{self.room.pk}", "1. Hut")):
            _, words = self.pdf(f"{day}&rooms={rooms}")
            self.assertIn(first, words)
        for said in ("Down below", "Up there", "look for kinks", "Boil the water", "“Up there” version 1"):
            self.assertIn(said, words)
        empty = self.client_in.get(f"{BASE}/lessons/day.pdf?on=2031-01-01")
        self.assertEqual((empty.status_code, empty.json()["code"]), (422, "nothing-to-print"))

    def test_what_is_tried_at_home_is_one_page_with_household_sizes_and_what_is_not_for_home(self):
        pages, words = self.pdf(f"setups/{self.setup_of('inverted-glass', 'Glass')}/home.pdf")
        self.assertEqual(pages, 1)
        for said in ("a postcard", "66 ± 8 mm", "The card holds", "Not for home: glass jars", "One question"):
            self.assertIn(said, words)
        _, words = self.pdf(f"setups/{self.setup_of('cartesian-diver', 'Diver')}/home.pdf")
        self.assertIn("Nothing is computed for it", words)


class People(LessonCase):
    def test_a_person_wanted_for_two_lessons_at_once_is_told_and_one_wanted_one_after_the_other_is_not(self):
        bell = timezone.now() + timedelta(days=2)
        tubs = self.setup_of("siphon")
        self.planned(tubs, name="Next door", room=0, people=["Ada", ""], starts_at=bell.isoformat())
        clash = self.planned(tubs, room=0, people=["Ada", "Bo"], starts_at=(bell + timedelta(minutes=3)).isoformat())
        told = next(one for one in clash["conflicts"] if one["words"].startswith("Ada is in two places at"))
        self.assertEqual(told["cures"][0]["changes"], {"nobody": "Ada"})
        for people, minutes in ((["Bo", "Ada"], 120), (["Bo", "Cy"], 3), (["Cy", "Ada"], 3)):
            got = self.planned(tubs, room=0, people=people, starts_at=(bell + timedelta(minutes=minutes)).isoformat())
            self.assertFalse(any("in two places" in one["words"] for one in got["conflicts"]), people)

    def test_hands_have_the_names_of_people_where_they_are_told(self):
        got = self.planned(self.setup_of("barometer"), people=["technician"])
        self.assertIn(["technician", "hands 2"], [slot["who"] for slot in got["slots"]])
        self.assertEqual({job["who"] for job in got["clearing"]}, {"technician"})

    def test_a_socket_too_near_is_cured_by_what_is_offered_and_one_that_is_no_length_refused(self):
        got = self.planned(self.setup_of("holed-bottle"), socket="20 cm")
        (one,) = got["conflicts"]
        self.assertEqual((one["item"], one["cures"][0]["changes"]), (0, {"socket": ""}))
        for wrong in ("2 kg", "90 m", "far"):
            answer = self.send(self.client_in, "post", f"{BASE}/lessons", self.body(socket=wrong))
            self.assertEqual((answer.status_code, answer.json()["path"]), (422, "socket"))


class Notes(LessonCase):
    def test_a_note_after_a_lesson_stands_first_when_one_of_its_set_ups_is_shown_again(self):
        tubs, other = self.setup_of("siphon", "Tubs"), self.setup_of("barometer", "Hose")
        first = self.planned(tubs, name="First time", starts_at=(timezone.now() - timedelta(hours=2)).isoformat())
        self.assertEqual(self.send(self.client_in, "put", f"{BASE}/lessons/{first['id']}/note", {"note": " bring a longer hose "}).status_code, 204)
        again = self.planned(tubs)
        self.assertEqual([(one["name"], one["note"]) for one in again["noted"]], [("First time", "bring a longer hose")])
        self.assertEqual([(one["lesson"], one["note"]) for one in self.client_in.get(f"{BASE}/today").json()["notes"]], [(first["id"], "bring a longer hose")])
        self.assertEqual(self.planned(other)["noted"], [])
        self.assertEqual(self.lesson(first["id"])["noted"], [], "its own is not one of them")
        note = f"{BASE}/lessons/{first['id']}/note"
        unseen = self.send(self.client_in, "put", note, {"note": "a wider tub"})
        self.assertEqual((unseen.status_code, unseen.json()["extra"]["theirs"]), (409, {"note": "bring a longer hose"}))
        self.assertEqual(self.lesson(first["id"])["note"], "bring a longer hose")
        self.assertEqual(self.send(self.client_in, "put", note, {"note": "bring a longer hose"}).status_code, 204, "sent twice is kept once")
        self.assertEqual(self.send(self.client_in, "put", note, {"note": "a wider tub", "seen": "bring a longer hose"}).status_code, 204)
        self.assertEqual(self.lesson(first["id"])["note"], "a wider tub")
        self.send(self.client_in, "put", note, {"note": "bring a longer hose", "seen": "a wider tub"})
        Lesson.objects.create(department=self.stranger.department, name="Theirs", starts_at=timezone.now(), items=[{"setup": tubs}], note="secret")
        self.assertEqual([one["note"] for one in self.client_in.get(f"{BASE}/setups/{tubs}/noted").json()], ["bring a longer hose"])
        self.assertIn("bring a longer hose", self.pdf(f"lessons/{again['id']}/prep.pdf")[1])


class Weeks(LessonCase):
    def test_a_weeks_calendar_has_its_lessons_and_jobs_and_no_others(self):
        monday = datetime(2027, 1, 11, 9, 0, tzinfo=UTC)
        tubs = self.setup_of("siphon")
        for name, days in (("Before", -1), ("Monday", 0), ("Sunday", 6), ("After", 7)):
            self.planned(tubs, name=name, room=0, starts_at=(monday + timedelta(days=days)).isoformat())
        answer = self.client_in.get(f"{BASE}/lessons/week.ics?since=2027-01-11", headers={"host": "localhost"})
        events = icalendar.Calendar.from_ical(answer.content).walk("VEVENT")
        named = [str(one["SUMMARY"]) for one in events]
        self.assertEqual([name for name in named if name in ("Before", "Monday", "Sunday", "After")], ["Monday", "Sunday"])
        self.assertEqual(len(events), len({str(one["UID"]) for one in events}))
        self.assertEqual(len(events), 2 * (1 + len(self.planned(tubs)["slots"])))
