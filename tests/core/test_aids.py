"""Measuring aids: what each gives, what it refuses, what of it a field takes over, and that repeats count as one."""

from __future__ import annotations

import json
import math
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path
from typing import Any

import jsonschema

from hydrostatics.aids.registry import ALL_AIDS, aids_by_key
from hydrostatics.answer import answer, work_out, work_out_aid
from hydrostatics.documents.changing import with_changes
from hydrostatics.documents.schema import document_schema
from hydrostatics.errors import MissingKey, Refusal
from hydrostatics.prediction import told_results
from tests.support.documents import aided, bare, bottle, predicted, values

ROOM = {"station_pressure": "946.3 hPa", "temperature": "17.4 degC"}
PLAIN = {"density": "1000 kg/m^3", "vapour_pressure": "2 kPa", "surface_tension": "70 mN/m", "viscosity": "1 mPa*s", "contact_angle": "0 deg"}
AIR = 94_630 * 0.028_964_4 / (8.314_462_618 * 290.55)
"""Density of the air in that room, by hand [kg/m^3]."""


def found(key: str, measured: dict[str, Any], result: str) -> float:
    """A result of an aid in that room [SI]."""
    told = dict(told_results(aided(key, measured, **ROOM)))
    return float(told[f"results.{result}"]["value"])


def points(*lines: float) -> list[dict[str, Any]]:
    """A gauge dipped ten centimetres deeper each time."""
    return [{"depth": f"{10 * i} cm", "reading": one} for i, one in enumerate(lines)]


class Given(unittest.TestCase):
    """Each by hand from the contract's formula."""

    def near(self, got: float, wanted: float):
        self.assertAlmostEqual(got / wanted, 1.0, places=5)

    def test_a_bore_weighed_and_poured(self):
        tube = {"liquid": PLAIN, "length": "60 cm"}
        mass = 0.070 * (1 - AIR / 8000) / (1 - AIR / 1000)
        self.near(found("bore-by-filling", {**tube, "empty_mass": "40 g", "filled_mass": "110 g"}, "bore"), math.sqrt(4 * mass / 1000 / (math.pi * 0.6)))
        self.near(found("bore-by-filling", {**tube, "volume": "70 mL"}, "area"), 70e-6 / 0.6)

    def test_volumes_and_densities(self):
        mass = 0.5 * (1 - AIR / 8000) / (1 - AIR / 1000)
        self.near(found("volume-by-weighing", {"liquid": PLAIN, "empty_mass": "100 g", "filled_mass": "600 g"}, "volume"), mass / 1000)
        hung = (0.020 - 0.012) * (1 - AIR / 8000) / (1000 - AIR)
        self.near(found("volume-by-hanging", {"liquid": PLAIN, "dry_mass": "20 g", "hanging_mass": "12 g"}, "volume"), hung)
        density = found("density-by-weighing", {"empty_mass": "50 g", "filled_mass": "140 g", "volume": "100 mL"}, "density")
        self.near(0.090 * (1 - AIR / 8000) / (1 - AIR / density), density * 100e-6)

    def test_a_straw_that_floats_is_pulled_by_both_surfaces(self):
        depths = {"depth_in_water": "12 cm", "depth_in_liquid": "13 cm"}
        water = values(bare("depth-pressure", {"liquid": "water", "depth": "1 m"}, **ROOM))["results.gauge_pressure"] / 9.80665
        self.near(found("density-by-floating", depths, "density"), water * 12 / 13)
        pulled = found("density-by-floating", {**depths, "diameter": "6 mm", "surface_tension": "32 mN/m"}, "density")
        self.assertAlmostEqual((water * 12 / 13 - pulled) * 9.80665 * 6e-3 * 0.13 / 4, 0.0731 - 0.032, delta=2e-4)
        self.assertTrue(any("3 % too high" in one for one in aided("density-by-floating", depths, **ROOM)["cautions"]))

    def test_pressures_and_pumps(self):
        self.near(found("mouth-pressure", {"liquid": PLAIN, "height": "3 m"}, "pressure"), 94_630 - 1000 * 9.80665 * 3)
        cup = {"diameter": "5 cm", "pull_at_release": "120 N"}
        self.near(found("cup-air-left", cup, "air_left"), 1 - 120 / (math.pi / 4 * 0.05**2) / 94_630)
        jar = {"receiver_volume": "2 L", "start_pressure": "800 hPa", "end_pressure": "200 hPa", "time": "20 s"}
        self.near(found("pump-by-timing", {**jar, "ultimate_pressure": "30 hPa"}, "pump_speed"), 2e-3 / 20 * math.log(770 / 170))
        rise = {**jar, "start_pressure": "40 hPa", "end_pressure": "64 hPa", "time": "5 min"}
        self.near(found("leak-by-rise", rise, "leak"), 2e-3 * 2400 / 300)
        self.near(found("length-over-stack", {"length": "42 mm", "count": 60}, "each"), 0.7e-3)

    def test_a_zero_that_drifts(self):
        told = aided("gauge-zero", {"before": [0.1, 0.3], "after": [0.6], "readings": [5, 6, 7]}, **ROOM)["results"]
        self.assertAlmostEqual(told["drift"]["value"], 0.4)
        for got, wanted in zip(told["corrected"], (4.7, 5.6, 6.5), strict=True):
            self.assertAlmostEqual(got["value"], wanted)
        large = aided("gauge-zero", {"before": [0], "after": [2], "readings": [5, 3]}, **ROOM)
        self.assertTrue(any("more than half of the smallest" in one for one in large["cautions"]))

    def test_a_profile_step_by_step_and_the_step_to_pour_again(self):
        marks = [{"height": f"{h} cm", "volume": f"{v} mL"} for h, v in ((4, 200), (8, 400), (12, 440), (16, 640))]
        told = aided("profile-by-pouring", {"marks": marks}, **ROOM)
        self.near(told["results"]["profile"][1]["height"]["value"], 0.06)
        self.near(told["results"]["profile"][2]["diameter"]["value"], math.sqrt(4 * 40e-6 / (math.pi * 0.04)))
        self.assertEqual([one for one in told["cautions"] if "pour it again" in one], ["Step 3 is far narrower than both its neighbours: pour it again."])


