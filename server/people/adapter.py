"""Who may get in: nobody signs up; a head adds members."""

from __future__ import annotations

from allauth.account.adapter import DefaultAccountAdapter
from django.http import HttpRequest


class ClosedAdapter(DefaultAccountAdapter):  # type: ignore[misc]
    """Signing up is closed."""

    def is_open_for_signup(self, request: HttpRequest) -> bool:
        return False
