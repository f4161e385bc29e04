"""The API: every router, and one form of failure."""

from __future__ import annotations

from ninja import NinjaAPI
from ninja.security import django_auth

from server.bench.api import router as bench
from server.liquids.api import router as liquids
from server.people.api import router as people
from server.rooms.api import router as rooms
from server.runs.api import router as runs
from server.setups.api import router as setups

from .problems import handle_failures

api = NinjaAPI(title="Anchorage", version="1", auth=django_auth, docs_url=None, urls_namespace="api")
handle_failures(api)
api.add_router("", people)
api.add_router("", bench)
api.add_router("", rooms)
api.add_router("", liquids)
api.add_router("", setups)
api.add_router("", runs)