class Judged(unittest.TestCase):
    def state(self, key: str, measured: dict[str, Any]) -> str:
        return str(aided(key, measured, **ROOM)["verdict"]["state"])

    def test_what_cannot_have_been_measured_fails_and_hands_nothing_on(self):
        timed = {"liquid": "water", "inner_diameter": "84 mm", "hole_diameter": "3 mm", "start_head": "20 cm", "end_head": "8 cm", "time": "50 s"}
        for key, measured in (
            ("coefficient-by-draining", timed),
            ("mouth-pressure", {"liquid": "water", "height": "9.6 m"}),
            ("cup-air-left", {"diameter": "4 cm", "pull_at_release": "200 N"}),
        ):
            told = aided(key, measured, **ROOM)
            self.assertEqual((told["verdict"]["state"], told["takes_over"]), ("fails", []), key)

    def test_a_gauge_that_sticks_is_doubtful_and_one_whose_zero_moved_is_told(self):
        self.assertEqual(self.state("gauge-calibration", {"liquid": "water", "points": points(0, 3, 6, 9)}), "works")
        self.assertEqual(self.state("gauge-calibration", {"liquid": "water", "points": points(0, 3, 2.9, 9)}), "marginal")
        self.assertEqual(self.state("gauge-calibration", {"liquid": "water", "points": points(0, 3, 3, 9)}), "marginal")
        at_rest = {"liquid": "water", "zero_at_rest": True}
        for lines, moved in (((2.0, 5.1, 7.9, 11.0, 14.1, 17.0), True), ((0.0, 3.1, 5.9, 9.0, 12.1, 15.0), False)):
            cautions = aided("gauge-calibration", {**at_rest, "points": points(*lines)}, **ROOM)["cautions"]
            self.assertEqual(any("zero has moved" in one for one in cautions), moved, lines)
        outside = aided("gauge-calibration", {"liquid": "water", "points": points(0, 3, 6), "reading_now": 9}, **ROOM)["cautions"]
        self.assertEqual(len([one for one in outside if "outside the points" in one or "tell little" in one]), 2)
        self.assertIsNone(aided("gauge-calibration", {"liquid": "water", "points": points(0, 3, 6)}, **ROOM)["results"]["pressure_now"])

    def test_what_the_line_leaves_of_a_point_is_what_it_lies_above_it(self):
        results = aided("gauge-calibration", {"liquid": "water", "points": points(0, 3, 5.7, 9)}, **ROOM)["results"]
        offset, per_line = (results[key]["value"] for key in ("offset", "per_line"))
        for lines, point in zip((0, 3, 5.7, 9), results["points"], strict=True):
            self.assertAlmostEqual(point["residual"]["value"], point["pressure"]["value"] - offset - per_line * lines, places=9)
        self.assertGreater(max(abs(point["residual"]["value"]) for point in results["points"]), 1)


