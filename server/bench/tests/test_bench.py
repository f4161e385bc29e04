"""Predictions over HTTP are those of the core, and every failure is a problem with its path."""

from __future__ import annotations

import json
import re
from pathlib import Path
from xml.etree import ElementTree

from hydrostatics.answer import predict_bytes
from server.bench.schemas import PlaybackOut, PredictionOut
from server.people.tests.base import Departments, text
from server.setups.services.save_setup import create_setup

ROOT = Path(__file__).resolve().parents[3]


class Bench(Departments):
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

    def test_a_sheet_or_window_that_cannot_be(self):
        for query in ("width=20", "width=99999", "clear=980", "window={}", "window=x", "width=abc"):
            self.assertEqual(self.post(f"/api/predict?scene=true&{query}", text()).status_code, 422)

    def test_playback_and_svg(self):
        PlaybackOut.model_validate(self.post("/api/playback", text()).json())
        self.assertIsNone(self.post("/api/playback", text(cap="closed")).json())
        got = self.post("/api/section.svg?theme=night", text())
        self.assertEqual(got["Content-Type"], "image/svg+xml")
        ElementTree.fromstring(got.content)

    def test_demonstrations_schema_and_units(self):
        client = self.as_(self.teacher)
        keys = [one["key"] for one in client.get("/api/demonstrations").json()]
        self.assertIn("holed-bottle", keys)
        for key in keys:
            self.assertEqual(client.get(f"/api/demonstrations/{key}/schema").json()["properties"]["demonstration"], {"const": key})
        self.assertEqual(client.get("/api/demonstrations/fountain/schema").status_code, 422)
        self.assertEqual(client.get("/api/tables").json()["units"]["length"][0]["unit"], "cm")

    def test_predicting_reads_the_session_once_in_a_while_and_nothing_else(self):
        client = self.as_(self.teacher)
        with self.assertNumQueries(1):
            client.post("/api/predict", text(), content_type="application/json")
        with self.assertNumQueries(0):
            client.post("/api/predict", text(), content_type="application/json")

    def test_a_made_up_session_predicts_nothing(self):
        client = self.as_(self.teacher)
        client.cookies["sessionid"] = "made-up-session"
        for _ in range(2):
            self.assertEqual(client.post("/api/predict", text(), content_type="application/json").status_code, 401)


class Description(Departments):
    def test_the_committed_description_is_what_the_code_says(self):
        from server.project.api import api

        kept = json.loads((ROOT / "docs/schema/openapi.json").read_text("utf-8"))
        self.assertEqual(kept, json.loads(json.dumps(api.get_openapi_schema(path_prefix="/api/"), default=str)), "run ./anchorage generate")


class Opening(Departments):
    """The page of a bench brings its set-up; a page of another department's brings nothing of it."""

    def handed(self, membership, address: str) -> dict:
        page = self.as_(membership).get(address).content.decode()
        found = re.search(r'<script id="handed" type="application/json">(.*?)</script>', page, re.S)
        assert found
        return json.loads(found[1])

    def test_the_page_brings_set_up_schema_and_first_answer(self):
        kept = create_setup(self.head, "Bottle on a block", text())
        got = self.handed(self.teacher, f"/d/lakeside/bench/{kept.setup.pk}")
        self.assertEqual(got["setup"]["name"], "Bottle on a block")
        self.assertEqual(got["schema"]["properties"]["demonstration"], {"const": "holed-bottle"})
        self.assertTrue(got["answer"]["scene"]["items"])

    def test_it_brings_nothing_of_another_department(self):
        kept = create_setup(self.head, "Bottle on a block", text())
        for address in (f"/d/lakeside/bench/{kept.setup.pk}", f"/d/quarry/bench/{kept.setup.pk}", "/d/quarry/bench/999999"):
            self.assertNotIn("setup", self.handed(self.stranger, address))
