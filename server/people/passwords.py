"""What a password must be besides what the framework asks."""

from __future__ import annotations

from typing import Any

from django.core.exceptions import ValidationError

DISTINCT = 5
"""Different characters that a password has at least."""


class NotBlankValidator:
    """Refuses blanks alone, and a few characters over and over."""

    def validate(self, password: str, user: Any = None) -> None:
        """Raises ValidationError with what to do."""
        if len(set(password.replace(" ", ""))) < DISTINCT:
            raise ValidationError(self.get_help_text(), code="blank")

    def get_help_text(self) -> str:
        """What is asked, in words."""
        return f"Use at least {DISTINCT} different characters; blanks do not count."
