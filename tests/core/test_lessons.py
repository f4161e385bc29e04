"""A lesson worked backwards from the bell: nothing overlaps that cannot, nothing begins before what it needs, nothing starts earlier than it must."""

from __future__ import annotations

import itertools
import random
import unittest
from dataclasses import replace

from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS, by_key
from hydrostatics.lessons.after import clearing, in_litres, taken
from hydrostatics.lessons.cooling import cooling_minutes
from hydrostatics.lessons.jobs import Job, jobs_of
from hydrostatics.lessons.plan import Lesson, Shown, plan
from hydrostatics.lessons.running import Minutes, Variation, running
from hydrostatics.lessons.spoken import gaps
from hydrostatics.lessons.timetable import Timetable, timetable
from hydrostatics.quantities.celsius import kelvin
from tests.support.documents import worked_out


def job(key: str, minutes: int, hands: int = 1, needs: tuple[str, ...] = (), after: tuple[str, ...] = ()) -> Job:
    return Job(key, 0, key, minutes, hands, frozenset(needs), after)


def sound(case: unittest.TestCase, table: Timetable, hands: int, things: dict[str, int]) -> None:
    """Whether a timetable keeps every rule."""
    ends = {slot.job.key: slot.end for slot in table.slots}
    for slot in table.slots:
        case.assertLessEqual(slot.end, 0)
        case.assertEqual(len(slot.hands), slot.job.hands)
        for key in slot.job.after:
            case.assertGreaterEqual(slot.start, ends[key])
    for minute in range(table.start, 0):
        on = [slot for slot in table.slots if slot.start <= minute < slot.end]
        busy = [k for slot in on for k in slot.hands]
        case.assertEqual(len(busy), len(set(busy)), "a person in two places")
        case.assertLessEqual(len(busy), hands)
        for thing, many in things.items():
            case.assertLessEqual(sum(thing in slot.job.needs for slot in on), many, thing)


def latest_by_trying(jobs: list[Job], hands: int, things: dict[str, int]) -> int:
    """The latest start by placing the jobs backwards in every order, each as late as it can be."""
    best = -(10**6)
    for order in itertools.permutations(jobs):
        at: dict[str, int] = {}
        for one in order:
            followers = [at.get(other.key) for other in jobs if one.key in other.after]
            if None in followers:
                break
            end = min([0, *(start for start in followers if start is not None)])
            while True:
                start = end - one.minutes
                if all(_fits(jobs, at, one, start, minute, hands, things) for minute in range(start, end)):
                    break
                end -= 1
            at[one.key] = start
        else:
            best = max(best, min(at.values()))
    return best


def _fits(jobs: list[Job], at: dict[str, int], one: Job, start: int, minute: int, hands: int, things: dict[str, int]) -> bool:
    on = [other for other in jobs if other.key in at and at[other.key] <= minute < at[other.key] + other.minutes] + [one]
    return sum(other.hands for other in on) <= hands and all(sum(thing in other.needs for other in on) <= many for thing, many in things.items())


class Timetables(unittest.TestCase):
    def test_the_latest_start_is_that_of_trying_every_order(self):
        rng = random.Random(7)
        for _ in range(60):
            hands, things = rng.choice((1, 2)), {"sink": 1, "hob": 1}
            jobs: list[Job] = []
            for k in range(rng.randint(2, 5)):
                after = tuple(one.key for one in jobs if rng.random() < 0.3)
                needs = tuple(thing for thing in things if rng.random() < 0.35)
                jobs.append(job(f"j{k}", rng.randint(1, 6), rng.randint(0, hands), needs, after))
            table = timetable(jobs, hands, things, 200)
            sound(self, table, hands, things)
            self.assertTrue(table.proved)
            self.assertEqual(table.start, latest_by_trying(jobs, hands, things), jobs)

    def test_what_goes_on_by_itself_keeps_no_hands(self):
        table = timetable([job("boil", 10), job("cool", 40, 0, after=("boil",)), job("tape", 15), job("fill", 5, after=("cool",))], 1, {}, 200)
        sound(self, table, 1, {})
        self.assertEqual(table.start, -55)

    def test_one_sink_makes_two_wait_and_two_sinks_do_not(self):
        jobs = [job("a", 10, needs=("sink",)), job("b", 10, needs=("sink",))]
        self.assertEqual(timetable(jobs, 2, {"sink": 1}, 100).start, -20)
        self.assertEqual(timetable(jobs, 2, {"sink": 2}, 100).start, -10)

    def test_there_is_none_where_a_thing_is_missing_or_the_time_too_short(self):
        self.assertIsNone(timetable([job("boil", 10, needs=("hob",))], 1, {}, 100))
        self.assertIsNone(timetable([job("boil", 10), job("try", 10, after=("boil",))], 2, {}, 19))
        self.assertIsNone(timetable([job("lift", 5, hands=2)], 1, {}, 100))
        self.assertEqual(timetable([], 1, {}, 100).start, 0)

    def test_among_equal_starts_the_fewest_waits(self):
        table = timetable([job("long", 30), job("boil", 5), job("fill", 5, after=("boil",))], 2, {}, 100)
        at = {slot.job.key: slot.start for slot in table.slots}
        self.assertEqual((at["boil"], at["fill"]), (-10, -5))


