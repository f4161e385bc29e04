"""Who may get in: nobody signs up; a head adds members."""

from __future__ import annotations

from typing import Any

from allauth.account.adapter import DefaultAccountAdapter
from django.http import HttpRequest


class ClosedAdapter(DefaultAccountAdapter):  # type: ignore[misc]
    """Signing up is closed."""

    def is_open_for_signup(self, request: HttpRequest) -> bool:
        return False

    def _get_login_attempts_cache_key(self, request: HttpRequest, **credentials: Any) -> str:
        """Failed sign-ins are counted by name and address together, so that who guesses a teacher's password from elsewhere does not shut the teacher out."""
        return f"{self.get_client_ip(request)}:{credentials.get('username', '').lower()}"
