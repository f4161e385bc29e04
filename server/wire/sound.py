"""What comes in over the wire is text that can be kept, and no more of it than is read: looked at before any endpoint."""

from __future__ import annotations

import json
from collections.abc import Callable
from typing import Any

from django.core.exceptions import RequestDataTooBig
from django.http import HttpRequest, HttpResponse

from . import english as kinds
from .problems import ProblemError, told

_SUSPECT = (b"\\u0000", b"\\ud", b"\\uD", b"\0")
"""What the bytes of a body hold where a text in it may not be kept."""


class SoundMiddleware:
    """Refuses requests to the API that hold text which no database, file or other program would take, or too much of it."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if request.path.startswith("/api/"):
            try:
                _refuse_unsound([[key, *values] for key, values in request.GET.lists()], "")
                _look_at(request)
            except ProblemError as problem:
                return told(problem.problem)
        return self.get_response(request)


def _look_at(request: HttpRequest) -> None:
    try:
        body = request.body
    except RequestDataTooBig:
        raise ProblemError(kinds.TOO_MUCH) from None
    if any(mark in body for mark in _SUSPECT):
        try:
            _refuse_unsound(json.loads(body), "")
        except (ValueError, RecursionError):
            return  # no JSON: the endpoint says so in its own words


def _refuse_unsound(node: Any, path: str) -> None:
    """Raises ProblemError where a text in a JSON value holds NUL or half of a surrogate pair."""
    if isinstance(node, str):
        if "\0" in node or any("\ud800" <= sign <= "\udfff" for sign in node):
            raise ProblemError(kinds.TEXT_UNSOUND, path.encode("utf-8", "replace").decode())
    elif isinstance(node, dict):
        for key, value in node.items():
            _refuse_unsound(key, path)
            _refuse_unsound(value, f"{path}.{key}".lstrip("."))
    elif isinstance(node, list):
        for i, value in enumerate(node):
            _refuse_unsound(value, f"{path}.{i}".lstrip("."))
