"""The section: lettering never overlaps, geometry is to scale, playback keeps its points, SVG and screen share primitives."""

from __future__ import annotations

import itertools
import json
import re
import unittest
from typing import Any
from xml.etree import ElementTree

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.errors import Refusal
from hydrostatics.layout.drawing import draw, play
from hydrostatics.layout.lettering import RING
from hydrostatics.layout.placement import spread_along
from hydrostatics.layout.window import PER_METRE, Paper, window_of
from hydrostatics.paper.colours import STEPS, THEMES, colours, tint
from hydrostatics.paper.svg import as_svg, path_data
from hydrostatics.quantities.saying import said
from tests.support.documents import bottle, random_bottle, worked_out
from tests.support.imagined import IMAGINED
from tests.support.lettered import box
from tests.support.random_setups import MAKERS, random_setup, with_wide_tolerances

SHEETS = (Paper(), Paper(390, 372, 296, 0), Paper(1400, 900, 820, 356))


Named = tuple[str, tuple[float, float, float, float]]


def overlapping(boxes: list[Named], taken: list[Named]) -> list[tuple[Named, Named]]:
    """Which boxes lie on one that comes after them among what is taken, which begins with the boxes themselves."""
    if not boxes:
        return []
    a, b = np.array([one for _, one in boxes])[:, None], np.array([one for _, one in taken])[None]
    over = (a[..., 0] < b[..., 2]) & (b[..., 0] < a[..., 2]) & (a[..., 1] < b[..., 3]) & (b[..., 1] < a[..., 3])
    return [(boxes[i], taken[k]) for i, k in np.argwhere(np.triu(over, 1))]


def around(x: float, y: float) -> tuple[float, float, float, float]:
    """The box of a ring."""
    return x - RING, y - RING, x + RING, y + RING


def extent(points: list[float]) -> tuple[float, float, float, float]:
    """The box of an outline."""
    return min(points[::2]), min(points[1::2]), max(points[::2]), max(points[1::2])


class Lettering(unittest.TestCase):
    def texts(self, drawing: dict[str, Any]) -> list[dict[str, Any]]:
        return [item for item in drawing["items"] if item["k"] == "t"]

    def test_none_overlaps_on_random_bottles(self):
        seen = 0
        for seed in range(150):
            try:
                demonstration, now = worked_out(random_bottle(seed))
            except Refusal:
                continue
            for paper in SHEETS:
                drawing = draw(demonstration, now, paper)
                texts = self.texts(drawing)
                boxes = [(item["id"], box(item)) for item in texts]
                self.assertEqual(overlapping(boxes, boxes), [], f"seed {seed}, {paper.width:g} wide")
                seen += len(boxes)
        self.assertGreater(seen, 3000)

    def test_random_set_ups_of_each_can_be_drawn_and_no_lettering_lies_on_other_a_ring_or_a_gauge(self):
        for key in MAKERS:
            seen = 0
            for seed in range(200):
                document = random_setup(key, seed)
                try:
                    demonstration, now = work_out(with_wide_tolerances(document, seed) if seed % 3 == 0 else document, drawn=seed % 2 == 0)
                except Refusal:
                    continue
                for paper in SHEETS[:2]:
                    drawing = draw(demonstration, now, paper)
                    if paper.narrow == (seed % 2 == 0):
                        as_svg(drawing, "light", key)
                    boxes = [(item["id"], box(item)) for item in self.texts(drawing)]
                    taken = boxes + [(one["path"], around(one["x"], one["y"])) for one in drawing["handles"]]
                    taken += [(item["id"], extent(item["d"])) for item in drawing["items"] if item["k"] == "p" and item["id"].startswith("gauge-")]
                    self.assertEqual(overlapping(boxes, taken), [], f"{key}, seed {seed}, {paper.width:g} wide")
                    seen += len(boxes)
            self.assertGreater(seen, 3000, key)

    def test_a_ring_on_a_dimension_line_stands_on_it(self):
        for demonstration in ALL_DEMONSTRATIONS:
            for start in demonstration.guide.starts:
                drawing = draw(*worked_out(start["document"]), Paper())
                lines = {item["id"].removesuffix(":line"): item["d"] for item in drawing["items"] if item["id"].endswith(":line")}
                for one in drawing["handles"]:
                    if one["path"] in lines:
                        left, top, right, bottom = extent(lines[one["path"]])
                        where = (demonstration.key, one["path"], one["x"], one["y"], lines[one["path"]])
                        self.assertTrue(left - 1 <= one["x"] <= right + 1 and top - 1 <= one["y"] <= bottom + 1, where)

    def test_a_mark_beyond_the_tape_stands_at_its_end_with_an_arrow_and_its_number(self):
        cover = {"kind": "plate", "mass": "85 g"}
        tall = {"liquid": "water", "mouth_diameter": "76 mm", "inside_height": "1.42 m", "fill_height": "0.9 m", "cover": cover}
        for fill, beyond in (("0.9 m", True), ("1.42 m", False)):
            document = {"anchorage": 1, "demonstration": "inverted-glass", "setup": {**tall, "fill_height": fill}}
            demonstration, now = worked_out(document)
            items = {item["id"]: item for item in draw(demonstration, now, Paper())["items"]}
            mark, figure = items["mark-drop"], items["mark-drop-figure"]
            self.assertEqual("beyond the tape" in mark["words"], beyond)
            self.assertEqual(mark["d"][0] == Paper().width - 14, beyond)
            self.assertLess(box(figure)[2], Paper().width)
            if beyond:
                self.assertEqual(figure["runs"][0][0], said(now.value("results.card_drop"), now.shown_sd("results.card_drop"), "sink", "mm")[0])

    def test_speeds_keep_clear_of_the_jets(self):
        for seed in range(80):
            try:
                demonstration, now = worked_out(random_bottle(seed))
            except Refusal:
                continue
            drawing = draw(demonstration, now, Paper())
            jets = [np.array(item["d"]).reshape(-1, 2) for item in drawing["items"] if item["k"] == "p" and re.fullmatch(r"jet-\d+(-drops)?", item["id"])]
            fine = [np.concatenate([a + (b - a) * np.linspace(0, 1, 9)[:, None] for a, b in itertools.pairwise(jet)]) for jet in jets]
            for item in self.texts(drawing):
                if item["id"].startswith("speed-"):
                    left, top, right, bottom = box(item)
                    for points in fine:
                        inside = (points[:, 0] > left) & (points[:, 0] < right) & (points[:, 1] > top) & (points[:, 1] < bottom)
                        self.assertFalse(inside.any(), f"seed {seed}: {item['id']}")

    def test_with_three_holes_nothing_is_left_out(self):
        ids = {item["id"] for item in draw(*worked_out(bottle()), Paper())["items"]}
        wanted = {f"{kind}-{i}" for kind in ("speed", "pressure", "mark") for i in range(3)} | {f"mark-{i}-figure" for i in range(3)}
        self.assertLessEqual(wanted | {"setup.fill_height:figure", "setup.stand_drop:figure", "setup.inner_diameter:figure"}, ids)

    def test_ids_are_unique(self):
        for seed in range(60):
            try:
                items = draw(*worked_out(random_bottle(seed)), Paper())["items"]
            except Refusal:
                continue
            self.assertEqual(len({item["id"] for item in items}), len(items))

    def test_boxes_spread_along_a_line_fit_or_are_refused(self):
        placed = spread_along([10, 12, 14], [20, 20, 20], 0, 100, 2)
        assert placed is not None
        self.assertTrue(all(b - a >= 22 - 1e-9 for a, b in zip(sorted(placed), sorted(placed)[1:], strict=False)))
        self.assertIsNone(spread_along([1, 2], [60, 60], 0, 100, 2))