class Refused(unittest.TestCase):
    def test_each_names_its_field(self):
        point = [{"depth": f"{d} cm", "reading": d} for d in (0, 10, 20)]
        hole = {"liquid": "water", "inner_diameter": "84 mm", "start_head": "20 cm", "end_head": "8 cm", "time": "90 s"}
        jar = {"receiver_volume": "2 L", "start_pressure": "800 hPa", "end_pressure": "200 hPa", "time": "20 s"}
        for key, measured, path in (
            ("bore-by-filling", {"liquid": "water", "length": "60 cm", "empty_mass": "40 g", "filled_mass": "39 g"}, "filled_mass"),
            ("bore-by-filling", {"liquid": "water", "length": "60 cm", "empty_mass": "40 g"}, "filled_mass"),
            ("bore-by-filling", {"liquid": "water", "length": "60 cm", "volume": "4 mL", "filled_mass": "40 g"}, "filled_mass"),
            ("bore-by-filling", {"liquid": "water", "length": "0 cm", "volume": "4 mL"}, "length"),
            ("volume-by-weighing", {"liquid": "water", "empty_mass": "40 g", "filled_mass": "40 g"}, "filled_mass"),
            ("density-by-weighing", {"empty_mass": "40 g", "filled_mass": "90 g", "volume": "0 mL"}, "volume"),
            ("density-by-floating", {"depth_in_water": "9 cm", "depth_in_liquid": "10 cm", "diameter": "6 mm"}, "surface_tension"),
            ("profile-by-pouring", {"marks": [{"height": "7 cm", "volume": "90 mL"}, {"height": "9 cm", "volume": "90 mL"}]}, "marks.1"),
            ("coefficient-by-draining", {**hole, "hole_diameter": "84 mm"}, "hole_diameter"),
            ("coefficient-by-draining", {**hole, "hole_diameter": "3 mm", "end_head": "21 cm"}, "end_head"),
            ("coefficient-by-draining", {**hole, "hole_diameter": "3 mm", "end_head": "5 mm"}, "end_head"),
            ("hole-by-draining", {**hole, "time": "0 s"}, "time"),
            ("gauge-calibration", {"liquid": "water", "points": point[:2]}, "points"),
            ("gauge-calibration", {"liquid": "water", "points": [*point[:2], point[1]]}, "points"),
            ("gauge-calibration", {"liquid": "water", "points": [{**one, "reading": 3} for one in point]}, "points"),
            ("gauge-calibration", {"liquid": "water", "points": [{**one, "reading": "3 cm"} for one in point]}, "points.0.reading"),
            ("gauge-zero", {"before": [], "after": [1], "readings": [1]}, "before"),
            ("length-over-stack", {"length": "4 cm", "count": 2.5}, "count"),
            ("length-over-stack", {"length": "4 cm", "count": 0}, "count"),
            ("volume-by-hanging", {"liquid": "water", "dry_mass": "9 g", "hanging_mass": "9 g"}, "hanging_mass"),
            ("pump-by-timing", {**jar, "ultimate_pressure": "200 hPa"}, "end_pressure"),
            ("leak-by-rise", jar, "end_pressure"),
            ("mouth-pressure", {"liquid": "water", "height": ["3 m"]}, "height"),
            ("mouth-pressure", {"liquid": "water", "height": ["3 m", "2 kg"]}, "height.1"),
            ("mouth-pressure", {"liquid": "water", "height": ["3 m", "-2 m"]}, "height.1"),
            ("mouth-pressure", {"liquid": "water", "height": ["3 m"] * 31}, "height"),
            ("mouth-pressure", {"liquid": "water"}, "height"),
        ):
            with self.subTest(aid=key, path=path, measured=str(measured)[:60]), self.assertRaises(Refusal) as caught:
                aided(key, measured, **ROOM)
            self.assertEqual(caught.exception.path, f"measured.{path}")

    def test_an_aid_that_is_not_known_and_one_in_a_set_ups_place(self):
        for document, path in (
            ({"anchorage": 1, "aid": "dowsing", "measured": {}}, "aid"),
            ({"anchorage": 1, "aid": "gauge-zero"}, "measured"),
            ({"anchorage": 1, "aid": "gauge-zero", "setup": {}}, "setup"),
            ({"anchorage": 1, "aid": "gauge-zero", "demonstration": "siphon", "setup": {}}, "aid"),
        ):
            with self.assertRaises(Refusal) as caught:
                predicted(document)
            self.assertEqual(caught.exception.path, path)
        with self.assertRaises(MissingKey):
            work_out(aids_by_key()["gauge-zero"].steps.start)

    def test_a_list_of_readings_stands_for_no_quantity_of_a_set_up(self):
        with self.assertRaises(Refusal) as caught:
            predicted(bottle(fill_height=["29 cm", "29.1 cm"]))
        self.assertEqual(caught.exception.path, "setup.fill_height")