class Jobs(unittest.TestCase):
    def test_every_demonstration_says_what_comes_before_it_and_ends_in_a_dry_run(self):
        for one in ALL_DEMONSTRATIONS:
            for start in one.guide.starts:
                jobs = jobs_of([worked_out(start["document"])], "bath", 3e-3, kelvin(18))
                with self.subTest(start=start["name"]):
                    keys = {job.key for job in jobs}
                    self.assertTrue(all(key in keys for job in jobs for key in job.after))
                    self.assertTrue(all(job.minutes > 0 and "{" not in job.words for job in jobs))
                    self.assertIsNotNone(timetable(jobs, 2, {"hob": 1, "sink": 1, "pump": 1, "jug": 1}, 24 * 60))

    def test_what_was_boiled_the_day_before_needs_no_hob_today(self):
        shown = [worked_out(by_key()["barometer"].guide.starts[0]["document"])]
        today = [job for job in jobs_of(shown, "day-before", 3e-3, kelvin(18)) if not job.before]
        self.assertNotIn("hob", frozenset().union(*(job.needs for job in today)))
        early = [job.key for job in jobs_of(shown, "day-before", 3e-3, kelvin(18)) if job.before]
        self.assertEqual(early, ["0.boil", "0.cool"])

    def test_a_covered_pot_takes_hours_and_running_water_about_half_an_hour(self):
        """Common practice, no published source."""
        self.assertGreater(cooling_minutes("pot", 3e-3, kelvin(18)), 240)
        self.assertTrue(20 < cooling_minutes("bath", 3e-3, kelvin(18)) < 60)
        self.assertLess(cooling_minutes("bath", 1e-3, kelvin(18)), cooling_minutes("bath", 3e-3, kelvin(18)))


def lesson(*keys: str, **changes) -> Lesson:
    shown = tuple(Shown(key, Minutes(8, 2, 1), *worked_out(by_key()[key].guide.starts[0]["document"])) for key in keys)
    facts = {"hands": 2, "things": {"hob": 1, "sink": 1, "pump": 1, "jug": 1}, "way": "bath", "boiled": 3e-3, "ready": 180, "room": kelvin(18)}
    return Lesson(changes.pop("minutes", 60), shown, **{**facts, **changes})


def words(conflicts) -> str:
    return " ".join(one.words for one in conflicts)


