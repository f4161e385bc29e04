"""The air in a room: which pressure counts, what is asked about, what falls away, what is kept of it."""

from __future__ import annotations

import json
import socket
import threading
from contextlib import suppress
from datetime import UTC, timedelta
from http.server import BaseHTTPRequestHandler, HTTPServer
from typing import Any
from unittest.mock import patch

from django.utils import timezone

from server.people.tests.base import Departments, text
from server.rooms import collecting
from server.rooms.live import air_in, stated_now
from server.rooms.models import AirReading, AirSource, Room
from server.rooms.services.take_in import fell_away, say_it_is_so, take_in, thin
from server.rooms.trend import trend

P = 94_170.0


class Air(Departments):
    def setUp(self) -> None:
        self.client_in = self.as_(self.teacher)
        self.room = Room.objects.create(department=self.teacher.department, name="Boathouse", stated={"elevation": "640 m"})
        self.sensor = self.source("Bench sensor", "sensor", 1)

    def source(self, name: str, sort: str, order: int) -> AirSource:
        return AirSource.objects.create(room=self.room, name=name, sort=sort, place="socket://127.0.0.1:1", order=order)

    def now(self) -> Room:
        return Room.objects.get(pk=self.room.pk)

    def ago(self, source: AirSource, **much: Any) -> None:
        """Makes what a source said older."""
        AirSource.objects.filter(pk=source.pk).update(at=timezone.now() - timedelta(**much))
        Room.objects.filter(pk=self.room.pk).update(live_at=timezone.now() - timedelta(**much))


class Counts(Air):
    def test_a_typed_pressure_comes_first_then_the_sources_in_their_order_then_what_was_typed_long_ago(self):
        station = self.source("Weather", "weather", 2)
        take_in(station, P + 300, None)
        self.assertEqual(air_in(self.now()).source, "Weather")
        take_in(self.sensor, P, 291.0)
        self.assertEqual((air_in(self.now()).source, air_in(self.now()).pressure), ("Bench sensor", P))
        typed = {"station_pressure": "941 hPa"}
        Room.objects.filter(pk=self.room.pk).update(stated=typed, pressure_at=timezone.now())
        self.assertTrue(air_in(self.now()).typed)
        Room.objects.filter(pk=self.room.pk).update(pressure_at=timezone.now() - timedelta(hours=4))
        self.assertEqual(air_in(self.now()).source, "Bench sensor")
        self.ago(self.sensor, minutes=5)
        fell_away(self.sensor, "unplugged")
        self.assertEqual(air_in(self.now()).source, "Weather")
        AirSource.objects.all().update(at=timezone.now() - timedelta(hours=9))
        self.ago(station, hours=9)
        self.assertEqual((air_in(self.now()).typed, stated_now(self.now())), (True, typed))

    def test_a_prediction_is_made_with_the_pressure_that_counts_and_says_whose_it_is(self):
        take_in(self.sensor, P, None)
        straw = {"anchorage": 1, "demonstration": "barometer", "setup": {"liquid": "water", "tube_length": "11 m", "bore": "10 mm"}}
        address = f"/api/predict?department=lakeside&room={self.room.pk}"
        got = self.send(self.client_in, "post", address, straw).json()["room"]
        self.assertAlmostEqual(got["station_pressure"]["value"], P, delta=1)
        self.assertTrue(any("“Bench sensor”" in one for one in got["how"]))

    def test_what_no_weather_makes_is_asked_about_and_counts_once_it_is_so(self):
        take_in(self.sensor, P, None)
        self.assertTrue(take_in(self.sensor, P + 150, None), "a sensor's own noise")
        self.assertFalse(take_in(self.sensor, P + 4000, None))
        self.sensor.refresh_from_db()
        self.assertEqual((self.sensor.asked, self.now().live_pressure), (P + 4000, P + 150))
        say_it_is_so(self.sensor)
        self.assertEqual(self.now().live_pressure, P + 4000)
        self.assertTrue(take_in(self.sensor, P + 4050, None))

    def test_a_first_reading_far_from_what_is_known_is_asked_about(self):
        Room.objects.filter(pk=self.room.pk).update(stated={"station_pressure": "941.7 hPa"}, pressure_at=timezone.now())
        self.assertFalse(take_in(AirSource.objects.get(pk=self.sensor.pk), P - 4000, None))
        self.assertTrue(take_in(AirSource.objects.get(pk=self.sensor.pk), P - 500, None))

    def test_a_slow_change_over_hours_is_weather(self):
        take_in(self.sensor, P, None, timezone.now() - timedelta(hours=3))
        self.assertTrue(take_in(self.sensor, P - 2500, None))

    def test_a_clock_that_runs_ahead_counts_as_now(self):
        take_in(self.sensor, P, None, timezone.now() + timedelta(days=3))
        self.sensor.refresh_from_db()
        self.assertLess(self.sensor.at, timezone.now() + timedelta(seconds=1))


