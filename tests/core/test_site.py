"""A tall set-up on its site: read where its level is, doubted where its tolerance reaches over a floor, out of reach said."""

from __future__ import annotations

import unittest

from hydrostatics.answer import answer, work_out
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.works.site import Landing, on_site
from tests.support.documents import worked_out


def hose(**changes: str):
    document = by_key()["barometer"].guide.starts[0]["document"]
    return worked_out({**document, "room": {"station_pressure": "942 +/- 0.5 hPa", "temperature": "17 degC"}, "setup": {**document["setup"], **changes}})


class OnSite(unittest.TestCase):
    def setUp(self):
        self.told = hose()
        self.level = self.told[1].value("results.column_height")
        self.spread = self.told[1].half_width("results.column_height")

    def words(self, *landings: tuple[str, float]) -> str:
        return " ".join(on_site(*self.told, [Landing(*one) for one in landings]))

    def test_it_is_read_from_the_highest_floor_below_its_level(self):
        got = self.words(("loft", 11.0), ("second", self.level - 0.7), ("first", 3.0))
        self.assertRegex(got, r"0\.70\d*\s±\s0\.0\d+\sm above the floor of “second”: it is read there")
        self.assertNotIn("Its top", got)

    def test_a_floor_within_its_tolerance_is_in_doubt_and_one_just_beyond_is_not(self):
        self.assertIn("within its tolerance", self.words(("second", self.level + 0.9 * self.spread)))
        self.assertIn("within its tolerance", self.words(("second", self.level - 0.9 * self.spread)))
        self.assertNotIn("within its tolerance", self.words(("second", self.level - 1.2 * self.spread)))

    def test_what_is_out_of_an_arms_reach_is_said(self):
        self.assertIn("out of an arm's reach", self.words(("first", self.level - 2.5)))
        self.assertIn("nobody reaches it from there", self.words(("first", self.level - 2.5)))
        self.assertNotIn("nobody reaches", self.words(("first", 10.6 - 1.9)))
        self.assertIn("below every landing", self.words(("loft", self.level + 1)))

    def test_nothing_is_said_of_what_nobody_goes_up_for_or_where_there_are_no_landings(self):
        self.assertEqual(self.words(), "")
        glass = worked_out(by_key()["inverted-glass"].guide.starts[0]["document"])
        self.assertEqual(on_site(*glass, [Landing("first", 3.0)]), ())


class Households(unittest.TestCase):
    def test_what_is_tried_at_home_works_with_sizes_as_wide_as_a_household_has_them(self):
        told = [one.guide.household for one in ALL_DEMONSTRATIONS if one.guide.household]
        self.assertGreater(len(told), 10)
        for household in told:
            with self.subTest(things=household.things[0]):
                demonstration, now = work_out(household.document)
                self.assertEqual(answer(demonstration, now)["verdict"]["state"], "works")
                wide = [leaf for leaf in now.inputs.leaves.values() if leaf.origin == "typed" and leaf.path.startswith("setup.") and leaf.kind == "length"]
                self.assertTrue(all(leaf.half_width >= 0.05 * abs(leaf.si) for leaf in wide if "wall" not in leaf.path))
                self.assertNotIn("mercury", str(household.document))