class ToScale(unittest.TestCase):
    def test_the_section_is_to_the_scale_that_it_states(self):
        drawing = draw(*worked_out(bottle()), Paper())
        liquid = next(item for item in drawing["items"] if item["id"] == "liquid")
        points = np.array(liquid["d"]).reshape(-1, 2)
        scale = drawing["window"]["scale"]
        self.assertAlmostEqual(np.ptp(points[:, 0]) / scale, 0.087, places=4)
        self.assertAlmostEqual(np.ptp(points[:, 1]) / scale, 0.29, places=4)
        stated = next(run[0] for item in drawing["items"] if item["id"] == "caption" for run in item["runs"] if "1 :" in run[0])
        self.assertAlmostEqual(PER_METRE / scale, float(stated.split("1 : ")[1]), places=6)

    def test_a_jet_ends_where_its_mark_stands(self):
        drawing = draw(*worked_out(bottle()), Paper())
        for mark in drawing["marks"]:
            jet = next(item for item in drawing["items"] if item["id"] == mark["id"].replace("mark", "jet") + "-drops")
            self.assertAlmostEqual(jet["d"][-2], mark["x"], delta=0.6)
            self.assertAlmostEqual(jet["d"][-1], drawing["horizon"], delta=0.05)

    def test_a_tall_stand_is_broken_and_says_so(self):
        drawing = draw(*worked_out(bottle(stand_drop="11.4 m")), Paper())
        self.assertIsNotNone(drawing["window"]["cut"])
        self.assertTrue(any("left out" in run[0] for item in drawing["items"] if item["id"] == "break-words" for run in item["runs"]))
        self.assertIsNone(draw(*worked_out(bottle()), Paper())["window"]["cut"])

    def test_a_frozen_window_is_kept(self):
        first = draw(*worked_out(bottle()), Paper())
        window = window_of(json.loads(json.dumps(first["window"])))
        taller = draw(*worked_out(bottle(fill_height="40 cm")), Paper(), window)
        self.assertEqual(taller["window"], first["window"])
        self.assertNotEqual(draw(*worked_out(bottle(fill_height="40 cm")), Paper())["window"], first["window"])

    def test_a_window_that_is_none_is_refused(self):
        for wrong in ({}, {"scale": "x"}, {"scale": -1, "origin": 0, "horizon": 1, "cut": None}, {"scale": float("nan"), "origin": 0, "horizon": 1}):
            with self.assertRaises(ValueError):
                window_of(wrong)

    def test_handles_carry_the_scale(self):
        drawing = draw(*worked_out(bottle()), Paper())
        fill = next(h for h in drawing["handles"] if h["path"] == "setup.fill_height")
        self.assertAlmostEqual(fill["si_per_unit"] * drawing["window"]["scale"], 1)
        wide = next(h for h in drawing["handles"] if h["path"] == "setup.inner_diameter")
        self.assertAlmostEqual(wide["si_per_unit"] * drawing["window"]["scale"], 2)


