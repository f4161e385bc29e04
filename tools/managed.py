"""Runs one of the application's own commands on the served database."""

from __future__ import annotations

import subprocess
import sys

from .cluster import SERVE
from .paths import ROOT, SERVING, SetupFailed
from .serve import served_environment


def managed(*words: str) -> int:
    """Runs it; the database is started where it is not running, and stopped again then."""
    if not SERVING.python.exists():
        print("This clone is not set up yet: run ./anchorage demo once.", file=sys.stderr)
        return 3
    started = False
    try:
        started = SERVE.start()
        return subprocess.run([str(SERVING.python), "manage.py", *words], cwd=ROOT, env=served_environment(), check=False).returncode
    except SetupFailed as trouble:
        print(trouble, file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        return 130
    finally:
        if started:
            SERVE.stop()
