"""The page that the front end is drawn on."""

from __future__ import annotations

import re

from django.contrib.auth.decorators import login_required
from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.views.decorators.csrf import ensure_csrf_cookie

from hydrostatics.quantities.tables import unit_table
from server.people.api import me

_SETUP = re.compile(r"/d/([\w-]+)/bench/(\d+)\Z")


def _early(path: str) -> str:
    """What the page will ask for first, so that the browser fetches it beside the scripts."""
    found = _SETUP.match(path)
    return f"/api/departments/{found[1]}/setups/{found[2]}" if found else ""


@ensure_csrf_cookie
@login_required
def page(request: HttpRequest) -> HttpResponse:
    """The shell, with the person's theme set before anything is painted, and what every view needs already in it."""
    person = me(request)
    preferences = person.preferences
    handed = {"me": person.model_dump(), "units": unit_table()}
    return render(
        request,
        "index.html",
        {"theme": preferences.theme, "figures": preferences.figures, "handed": handed, "bench": "/bench/" in request.path, "early": _early(request.path)},
    )
