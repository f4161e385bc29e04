"""The API: every router, and one form of failure."""

from __future__ import annotations

from django.contrib.auth.decorators import login_required
from ninja import NinjaAPI
from ninja.security import django_auth

from server.catalogue.api import router as catalogue
from server.choosing.api import router as choosing
from server.lessons.api import router as lessons
from server.lessons.courses import router as courses
from server.lessons.outputs import router as outputs
from server.liquids.api import router as liquids
from server.people.api import router as people
from server.predictions.api import router as predictions
from server.rooms.air_api import router as air
from server.rooms.api import router as rooms
from server.rooms.site import router as site
from server.runs.api import router as runs
from server.setups.api import router as setups
from server.shelf.api import router as shelf
from server.wire.problems import handle_failures
from server.works.api import router as works

from .me import router as me
from .today import router as today

api = NinjaAPI(title="Anchorage", version="1", auth=django_auth, docs_url=None, docs_decorator=login_required, urls_namespace="api")
handle_failures(api)
for router in (me, today, people, catalogue, predictions, works, rooms, site, air, liquids, shelf, setups, runs, choosing, courses, outputs, lessons):
    api.add_router("", router)
