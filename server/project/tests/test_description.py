"""The API's description is the committed one, and the page of a bench brings what is the person's and nothing else."""

from __future__ import annotations

import json
import re
from pathlib import Path

from server.people.tests.base import Departments, text
from server.project.tests.described import described
from server.setups.services.save_setup import create_setup

ROOT = Path(__file__).resolve().parents[3]


class Description(Departments):
    def test_the_committed_description_is_what_the_code_says(self):
        kept = json.loads((ROOT / "docs/schema/openapi.json").read_text("utf-8"))
        self.assertEqual(kept, json.loads(json.dumps(described(), default=str)), "run ./anchorage generate")


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
