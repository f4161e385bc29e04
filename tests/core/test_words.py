"""What is said of a bottle: each case's sentence, names, advice, cautions and assumptions."""

from __future__ import annotations

import unittest
from typing import Any

from hydrostatics.demonstrations.holed_bottle import HOLED_BOTTLE
from hydrostatics.readings import series
from hydrostatics.text import as_text
from tests.support.documents import answered, bottle, started, worked


def said(**changes: Any) -> str:
    """The verdict's sentence with plain spaces."""
    return answered(bottle(**changes))["verdict"]["reason"].replace("\u00a0", " ")


def hole(height: str, diameter: str = "3 mm", **more: Any) -> dict[str, Any]:
    return {"height": height, "diameter": diameter, **more}


class Verdicts(unittest.TestCase):
    def test_one_jet(self):
        self.assertRegex(said(holes=[hole("6 cm")]), r"^The jet lands [\d.]+ ± [\d.]+ cm from the wall\.$")

    def test_one_dripping_hole(self):
        self.assertIn("drips, and lands", said(fill_height="6.7 cm", holes=[hole("5.5 cm")]))

    def test_two_holes_are_upper_and_lower(self):
        self.assertRegex(said(stand_drop="40 cm", holes=[hole("20 cm"), hole("5 cm")]), r"^The lower jet lands farthest, by")

    def test_four_holes_are_numbered(self):
        sentence = said(stand_drop="60 cm", holes=[hole(f"{h} cm") for h in (5, 10, 15, 20)])
        self.assertRegex(sentence, r"^The jet of hole 1 lands farthest")

    def test_holes_at_one_height_are_numbered(self):
        self.assertIn("The jet of hole 2", said(holes=[hole("8 cm"), hole("8 cm", "4 mm")]))

    def test_a_narrow_lead_says_but_only(self):
        self.assertIn("but only by", said(stand_drop="10 cm"))

    def test_the_middle_wins_on_the_tray_and_the_drop_that_decides_is_told(self):
        sentence = said(stand_drop="0 cm")
        self.assertRegex(sentence, r"^The middle jet lands farthest, by .* cm; depth decides only from a drop of .* cm\.$")

    def test_the_deepest_wins_but_the_rest_do_not_follow(self):
        holes = [hole("20 cm"), hole("12 cm", edge="short-tube"), hole("3 cm")]
        got = answered(bottle(stand_drop="8 cm", holes=holes))
        self.assertEqual(got["results"]["landing_order"][-1], 2)
        self.assertIn("but the rest follow depth only from a drop of", got["verdict"]["reason"])

    def test_no_drop_cures_a_worse_edge_below(self):
        holes = [hole("12 cm"), hole("8 cm", edge="short-tube")]
        got = answered(bottle(holes=holes))
        self.assertIn("no drop makes deeper land farther here", got["verdict"]["reason"])
        self.assertIn("give all holes one edge", got["verdict"]["advice"][0])
        self.assertEqual(got["verdict"]["changes"][0], [{"path": "setup.holes.1.edge", "quantity": "sharp"}])

    def test_a_base_hole_alone(self):
        self.assertRegex(said(holes=[hole("0 cm", facing="down")]), r"^It runs straight down, at [\d.]+ ± [\d.]+ m/s\.$")

    def test_capped(self):
        self.assertRegex(said(cap="closed", holes=[hole("5 cm")]), r"^The cap holds it: a meniscus carries the hole up to 7\.7")
        self.assertRegex(said(cap="closed"), r"^The cap does not hold it: the menisci of two holes carry only")
        self.assertRegex(said(cap="closed", holes=[hole("5 cm", "12 mm")]), r"^The cap does not hold it: a meniscus carries")
        self.assertRegex(said(cap="closed", holes=[hole("0 cm", "15 mm", facing="down")]), r"^Doubtful: a meniscus that slides")

    def test_a_pinhole_that_is_held(self):
        self.assertRegex(said(holes=[hole("27 cm", "0.4 mm")]), r"^No jet: surface tension holds the hole shut until")