class Plans(unittest.TestCase):
    def test_items_follow_each_other_with_their_asking_and_putting_back(self):
        got = plan(lesson("inverted-glass", "siphon"))
        self.assertEqual([(row.start, row.end) for row in got.rows], [(0, 11), (11, 22)])
        self.assertEqual(got.conflicts, ())
        sound(self, got.table, 2, {"hob": 1, "sink": 1, "pump": 1, "jug": 1})

    def test_a_lesson_longer_than_its_period_offers_to_leave_out_what_makes_it_fit(self):
        got = plan(lesson("inverted-glass", "siphon", "barometer", minutes=25))
        self.assertIn("8 min longer", words(got.conflicts))
        self.assertEqual(got.conflicts[0].cures[0].changes, {"without": 0})
        self.assertEqual([cure.changes for cure in got.conflicts[0].cures[1:]], [{"minutes": 33}])
        self.assertEqual(plan(lesson("inverted-glass", "siphon", minutes=22)).conflicts, (), "it fits to the minute")

    def test_an_item_too_short_to_make_it_fit_is_not_offered(self):
        long = lesson("inverted-glass", "siphon", minutes=12)
        short = replace(long, shown=(replace(long.shown[0], minutes=Minutes(1, 0, 1)), long.shown[1]))
        self.assertIn("1 min longer", words(plan(short).conflicts))
        self.assertEqual(plan(short).conflicts[0].cures[0].changes, {"without": 0})
        tight = replace(short, minutes=8)
        self.assertEqual(plan(tight).conflicts[0].cures[0].changes, {"without": 1})

    def test_a_hob_that_nobody_has_is_said_at_its_item_and_boiling_the_day_before_offered(self):
        got = plan(lesson("siphon", "barometer", things={"hob": 0, "sink": 1, "pump": 1}))
        (one,) = got.conflicts
        self.assertEqual((one.item, got.table), (1, None))
        self.assertIn("needs a hob", one.words)
        cured = plan(lesson("siphon", "barometer", things={"hob": 0, "sink": 1, "pump": 1}, way="day-before"))
        self.assertEqual((one.cures[0].changes, cured.conflicts), ({"way": "day-before"}, ()))
        self.assertEqual([job.key for job in cured.early], ["1.boil", "1.cool"])

    def test_a_cooling_that_cannot_be_done_in_time_says_so_and_every_cure_offered_resolves_it(self):
        late = {"way": "pot", "ready": 120}
        got = plan(lesson("barometer", **late))
        self.assertIn("cannot be done in 2 h", words(got.conflicts))
        self.assertEqual({key for cure in got.conflicts[0].cures for key in cure.changes}, {"way", "ready"})
        for cure in got.conflicts[0].cures:
            with self.subTest(cure=cure.words):
                self.assertEqual(plan(lesson("barometer", **{**late, **cure.changes})).conflicts, ())

    def test_two_to_haul_and_one_there_is_a_conflict(self):
        got = plan(lesson("barometer", hands=1))
        self.assertIn("takes 2 pairs of hands, and there is one", words(got.conflicts))
        self.assertEqual(got.conflicts[0].cures[0].changes, {"hands": 2})

    def test_an_empty_lesson_has_nothing_to_do(self):
        got = plan(lesson())
        self.assertEqual((got.rows, got.table.slots, got.conflicts), ((), (), ()))

    def test_what_stands_taller_than_the_room_is_said_at_its_item_and_can_be_taken_out(self):
        whole = lesson("inverted-glass", "barometer")
        tall = replace(whole, shown=(whole.shown[0], replace(whole.shown[1], tall="It stands 10.6 m tall under a ceiling of 3 m.")))
        (one,) = plan(tall).conflicts
        self.assertEqual((one.item, [cure.changes for cure in one.cures]), (1, [{"without": 1}]))

    def test_a_socket_within_the_splash_stands_at_its_item_and_one_beyond_does_not(self):
        reach = lesson("holed-bottle").shown[0].now.value("results.tray_reach")
        near = plan(lesson("inverted-glass", "holed-bottle", socket=reach + 0.4))
        self.assertEqual([one.item for one in near.conflicts], [1])
        self.assertEqual([cure.changes for cure in near.conflicts[0].cures], [{"socket": ""}, {"without": 1}])
        self.assertEqual(plan(lesson("holed-bottle", socket=reach + 0.6)).conflicts, ())
        self.assertEqual(plan(lesson("suction-cup", socket=0.1)).conflicts, (), "what stays dry splashes nothing")

    def test_clearing_that_lasts_into_the_next_class_is_said_and_more_hands_offered(self):
        shown = ("holed-bottle", "inverted-glass", "siphon")
        one, two = (plan(lesson(*shown, hands=k)).cleared.minutes for k in (1, 2))
        self.assertLess(two, one)
        late = plan(lesson(*shown, hands=1, minutes=33, spare=two))
        self.assertEqual([cure.changes for cure in late.conflicts[0].cures], [{"hands": 2}])
        self.assertEqual(plan(lesson(*shown, hands=2, minutes=33, spare=two)).conflicts, ())
        left = plan(lesson(*shown, hands=1, minutes=33 + one, spare=0.01))
        self.assertNotIn("Clearing", words(left.conflicts), "what is left of the lesson counts")

    def test_each_item_hands_over_to_the_next_and_the_last_ends_in_life_with_its_number(self):
        got = plan(lesson("inverted-glass", "siphon", "holed-bottle"))
        self.assertEqual(len(got.overs), 2)
        self.assertIn("the air pushes on everything", got.overs[0])
        self.assertIn("It is going to come out by itself", got.overs[0])
        self.assertIn(by_key()["holed-bottle"].guide.prepare.life.split(",")[0], got.closing)
        self.assertRegex(got.closing, r"Here: .*\d\xa0cm")
        self.assertEqual(plan(lesson()).closing, "")


