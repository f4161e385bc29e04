"""Predictions over HTTP are those of the core, and every failure is a problem with its path."""

from __future__ import annotations

import json
from xml.etree import ElementTree

from hydrostatics.answer import predict_bytes
from server.people.tests.base import Departments, text
from server.predictions.schemas import PlaybackOut, PredictionOut
from server.rooms.models import Room


class Predictions(Departments):
    def post(self, address: str, body: bytes | str):
        return self.as_(self.teacher).post(address, body, content_type="application/json")

    def test_the_answer_is_the_cores(self):
        self.assertEqual(self.post("/api/predict", text()).json(), json.loads(json.dumps(predict_bytes(text().encode()))))

    def test_scene_handles_and_working_in_the_same_call(self):
        got = self.post("/api/predict?scene=true&working=true", text()).json()
        PredictionOut.model_validate(got)
        self.assertTrue(got["scene"]["items"] and got["scene"]["handles"] and got["working"])
        window = json.dumps(got["scene"]["window"])
        kept = self.as_(self.teacher).post(f"/api/predict?scene=true&window={window}", text(fill_height="45 cm"), content_type="application/json").json()
        self.assertEqual(kept["scene"]["window"], got["scene"]["window"])

    def test_an_answer_of_the_tests_own_demonstration_fits_the_description_too(self):
        from tests.support.imagined import IMAGINED

        got = self.post("/api/predict?scene=true", json.dumps(IMAGINED.guide.starts[0]["document"])).json()
        PredictionOut.model_validate(got)
        self.assertEqual({view["view"] for view in got["views"]}, {"table", "map"})

    def test_refusals_are_problems(self):
        for body, code, path in (
            (text(fill_height="12,5 cm"), "unreadable-quantity", "setup.fill_height"),
            (b"\xff", "malformed", ""),
            ('{"anchorage": 1, "anchorage": 1}', "malformed", "anchorage"),
            (text(colour="red"), "unknown-key", "setup.colour"),
        ):
            for address in ("/api/predict", "/api/playback", "/api/section.svg"):
                got = self.post(address, body)
                self.assertEqual((got.status_code, got["Content-Type"]), (422, "application/problem+json"))
                self.assertEqual((got.json()["code"], got.json()["path"]), (code, path))

    def test_a_refusal_carries_its_case_and_its_parts(self):
        extra = self.post("/api/predict", text(stand_drop="-4 cm")).json()["extra"]
        self.assertEqual((extra["case"], extra["parts"]["si"], extra["parts"]["bound"], extra["parts"]["kind"]), ("out-of-range", -0.04, 0.0, "length"))

    def test_a_sheet_or_window_that_cannot_be(self):
        for query in ("width=20", "width=99999", "clear=980", "window={}", "window=x", "width=abc"):
            self.assertEqual(self.post(f"/api/predict?scene=true&{query}", text()).status_code, 422)

    def test_playback_and_svg(self):
        PlaybackOut.model_validate(self.post("/api/playback", text()).json())
        self.assertIsNone(self.post("/api/playback", text(cap="closed")).json())
        got = self.post("/api/section.svg?theme=night", text())
        self.assertEqual(got["Content-Type"], "image/svg+xml")
        ElementTree.fromstring(got.content)

    def test_predicting_reads_who_asks_and_the_room_and_nothing_else(self):
        client = self.as_(self.teacher)
        with self.assertNumQueries(2):
            client.post("/api/predict", text(), content_type="application/json")
        room = Room.objects.create(department=self.head.department, name="Hall", stated={"station_pressure": "941 hPa"})
        with self.assertNumQueries(3):
            client.post(f"/api/predict?department=lakeside&room={room.pk}", text(), content_type="application/json")

    def test_a_session_that_ends_predicts_nothing_any_more(self):
        client = self.as_(self.teacher)
        self.assertEqual(client.post("/api/predict", text(), content_type="application/json").status_code, 200)
        kept = client.cookies["sessionid"].value
        client.logout()
        client.cookies["sessionid"] = kept
        self.assertEqual(client.post("/api/predict", text(), content_type="application/json").status_code, 401)

    def test_a_changed_password_ends_it_too(self):
        client = self.as_(self.teacher)
        self.teacher.person.set_password("another-long-enough-one")
        self.teacher.person.save()
        self.assertEqual(client.post("/api/predict", text(), content_type="application/json").status_code, 401)

    def test_a_room_is_as_it_was_saved_last_and_gone_with_the_membership(self):
        """Two processes answer by turns, so nothing of a room may be kept in one of them."""
        client = self.as_(self.teacher)
        room = Room.objects.create(department=self.head.department, name="Hall", stated={"station_pressure": "941 hPa"})
        document = text()
        silent = json.dumps({**json.loads(document), "room": {}})
        asked = f"/api/predict?department=lakeside&room={room.pk}"

        def pressure() -> float:
            return client.post(asked, silent, content_type="application/json").json()["room"]["station_pressure"]["value"]

        self.assertAlmostEqual(pressure(), 94_100)
        Room.objects.filter(pk=room.pk).update(stated={"station_pressure": "899 hPa"})
        self.assertAlmostEqual(pressure(), 89_900)
        self.teacher.delete()
        self.assertEqual(client.post(asked, silent, content_type="application/json").status_code, 404)

    def test_a_made_up_session_predicts_nothing(self):
        client = self.as_(self.teacher)
        client.cookies["sessionid"] = "made-up-session"
        for _ in range(2):
            self.assertEqual(client.post("/api/predict", text(), content_type="application/json").status_code, 401)

    def test_while_a_handle_is_held_the_draws_are_left_out_and_come_after(self):
        cup = {"anchorage": 1, "demonstration": "suction-cup", "setup": {"diameter": "54 +/- 1 mm", "air_left": "45 +/- 10 %", "pull_force": "112 +/- 4 N"}}
        client = self.as_(self.teacher)
        held, after = (client.post(f"/api/predict{more}", json.dumps(cup), content_type="application/json").json()["verdict"] for more in ("?held=true", ""))
        self.assertEqual((held["probability"], held["doubt"]), (None, ""))
        self.assertTrue(held["reason"].startswith("Doubtful"))
        self.assertAlmostEqual(after["probability"], 0.81, delta=0.03)
        self.assertTrue(after["reason"].startswith("Most likely"))


