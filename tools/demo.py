"""`demo`: everything from a fresh clone to the demo data in the browser."""

from __future__ import annotations

import os
import subprocess
import sys

from .cluster import SERVE
from .paths import ROOT, SERVING, STATE, SetupFailed, step
from .serve import arguments, until_stopped

SIGN_INS = STATE / "demo-sign-ins"


def main() -> int:
    """The command."""
    parser = arguments("demo")
    parser.add_argument("--fresh", action="store_true", help="throw the demo's database away and start anew")
    chosen = parser.parse_args()

    def before() -> None:
        if chosen.fresh:
            with step("removing the demo's database"):
                SERVE.remove()
                SIGN_INS.unlink(missing_ok=True)

    return until_stopped(chosen.host, chosen.port, _sign_ins, before)


def _sign_ins(environment: dict[str, str]) -> str:
    """Loads the demo data where they are not there, and tells who signs in with what."""
    if not SIGN_INS.exists():
        with step("loading the demo data"):
            _load(environment)
    return "Sign in as (name, password):\n" + "".join(f"  {line}\n" for line in SIGN_INS.read_text().splitlines())


def _load(environment: dict[str, str]) -> None:
    """Loads the demo data; the passwords drawn for it are kept where only this account reads them."""
    done = subprocess.run([str(SERVING.python), "manage.py", "load_demo"], cwd=ROOT, env=environment, capture_output=True, text=True, check=False)
    if done.returncode:
        raise SetupFailed(f"the demo data could not be loaded:\n{done.stderr[-3000:]}")
    with os.fdopen(os.open(SIGN_INS, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "w") as out:
        out.write(done.stdout)


if __name__ == "__main__":
    sys.exit(main())
