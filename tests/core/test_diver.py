"""The diver: its fates, its map, what is null in which case, and its play."""

from __future__ import annotations

import unittest
from dataclasses import replace

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.demonstrations.cartesian_diver.predict import FATES
from hydrostatics.errors import Conflict, MissingKey
from hydrostatics.layout.drawing import figures_of
from hydrostatics.prediction import Map
from hydrostatics.views.map import SEAM, lay_out_map
from tests.support.documents import answered, started, values, worked_out

SINKING = ("sink_pressure", "squeeze", "hand_force", "return_limit_depth", "returns", "squeeze_volume")


def diver(start: int = 0, **changes):
    return started("cartesian-diver", start, **changes)


def lies_in(x: float, y: float, outline: list[float]) -> bool:
    """Whether a ray to the right crosses a closed outline an odd number of times."""
    points = list(zip(outline[::2], outline[1::2], strict=True))
    edges = zip(points, points[1:] + points[:1], strict=True)
    return sum((a[1] > y) != (b[1] > y) and x < a[0] + (b[0] - a[0]) * (y - a[1]) / (b[1] - a[1]) for a, b in edges) % 2 == 1


class Refused(unittest.TestCase):
    def test_both_weighings_neither_and_half_of_one(self):
        for changes, kind, path in (
            ({"diver_mass": "3 g"}, Conflict, "setup.diver_mass"),
            ({"sinks_with": None}, MissingKey, "setup.sinks_with"),
            ({"sinks_with": None, "diver_mass": "3 g"}, MissingKey, "setup.diver_solid_volume"),
            ({"diver_solid_volume": "2 mL"}, Conflict, "setup.diver_solid_volume"),
        ):
            with self.subTest(changes=changes), self.assertRaises(kind) as caught:
                work_out(diver(**changes))
            self.assertEqual(caught.exception.path, path)


class Fates(unittest.TestCase):
    def fate(self, **changes) -> tuple[str, str]:
        got = answered(diver(**changes))
        return got["results"]["fate"], got["verdict"]["state"]

    def test_more_and_more_ballast(self):
        """What just sinks it is what is not yet on it: the less, the heavier it is."""
        self.assertEqual(self.fate(sinks_with="1.9 g"), ("too light for a hand", "fails"))
        self.assertEqual(self.fate(sinks_with="0.9 g"), ("comes back", "marginal"))
        self.assertEqual(self.fate(sinks_with="0.2 g"), ("comes back", "works"))
        self.assertEqual(self.fate(sinks_with="0.02 g"), ("stays down", "marginal"))
        self.assertEqual(self.fate(sinks_with="0 g"), ("sinks by itself", "fails"))

    def test_one_that_does_not_float_or_never_sinks_has_no_squeeze(self):
        heavy = values(diver(sinks_with="0 g"))
        never = values(diver(sinks_with="4 g"))
        for key in SINKING:
            self.assertIsNone(heavy[f"results.{key}"], key)
            self.assertIsNone(never[f"results.{key}"], key)
        self.assertIsNotNone(heavy["results.ballast_most"])
        self.assertIsNone(never["results.ballast_most"])
        self.assertIn("never sinks", answered(diver(sinks_with="4 g"))["verdict"]["reason"])

    def test_ballast_as_dense_as_the_liquid_trims_nothing(self):
        got = values(diver(1, liquid={"density": "1100 kg/m^3"}, ballast_density="1100 kg/m^3"))
        self.assertIsNone(got["results.ballast_least"])
        self.assertIsNone(got["results.ballast_most"])

    def test_within_the_window_it_sinks_and_comes_back_and_outside_it_does_not(self):
        for start in (0, 1):
            base = diver(start)
            got = values(base)
            least, most = got["results.ballast_least"], got["results.ballast_most"]
            weight = 0.128 if start == 0 else 4.63
            sign = -1 if start == 0 else 1
            key = "sinks_with" if start == 0 else "diver_mass"
            mass = {"setup": {**base["setup"]}}
            for added, fate in ((least - 2e-6, "too light for a hand"), (least + 2e-6, "comes back"), (most - 2e-6, "comes back"), (most + 2e-6, "stays down")):
                # ballast on a weighed diver adds its own volume as well
                solid = {} if start == 0 else {"diver_solid_volume": f"{3.58 + added / 7850 * 1e6} mL"}
                document = {**base, "setup": {**mass["setup"], key: f"{weight + sign * added * 1e3:.7f} g", **solid}}
                self.assertEqual(answered(document)["results"]["fate"], fate, (start, added))