class Strips(Departments):
    def post(self, document: str, query: str = ""):
        return self.as_(self.teacher).post(f"/api/strips.pdf?{query}", document, content_type="application/json")

    def words(self, got) -> str:
        import pypdfium2

        self.assertEqual((got.status_code, got["Content-Type"]), (200, "application/pdf"))
        return "\n".join(page.get_textpage().get_text_bounded() for page in pypdfium2.PdfDocument(got.content))

    def test_they_name_the_set_up_its_version_its_holes_and_where_the_jets_land(self):
        told = self.words(self.post(text(), "name=Bottle%20at%20the%20jetty&version=7"))
        for words in ("Bottle at the jetty", "Version 7, printed", "hole 1: ", "Lands on the tray", "50 mm by 50"):
            self.assertIn(words, told)
        self.assertIn("Not saved, printed", self.words(self.post(text())))

    def test_a_calibrated_gauges_scale_is_printed_and_a_line_that_is_no_length_refused(self):
        points = [{"depth": f"{depth} cm", "reading": depth / 2} for depth in (0, 10, 20, 30)]
        document = json.dumps({"anchorage": 1, "aid": "gauge-calibration", "measured": {"liquid": "water", "points": points}})
        post = lambda line: self.as_(self.teacher).post(f"/api/scale.pdf?line={line}", document, content_type="application/json")  # noqa: E731
        self.assertIn("20 hPa", self.words(post("2 mm")).replace("\xa0", " "))
        for line in ("2 g", "9 m", "0 mm"):
            got = post(line)
            self.assertEqual((got.status_code, got.json()["path"]), (422, "line"))

    def test_a_set_up_with_nothing_to_mark_says_so(self):
        cup = json.dumps(
            {
                "anchorage": 1,
                "demonstration": "suction-cup",
                "setup": {"diameter": "58 mm", "air_left": "35 %", "pull_force": "28 N", "pull_direction": "along"},
            }
        )
        got = self.post(cup)
        self.assertEqual((got.status_code, got.json()["code"]), (422, "nothing-to-print"))
