"""A weather service with METAR lines: `python -m standins.weather PORT ELEVATION`.

/now gives the newest report, /day the reports of a day, half an hour apart, a front passing; ELEVATION of the bench [m].
"""

from __future__ import annotations

import sys
import time
from datetime import UTC, datetime
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer

from .air import station_pressure, temperature

STATION = "EGZZ"
HALF_HOUR = 1800.0


def report(at: float, elevation: float) -> str:
    """The report of the half hour before a time, its pressure reduced in the standard atmosphere and rounded down."""
    at = at // HALF_HOUR * HALF_HOUR
    sea_level = ((station_pressure(at) / 100) ** 0.190263 + 8.417286e-5 * elevation) ** (1 / 0.190263)
    air = round(temperature(at) - 9)
    warmth = f"M{-air:02d}" if air < 0 else f"{air:02d}"
    return f"{STATION} {datetime.fromtimestamp(at, UTC):%d%H%M}Z 24012KT 9999 SCT020 {warmth}/{warmth} Q{int(sea_level):04d}"


class Service(BaseHTTPRequestHandler):
    """Answers /now and /day."""

    elevation = 0.0

    def do_GET(self) -> None:
        now = time.time()
        told = {"/now": [now], "/day": [now - k * HALF_HOUR for k in range(48, -1, -1)]}.get(self.path)
        self.send_response(200 if told else 404)
        self.send_header("Content-Type", "text/plain; charset=us-ascii")
        self.end_headers()
        self.wfile.write("".join(f"{report(at, self.elevation)}\n" for at in told or ()).encode())

    def log_message(self, *_: object) -> None:
        """Says nothing of what it is asked."""


if __name__ == "__main__":
    Service.elevation = float(sys.argv[2])
    ThreadingHTTPServer(("127.0.0.1", int(sys.argv[1])), Service).serve_forever()
