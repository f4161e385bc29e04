"""`bench`: the figures that are promised, as a table and as JSON, with the machine named.  Never part of the tests."""

from __future__ import annotations

import os
import subprocess
import sys

from .cluster import TEST
from .environment import SERVED, TESTED, front_end, node_environment, python_environment, system_packages
from .paths import ROOT, STATE, TESTING, SetupFailed


def main() -> int:
    """The command: sets up what measuring needs, then measures inside the project's environment."""
    try:
        system_packages(SERVED | TESTED)
        python_environment(TESTING)
        node_environment()
        front_end()
        TEST.start()
        (STATE / "log").mkdir(mode=0o750, exist_ok=True)  # where what serves writes down what it is asked
        environment = {**os.environ, "DATABASE_URL": TEST.url, "DJANGO_SETTINGS_MODULE": "server.project.settings", "ANCHORAGE_SECRET_KEY": "x" * 40}
        return subprocess.run([str(TESTING.python), "-m", "tools.measure", *sys.argv[1:]], cwd=ROOT, env=environment, check=False).returncode
    except SetupFailed as trouble:
        print(f"\n{trouble}", file=sys.stderr)
        return 1
    finally:
        TEST.stop()


if __name__ == "__main__":
    sys.exit(main())
