"""The door for a WSGI server."""

import os

from django.core.wsgi import get_wsgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.project.settings")
application = get_wsgi_application()

from server.project.warm import warm  # noqa: E402 (only once the application is set up)

warm()