class Shared(unittest.TestCase):
    """What every aid has from the machinery of set-ups."""

    def test_each_example_is_predicted_with_shares_working_sources_and_a_schema_that_takes_it(self):
        for one in ALL_AIDS:
            with self.subTest(aid=one.key):
                start = one.steps.start
                jsonschema.validate(start, document_schema(one))
                told = predicted(start)
                about = told["verdict"]["about"].split(".")[1]
                self.assertTrue(told["sources"])
                self.assertTrue(told["assumptions"])
                self.assertTrue(one.working(work_out_of(start)))
                if one.key != "gauge-zero":  # bare numbers, read without a tolerance
                    result = next(value for path, value in told_results(told) if path.startswith(f"results.{about}") and value["shares"])
                    self.assertAlmostEqual(sum(result["shares"].values()), 1.0, places=6)

    def test_repeats_are_one_input_with_one_share_at_the_path_of_the_list(self):
        told = aided("mouth-pressure", {"liquid": "water", "height": ["2.6 +/- 0.02 m", "2.8 +/- 0.02 m", "2.7 +/- 0.02 m"]}, **ROOM)
        self.assertAlmostEqual(told["inputs"]["measured.height"]["value"], 2.7)
        self.assertGreater(told["results"]["suction"]["shares"]["measured.height"], 0.99)

    def test_what_is_taken_over_reads_back_with_the_same_standard_uncertainty(self):
        told = predicted(aids_by_key()["bore-by-filling"].steps.start)
        taken = next(one for one in told["takes_over"] if one["result"] == "results.bore")
        tube = predicted(bare("lifted-column", {"liquid": "water", "bore": taken["quantity"], "tube_length": "50 cm", "lift": "30 cm"}))
        back = tube["inputs"]["setup.bore"]
        self.assertAlmostEqual(back["half_width"] / math.sqrt(3) / told["results"]["bore"]["standard_uncertainty"], 1.0, delta=0.03)
        self.assertAlmostEqual(back["value"] / told["results"]["bore"]["value"], 1.0, delta=1e-3)

    def test_coefficient_and_hole_taken_over_give_the_flow_that_was_measured(self):
        for key in ("coefficient-by-draining", "hole-by-draining"):
            start = aids_by_key()[key].steps.start
            told = predicted(start)
            (taken,) = told["takes_over"]
            path = f"setup.holes.0.{taken['fields'][0]}"
            changes = [(path, taken["quantity"]), *((f"setup.holes.0.{name}", value) for name, value in taken["beside"].items())]
            hole = {"height": "3 cm", "diameter": "3 mm"}
            set_up = bare("holed-bottle", {"liquid": "water", "inner_diameter": "84 mm", "fill_height": "18 cm", "stand_drop": "10 cm", "holes": [hole]})
            self.assertTrue(all("+/-" not in str(value) for value in taken["beside"].values()), "they err together")
            without = {"coefficient-by-draining": "measured.hole_diameter", "hole-by-draining": "measured.discharge_coefficient"}[key]
            whole = told["results"][taken["result"].split(".")[1]]
            kept = math.sqrt(1 - whole["shares"][without]) * whole["standard_uncertainty"]
            back = predicted(with_changes(set_up, changes))["inputs"][path]["half_width"] / math.sqrt(3)
            self.assertAlmostEqual(back / kept, 1.0, delta=0.06, msg="the shares other than that of what errs with it")
            flow = predicted(with_changes(set_up, changes))["results"]["holes"][0]["flow"]["value"]
            at_mean = told["results"]["flow_start"]["value"] * math.sqrt(15 / 22)
            self.assertAlmostEqual(flow / at_mean, 1.0, delta=0.01)

    def test_a_profile_taken_over_makes_a_bottle_that_holds_what_was_poured(self):
        (taken,) = predicted(aids_by_key()["profile-by-pouring"].steps.start)["takes_over"]
        self.assertEqual((taken["quantity"][0]["height"], taken["beside"]["inner_diameter"]), ("0 cm", None))
        hole = {"height": "1 cm", "diameter": "3 mm"}
        set_up = bare("holed-bottle", {"liquid": "water", "profile": taken["quantity"], "fill_height": "17 cm", "stand_drop": "10 cm", "holes": [hole]})
        lost, held = (values(set_up)[f"results.{key}"] for key in ("volume_lost", "holes.0.head_to_start"))
        self.assertAlmostEqual(lost, 0.96e-3 * (0.16 - held) / 0.17, delta=0.03e-3)

    def test_the_command_takes_an_aids_file_and_tells_it_for_people(self):
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder, "tube.aid.json")
            file.write_text(json.dumps(aids_by_key()["bore-by-filling"].steps.start), "utf-8")
            run = subprocess.run([sys.executable, "-m", "hydrostatics.cli", str(file), "--text"], capture_output=True, text=True, check=True)
        self.assertIn("The tube is 11.27 ± 0.02 mm wide inside.", run.stdout.replace("\N{NO-BREAK SPACE}", " "))


