"""Settings of the tests: the quick cluster, quick passwords, and the demonstration that exists in the tests alone."""

from __future__ import annotations

from .settings import *  # noqa: F403

SECRET_KEY = "of the tests alone, and of nothing else"
PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
LOGGING = {"version": 1, "disable_existing_loggers": False}
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.InMemoryStorage"},
    "staticfiles": {"BACKEND": "django.contrib.staticfiles.storage.StaticFilesStorage"},
}
STATIC_ROOT = None  # what was collected here to be served is not looked through for each client of the tests
EXTRA_DEMONSTRATIONS = ["tests.support.imagined.IMAGINED"]
TEST_RUNNER = "tests.runner.Runner"
ACCOUNT_RATE_LIMITS = {}
CACHES = {"default": {"BACKEND": "django.core.cache.backends.locmem.LocMemCache"}}
