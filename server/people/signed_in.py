"""Who may have pure computation done: anybody signed in, known by the session alone."""

from __future__ import annotations

from django.conf import settings
from django.contrib.auth import SESSION_KEY
from django.http import HttpRequest
from ninja.security import APIKeyCookie


class SignedInSession(APIKeyCookie):
    """Signed in, without reading the person: the answer holds nobody's data, and a drag asks thirty times a second."""

    param_name = settings.SESSION_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> str | None:
        found: str | None = request.session.get(SESSION_KEY)
        return found
