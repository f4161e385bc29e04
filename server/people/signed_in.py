"""Who may have pure computation done: anybody signed in, known by the session alone."""

from __future__ import annotations

import time

from django.conf import settings
from django.contrib.auth import SESSION_KEY
from django.http import HttpRequest
from ninja.security import APIKeyCookie

TRUSTED_FOR = 10.0
"""A session found good is taken as good for so long [s]: what it opens is computation, nobody's data."""
_MOST = 1000


class SignedInSession(APIKeyCookie):
    """Signed in, without reading the person: a drag asks thirty times a second, and the answer holds nobody's data."""

    param_name = settings.SESSION_COOKIE_NAME

    def __init__(self) -> None:
        super().__init__()
        self._good_until: dict[str, float] = {}

    def authenticate(self, request: HttpRequest, key: str | None) -> str | None:
        if key is None:
            return None
        now = time.monotonic()
        if self._good_until.get(key, 0.0) > now:
            return key
        if request.session.get(SESSION_KEY) is None:
            self._good_until.pop(key, None)
            return None
        if len(self._good_until) >= _MOST:
            self._good_until.clear()
        self._good_until[key] = now + TRUSTED_FOR
        return key
