"""Mistakes in the settings, found at start."""

from __future__ import annotations

from typing import Any

from django.conf import settings
from django.core.checks import CheckMessage, Error, register


@register()
def served_settings(app_configs: Any, **kwargs: Any) -> list[CheckMessage]:
    """A secret of its own and a database that was named, wherever people are served."""
    found: list[CheckMessage] = []
    if len(settings.SECRET_KEY) < 30:
        found.append(Error("ANCHORAGE_SECRET_KEY is shorter than 30 characters", hint="./anchorage demo draws one", id="anchorage.E001"))
    if settings.DATABASES["default"].get("PORT") == 5432:
        found.append(
            Error(
                "DATABASE_URL names port 5432, where a machine's own cluster stands",
                hint="start with ./anchorage, which runs one of the project's own",
                id="anchorage.E002",
            )
        )
    return found
