"""Sections are to scale: what is drawn stands where the numbers say, under the pressures that the numbers say."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.demonstrations.registry import by_key
from hydrostatics.layout.drawing import draw
from hydrostatics.layout.geometry import geometry
from hydrostatics.layout.window import Paper, Window
from hydrostatics.section.shapes import Scene, Shape
from tests.support.documents import worked_out


def case(key: str, start: int = 0, **changes):
    document = by_key()[key].guide.starts[start]["document"]
    setup = {key: value for key, value in {**document["setup"], **changes}.items() if value is not None}
    one, now = worked_out({**document, "room": {"station_pressure": "955 hPa", "temperature": "18 degC"}, "setup": setup})
    scene = one.section(now)
    return now, {shape.id: shape for shape in scene.shapes}, scene


def top(shape) -> float:
    return max(z for _, z in shape.points)


def foot(shape) -> float:
    return min(z for _, z in shape.points)


class ToScale(unittest.TestCase):
    def test_an_inverted_glass(self):
        now, shapes, _ = case("inverted-glass")
        self.assertAlmostEqual(top(shapes["liquid"]) - foot(shapes["liquid"]), 0.095)
        self.assertAlmostEqual(top(shapes["air"]) - foot(shapes["air"]), 0.04)
        self.assertEqual(foot(shapes["liquid"]), top(shapes["cover"]))
        low, high = shapes["liquid"].pressures
        self.assertAlmostEqual(high, now.value("results.top_pressure") - 95_500, places=6)
        self.assertAlmostEqual(low, now.value("results.bottom_pressure") - 95_500, places=6)

    def test_a_gauge_stands_at_its_port(self):
        _, shapes, scene = case("inverted-glass", ports=["3 cm", "12 cm"])
        mouth = foot(shapes["liquid"])
        for i, height in enumerate((0.03, 0.12)):
            self.assertAlmostEqual((top(shapes[f"gauge-{i}"]) + foot(shapes[f"gauge-{i}"])) / 2, mouth + height)
            self.assertAlmostEqual(next(h for h in scene.handles if h.path == f"setup.ports.{i}").at[1], mouth + height)

    def test_sheets_bend_the_way_their_pressure_pushes(self):
        _, dished, _ = case("inverted-glass", cover={"kind": "sheet"}, top_sheet=True)
        rim = dished["sheet-top"].points[0][1]
        self.assertLess(min(z for _, z in dished["sheet-top"].points), rim - 0.005)
        _, bulged, _ = case("inverted-glass", cover={"kind": "sheet"}, vent=True)
        self.assertLess(foot(bulged["cover"]), bulged["cover"].points[0][1] - 0.005)

    def test_a_lifted_column(self):
        now, shapes, _ = case("lifted-column")
        basin = top(shapes["basin-liquid"])
        self.assertAlmostEqual(top(shapes["liquid"]) - basin, now.value("results.level"))
        self.assertAlmostEqual(top(shapes["gas"]) - basin, 0.52)
        self.assertAlmostEqual(shapes["gas"].pressures[0], now.value("results.gas_pressure") - 95_500, places=6)
        self.assertAlmostEqual(shapes["liquid"].pressures[1], shapes["gas"].pressures[0], places=6)

    def test_a_column_lost_is_not_drawn(self):
        _, shapes, _ = case("lifted-column", lift="70 cm")
        self.assertNotIn("liquid", shapes)

    def test_a_barometer_upright_and_leaning(self):
        for tilt in ("0 deg", "35 deg"):
            now, shapes, scene = case("barometer", 2, tilt=tilt)
            basin = top(shapes["basin-liquid"])
            self.assertAlmostEqual(shapes["surface"].points[0][1] - basin, now.value("results.column_height"), places=9)
            self.assertGreater(scene.widened, 1)
        self.assertGreater(shapes["surface"].points[0][0], 0.1)

    def test_a_long_straw_with_its_limits(self):
        now, shapes, _ = case("suction-lift", 1)
        basin = top(shapes["basin-liquid"])
        self.assertAlmostEqual(shapes["line-source"].points[0][1] - basin, now.value("results.source_limit"))
        self.assertAlmostEqual(top(shapes["liquid"]) - basin, 7.4)
        _, short, _ = case("suction-lift", 2)
        self.assertLess(top(short["liquid"]), foot(short["pump"]))

    def test_what_lifts_is_drawn_as_a_mouth_or_as_a_pump(self):
        for changes, there, gone in (
            ({"source_suction": "30 kPa", "source_pressure": None}, "mouth", "pump"),
            ({"source_pressure": "16 kPa", "source_suction": None}, "pump", "mouth"),
        ):
            _, shapes, _ = case("suction-lift", 1, **changes)
            self.assertIn(there, shapes)
            self.assertNotIn(gone, shapes)
            self.assertGreaterEqual(foot(shapes[there]), top(shapes["hose-left"]) - 1e-9)

    def test_a_probe_and_the_other_side(self):
        now, shapes, _ = case("depth-pressure", 1)
        surface = shapes["surface"].points[0][1]
        self.assertAlmostEqual(surface - (top(shapes["probe"]) + foot(shapes["probe"])) / 2, 1.6)
        self.assertAlmostEqual(top(shapes["other-side"]) - foot(shapes["other-side"]), 0.6)
        self.assertAlmostEqual(surface - shapes["centre"].points[0][1], now.value("results.centre_of_pressure"))

    def test_a_cup_and_a_press_at_their_pressures(self):
        now, shapes, _ = case("suction-cup")
        self.assertAlmostEqual(shapes["air"].pressures[0], -now.value("results.pressure_difference"))
        now, shapes, _ = case("hydraulic-press")
        self.assertEqual(shapes["pushed-liquid"].pressures, shapes["lifting-liquid"].pressures)

    def test_what_is_liquid_or_gas_always_has_its_pressure(self):
        for key, one in by_key().items():
            for k in range(len(one.guide.starts)):
                for shape in case(key, k)[2].shapes:
                    if shape.role in ("liquid", "gas"):
                        self.assertIsNotNone(shape.pressures, (key, shape.id))
                        self.assertTrue(np.isfinite(shape.pressures).all())


class Lettering(unittest.TestCase):
    def test_a_rules_figures_have_three_characters_at_most_where_a_longer_step_can_do_that(self):
        for key, one in by_key().items():
            for k in range(len(one.guide.starts)):
                now, _, _ = case(key, k)
                drawing = draw(one, now, Paper(984, 660, 584, 356))
                for item in drawing["items"]:
                    if item["id"].startswith("rule-") and item["k"] == "t":
                        self.assertLessEqual(len(item["runs"][0][0]), 3, (key, item["runs"]))

    def test_a_tape_of_its_own_range_begins_at_a_round_figure(self):
        now, _, _ = case("barometer")
        items = {item["id"]: item for item in draw(by_key()["barometer"], now, Paper(984, 660, 584, 356))["items"]}
        first = float(items["tape-0"]["runs"][0][0].split("\u00a0")[0].split(" ")[0])
        self.assertAlmostEqual(first * 2, round(first * 2), places=9)

    def test_a_widened_tube_is_said_to_be(self):
        now, _, scene = case("barometer")
        items = {item["id"]: item for item in draw(by_key()["barometer"], now, Paper())["items"]}
        self.assertIn(f"widths × {scene.widened:.3g}", " ".join(run[0] for run in items["caption"]["runs"]))


class Faces(unittest.TestCase):
    def fill(self, points: list[tuple[float, float]]) -> str:
        """How a wall through points [paper units] is filled."""
        scene = Scene((Shape("wall", "wall", tuple(points)),), (), (), None, rule_unit="cm")
        return next(item["f"] for item in geometry(scene, Window(1.0, 0.0, 0.0), 1.0) if item["id"] == "wall")

    def test_a_cut_face_is_hatched_from_three_units_on_and_solid_below(self):
        for across, fill in ((2.9, "ink"), (3.1, "hatch-up")):
            for slope in (0.0, 0.7):
                for pieces in (1, 20):  # few points, and many
                    up = [(slope * 90 * k / pieces, 90 * k / pieces) for k in range(pieces + 1)]
                    shift = across * (1 + slope**2) ** 0.5
                    with self.subTest(across=across, slope=slope, pieces=pieces):
                        self.assertEqual(self.fill([*up, *((x + shift, y) for x, y in up[::-1])]), fill)
