"""The project's own start-up: extra demonstrations, checks."""

from __future__ import annotations

from django.apps import AppConfig
from django.conf import settings
from django.utils.module_loading import import_string


class ProjectConfig(AppConfig):
    """Registers the demonstrations that settings name beside the core's own."""

    name = "server.project"

    def ready(self) -> None:
        from server.people import journal  # noqa: F401 (listens to sign-ins)

        from . import checks  # noqa: F401 (registers them)

        if settings.EXTRA_DEMONSTRATIONS:
            from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS

            ALL_DEMONSTRATIONS.extend(import_string(name) for name in settings.EXTRA_DEMONSTRATIONS)
