"""Strips at true scale: on the printed sheet everything stands where the numbers say, to a fifth of a millimetre."""

from __future__ import annotations

import itertools
import unittest
from typing import Any

import numpy as np
import pypdfium2

from hydrostatics.aids.registry import aids_by_key
from hydrostatics.answer import work_out_aid
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.lessons.making import holes_to_make, to_fill
from hydrostatics.printed.gauge_strip import gauge_strips
from hydrostatics.printed.strip_pages import CHECK, EDGE, HEAD, LANE, PIECE, RIBBON, TALL, WIDE, pages_of
from hydrostatics.printed.strips import LONGEST, Mark, Strip, strips_of
from hydrostatics.printed.strips_pdf import strips_pdf
from tests.support.documents import bottle, worked_out

DOTS = 20
"""Rendered points of a millimetre."""
EXACT = 0.2


def rendered(strips: Any) -> list[Any]:
    """Each page as an array of grey, DOTS to a millimetre."""
    pdf = pypdfium2.PdfDocument(strips_pdf(strips, "A set-up", "version 1"))
    for page in pdf:
        assert abs(page.get_width() * 25.4 / 72 - WIDE) < 0.01
        assert abs(page.get_height() * 25.4 / 72 - TALL) < 0.01
    return [page.render(scale=DOTS * 25.4 / 72, grayscale=True).to_numpy() for page in pdf]


def dark_rows(page: Any, left: float, right: float) -> Any:
    """Heights [mm] at which ink reaches all the way from left to right [mm]."""
    part = page[:, round(left * DOTS) : round(right * DOTS)] < 200
    rows = np.flatnonzero(part.all(axis=1))
    groups = np.split(rows, np.flatnonzero(np.diff(rows) > 1) + 1) if len(rows) else []
    return np.array([group.mean() / DOTS for group in groups])


def holes_of(strip: Strip) -> list[tuple[float, float]]:
    return [(mark.at, mark.hole) for mark in strip.marks if mark.hole]


class OnTheSheet(unittest.TestCase):
    def test_the_check_square_has_its_side(self):
        page = rendered([Strip("x", "0", (Mark(0.05, "a"), Mark(0.1, "b")))])[0]
        x = WIDE - EDGE - CHECK
        across = dark_rows(page, x + 5, x + CHECK - 5)
        self.assertEqual(len(across), 2)
        self.assertAlmostEqual(across[1] - across[0], CHECK, delta=EXACT)
        upright = dark_rows(page.T, EDGE + HEAD + 1, EDGE + HEAD + 6)
        sides = upright[upright > x - 1]
        self.assertAlmostEqual(sides[-1] - sides[0], CHECK, delta=EXACT)

    def test_marks_stand_at_their_distance_from_zero_and_from_each_other(self):
        marks = (Mark(0.0555, "a"), Mark(0.1403, "b"), Mark(0.2207, "c"))
        for upwards in (False, True):
            page = rendered([Strip("x", "0", marks, upwards)])[0]
            rows = dark_rows(page, EDGE + 5.5, EDGE + RIBBON - 1)
            top, foot, inner = rows[0], rows[-1], rows[1:-1]
            found = sorted(foot - inner) if upwards else sorted(inner - top)
            for at, mark in zip(found, marks, strict=True):
                self.assertAlmostEqual(at, 1000 * mark.at, delta=EXACT)

    def test_pieces_laid_line_on_line_are_the_whole_strip(self):
        marks = (Mark(0.05, "a"), Mark(0.41, "b"), Mark(0.433, "c"), Mark(0.66, "d"))
        for upwards in (False, True):
            strip = Strip("x", "0", marks, upwards)
            pieces = [piece for page in pages_of([strip]) for piece in page.pieces]
            self.assertGreater(len(pieces), 2)
            found = {}
            for piece in pieces:
                self.assertLessEqual(piece.high - piece.low, PIECE)
                for mark in piece.marks:
                    found[mark.words] = piece.low + (piece.foot - mark.y if upwards else mark.y - piece.top)
            self.assertEqual({words: round(at, 6) for words, at in found.items() if words}, {mark.words: round(1000 * mark.at, 6) for mark in marks})
            for one, other in itertools.pairwise(pieces):
                self.assertEqual(one.high, other.low)
                self.assertEqual((len(one.joins) > 0, one.tab is not None), (True, True))
            self.assertIsNone(pieces[-1].tab)

    def test_nothing_leaves_its_lane_or_its_page(self):
        for demonstration in ALL_DEMONSTRATIONS:
            for start in demonstration.guide.starts:
                strips = strips_of(*worked_out(start["document"]))
                for page in pages_of(strips) if strips else ():
                    for piece in page.pieces:
                        self.assertLessEqual(piece.foot + (8 if piece.tab else 0), TALL - 5)
                        self.assertLessEqual(piece.x + LANE, WIDE)
                        for mark in piece.marks:
                            self.assertTrue(piece.top - 1e-9 <= mark.y <= piece.foot + 1e-9 or not mark.words, (start["name"], mark))

    def test_words_close_together_are_written_below_each_other(self):
        strip = Strip("x", "0", tuple(Mark(0.05 + k / 2000, f"m{k}") for k in range(6)))
        heights = [mark.words_y for page in pages_of([strip]) for piece in page.pieces for mark in piece.marks]
        self.assertGreaterEqual(min(np.diff(sorted(heights))), 3.5)


