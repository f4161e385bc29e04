"""Asks the application over one kept connection, as the measures do."""

from __future__ import annotations

import http.client
from collections.abc import Callable, Mapping

Ask = Callable[..., bytes]


def asking(port: int, headers: Mapping[str, str], department: str) -> Ask:
    """A function that asks below a department and gives the answer's body.  Raises RuntimeError for any answer but 200."""
    line = http.client.HTTPConnection("127.0.0.1", port)

    def ask(address: str, method: str = "GET", body: str | None = None) -> bytes:
        line.request(method, f"/api/departments/{department}/{address}", body, headers=dict(headers))
        response = line.getresponse()
        told = response.read()
        if response.status != 200:
            raise RuntimeError(told[:200])
        return told

    return ask
