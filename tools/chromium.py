"""Debian's headless Chromium, as tests and measures start it."""

from __future__ import annotations

from typing import Any

PROGRAM = "chromium-headless-shell"
"""Name of the program and of its Debian package."""
NOWHERE_ELSE = "host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1"
"""No name is looked up but that of this machine; cheaper than asking of each request whether it may go."""
_QUIET = (
    "no-sandbox",
    "disable-gpu",
    "disable-quic",
    "no-first-run",
    "disable-background-networking",
    "disable-component-update",
    "disable-sync",
    NOWHERE_ELSE,
)


def launched(driver: Any) -> Any:
    """A browser started by Playwright, which asks nothing of any network by itself."""
    return driver.chromium.launch(executable_path=f"/usr/bin/{PROGRAM}", args=[f"--{flag}" for flag in _QUIET])