class OfASetUp(unittest.TestCase):
    def test_a_bottles_holes_their_sizes_and_its_level_are_on_one_strip_and_the_landings_on_another(self):
        one, now = worked_out(bottle())
        heights, landings = strips_of(one, now)
        self.assertTrue(heights.upwards)
        holes = sorted((float(hole.height[0]), float(hole.diameter[0])) for hole in now.setup.holes)
        for (at, wide), (height, diameter) in zip(holes_of(heights), holes, strict=True):
            self.assertAlmostEqual(at, height)
            self.assertAlmostEqual(wide, diameter)
        self.assertIn("Liquid above the base", heights.marks[-1].words)
        self.assertAlmostEqual(heights.marks[-1].at, float(now.setup.fill_height[0]))
        ranges = sorted(now.value(f"results.holes.{k}.range") for k in range(len(holes)))
        for mark, reach in zip(landings.marks, ranges, strict=True):
            self.assertAlmostEqual(mark.at, reach)
            self.assertGreater(mark.spread, 0)

    def test_a_strip_too_long_to_be_stuck_on_is_left_out(self):
        for demonstration in ALL_DEMONSTRATIONS:
            for start in demonstration.guide.starts:
                self.assertTrue(all(0 < strip.length <= LONGEST for strip in strips_of(*worked_out(start["document"]))))


class GaugeScales(unittest.TestCase):
    """A gauge of 8 Pa a line, dipped in water: round pressures stand where a division by 8 puts them."""

    def scale(self, lines: list[float], depths: list[float]) -> tuple[Any, ...]:
        points = [{"depth": f"{depth} cm", "reading": line} for depth, line in zip(depths, lines, strict=True)]
        aid = aids_by_key()["gauge-calibration"]
        document = {
            "anchorage": 1,
            "aid": aid.key,
            "room": {"temperature": "20 degC", "gravity": "9.8067 m/s^2"},
            "measured": {"liquid": "water", "points": points},
        }
        return aid.scale(work_out_aid(document)[1])

    def test_round_pressures_stand_at_their_lines_and_on_paper_at_lines_times_their_distance(self):
        depths = [0.0, 5.0, 10.0, 15.0, 20.0, 25.0]
        weight = 998.207 * 9.8067  # water at 20 degC [CRC Handbook]
        lines = [weight * depth / 100 / 8 for depth in depths]
        got = self.scale(lines, depths)
        self.assertGreater(len(got), 6)
        for one in got:
            number, unit = one.words.split()
            pascals = float(number) * {"Pa": 1, "hPa": 100, "kPa": 1000, "mbar": 100}[unit]
            self.assertAlmostEqual(one.lines, pascals / 8, delta=0.05)
        (strip,) = gauge_strips(got, 0.002)
        self.assertAlmostEqual(strip.marks[-1].at, 0.002 * got[-1].lines, places=6)
        steps = {round(b.at - a.at, 6) for a, b in itertools.pairwise(strip.marks)}
        self.assertEqual(len(steps), 1, "equal pressures, equal distances")

    def test_a_gauge_that_sticks_or_a_scale_longer_than_anybody_sticks_on_is_not_printed(self):
        self.assertEqual(self.scale([0, 3, 2.9, 9], [0.0, 10.0, 20.0, 30.0]), ())
        fine = self.scale([0, 30, 60, 90], [0.0, 10.0, 20.0, 30.0])
        self.assertEqual(gauge_strips(fine, LONGEST / 40), ())
        self.assertEqual(gauge_strips(fine[:1], 0.001), ())


class ToMake(unittest.TestCase):
    def test_each_hole_is_told_with_its_height_and_width_and_the_water_that_it_takes(self):
        """By hand: a straight bottle of 88 mm filled 28 cm deep holds 0.785 · 0.88² · 2.8 = 1.70 L."""
        told = worked_out(by_key()["holed-bottle"].guide.starts[0]["document"])
        self.assertEqual(
            [line.replace("\xa0", " ") for line in holes_to_make(*told)],
            ["hole 3: 5.5 cm, 3.2 mm wide", "hole 2: 14 cm, 3.2 mm wide", "hole 1: 22 cm, 3.2 mm wide"],
        )
        self.assertEqual(to_fill(*told).replace("\xa0", " "), "Water, at least 1.7 L each time")
        cup = worked_out(by_key()["suction-cup"].guide.starts[0]["document"])
        self.assertEqual((holes_to_make(*cup), to_fill(*cup)), ([], ""))
