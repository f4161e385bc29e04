"""Nothing that comes in over the wire brings a 500: text that cannot be kept, sizes that mean nothing, windows that are none."""

from __future__ import annotations

import json
from urllib.parse import quote

from server.people.tests.base import Departments, text
from server.runs.models import Reading, Run

BASE = "/api/departments/lakeside"
NUL, HALF = "a\0b", "\ud800"


class Sound(Departments):
    def answered(self, method: str, address: str, body: object = None, raw: str | None = None):
        client = self.as_(self.teacher)
        client.raise_request_exception = False
        data = raw if raw is not None else json.dumps(body) if body is not None else ""
        got = client.generic(method, address, data, content_type="application/json")
        self.assertLess(got.status_code, 500, (method, address, body))
        return got

    def test_text_that_cannot_be_kept_is_refused_where_it_stands(self):
        document = text()
        for bad in (NUL, HALF):
            for address, body, path in (
                (f"{BASE}/setups", {"name": bad, "document": document}, "name"),
                (f"{BASE}/rooms", {"name": "r", "stated": {"station_pressure": bad}}, "stated.station_pressure"),
                (f"{BASE}/rooms", {"name": "r", "stated": {bad: "1"}}, "stated"),
                (f"{BASE}/liquids", {"name": "l", "stated": {"density": "900 kg/m^3"}, "note": bad}, "note"),
                ("/api/typed", {"path": "x", "text": bad, "kind": "length"}, "text"),
            ):
                with self.subTest(address=address, body=repr(body)):
                    got = self.answered("POST", address, body)
                    self.assertEqual((got.status_code, got.json()["path"]), (422, path))
                    self.assertIn("take it out", got.json()["detail"])
            for address in (f"{BASE}/setups?search=", f"{BASE}/runs?search=", f"{BASE}/runs.csv?search=", "/api/quick-line?text="):
                with self.subTest(address=address):
                    got = self.answered("GET", address + quote(bad, errors="surrogatepass"))
                    self.assertTrue(bad == HALF or got.status_code == 422)

    def test_more_than_is_read_at_once(self):
        got = self.answered("POST", "/api/predict", raw=" " * 2_100_000 + text())
        self.assertEqual((got.status_code, got["content-type"]), (413, "application/problem+json"))

    def test_a_window_that_is_none(self):
        for window in (
            "1",
            "[]",
            "null",
            '"a"',
            "[" * 3000,
            '{"scale": 1e-320, "origin": 0, "horizon": 0}',
            '{"scale": 1, "origin": 0, "horizon": 0, "cut": [5, 1]}',
        ):
            for address in ("predict?scene=true&", "playback?", "section.svg?"):
                with self.subTest(window=window[:20], address=address):
                    self.assertEqual(self.answered("POST", f"/api/{address}window={quote(window)}", raw=text()).status_code, 422)

    def test_a_sheet_on_which_nothing_fits(self):
        for clear in (0, 700, 730):
            self.assertEqual(self.answered("POST", f"/api/predict?scene=true&clear={clear}", raw=text()).status_code, 200, clear)
        for clear in (750, 800, 983, -1):
            self.assertEqual(self.answered("POST", f"/api/predict?scene=true&clear={clear}", raw=text()).status_code, 422, clear)

    def test_sizes_that_mean_nothing(self):
        for changes in ({"holes": [{"height": "6 cm", "diameter": "1e-300 m"}]}, {"fill_height": "29 +/- 1e300 cm"}, {"stand_drop": "1e-320 m"}):
            got = self.answered("POST", "/api/predict?scene=true", raw=text(**changes))
            self.assertEqual(got.status_code, 422)
            self.assertIn("anything that is measured", got.json()["detail"])

    def test_own_rooms_however_deep(self):
        for own in ("[" * 3000, '{"a":' * 300 + "1" + "}" * 300, "[1, 2]"):
            self.assertEqual(self.answered("POST", f"/api/what-if?own={quote(own)}", raw=text()).status_code, 422)


class Readings(Departments):
    def log(self, readings: list[str], instrument: str = "1 mm"):
        client = self.as_(self.teacher)
        made = self.send(client, "post", f"{BASE}/setups", {"name": "Bottle", "document": text()}).json()
        series = [{"path": "results.holes.0.range", "instrument": instrument, "readings": readings}]
        return self.send(client, "post", f"{BASE}/runs", {"setup": made["id"], "document": text(), "outcome": "worked", "series": series})

    def test_a_reading_beyond_all_measure_is_refused_and_not_kept(self):
        for readings, instrument, path in (
            (["1e155 m"], "1 mm", "series.0.readings.0"),
            (["20 cm"], "1e308 m", "series.0.instrument"),
            (["20 cm", "-1e200 m"], "1 mm", "series.0.readings.1"),
        ):
            got = self.log(readings, instrument)
            self.assertEqual((got.status_code, got.json()["path"]), (422, path))
        self.assertEqual(Run.objects.count(), 0)

    def test_one_that_was_kept_before_there_was_a_bound_leaves_the_list_whole(self):
        run = self.log(["20 cm"]).json()["id"]
        self.log(["21 cm"])
        Reading.objects.filter(series__run=run).update(si=1.7e308)
        Reading.objects.create(series=Reading.objects.get(series__run=run).series, text="1.7e308 m", si=1.7e308)
        client = self.as_(self.head)
        rows = client.get(f"{BASE}/runs").json()["results"]
        self.assertEqual(len(rows), 2)
        self.assertTrue(any("too large to be told" in row["note"] for row in rows), rows)
        self.assertEqual(client.get(f"{BASE}/runs/{run}").status_code, 200)
        self.assertEqual(client.get(f"{BASE}/runs.csv").status_code, 200)
