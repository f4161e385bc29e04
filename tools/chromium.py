"""Debian's headless Chromium, as tests and measures start it."""

from __future__ import annotations

from typing import Any

PROGRAM = "chromium-headless-shell"
"""Name of the program and of its Debian package."""
_QUIET = ("no-sandbox", "disable-gpu", "disable-quic", "no-first-run", "disable-background-networking", "disable-component-update", "disable-sync")


def launched(driver: Any) -> Any:
    """A browser started by Playwright, which asks nothing of any network by itself."""
    return driver.chromium.launch(executable_path=f"/usr/bin/{PROGRAM}", args=[f"--{flag}" for flag in _QUIET])
