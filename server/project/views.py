"""The page that the front end is drawn on."""

from __future__ import annotations

from django.contrib.auth.decorators import login_required
from django.http import HttpRequest, HttpResponse
from django.shortcuts import render
from django.views.decorators.csrf import ensure_csrf_cookie

from server.people.queries import preferences_of


@ensure_csrf_cookie
@login_required
def page(request: HttpRequest) -> HttpResponse:
    """The shell, with the person's theme set before anything is painted."""
    assert request.user.is_authenticated
    preferences = preferences_of(request.user)
    return render(request, "index.html", {"theme": preferences.theme, "figures": preferences.figures})
