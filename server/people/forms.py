"""Signing in."""

from __future__ import annotations

from typing import Any

from allauth.account.forms import LoginForm


class FocusedLoginForm(LoginForm):  # type: ignore[misc]
    """The sign-in form, which starts in the name."""

    def __init__(self, *args: Any, **kwargs: Any) -> None:
        super().__init__(*args, **kwargs)
        self.fields["login"].widget.attrs["autofocus"] = True
