"""Settings; what differs between machines comes from the environment, checked in `checks`."""

from __future__ import annotations

from pathlib import Path
from wsgiref.headers import Headers

import environ
from csp.constants import NONE, SELF

ROOT = Path(__file__).resolve().parents[2]
env = environ.Env()

NO_SECRET = "only for commands that serve nobody"
SECRET_KEY = env.str("ANCHORAGE_SECRET_KEY", default=NO_SECRET)
DEBUG = False
ALLOWED_HOSTS = env.list("ANCHORAGE_HOSTS", default=["127.0.0.1", "localhost", "[::1]"])
CSRF_TRUSTED_ORIGINS = env.list("ANCHORAGE_ORIGINS", default=[])
SECURE = env.bool("ANCHORAGE_HTTPS", default=False)

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "django.contrib.messages",
    "django.contrib.postgres",
    "whitenoise.runserver_nostatic",
    "django.contrib.staticfiles",
    "allauth",
    "allauth.account",
    "csp",
    "django_vite",
    "ninja",
    "server.project",
    "server.people",
    "server.rooms",
    "server.liquids",
    "server.shelf",
    "server.lessons",
    "server.setups",
    "server.runs",
    "server.choosing",
    "server.demodata",
]
MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "server.wire.requests.RequestMiddleware",
    "csp.middleware.CSPMiddleware",
    "server.wire.sound.SoundMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.contrib.messages.middleware.MessageMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "allauth.account.middleware.AccountMiddleware",
]
ROOT_URLCONF = "server.project.urls"
WSGI_APPLICATION = "server.project.wsgi.application"
TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [ROOT / "server/templates"],
        "APP_DIRS": True,
        "OPTIONS": {
            "context_processors": [
                "django.template.context_processors.request",
                "django.contrib.auth.context_processors.auth",
                "django.contrib.messages.context_processors.messages",
            ]
        },
    }
]

DATABASES = {"default": env.db("DATABASE_URL", default="postgres://app@127.0.0.1:1/postgres")}
DATABASES["default"]["CONN_MAX_AGE"] = 60
DATABASES["default"]["CONN_HEALTH_CHECKS"] = True  # a kept connection may be one that the database closed when it was started again
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTHENTICATION_BACKENDS = ["django.contrib.auth.backends.ModelBackend", "allauth.account.auth_backends.AuthenticationBackend"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.UserAttributeSimilarityValidator"},
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 10}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
    {"NAME": "server.people.passwords.NotBlankValidator"},
]
LOGIN_URL = "account_login"
LOGIN_REDIRECT_URL = "/"
ACCOUNT_LOGOUT_REDIRECT_URL = "/accounts/login/"
ACCOUNT_ADAPTER = "server.people.adapter.ClosedAdapter"
ACCOUNT_LOGIN_METHODS = {"username"}
ACCOUNT_SIGNUP_FIELDS = ["username*", "password1*", "password2*"]
ACCOUNT_FORMS = {"login": "server.people.forms.FocusedLoginForm"}
ACCOUNT_EMAIL_VERIFICATION = "none"
ACCOUNT_SESSION_REMEMBER = True

ACCOUNT_RATE_LIMITS = {"login": "120/m/ip", "login_failed": "5/5m/key"}
"""A name is tried so often from one address (the key, see the adapter): who guesses shuts nobody out elsewhere."""
CACHES = {"default": {"BACKEND": "django.core.cache.backends.db.DatabaseCache", "LOCATION": "sign_in_counts"}}
"""Of sign-ins alone: all processes count together."""

LANGUAGE_CODE = "en-gb"
TIME_ZONE = env.str("ANCHORAGE_TIME_ZONE", default="Europe/London")
USE_TZ = True

STATIC_URL = "/static/"
STATIC_ROOT: Path | None = ROOT / ".state/staticfiles"
VITE_DIST = ROOT / "web/dist"
STATICFILES_DIRS = [VITE_DIST] if VITE_DIST.exists() else []
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.FileSystemStorage"},
    "staticfiles": {"BACKEND": "whitenoise.storage.CompressedStaticFilesStorage"},
}
DJANGO_VITE = {"default": {"dev_mode": False, "manifest_path": VITE_DIST / "manifest.json"}}


def immutable_file_test(path: str, url: str) -> bool:
    """Vite's hashed names never change their content."""
    return url.startswith("/static/assets/")


WHITENOISE_IMMUTABLE_FILE_TEST = immutable_file_test


def headers_of_files(headers: Headers, path: str, url: str) -> None:
    """The worker that keeps lessons for when there is no network stands before every page, not before the folder alone that it comes from."""
    if url.startswith("/static/assets/worker-"):
        headers["Service-Worker-Allowed"] = "/"


WHITENOISE_ADD_HEADERS_FUNCTION = headers_of_files

CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": [SELF],
        "script-src": [SELF],
        "style-src": [SELF],
        "style-src-attr": ["'unsafe-inline'"],
        "img-src": [SELF, "data:", "blob:"],
        "font-src": [SELF],
        "connect-src": [SELF],
        "object-src": [NONE],
        "base-uri": [NONE],
        "frame-ancestors": [NONE],
        "form-action": [SELF],
    }
}
X_FRAME_OPTIONS = "DENY"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = SECURE
SESSION_COOKIE_SAMESITE = CSRF_COOKIE_SAMESITE = "Lax"
SECURE_REFERRER_POLICY = "same-origin"
DATA_UPLOAD_MAX_MEMORY_SIZE = 2_000_000

LOG_FOLDER = ROOT / ".state/log"
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "formatters": {"line": {"format": "{asctime} {levelname} {message}", "style": "{"}},
    "handlers": {
        "stderr": {"class": "logging.StreamHandler", "formatter": "line", "level": "WARNING"},
        "file": {
            "class": "concurrent_log_handler.ConcurrentRotatingFileHandler",
            "filename": str(LOG_FOLDER / "server.log"),
            "maxBytes": 2_000_000,
            "backupCount": 5,
            "formatter": "line",
        },
    },
    "loggers": {
        "anchorage": {"handlers": ["stderr", "file"], "level": "INFO", "propagate": False},
        "waitress": {"handlers": ["stderr", "file"], "level": "WARNING", "propagate": False},
        "waitress.queue": {"level": "ERROR"},  # a request that waits for a thread is no fault
        "django.request": {"handlers": ["stderr", "file"], "level": "ERROR", "propagate": False},
    },
}
"""A line a request, sign-ins and changes of members, and what went wrong; on the terminal the last alone.  Two processes write the file, so its turning over is locked."""

EXTRA_DEMONSTRATIONS: list[str] = []
"""Dotted paths of demonstrations beside the core's own; the tests register one of theirs."""
