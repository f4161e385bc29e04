"""Sweep, solve, what if and the quick line over HTTP, with wrong input too."""

from __future__ import annotations

import json
from urllib.parse import urlencode

from hydrostatics.guides.model import Prepare
from server.people.tests.base import Departments, text
from server.predictions.guide_schemas import GuideOut
from server.predictions.schemas import PredictionOut
from server.works.schemas import CurveOut, SolvedOut, WhatIfOut

SWEPT = {"input": "setup.stand_drop", "result": "results.holes.2.range"}


class Works(Departments):
    def post(self, address: str, body: str = "", **query: str):
        return self.as_(self.teacher).post(f"/api/{address}?{urlencode(query)}", body or text(), content_type="application/json")

    def test_a_sweep_as_values_chart_and_csv(self):
        got = self.post("sweep", **SWEPT).json()
        CurveOut.model_validate(got)
        self.assertGreater(len(got["x"]), 100)
        rows = self.post("sweep.csv", **SWEPT).content.decode().splitlines()
        self.assertEqual(len(rows), 1001)
        self.assertIn("[m]", rows[0])

    def test_the_long_straws_usual_curve_runs_from_nothing_and_is_marked_where_it_boils(self):
        straw = {
            "anchorage": 1,
            "demonstration": "suction-lift",
            "setup": {"liquid": "water", "bore": "8 mm", "lift_height": "3 m", "source_pressure": "40 kPa"},
        }
        answer = self.post("predict", json.dumps(straw)).json()
        got = self.post("sweep", json.dumps(straw), **answer["curve"]).json()
        self.assertEqual(got["x"][0], 0.0)
        self.assertEqual([one["words"] for one in got["chart"]["marks"]], ["0", "boils"])

    def test_a_solution_puts_the_result_where_it_was_wanted(self):
        got = self.post("solve", target="45 cm", **SWEPT).json()
        SolvedOut.model_validate(got)
        moved = text(stand_drop=got["found"][0]["quantity"])
        self.assertAlmostEqual(self.post("predict", moved).json()["results"]["holes"][2]["range"]["value"], 0.45, delta=1e-4)

    def test_wrong_input_names_its_field(self):
        for address, query, path in (
            ("sweep", {**SWEPT, "input": "setup.colour"}, "input"),
            ("sweep", {**SWEPT, "result": "results.beauty"}, "result"),
            ("sweep", {**SWEPT, "low": "3", "high": "1"}, "input"),
            ("solve", {**SWEPT, "target": "45"}, "target"),
            ("solve", {**SWEPT, "target": "45 kg"}, "target"),
        ):
            got = self.post(address, **query)
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))

    def test_what_if_side_by_side_with_a_room_of_ones_own(self):
        own = json.dumps([{"name": "Attic", "room": {"temperature": "33 degC"}}])
        got = self.post("what-if", own=own).json()
        for one in got:
            WhatIfOut.model_validate(one)
        self.assertEqual((got[0]["key"], got[-1]["name"]), ("today", "Attic"))
        self.assertEqual(self.post("what-if", own="x").status_code, 422)

    def test_a_hole_is_solved_in_sizes_that_one_can_drill(self):
        for target in ("11 mL/s", "13 mL/s", "17 mL/s", "20 mL/s", "26 mL/s"):
            (one,) = self.post("solve", input="setup.holes.2.diameter", result="results.holes.2.flow", target=target).json()["found"]
            number, unit = one["quantity"].split()[0], one["quantity"].split()[-1]
            self.assertEqual(unit, "mm")
            self.assertAlmostEqual(float(number) * 10, round(float(number) * 10), places=9)
            self.assertAlmostEqual(one["value"] * 1e3, float(number), delta=0.051)

    def test_the_quick_line(self):
        client = self.as_(self.teacher)
        self.assertEqual(client.get("/api/quick-line?text=38 m of water in bar").json()["answer"], "3.72\u00a0bar")
        got = client.get("/api/quick-line?text=how deep is it")
        self.assertEqual((got.status_code, got.json()["path"]), (422, "text"))
        self.assertIn("2.4 bar gauge", got.json()["detail"])

    def test_the_guide_comes_with_the_set_ups_sizes_and_fits_its_description(self):
        got = self.post("predict", guide="true").json()
        PredictionOut.model_validate(got)
        self.assertTrue(any("29\u00a0cm" in one for one in got["guide"]["materials"]))
        self.assertEqual(set(Prepare.model_fields) | {"to_make", "to_fill", "minutes"}, set(GuideOut.model_fields))
