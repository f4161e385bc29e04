"""The API's description as the code gives it, made once for all tests of a process."""

from __future__ import annotations

from functools import cache
from typing import Any

from server.project.api import api


@cache
def described() -> dict[str, Any]:
    """Not to be changed by who asks for it."""
    return dict(api.get_openapi_schema(path_prefix="/api/"))
