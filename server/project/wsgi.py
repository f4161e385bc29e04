"""The door for a WSGI server."""

import os

from django.conf import settings
from django.core.exceptions import ImproperlyConfigured
from django.core.wsgi import get_wsgi_application

from server.project.checks import served_settings

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.project.settings")
if settings.SECRET_KEY == settings.NO_SECRET:
    raise ImproperlyConfigured("ANCHORAGE_SECRET_KEY is not set: nobody is served without one; ./anchorage serve draws one")
application = get_wsgi_application()
if wrong := served_settings(None):
    raise ImproperlyConfigured("; ".join(f"{one.msg}: {one.hint}" for one in wrong))

from server.project.warm import warm  # noqa: E402 (only once the application is set up)

warm()
