"""Addresses: the API, signing in and out, and the one page that the rest is drawn on."""

from __future__ import annotations

from allauth.account.views import login, logout, password_change
from django.urls import path, re_path

from .api import api
from .views import page

urlpatterns = [
    path("api/", api.urls),
    path("accounts/login/", login, name="account_login"),
    path("accounts/logout/", logout, name="account_logout"),
    path("accounts/password/change/", password_change, name="account_change_password"),
    re_path(r"^(?!api/|static/|accounts/).*$", page, name="page"),
]