def work_out_of(document: dict[str, Any]) -> Any:
    """The nominal case of an aid's document."""
    from hydrostatics.answer import work_out_aid

    return work_out_aid(document)[1]


class Sections(unittest.TestCase):
    def drawn(self, key: str, **measured):
        aid = next(one for one in ALL_AIDS if one.key == key)
        start = aid.steps.start
        _, now = work_out_aid({**start, "measured": {**start["measured"], **measured}})
        scene = aid.section(now)
        return now, {shape.id: shape.points for shape in scene.shapes}, scene

    def test_a_poured_profile_is_as_wide_at_each_step_as_was_found(self):
        now, shapes, _ = self.drawn("profile-by-pouring")
        for i in range(len(now.setup.marks)):
            (left, low), (right, _), (_, high), _ = shapes[f"step-{i}"]
            self.assertAlmostEqual(right - left, now.value(f"results.profile.{i}.diameter"))
            self.assertAlmostEqual(high, float(now.setup.marks[i].height[0]))
            self.assertLess(low, high)

    def test_a_draining_vessel_has_its_levels_above_the_middle_of_its_hole(self):
        for key in ("coefficient-by-draining", "hole-by-draining"):
            now, shapes, _ = self.drawn(key)
            hole = now.value("results.hole_diameter") if key.startswith("hole") else float(now.setup.hole_diameter[0])
            foot, above = shapes["right-below"][2][1], shapes["right-above"][0][1]
            self.assertAlmostEqual(above - foot, hole)
            self.assertAlmostEqual(shapes["start"][0][1] - (above + foot) / 2, float(now.setup.start_head[0]))
            self.assertAlmostEqual(shapes["fallen"][2][1] - (above + foot) / 2, float(now.setup.end_head[0]))

    def test_a_gauge_hangs_at_each_of_its_depths(self):
        now, shapes, _ = self.drawn("gauge-calibration")
        surface = shapes["liquid"][2][1]
        for i, point in enumerate(now.setup.points):
            low, high = shapes[f"probe-{i}"][0][1], shapes[f"probe-{i}"][2][1]
            self.assertAlmostEqual(surface - (low + high) / 2, float(point.depth[0]))

    def test_a_filled_tube_says_by_how_much_it_is_drawn_wider(self):
        now, shapes, scene = self.drawn("bore-by-filling")
        (left, _), (right, _), (_, high), _ = shapes["liquid"]
        self.assertAlmostEqual((right - left) / scene.widened, now.value("results.bore"))
        self.assertAlmostEqual(high, float(now.setup.length[0]))
        self.assertGreater(scene.widened, 1)


class Residuals(unittest.TestCase):
    def test_they_stand_about_the_line_as_zero_and_add_up_to_nothing(self):
        aid = next(one for one in ALL_AIDS if one.key == "gauge-calibration")
        got = answer(*work_out_aid(aid.steps.start))
        chart = next(one for one in got["views"] if one["title"] == "What the line leaves")["chart"]
        self.assertEqual(len(chart["dots"]), len(aid.steps.start["measured"]["points"]))
        self.assertAlmostEqual(sum(dot["y"] for dot in chart["dots"]), 0, places=4)
        self.assertEqual(chart["lines"][0]["y"], [0, 0])