class Running(unittest.TestCase):
    def test_variations_lengthen_their_item_and_recalls_come_at_the_end(self):
        rows = running([Minutes(5, 2, 1, (Variation("wider", 3, 1), Variation("vented", 2, 0.5)), recall=True), Minutes(4)])
        self.assertEqual([(row.item, row.start, row.end, row.recall) for row in rows], [(0, 0, 14.5, False), (1, 14.5, 18.5, False), (0, 18.5, 19, True)])

    def test_recalls_follow_each_other_half_a_minute_each(self):
        rows = running([Minutes(4, recall=True), Minutes(4, recall=True)])
        self.assertEqual([(row.item, row.start, row.end) for row in rows if row.recall], [(0, 8, 8.5), (1, 8.5, 9)])

    def test_a_recall_can_make_it_too_long_and_is_never_what_is_left_out(self):
        full = lesson("inverted-glass", "siphon", minutes=22)
        with_recall = replace(full, shown=(replace(full.shown[0], minutes=Minutes(8, 2, 1, recall=True)), full.shown[1]))
        self.assertIn("0.5 min longer", words(plan(with_recall).conflicts))


class After(unittest.TestCase):
    def test_litres_are_those_of_the_sizes(self):
        """A glass of 64 mm filled 11 cm deep, by hand: 0.785 · 0.64² · 1.1 = 0.354 L."""
        document = by_key()["inverted-glass"].guide.starts[0]["document"] | {}
        setup = {**document["setup"], "mouth_diameter": "64 mm", "inside_height": "12 cm", "fill_height": "11 cm"}
        got = taken(*worked_out({**document, "setup": setup}))
        self.assertAlmostEqual(got, 0.3539, 3)
        self.assertEqual([in_litres(value) for value in (got, 1.62, 23.7)], ["0.35 L", "1.6 L", "24 L"])

    def test_what_is_much_takes_long_to_pour_away(self):
        """By six litres a minute: 30 L are five minutes."""
        document = by_key()["communicating-vessels"].guide.starts[0]["document"]
        vessels = [{"bottom_diameter": "40 cm", "height": "60 cm"}] * 2
        many = worked_out({**document, "setup": {**document["setup"], "vessels": vessels, "poured_volume": "30 L"}})
        (emptied,) = [job for job in clearing([many], 1).jobs if "Empty it" in job.words]
        self.assertAlmostEqual(emptied.minutes, 5)
        self.assertEqual(emptied.words, "Empty it into the sink, at least 30 L")

    def test_fragile_glass_is_put_away_before_all_else_and_nothing_is_left_out(self):
        shown = [worked_out(by_key()[key].guide.starts[0]["document"]) for key in ("holed-bottle", "inverted-glass", "siphon", "vacuum-receiver")]
        for hands in (1, 2, 3):
            got = clearing(shown, hands)
            with self.subTest(hands=hands):
                lines = [line for demonstration, _ in shown for line in demonstration.guide.prepare.clearing if not line.startswith("[")]
                self.assertEqual(sorted(job.words for job in got.jobs if job.words in lines), sorted(lines))
                for k in range(hands):
                    glass = {job.item for job in got.jobs if job.fragile}
                    mine = [job.item in glass for job in got.jobs if job.hands == k]
                    self.assertEqual(mine, sorted(mine, reverse=True))
                self.assertEqual({job.hands for job in got.jobs}, set(range(hands)))
        self.assertAlmostEqual(got.litres, sum(taken(*one) or 0 for one in shown))

    def test_what_is_never_poured_is_never_emptied_or_prepared(self):
        document = by_key()["barometer"].guide.starts[0]["document"]
        mercury = worked_out({**document, "setup": {**document["setup"], "liquid": "mercury", "tube_length": "90 cm"}})
        self.assertIsNone(taken(*mercury))
        self.assertFalse(any("Empty" in job.words for job in clearing([mercury], 1).jobs))
        self.assertEqual(jobs_of([mercury], "bath", 3e-3, kelvin(18)), [])


class Gaps(unittest.TestCase):
    def test_a_lesson_that_needs_what_none_before_it_showed_says_so(self):
        siphon, glass, depth = (by_key()[key].guide for key in ("siphon", "inverted-glass", "depth-pressure"))
        self.assertEqual(gaps([[siphon]]), [["pressure grows with depth", "the air pushes on everything"]])
        self.assertEqual(gaps([[glass], [depth], [siphon]]), [[], [], []])
        self.assertEqual(gaps([[glass], [by_key()["lifted-column"].guide]]), [[], []], "what a demonstration shows besides its main idea is shown too")
        self.assertEqual(gaps([[depth, siphon]]), [["the air pushes on everything"]])
