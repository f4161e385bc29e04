"""The plugged manometer: what is refused, what is null, what it says of warmth and weather, its stops and its climb."""

from __future__ import annotations

import unittest

import numpy as np

from hydrostatics.answer import work_out
from hydrostatics.errors import OutOfRange
from hydrostatics.prediction import Plot, Table
from tests.support.documents import answered, changed, started, values, worked_out

NEEDS_A_READING = ("gas_volume", "gas_pressure", "pressure", "boyle_only_pressure", "boyle_room_pressure", "per_kelvin", "climb")


def plugged(start: int = 0, **changes):
    return started("sealed-manometer", start, **changes)


class Refused(unittest.TestCase):
    def test_a_reading_that_would_leave_no_gas(self):
        for changes, path in (
            ({"reading": "48 cm"}, "setup.reading"),
            ({"stops": [{"reading": "1 cm"}, {"reading": "50 cm"}]}, "setup.stops.1.reading"),
            ({"seal_reading": "11 m"}, "setup.seal_reading"),
        ):
            with self.subTest(path=path), self.assertRaises(OutOfRange) as caught:
                work_out(plugged(1, **changes))
            self.assertEqual(caught.exception.path, path)


class Told(unittest.TestCase):
    def test_without_a_reading_what_needs_one_is_null(self):
        got = values(plugged(1))
        for key in NEEDS_A_READING:
            self.assertIsNone(got[f"results.{key}"], key)
        self.assertIsNotNone(got["results.expected_reading"])
        for key in NEEDS_A_READING:
            self.assertIsNotNone(values(plugged(1, reading="1 cm"))[f"results.{key}"], key)

    def test_a_stop_without_a_reading_has_only_what_is_expected(self):
        got = values(plugged(1, stops=[{"station_pressure": "990 hPa"}]))
        self.assertIsNotNone(got["results.stops.0.expected_reading"])
        for key in ("pressure", "boyle_only_pressure", "climb"):
            self.assertIsNone(got[f"results.stops.0.{key}"], key)

    def test_where_it_was_sealed_it_reads_what_it_read_then(self):
        room = {"station_pressure": "1008 hPa", "temperature": "20 degC"}
        for reading in ("0 mm", "6 mm", "-9 mm"):
            got = values(plugged(1, room=room, seal_reading=reading))["results.expected_reading"]
            self.assertAlmostEqual(got, float(reading.split()[0]) / 1000, places=9)

    def test_the_default_seal_temperature_is_the_rooms_and_moves_with_it(self):
        room = {"station_pressure": "1008 hPa", "temperature": "17 +/- 1 degC"}
        shares = answered(plugged(1, room=room, reading="-5 mm"))["results"]["pressure"]["shares"]
        self.assertLess(shares.get("room.temperature", 0.0), 0.2)

    def test_halving_forgotten_is_twice_the_change_of_volume(self):
        got = values(plugged(1, reading="-4 cm"))
        self.assertAlmostEqual(got["results.gas_volume"], 50e-6 + 210e-6 * 0.04 / 2, places=12)

    def test_a_reading_far_off_is_explained_by_the_gas_temperature_that_pressing_carries_out(self):
        document = plugged(1, reading="-3 cm")
        got = answered(document)
        self.assertGreater(abs(got["results"]["off_station"]["value"]), 1000)
        words, changes = next((w, c) for w, c in zip(got["verdict"]["advice"], got["verdict"]["changes"], strict=True) if c)
        self.assertRegex(words, "warmer")
        self.assertAlmostEqual(answered(changed(document, changes))["results"]["off_station"]["value"], 0, delta=5)

    def test_what_no_warmth_explains_is_said_to_be_so(self):
        got = answered(plugged(1, reading="30 cm"))
        self.assertTrue(any("No warmth" in one for one in got["verdict"]["advice"]))

    def test_implausible_is_judged_only_where_an_elevation_is_stated(self):
        low = plugged(1, room={"station_pressure": "1000 hPa"}, reading="-17 cm")
        self.assertNotIn("Implausible", answered(low)["verdict"]["reason"])
        placed = plugged(1, room={"station_pressure": "1000 hPa", "elevation": "20 m"}, reading="-17 cm")
        self.assertIn("Implausible", answered(placed)["verdict"]["reason"])

    def test_weather_and_warmth_are_told_in_metres(self):
        got = answered(plugged(1))
        self.assertAlmostEqual(got["results"]["weather_height"]["value"], 8.5, delta=0.2)
        self.assertTrue(any("fakes" in line for line in got["assumptions"]))
        self.assertTrue(any("Bending the link" in line for line in got["cautions"]))


class Drawn(unittest.TestCase):
    def test_stops_stand_in_a_table_and_a_plot_with_both_gradients(self):
        one, now = worked_out(plugged())
        table, plot = one.say(now).table
        self.assertIsInstance(table, Table)
        self.assertIsInstance(plot, Plot)
        self.assertEqual([line.words for line in plot.lines], ["expected", "fitted"])
        self.assertEqual(len(plot.dots), 4)
        slope = np.polyfit(plot.lines[1].x, plot.lines[1].y, 1)[0]
        self.assertAlmostEqual(slope, now.value("results.fitted_gradient"), places=12)
        self.assertGreater(plot.lines[0].spread[-1], plot.lines[0].spread[0])

    def test_levels_stand_apart_by_the_reading_the_open_one_lower_where_it_is_positive(self):
        for reading in (-0.03, 0.03):
            one, now = worked_out(plugged(1, reading=f"{reading} m"))
            shapes = {shape.id: shape for shape in one.section(now).shapes}
            difference = shapes["sealed-surface"].points[0][1] - shapes["open-surface"].points[0][1]
            self.assertAlmostEqual(difference, reading, places=9)

    def test_on_the_way_up_it_goes_as_the_gradient_told(self):
        one, now = worked_out(plugged(1))
        timeline = one.moments(now)
        readings, heights = np.array(timeline.series["reading"][2]), np.array(timeline.times)
        self.assertAlmostEqual((readings[1] - readings[0]) / heights[1], now.value("results.reading_per_metre"), delta=2e-7)
        self.assertEqual(timeline.over[1], "height")