class Playback(unittest.TestCase):
    def test_every_frame_has_the_same_points(self):
        playback = play(*worked_out(bottle()), Paper())
        assert playback is not None
        shape = [len(d) for d in playback["frames"][0]]
        self.assertTrue(all([len(d) for d in frame] == shape for frame in playback["frames"]))
        self.assertEqual(len(playback["times"]), len(playback["frames"]))
        self.assertEqual(playback["times"], sorted(playback["times"]))

    def test_the_first_frame_is_the_drawing(self):
        found = worked_out(bottle())
        playback, drawing = play(*found, Paper()), draw(*found, Paper())
        assert playback is not None
        for id, d in zip(playback["moving"], playback["frames"][0], strict=True):
            item = next(item for item in drawing["items"] if item["id"] == id)
            np.testing.assert_allclose(d, item["d"], atol=0.011)

    def test_levels_fall_to_the_last_stop_and_marks_are_the_stops(self):
        demonstration, now = worked_out(bottle())
        playback = play(demonstration, now, Paper())
        assert playback is not None
        levels = playback["series"][0]["values"]
        self.assertTrue(all(a > b for a, b in itertools.pairwise(levels)))
        self.assertAlmostEqual(levels[-1], 0.06 + (now.value("results.holes.2.head_to_start") or 0), places=6)
        self.assertEqual([m["time"] for m in playback["marks"]], sorted(now.value(f"results.holes.{i}.stops_after") for i in range(3)))

    def test_nothing_moves_under_a_cap(self):
        self.assertIsNone(play(*worked_out(bottle(cap="closed")), Paper()))


class Svg(unittest.TestCase):
    def test_it_is_the_same_primitives(self):
        drawing = draw(*worked_out(bottle()), Paper())
        for theme in THEMES:
            root = ElementTree.fromstring(as_svg(drawing, theme, "A bottle < three & more"))
            paths = {element.get("d") for element in root.iter("{http://www.w3.org/2000/svg}path")}
            for item in drawing["items"]:
                if item["k"] == "p":
                    self.assertIn(path_data(item), paths, item["id"])
                    self.assertEqual([float(number) for number in re.findall(r"-?[\d.]+", path_data(item))], item["d"], item["id"])
            words = ["".join(element.itertext()) for element in root.iter("{http://www.w3.org/2000/svg}text")]
            for item in drawing["items"]:
                if item["k"] == "t":
                    self.assertIn("".join(run[0] for run in item["runs"]), words)
            self.assertNotIn("var(", as_svg(drawing, theme, "x"))

    def test_another_demonstration_needs_no_other_writer(self):
        demonstration, now = worked_out({**IMAGINED.guide.starts[0]["document"]})
        ElementTree.fromstring(as_svg(draw(demonstration, now, Paper()), "night", "tank"))


class Colours(unittest.TestCase):
    def test_steps_of_the_tint(self):
        self.assertEqual((tint(0, 10), tint(10, 10), tint(-10, 10), tint(99, 10)), ("tint-0", f"tint-{STEPS}", f"tint-n{STEPS}", f"tint-{STEPS}"))
        self.assertEqual(colours("light")["tint-0"], "#DDEDF2")
        self.assertEqual(colours("light")[f"tint-{STEPS}"], "#0B4A86")
        self.assertEqual(colours("night")[f"tint-n{STEPS}"], "#C4691A")

    def test_lettering_stands_out(self):
        """WCAG 2.2, 1.4.3: at least 4.5 to 1 for text, on every ground that it stands on."""
        for theme in THEMES:
            table = colours(theme)
            for ink, ground in (
                ("ink", "ground"),
                ("second", "ground"),
                ("ink", "strip"),
                ("bench-ink", "bench"),
                ("bench-second", "bench"),
                ("bench-second", "front"),
                ("second", "strip"),
            ):
                self.assertGreaterEqual(contrast(table[ink], table[ground]), 4.5, f"{theme}: {ink} on {ground}")


def contrast(a: str, b: str) -> float:
    def luminance(colour: str) -> float:
        parts = [int(colour[i : i + 2], 16) / 255 for i in (1, 3, 5)]
        r, g, b = (c / 12.92 if c <= 0.04045 else ((c + 0.055) / 1.055) ** 2.4 for c in parts)
        return 0.2126 * r + 0.7152 * g + 0.0722 * b

    high, low = sorted((luminance(a), luminance(b)), reverse=True)
    return (high + 0.05) / (low + 0.05)
