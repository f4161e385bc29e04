"""Courses: gaps told, moved by weeks at the same time of day, copied; and lessons as files, out and in."""

from __future__ import annotations

import json
from datetime import datetime
from pathlib import Path
from typing import Any

import jsonschema
from django.test import override_settings
from django.utils import timezone

from server.lessons.models import Lesson
from server.setups.models import Setup

from .base import BASE, LessonCase

ROOT = Path(__file__).resolve().parents[3]


class Courses(LessonCase):
    def course(self, name: str = "Water and air") -> int:
        return int(self.send(self.client_in, "post", f"{BASE}/courses", {"name": name}).json()["id"])

    def told(self, course: int) -> dict[str, Any]:
        return next(one for one in self.client_in.get(f"{BASE}/courses").json() if one["id"] == course)

    def test_what_a_lesson_needs_and_nothing_before_it_has_shown_is_told(self):
        course = self.course()
        self.planned(self.setup_of("siphon"), name="Second", course=course, starts_at="2027-01-18T09:00:00Z")
        self.assertEqual(self.told(course)["lessons"][0]["gaps"], ["pressure grows with depth", "the air pushes on everything"])
        self.planned(self.setup_of("inverted-glass"), name="First", course=course, starts_at="2027-01-11T09:00:00Z")
        got = self.told(course)["lessons"]
        self.assertEqual([(one["name"], one["gaps"]) for one in got], [("First", []), ("Second", ["pressure grows with depth"])])

    @override_settings(TIME_ZONE="Europe/London")
    def test_it_is_moved_by_weeks_at_the_same_time_of_day_across_a_clock_change(self):
        course = self.course()
        lesson = self.planned(course=course, starts_at="2027-03-24T09:15:00Z")["id"]
        with timezone.override("Europe/London"):
            moved = self.send(self.client_in, "post", f"{BASE}/courses/{course}/move", {"weeks": 1}).json()
            self.assertEqual(moved["lessons"][0]["starts_at"], "2027-03-31T08:15:00Z")
            self.assertEqual(self.lesson(lesson)["version"], 2)
            back = self.send(self.client_in, "post", f"{BASE}/courses/{course}/move", {"weeks": -1}).json()
        self.assertEqual(back["lessons"][0]["starts_at"], "2027-03-24T09:15:00Z")

    def test_it_is_copied_for_another_year_with_nothing_of_what_was_done(self):
        course = self.course()
        first = self.planned(self.setup_of("siphon"), course=course, starts_at="2027-01-11T09:00:00Z", people=["Ada"])
        self.send(self.client_in, "put", f"{BASE}/lessons/{first['id']}/note", {"note": "longer hose"})
        made = self.send(self.client_in, "post", f"{BASE}/courses/{course}/copy", {"name": "Water and air, again", "weeks": 52}).json()
        self.assertEqual(len(self.told(course)["lessons"]), 1)
        copied = self.lesson(made["lessons"][0]["id"])
        self.assertEqual((copied["starts_at"][:10], copied["people"], copied["note"], copied["ticks"]), ("2028-01-10", ["Ada"], "", {}))
        self.assertEqual([one["note"] for one in copied["noted"]], ["longer hose"])

    def test_wrong_weeks_and_names_are_refused_and_move_nothing(self):
        course = self.course()
        self.planned(course=course, starts_at="2027-01-11T09:00:00Z")
        for weeks in (0, 61, -61):
            got = self.send(self.client_in, "post", f"{BASE}/courses/{course}/move", {"weeks": weeks})
            self.assertEqual((got.status_code, got.json()["path"]), (422, "weeks"))
        self.assertEqual(self.send(self.client_in, "post", f"{BASE}/courses/{course}/copy", {"name": "  ", "weeks": 1}).json()["path"], "name")
        self.assertEqual([one["starts_at"] for one in self.told(course)["lessons"]], ["2027-01-11T09:00:00Z"])
        self.assertEqual(len(self.client_in.get(f"{BASE}/courses").json()), 1)

    def test_a_course_put_away_leaves_its_lessons(self):
        course = self.course()
        lesson = self.planned(course=course)["id"]
        self.send(self.client_in, "post", f"{BASE}/courses/{course}/archive")
        self.assertEqual(self.client_in.get(f"{BASE}/courses").json(), [])
        self.assertEqual(self.lesson(lesson)["id"], lesson)

    def test_no_lesson_gets_into_another_departments_course(self):
        quarry = self.as_(self.stranger)
        theirs = self.send(quarry, "post", "/api/departments/quarry/courses", {"name": "Theirs"}).json()["id"]
        self.assertEqual(self.send(self.client_in, "post", f"{BASE}/lessons", self.body(course=theirs)).status_code, 404)