class Kept(Air):
    def test_one_a_minute_for_a_day_one_in_ten_for_a_month_one_an_hour_for_ever(self):
        now = timezone.now().replace(minute=0, second=0, microsecond=0)
        for days, wanted in ((0.2, 60), (5, 6), (60, 1)):
            AirReading.objects.all().delete()
            start = now - timedelta(days=days, hours=1)
            start = start.replace(minute=0)
            AirReading.objects.bulk_create([AirReading(source=self.sensor, at=start + timedelta(minutes=k), pressure=P) for k in range(60)])
            thin(now)
            self.assertEqual(AirReading.objects.count(), wanted, days)

    def test_a_trend_is_drawn_and_said_in_words(self):
        now = timezone.now()
        rows = [AirReading(source=self.sensor, at=now - timedelta(minutes=10 * k), pressure=P + 5 * k) for k in range(97)]
        AirReading.objects.bulk_create(rows)
        got = trend(self.room, 24)
        self.assertEqual((got["count"], got["words"]), (97, "fallen by 4.8 hPa in 16 h"))
        self.assertIsNotNone(got["chart"])
        self.assertEqual(trend(self.room, 1)["words"], "steady over 50 min")
        AirReading.objects.all().delete()
        self.assertIsNone(trend(self.room, 24)["chart"])

    def test_where_two_sources_speak_the_trend_is_that_of_the_first(self):
        station, now = self.source("Weather", "weather", 2), timezone.now()
        for source, pressure, step in ((self.sensor, P, 5), (station, P + 800, 30)):
            AirReading.objects.bulk_create([AirReading(source=source, at=now - timedelta(minutes=1 + k), pressure=pressure) for k in range(0, 120, step)])
        self.assertEqual(trend(self.room, 2)["words"].split(" over")[0], "steady")
        self.sensor.readings.all().delete()
        self.assertEqual(trend(self.room, 2)["now"], P + 800)


class Typed(Air):
    def typed(self, value: str, *, sure: bool = False):
        return self.send(self.client_in, "post", f"/api/departments/lakeside/rooms/{self.room.pk}/pressure", {"text": value, "sure": sure})

    def test_what_a_barometer_reads_takes_the_place_of_every_pressure_stated_before_and_leaves_the_rest(self):
        Room.objects.filter(pk=self.room.pk).update(stated={"elevation": "640 m", "altimeter_setting": "1016 hPa", "temperature": "17 degC"}, back_row="14 m")
        take_in(self.sensor, P, None)
        self.assertEqual(self.typed("938.2 ± 0.5 hPa").status_code, 200)
        room = self.now()
        self.assertEqual(room.stated, {"elevation": "640 m", "temperature": "17 degC", "station_pressure": "938.2 ± 0.5 hPa"})
        self.assertEqual((room.back_row, air_in(room).typed), ("14 m", True))

    def test_the_same_number_read_again_is_new(self):
        self.typed("938 hPa")
        Room.objects.filter(pk=self.room.pk).update(pressure_at=timezone.now() - timedelta(hours=9))
        self.typed("938 hPa")
        self.assertLess((timezone.now() - self.now().pressure_at).total_seconds(), 60)

    def test_what_no_room_has_is_asked_about_and_what_is_no_pressure_is_refused(self):
        got = self.typed("1016 hPa").json()
        self.assertIsNone(got["room"])
        self.assertIn("640 m", got["questions"][0]["words"])
        self.assertEqual(self.now().stated, {"elevation": "640 m"})
        self.assertIsNotNone(self.typed("1016 hPa", sure=True).json()["room"])
        for wrong in ("12 kg", "much"):
            refused = self.typed(wrong)
            self.assertEqual((refused.status_code, refused.json()["path"]), (422, "room.station_pressure"))
        self.assertEqual(self.typed("").status_code, 422)

    def test_nobody_types_another_departments(self):
        address = f"/api/departments/lakeside/rooms/{self.room.pk}/pressure"
        self.assertEqual(self.send(self.as_(self.stranger), "post", address, {"text": "938 hPa"}).status_code, 404)


