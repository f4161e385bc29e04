"""Each request has a number and a line in the log; nothing that a person sees is kept by anything in between."""

from __future__ import annotations

import logging
import time
import uuid
from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

LOG = logging.getLogger("anchorage.requests")


class RequestMiddleware:
    """Numbers a request, logs who asked for what, what came of it and how long it took, and keeps the answer from whatever stands in between.

    Neither a document nor anything else of a body is logged.
    """

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        number, start = uuid.uuid4().hex[:8], time.perf_counter()
        request.META["anchorage.request"] = number
        response = self.get_response(request)
        response.headers.setdefault("Cache-Control", "no-store")
        response.headers["X-Request"] = number
        # after a failure nobody is asked for: the database may be what failed
        who = request.user.pk or "-" if response.status_code < 500 and hasattr(request, "user") else "-"
        took = 1e3 * (time.perf_counter() - start)
        LOG.info("%s %s %s %s person %s %.0f ms", number, request.method, request.path, response.status_code, who, took)
        return response


def number_of(request: HttpRequest) -> str:
    """The number that a request has in the log."""
    return str(request.META.get("anchorage.request", ""))
