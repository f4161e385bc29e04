"""The door for a WSGI server."""

import os

from django.conf import settings
from django.core.exceptions import ImproperlyConfigured
from django.core.wsgi import get_wsgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.project.settings")
if settings.SECRET_KEY == settings.NO_SECRET or len(settings.SECRET_KEY) < 30:
    raise ImproperlyConfigured("ANCHORAGE_SECRET_KEY is not set, or shorter than 30 characters: nobody is served with it; ./anchorage serve draws one")
settings.LOG_FOLDER.mkdir(parents=True, exist_ok=True)
application = get_wsgi_application()

from server.project.warm import warm  # noqa: E402 (only once the application is set up)

warm()
