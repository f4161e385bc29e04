"""`department NAME`: a department and its head in the served database."""

from __future__ import annotations

import subprocess
import sys

from .cluster import SERVE
from .paths import ROOT, SERVING, SetupFailed
from .serve import served_environment


def main() -> int:
    """The command."""
    if not SERVING.python.exists():
        print("This clone is not set up yet: run ./anchorage demo once.", file=sys.stderr)
        return 3
    started = False
    try:
        started = SERVE.start()
        return subprocess.run(
            [str(SERVING.python), "manage.py", "create_department", *sys.argv[1:]], cwd=ROOT, env=served_environment(), check=False
        ).returncode
    except SetupFailed as trouble:
        print(trouble, file=sys.stderr)
        return 1
    finally:
        if started:
            SERVE.stop()


if __name__ == "__main__":
    sys.exit(main())