class Asked(Air):
    def test_it_is_told_once_and_then_only_when_something_changed(self):
        take_in(self.sensor, P, None)
        got = self.client_in.get(f"/api/departments/lakeside/air?room={self.room.pk}")
        self.assertEqual(got.json()["sources"][0]["speaks"], True)
        again = {"headers": {"If-None-Match": got["ETag"]}}
        self.assertEqual(self.client_in.get(f"/api/departments/lakeside/air?room={self.room.pk}", **again).status_code, 304)
        take_in(self.sensor, P + 10, None)
        self.assertEqual(self.client_in.get(f"/api/departments/lakeside/air?room={self.room.pk}", **again).status_code, 200)

    def test_a_source_is_made_moved_and_taken_away(self):
        base = f"/api/departments/lakeside/rooms/{self.room.pk}/sources"
        body = {"name": "Airfield", "sort": "weather", "place": "http://127.0.0.1:9/now", "order": 2, "tolerance": "1 hPa"}
        made = self.send(self.client_in, "post", base, body).json()
        self.assertEqual(made["tolerance"], 100.0)
        self.assertEqual(self.send(self.client_in, "post", base, body).status_code, 409)
        self.assertEqual(self.send(self.client_in, "post", base, body | {"name": "x", "tolerance": "2 kg"}).json()["path"], "tolerance")
        for place in ("spy:///dev/ttyS0?file=/tmp/x", "loop://", "file:///etc/passwd", "/etc/passwd", "http://", "socket://x"):
            for sort in ("sensor", "weather"):
                got = self.send(self.client_in, "post", base, body | {"name": "x", "place": place, "sort": sort})
                self.assertEqual((got.status_code, got.json()["path"]), (422, "place"), (sort, place))
        take_in(AirSource.objects.get(pk=made["id"]), P, None)
        moved = self.send(self.client_in, "put", f"{base}/{made['id']}", body | {"place": "http://127.0.0.1:8/now"}).json()
        self.assertIsNone(moved["pressure"], "another place says for itself")
        self.assertEqual(self.client_in.delete(f"{base}/{made['id']}").status_code, 204)
        self.assertEqual(self.send(self.client_in, "post", f"{base}/{self.sensor.pk}/so").status_code, 409)

    def test_today_tells_notes_pinned_set_ups_and_what_the_air_moved_in_them(self):
        base = "/api/departments/lakeside"
        straw = {"anchorage": 1, "demonstration": "barometer", "setup": {"liquid": "water", "tube_length": "11 m", "bore": "10 mm"}}
        self.send(self.client_in, "post", f"{base}/rooms/{self.room.pk}/use")
        setup = self.send(self.client_in, "post", f"{base}/setups", {"name": "Hose", "document": json.dumps(straw)}).json()
        self.send(self.client_in, "put", f"{base}/setups/{setup['id']}/pin", {"pinned": True})
        now = timezone.now()
        AirReading.objects.bulk_create([AirReading(source=self.sensor, at=now - timedelta(hours=20 - k), pressure=P - 50 * k) for k in range(21)])
        self.send(self.client_in, "post", f"{base}/setups", {"name": "Not pinned", "document": text()})
        got = self.client_in.get(f"{base}/today").json()
        self.assertEqual([one["name"] for one in got["next"]], ["Hose"])
        self.assertEqual([one["words"] for one in got["next"][0]["moved"]], ["height of the column 10 cm less"], "a day is no week")