class MapOfFates(unittest.TestCase):
    def drawn(self, **changes) -> Map:
        one, now = worked_out(diver(**changes))
        return next(view for view in one.say(now).table if isinstance(view, Map))

    def test_every_point_is_what_a_set_up_there_would_come_to(self):
        shown = self.drawn()
        rows, columns = shown.regions.shape
        rng = np.random.default_rng(3)
        for _ in range(25):
            r, c = int(rng.integers(rows)), int(rng.integers(columns))
            air = shown.x[1] + (shown.x[2] - shown.x[1]) * c / (columns - 1)
            trim = shown.y[1] + (shown.y[2] - shown.y[1]) * r / (rows - 1)
            fate = answered(diver(air_volume=f"{air * 1e6} mL", sinks_with=f"{trim * 1e3} g"))["results"]["fate"]
            self.assertEqual(fate, FATES[shown.regions[r, c]])

    def test_each_cell_lies_in_one_piece_alone_in_the_colour_of_its_region(self):
        _, now = worked_out(diver())
        rng = np.random.default_rng(5)
        for regions in (np.add.outer(np.arange(9), np.arange(12)) // 6, rng.integers(0, 3, (9, 12)), np.zeros((9, 12), dtype=int)):
            drawing = lay_out_map(replace(self.drawn(), regions=regions), figures_of(now))
            pieces = [item for item in drawing["items"] if item["id"].startswith("cell-")]
            x, y = (np.concatenate([piece["d"][k::2] for piece in pieces]) for k in (0, 1))
            wide, tall = (x.max() - x.min() - SEAM) / 12, (y.max() - y.min() - SEAM) / 9
            fills: dict[int, set[str]] = {}
            for (r, c), region in np.ndenumerate(regions):
                for across, up in ((0.5, 0.5), (0.05, 0.05), (0.95, 0.95)):
                    at = x.min() + (c + across) * wide, y.max() - SEAM - (r + up) * tall
                    found = [piece["f"] for piece in pieces if lies_in(*at, piece["d"])]
                    self.assertEqual(len(found), 1, (r, c, across))
                    fills.setdefault(int(region), set()).update(found)
            self.assertTrue(all(len(found) == 1 for found in fills.values()), fills)
            self.assertEqual(len(set.union(*fills.values())), len(fills))

    def test_all_four_regions_are_on_it_and_today_lies_within(self):
        shown = self.drawn(bottle_depth="60 cm")
        self.assertGreaterEqual(len(set(shown.regions.ravel().tolist())), 3)
        for axis, at in zip((shown.x, shown.y), shown.point, strict=True):
            self.assertTrue(axis[1] <= at <= axis[2])


class Played(unittest.TestCase):
    def test_it_sinks_only_once_squeezed_enough_and_rises_only_once_let_go_enough(self):
        one, now = worked_out(diver())
        timeline = one.moments(now)
        squeeze, depth = (np.array(timeline.series[key][2]) for key in ("squeeze", "depth"))
        need = now.value("results.squeeze")
        weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
        falling, rising = np.diff(depth) > 0, np.diff(depth) < 0
        self.assertTrue((squeeze[:-1][falling] >= need).all())
        self.assertTrue((squeeze[1:][rising] + weight * depth[1:][rising] <= need * 1.001).all())
        self.assertEqual(depth[-1], 0)
        self.assertEqual([words for _, words in timeline.marks], ["it sinks", "the hand lets go", "it comes back"])

    def test_one_that_stays_down_stays_down(self):
        one, now = worked_out(diver(2))
        timeline = one.moments(now)
        self.assertEqual(timeline.series["depth"][2][-1], 0.95)
        self.assertEqual(timeline.series["squeeze"][2][-1], 0)

    def test_the_air_obeys_boyle_all_the_way(self):
        one, now = worked_out(diver())
        timeline = one.moments(now)
        squeeze, depth, air = (np.array(timeline.series[key][2]) for key in ("squeeze", "depth", "air"))
        p_v = float(now.setup.liquid.vapour_pressure[0])
        weight = float(now.setup.liquid.density[0] * now.room.gravity[0])
        np.testing.assert_allclose((101_325 + squeeze + weight * depth - p_v) * air, (101_325 - p_v) * 1.9e-6, rtol=1e-9)
