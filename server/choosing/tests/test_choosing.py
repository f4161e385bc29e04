"""Choosing: by idea, time, mess and words with typing errors; in this room today; nobody sees another department's."""

from __future__ import annotations

import json
from typing import Any

from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.guides.model import IDEAS
from server.choosing.models import Words
from server.choosing.search import told_words
from server.choosing.words import write_words
from server.people.tests.base import Departments, text
from server.rooms.models import Room
from server.setups.models import Setup

BASE = "/api/departments/lakeside/choose"


class Choosing(Departments):
    def ask(self, client: Any = None, **wish: Any) -> dict:
        got = (client or self.as_(self.teacher)).get(BASE, wish)
        self.assertEqual(got.status_code, 200, got.content)
        return got.json()

    def keys(self, **wish: Any) -> set[str]:
        return {row["demonstration"] for row in self.ask(**wish)["demonstrations"]}

    def make(self, name: str, by: Any = None, place: str = "lakeside") -> int:
        return self.send(self.as_(by or self.teacher), "post", f"/api/departments/{place}/setups", {"name": name, "document": text()}).json()["id"]

    def test_every_demonstration_is_offered_with_what_the_class_will_see_and_how_it_fares(self):
        rows = self.ask()["demonstrations"]
        self.assertEqual({row["demonstration"] for row in rows}, {one.key for one in ALL_DEMONSTRATIONS if one.guide.choosing})
        for row in rows:
            self.assertIn(row["state"], ("works", "marginal", "fails"))
            self.assertTrue(row["sees"] and row["reason"] and row["ideas"] and row["gear"], row)
            self.assertNotRegex(row["reason"], r"\d\.\d{4}")

    def test_a_wish_leaves_out_what_does_not_fit(self):
        self.assertIn("siphon", self.keys(sink=True))
        self.assertNotIn("siphon", self.keys(sink=False))
        self.assertTrue(all(row["minutes"] <= 8 for row in self.ask(minutes=8)["demonstrations"]))
        self.assertTrue(all(row["age"] <= 10 for row in self.ask(age=10)["demonstrations"]))
        self.assertTrue(all(row["risk"] == "low" for row in self.ask(risk="low")["demonstrations"]))
        self.assertEqual({row["mess"] for row in self.ask(mess="dry")["demonstrations"]}, {"dry"})
        for idea in IDEAS:
            self.assertTrue(all(idea in row["ideas"] for row in self.ask(idea=idea)["demonstrations"]), idea)
            self.assertTrue(self.ask(idea=idea)["demonstrations"], f"nothing shows {idea}")

    def test_something_about_pressure_and_depth_ten_minutes_no_sink_from_the_back_row(self):
        got = self.keys(idea="depth", minutes=10, sink=False, seen=9)
        self.assertIn("communicating-vessels", got)
        self.assertNotIn("siphon", got)
        self.assertNotIn("manometer", got)

    def test_words_of_ideas_gear_and_mistakes_find_it_with_typing_errors_too(self):
        for typed, key in (
            ("barometer", "barometer"),
            ("barometr", "barometer"),
            ("syringe", "hydraulic-press"),
            ("syringes", "hydraulic-press"),
            ("egg in a botle", "cooling-flask"),
            ("submarine", "cartesian-diver"),
            ("squezed gas", "cartesian-diver"),
            ("something with jets", "holed-bottle"),
            ("the wide ones push them up", "communicating-vessels"),
        ):
            with self.subTest(typed=typed):
                self.assertIn(key, self.keys(search=typed))
        self.assertEqual(self.keys(search="zeppelin"), set())
        self.assertEqual(self.ask(search="zeppelin jets")["unheard"], ["zeppelin"])
        self.assertEqual(self.keys(search="zeppelin jets"), self.keys(search="jets"))

    def test_words_that_say_nothing_are_left_out(self):
        self.assertEqual(told_words("something about the pressure, and of depth!"), ["pressure", "depth"])
        self.assertEqual(told_words("the of and !!"), [])
        self.assertEqual(self.keys(search="the of and"), self.keys())

    def test_a_set_up_is_found_by_its_name_or_by_what_it_shows(self):
        one = self.make("Rain barrel on two crates")
        for typed in ("rain barrel", "rain barel", "crates", "jets", "fountain crates"):
            with self.subTest(typed=typed):
                self.assertEqual([row["setup"] for row in self.ask(search=typed)["setups"]], [one])
        self.assertEqual(self.ask(search="diver crates")["setups"], [])
        self.assertEqual(self.ask(search="rain")["setups"][0]["title"], "Holed bottle")

    def test_what_shows_the_same_idea_in_place_of_what_is_out_comes_first_where_it_shares_most_and_takes_other_gear(self):
        got = self.ask(like="communicating-vessels")
        self.assertEqual(got["like"], "Joined vessels")
        keys = [row["demonstration"] for row in got["demonstrations"]]
        self.assertNotIn("communicating-vessels", keys)
        self.assertEqual(keys[0], "depth-pressure")
        self.assertNotIn("suction-cup", keys)

    def test_it_fares_as_it_does_in_the_room_in_use_and_stands_under_its_ceiling(self):
        room = Room.objects.create(department=self.head.department, name="Hut", stated={"station_pressure": "15 kPa", "ceiling_height": "2.4 m"})
        rows = {row["demonstration"]: row for row in self.ask(room=room.pk)["demonstrations"]}
        self.assertEqual(rows["suction-lift"]["state"], "fails")
        self.assertFalse(rows["barometer"]["fits"])
        self.assertTrue(rows["siphon"]["fits"])
        self.assertIsNone(self.ask()["demonstrations"][0]["fits"])

    def test_nobody_sees_another_departments(self):
        self.make("Quarry bottle", self.stranger, "quarry")
        mine = self.make("Lake bottle")
        self.assertEqual([row["setup"] for row in self.ask(search="bottle")["setups"]], [mine])
        self.assertEqual(self.as_(self.stranger).get(BASE).status_code, 404)
        theirs = Setup.objects.get(name="Quarry bottle").pk
        self.assertEqual(self.as_(self.teacher).get(f"{BASE}/section.svg", {"setup": theirs}).status_code, 404)
        self.assertEqual(self.as_(self.stranger).get(f"{BASE}/section.svg", {"setup": mine}).status_code, 404)

    def test_a_small_section_is_an_svg_of_its_own(self):
        one = self.make("Bottle")
        for query in ({"setup": one}, {"demonstration": "siphon", "theme": "night"}):
            got = self.as_(self.teacher).get(f"{BASE}/section.svg", query)
            self.assertEqual((got.status_code, got["Content-Type"]), (200, "image/svg+xml"))
            self.assertIn(b"<path", got.content)
        self.assertEqual(self.as_(self.teacher).get(f"{BASE}/section.svg", {"demonstration": "fountain"}).status_code, 404)

    def test_as_many_queries_for_forty_set_ups_as_for_four(self):
        for i in range(4):
            self.make(f"Bottle {i}")
        client = self.as_(self.teacher)
        client.get(BASE)

        def queries() -> int:
            from django.db import connection
            from django.test.utils import CaptureQueriesContext

            with CaptureQueriesContext(connection) as caught:
                self.ask(client, search="bottle")
            return len(caught)

        few = queries()
        for i in range(36):
            self.make(f"Bottle more {i}")
        self.assertEqual(len(self.ask(search="bottle")["setups"]), 40)
        self.assertEqual(queries(), few)

    def test_words_follow_the_guides(self):
        Words.objects.all().delete()
        Words.objects.create(key="fountain", text="gone")
        write_words()
        self.assertEqual(set(Words.objects.values_list("key", flat=True)), {one.key for one in ALL_DEMONSTRATIONS})
        self.assertNotRegex(" ".join(Words.objects.values_list("text", flat=True)), r"[\[{}\]]")
        json.dumps(self.ask())
