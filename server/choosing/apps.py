"""Keeps the words under which demonstrations are looked for, as the core's guides tell them."""

from __future__ import annotations

from typing import Any

from django.apps import AppConfig
from django.db.models.signals import post_migrate


class ChoosingConfig(AppConfig):
    """Writes the demonstrations' words anew whenever the database is brought up to date."""

    name = "server.choosing"

    def ready(self) -> None:
        post_migrate.connect(_write, sender=self)


def _write(using: str = "default", **_: Any) -> None:
    from .words import write_words

    write_words(using)