class Collected(Air):
    def stream(self, *chunks: bytes) -> None:
        """A sensor on a port of its own that sends some bytes again and again: what comes before a port is open is lost to it."""
        server, heard = socket.create_server(("127.0.0.1", 0)), threading.Event()
        self.addCleanup(server.close)
        self.addCleanup(heard.set)

        def send() -> None:
            line, _ = server.accept()
            with line, suppress(OSError):
                while not heard.wait(0.05):
                    for chunk in chunks:
                        line.sendall(chunk)

        threading.Thread(target=send, daemon=True).start()
        self.sensor.place = f"socket://127.0.0.1:{server.getsockname()[1]}"
        self.sensor.save()

    def test_whole_lines_count_and_garbage_and_half_lines_are_left_out(self):
        self.stream(b"941.7", b"0 hPa 17.2 degC\n94", b"1.\n\xff\xfe\x00garbage\n", b"942.1 hPa\n9999 hPa\n942")
        stop = threading.Event()
        threading.Timer(2.0, stop.set).start()
        self.assertTrue(collecting.sensor(self.sensor, stop))
        self.sensor.refresh_from_db()
        self.assertAlmostEqual(self.sensor.pressure, 94_210.0)

    def test_one_that_sends_nothing_that_can_be_read_has_fallen_away(self):
        self.stream(b"941.7\n", b"garbage\n")
        with patch.object(collecting, "SILENT", 0.5), self.assertRaisesRegex(OSError, "no line that can be read"):
            collecting.sensor(self.sensor, threading.Event())
        self.sensor.refresh_from_db()
        self.assertIsNone(self.sensor.pressure)

    def serve(self, text: str) -> str:
        """Address of a weather service that says one thing."""

        class Says(BaseHTTPRequestHandler):
            def do_GET(self) -> None:
                self.send_response(200)
                self.end_headers()
                self.wfile.write(text.encode())

            def log_message(self, *_: object) -> None:
                pass

        server = HTTPServer(("127.0.0.1", 0), Says)
        self.addCleanup(server.server_close)
        threading.Thread(target=server.handle_request, daemon=True).start()
        return f"http://127.0.0.1:{server.server_address[1]}/now"

    def reported(self, ago: timedelta) -> AirSource:
        station = self.source("Airfield", "weather", 2)
        made = (timezone.now() - ago).astimezone(UTC)
        station.place = self.serve(f"EGZZ {made:%d%H%M}Z 24012KT 9999 SCT020 08/05 Q1016\n")
        stop = threading.Event()
        stop.set()
        collecting.weather(station, stop)
        station.refresh_from_db()
        return station

    def test_a_report_is_brought_to_the_bench_and_counts_since_it_was_made(self):
        station = self.reported(timedelta(minutes=20))
        self.assertAlmostEqual(station.pressure, 94_170, delta=60)
        self.assertAlmostEqual((timezone.now() - station.at).total_seconds(), 1200, delta=61)
        self.assertEqual(air_in(self.now()).source, "Airfield")

    def test_a_service_that_reports_of_another_place_is_asked_about_and_counts_once_it_is_so(self):
        station = self.reported(timedelta(minutes=20))
        self.assertEqual(station.station, "EGZZ")
        before = station.pressure
        made = timezone.now().astimezone(UTC)
        station.place = self.serve(f"EGYY {made:%d%H%M}Z 24012KT 9999 SCT020 08/05 Q1016\n")
        stop = threading.Event()
        stop.set()
        collecting.weather(station, stop)
        station.refresh_from_db()
        self.assertEqual((station.pressure, station.asked_of, station.station), (before, "EGYY", "EGZZ"))
        told = self.client_in.get(f"/api/departments/lakeside/air?room={self.room.pk}").json()["sources"]
        self.assertIn("EGYY", [one["asked_of"] for one in told])
        say_it_is_so(station)
        station.refresh_from_db()
        self.assertEqual((station.station, station.asked_of, station.asked), ("EGYY", "", None))
        self.assertTrue(take_in(station, before + 20, None, None, "EGYY"))

    def test_a_service_that_says_the_same_since_yesterday_does_not_count(self):
        self.reported(timedelta(hours=20))
        self.assertEqual(air_in(self.now()).source, "")

    def test_a_service_that_is_slow_wrong_or_of_nowhere_is_told(self):
        for place in ("http://127.0.0.1:9/now", "ftp://somewhere", "http://"):
            self.sensor.place = place
            with self.assertRaises((OSError, ValueError)):
                collecting.weather(self.sensor, threading.Event())
