"""The page that the front end is drawn on."""

from __future__ import annotations

import re

from django.contrib.auth.decorators import login_required
from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.views.decorators.csrf import ensure_csrf_cookie

from server.catalogue.tables import all_tables

from .me import me
from .opening import opening

_SETUP = re.compile(r"/d/([\w-]+)/bench/(\d+)\Z")


@ensure_csrf_cookie
@login_required
def page(request: HttpRequest) -> HttpResponse:
    """The shell, with the person's theme set before anything is painted, and what every view needs already in it."""
    person = me(request)
    preferences = person.preferences
    handed = {"me": person.model_dump(), "tables": all_tables()}
    if found := _SETUP.match(request.path):
        handed |= opening(request, found[1], int(found[2]))
    context = {"theme": preferences.theme, "figures": preferences.figures, "handed": handed, "bench": "/bench/" in request.path}
    return render(request, "index.html", context)