class Files(LessonCase):
    def file_of(self, lesson: int) -> dict[str, Any]:
        return dict(json.loads(self.client_in.get(f"{BASE}/lessons/{lesson}/lesson.json").content))

    def take(self, file: Any, client: Any = None, base: str = BASE) -> Any:
        return self.send(client or self.client_in, "post", f"{base}/lessons/file", file)

    def test_out_and_in_again_is_the_same_lesson_and_makes_no_set_up_twice(self):
        body = self.body(
            self.setup_of("siphon", "Tubs"), self.setup_of("barometer", "Hose"), people=["Ada"], spare=5, socket="3 m", starts_at="2027-02-01T10:00:00Z"
        )
        body["items"][0] |= {"variations": [{"words": "thinner", "minutes": 2, "reset": 0.5}], "recall": True, "say": "now this"}
        got = self.send(self.client_in, "post", f"{BASE}/lessons", body).json()
        file = self.file_of(got["id"])
        again = self.take(file).json()
        same = ("name", "room", "starts_at", "minutes", "ready", "hands", "things", "way", "boiled", "items", "people", "spare", "socket")
        self.assertEqual({key: again[key] for key in same}, {key: got[key] for key in same})
        self.assertEqual(Setup.objects.count(), 2)
        self.assertEqual(self.file_of(again["id"]), file)

    def test_another_department_takes_it_in_with_set_ups_of_its_own(self):
        got = self.planned(self.setup_of("siphon", "Tubs"))
        taken = self.take(self.file_of(got["id"]), self.as_(self.stranger), "/api/departments/quarry").json()
        self.assertEqual([row["name"] for row in taken["rows"]], ["Tubs"])
        self.assertEqual(taken["room"], 0)
        self.assertEqual(set(Setup.objects.values_list("department__slug", flat=True)), {"lakeside", "quarry"})

    def test_a_file_that_is_wrong_names_the_place_and_keeps_nothing(self):
        file = self.file_of(self.planned(self.setup_of("siphon", "Tubs"))["id"])
        item = file["lesson"]["items"][0]
        count = Lesson.objects.count(), Setup.objects.count()
        broken = {**item, "name": "Other", "document": {**item["document"], "setup": {**item["document"]["setup"], "bore": "12 kg"}}}
        lesson = file["lesson"]
        nameless = {key: value for key, value in lesson.items() if key != "name"}
        for wrong, path, words in (
            ({**file, "anchorage": 2}, "anchorage", "anchorage has to be 1"),
            ({**file, "lesson": {**lesson, "minutes": -1}}, "lesson.minutes", "minutes has to be at least 5"),
            ({**file, "lesson": {**lesson, "minutes": 45.1}}, "lesson.minutes", "minutes goes in steps of 0.25"),
            ({**file, "lesson": {**lesson, "minutes": "long"}}, "lesson.minutes", "minutes has to be a number"),
            ({**file, "lesson": {**lesson, "hands": 9}}, "lesson.hands", "hands may be at most 4"),
            ({**file, "lesson": {**lesson, "hands": 1.5}}, "lesson.hands", "hands has to be a whole number"),
            ({**file, "lesson": {**lesson, "way": "sea"}}, "lesson.way", "way has to be 'day-before', 'bath' or 'pot'"),
            ({**file, "lesson": {**lesson, "people": "Ada"}}, "lesson.people", "people has to be a list"),
            ({**file, "lesson": {**lesson, "people": [1]}}, "lesson.people.0", "people has to be text"),
            (
                {**file, "lesson": {**lesson, "items": [{**item, "document": "x"}]}},
                "lesson.items.0.document",
                "document has to be a group of fields with values",
            ),
            ({**file, "lesson": {**lesson, "starts_at": "soon"}}, "lesson.starts_at", "starts_at is a day and time, for example 2027-01-31T09:15:00Z"),
            ({**file, "lesson": {**lesson, "name": ""}}, "lesson.name", "name is too short; its least length is 1"),
            ({**file, "lesson": nameless}, "lesson.name", "“name” is missing; add it"),
            ({**file, "lesson": {**lesson, "teacher": "me"}}, "lesson.teacher", "“teacher” is not known here; take it out"),
            ({**file, "lesson": {**lesson, "items": [item] * 13}}, "lesson.items", "items has more than 12 entries; take some out"),
            ({**file, "lesson": {**lesson, "items": [item, broken]}}, "setup.bore", "12 kg is a mass"),
        ):
            with self.subTest(wrong=path, words=words):
                got = self.take(wrong)
                self.assertEqual((got.status_code, got.json()["path"]), (422, path), got.content)
                self.assertIn(words, got.json()["detail"])
        self.assertEqual((Lesson.objects.count(), Setup.objects.count()), count)

    def test_the_committed_schema_describes_the_file(self):
        schema = json.loads((ROOT / "docs/schema/lesson.schema.json").read_text("utf-8"))
        file = self.file_of(
            self.planned(self.setup_of("siphon", "Tubs"), starts_at=datetime(2027, 1, 1, 9, tzinfo=timezone.get_default_timezone()).isoformat())["id"]
        )
        jsonschema.validate(file, schema)
        with self.assertRaises(jsonschema.ValidationError):
            jsonschema.validate({**file, "lesson": {**file["lesson"], "hands": 9}}, schema)
