"""`demo`: everything from a fresh clone to the demo data in the browser."""

from __future__ import annotations

import os
import socket
import subprocess
import sys

from .cluster import SERVE
from .paths import ROOT, SERVING, STATE, SetupFailed, step
from .serve import arguments, until_stopped
from .supervised import ENDING

SIGN_INS = STATE / "demo-sign-ins"
ELEVATION = "640"
"""Of the demo's bench [m], for its weather service."""


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

    standing_in: list[subprocess.Popen[bytes]] = []
    try:
        return until_stopped(chosen.host, chosen.port, lambda environment: _sign_ins(environment) + _stand_ins(environment, standing_in), before)
    finally:
        for one in standing_in:
            one.terminate()


def _stand_ins(environment: dict[str, str], started: list[subprocess.Popen[bytes]]) -> str:
    """Starts the sensor and the weather service of the demo on ports of their own, and tells the demo's room where they are."""
    sensor, weather = (_free_port() for _ in range(2))
    for name, *given in (("sensor", str(sensor)), ("weather", str(weather), ELEVATION)):
        command = [*ENDING.split(), str(SERVING.python), "-m", f"standins.{name}", *given]
        started.append(subprocess.Popen(command, cwd=ROOT, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, start_new_session=True))
    places = [f"socket://127.0.0.1:{sensor}", f"http://127.0.0.1:{weather}"]
    subprocess.run([str(SERVING.python), "manage.py", "stand_ins", *places], cwd=ROOT, env=environment, check=True, capture_output=True)
    told = zip(("sensor", "weather service"), started, places, strict=True)
    return "Standing in for what a bench has:\n" + "".join(f"  {name:<16} process {one.pid}, {place}\n" for name, one, place in told)


def _free_port() -> int:
    with socket.create_server(("127.0.0.1", 0)) as found:
        return int(found.getsockname()[1])


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