class Advice(unittest.TestCase):
    def advice(self, **changes: Any) -> list[tuple[str, Any]]:
        verdict = answered(bottle(**changes))["verdict"]
        return list(zip(verdict["advice"], verdict["changes"], strict=True))

    def test_a_drop_is_advised_with_its_typed_unit_and_tolerance(self):
        words, changes = self.advice(stand_drop="0 +/- 0.1 inch")[0]
        self.assertRegex(changes[0]["quantity"], r"^[\d.]+ \+/- 0.1 inch$")
        self.assertIn("inch", words)
        self.assertNotIn("+/-", words)

    def test_a_clear_lead_needs_no_advice_that_is_pressed(self):
        self.assertTrue(all(changes is None for _, changes in self.advice(stand_drop="60 cm")))

    def test_a_pinhole_beside_jets_is_widened(self):
        holes = [hole("27 cm", "0.4 mm"), hole("6 cm")]
        found = [changes for words, changes in self.advice(holes=holes, stand_drop="60 cm") if "does not start" in words]
        self.assertEqual(found[0][0]["path"], "setup.holes.0.diameter")
        after = answered(bottle(holes=[hole("27 cm", found[0][0]["quantity"]), hole("6 cm")], stand_drop="60 cm"))
        self.assertIn(after["results"]["holes"][0]["behaviour"], ("jet", "dripping"))

    def test_a_dry_hole_is_told(self):
        self.assertTrue(any("stays dry" in words for words, _ in self.advice(holes=[hole("31 cm"), hole("6 cm")])))

    def test_unequal_holes_and_crossing_jets(self):
        told = " ".join(words for words, _ in self.advice(holes=[hole("23 cm", "2 mm"), hole("6 cm", "4 mm")]))
        self.assertIn("differ in size", told)
        self.assertIn("stagger the holes", told)

    def test_a_dry_bottle_with_a_rim_is_filled_to_it_and_no_farther(self):
        changes = self.advice(bottle_height="24 cm", fill_height="5 cm", holes=[hole("22 cm")])[0][1]
        self.assertEqual(changes[0], {"path": "setup.fill_height", "quantity": "24 cm"})


class Named(unittest.TestCase):
    def test_what_stands_in_a_group_or_a_list_is_named_with_it(self):
        told = {key: answered(started(key, start))["inputs"] for key, start in (("lifted-column", 0), ("holed-bottle", 0))}
        gas = answered(started("lifted-column", 0, trapped_gas={"length": "9 cm", "pressure": "950 hPa"}))["inputs"]
        self.assertEqual(gas["setup.trapped_gas.length"]["name"], "length (gas closed in)")
        self.assertEqual(told["lifted-column"]["setup.lift"]["name"], "Closed end above the basin")
        self.assertEqual(told["holed-bottle"]["setup.holes.1.height"]["name"], "centre above the base, no. 2")


class Beside(unittest.TestCase):
    def test_cautions_come_from_the_numbers(self):
        cautions = answered(bottle(stand_drop="3 m"))["cautions"]
        self.assertTrue(any("work at height" in line or "ladders" in line for line in cautions))
        self.assertTrue(any("No socket, lead or computer within" in line for line in cautions))
        self.assertTrue(any("in gulps" in line for line in answered(bottle(cap="closed"))["cautions"]))
        self.assertEqual(answered(bottle(fill_height="1 cm", wall="1 mm"))["cautions"], [])

    def test_a_profile_says_how_the_faces_differ(self):
        profile = [{"height": "0 cm", "diameter": "9 cm"}, {"height": "20 cm", "diameter": "6 cm"}]
        lines = answered(bottle(inner_diameter=None, profile=profile))["assumptions"]
        self.assertTrue(any("the faces differ by up to" in line for line in lines))
        self.assertTrue(any("goes on straight" in line for line in lines))

    def test_the_working_puts_the_numbers_in(self):
        lines = HOLED_BOTTLE.working(worked(bottle(holes=[hole("6 cm"), hole("40 cm")])))
        self.assertTrue(any("0.29 m − 0.06 m = 0.23 m" in line for line in lines), lines)
        self.assertTrue(any("nothing runs" in line for line in lines))

    def test_text_shows_every_result_and_what_would_change_it(self):
        told = as_text(answered(bottle()))
        for part in ("holes.2.range", "landing_order", "What would change it", "Cautions", "Assumed", "Room"):
            self.assertIn(part, told)

    def test_no_series_without_a_reading(self):
        with self.assertRaises(ValueError):
            series([], 0.1)
