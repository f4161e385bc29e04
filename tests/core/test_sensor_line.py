"""Lines of a pressure sensor: whole ones read, everything else refused."""

from __future__ import annotations

import random
import unittest

from hydrostatics.errors import Refusal
from hydrostatics.room.sensor_line import read_sensor_line
from standins.air import station_pressure
from standins.sensor import line


class Lines(unittest.TestCase):
    def test_pressure_and_temperature_in_the_units_that_sensors_send(self):
        for text, pressure, temperature in (
            ("941.73 hPa 17.2 degC", 94_173.0, 290.35),
            ("p=941.73 mbar; t=-3.5 °C\r", 94_173.0, 269.65),
            ("94.173 kPa", 94_173.0, None),
            ("#12 94173 Pa", 94_173.0, None),
        ):
            got = read_sensor_line(text)
            self.assertAlmostEqual(got.pressure, pressure, places=6)
            self.assertEqual(got.temperature is None, temperature is None)
            if temperature is not None:
                self.assertAlmostEqual(got.temperature, temperature, places=6)

    def test_half_lines_garbage_and_pressures_of_no_room_are_refused(self):
        for text in ("", "941.7", "941.73 h", "hPa", "941.73 hPa 942.1 hPa", "9417.3 hPa", "-941 hPa", "1.2.3 hPa", "x" * 500, "941.73 hPascal"):
            with self.assertRaises(Refusal, msg=text):
                read_sensor_line(text)

    def test_a_stream_with_faults_is_read_as_it_was_meant(self):
        chance, read = random.Random(4), 0
        for k in range(2000):
            try:
                got = read_sensor_line(line(1000.0 * k, chance).decode("ascii", errors="replace"))
            except Refusal:
                continue
            read += 1
            self.assertLess(abs(got.pressure - station_pressure(1000.0 * k)), 100.0)
        self.assertGreater(read, 1800)
