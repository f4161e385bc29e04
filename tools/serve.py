"""`serve`: the server on loopback until Ctrl-C, which stops what this started and nothing else."""

from __future__ import annotations

import argparse
import contextlib
import http.client
import os
import secrets
import signal
import subprocess
import sys
import time
from collections.abc import Callable, Sequence
from pathlib import Path

from .account import hand_over, lead
from .addresses import hosts, near
from .cluster import SERVE
from .environment import SERVED, front_end, node_environment, python_environment, run, system_packages
from .holding import alone, holder, is_free
from .paths import ROOT, SERVING, STATE, SetupFailed, fresh, keep, step

PORT = 8640
WATCHED = 2.0
"""Every so many seconds it is looked whether the database is up."""


def arguments(words: str) -> argparse.ArgumentParser:
    """What serve and demo both take."""
    parser = argparse.ArgumentParser(prog=f"anchorage {words}")
    parser.add_argument("--host", default="127.0.0.1", help="listen elsewhere than on loopback, for instance 0.0.0.0 in a room's network")
    parser.add_argument("--port", type=int, default=0, help=f"default {PORT}, or the next free one")
    return parser


def prepare() -> None:
    """Everything that serving needs but the database."""
    system_packages(SERVED)
    python_environment(SERVING)
    node_environment()
    front_end()


def served_environment() -> dict[str, str]:
    """The environment of the served application; its secret is drawn once and kept outside git.  The cluster must be there."""
    STATE.mkdir(mode=0o711, exist_ok=True)
    STATE.chmod(0o711)  # others pass through to the static files and the log; what is secret in it is closed by itself
    secret = STATE / "secret"
    if not secret.exists():
        with os.fdopen(os.open(secret, os.O_WRONLY | os.O_CREAT, 0o600), "w") as out:
            out.write(secrets.token_urlsafe(48))
    return {**os.environ, "DATABASE_URL": SERVE.served_url(), "ANCHORAGE_SECRET_KEY": secret.read_text(), "DJANGO_SETTINGS_MODULE": "server.project.settings"}


def up_to_date(environment: dict[str, str]) -> None:
    """Migrations and collected files, where something changed."""
    done, now = fresh("migrated", [*sorted((ROOT / "server").glob("*/migrations/*.py"))], SERVE.served_url())
    if not done:
        with step("bringing the database up to date"):
            run([str(SERVING.python), "manage.py", "migrate", "--noinput", "-v", "0"], env=environment)
            run([str(SERVING.python), "manage.py", "createcachetable"], env=environment)
        keep("migrated", now)
    built, now = fresh("collected", sorted((ROOT / "web/dist").rglob("*.json")))
    if not built or not (STATE / "staticfiles").exists():
        with step("collecting the static files"):
            run([str(SERVING.python), "manage.py", "collectstatic", "--noinput", "--clear", "-v", "0", "-i", "ninja"], env=environment)
        keep("collected", now)


def server_command(python: Path, host: str, port: int, through: Sequence[str] = ()) -> list[str]:
    """The web server's command line.  through: what each of its processes is started through."""
    return ["setpriv", "--pdeathsig", "TERM", str(python), "-m", "tools.supervised", host, str(port), *through]


def serve(environment: dict[str, str], host: str, port: int, through: Sequence[str], ready: Callable[[str], None]) -> int:
    """Runs the web server until Ctrl-C, which stops it by its process id; starts the database again where that ends.

    ready: told the address, once the server answers.
    """
    environment = {**environment, "ANCHORAGE_HOSTS": hosts(host, os.environ.get("ANCHORAGE_HOSTS", ""))}
    server = subprocess.Popen(server_command(SERVING.python, host, port, through), cwd=ROOT, env=environment, start_new_session=True)
    try:
        _wait(server, host, port)
        ready(f"http://{near(host)}:{port}/")
        return _watch(server)
    except KeyboardInterrupt:
        print("\nstopping ...", flush=True)
        return 0
    finally:
        with contextlib.suppress(ProcessLookupError):
            server.send_signal(signal.SIGTERM)
        with contextlib.suppress(subprocess.TimeoutExpired):
            server.wait(15)


def _watch(server: subprocess.Popen[bytes]) -> int:
    """Until the server ends, which it does not by itself."""
    told = ""
    while True:
        with contextlib.suppress(subprocess.TimeoutExpired):
            code = server.wait(WATCHED)
            print(f"\nthe web server ended by itself ({code}); the log in {STATE / 'log'} may say why", file=sys.stderr, flush=True)
            return 1
        if SERVE.running():
            continue
        try:
            print("the database has ended; it is started again", file=sys.stderr, flush=True)
            SERVE.start()
            told = ""
        except SetupFailed as trouble:
            if str(trouble) != told:
                print(f"it does not start, and is tried again: {trouble}", file=sys.stderr, flush=True)
            told = str(trouble)


def _wait(server: subprocess.Popen[bytes], host: str, port: int) -> None:
    for _ in range(300):
        if server.poll() is not None:
            raise SetupFailed("the server did not start; its message stands above")
        with contextlib.suppress(OSError, http.client.HTTPException):
            line = http.client.HTTPConnection(near(host).strip("[]"), port, timeout=2)
            line.request("GET", "/accounts/login/")
            if line.getresponse().status < 500:
                return
        time.sleep(0.1)
    raise SetupFailed("the server did not answer within half a minute")


def chosen_port(host: str, port: int) -> int:
    """The port that was asked for, or the first free one from the usual one on.  Raises SetupFailed that says who holds it."""
    if port:
        if not is_free(host, port):
            raise SetupFailed(f"port {port} at {host} is taken by {holder(port)}. Stop that, or name another with --port.")
        return port
    for one in range(PORT, PORT + 50):
        if is_free(host, one):
            return one
    raise SetupFailed(f"no free port at {host} from {PORT} on; name one with --port, or another --host")


def interruptible() -> None:
    """Ends on Ctrl-C and on a polite request to end, also where a shell started this in the background."""

    def stop(*_: object) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGINT, stop)
    signal.signal(signal.SIGTERM, stop)


def until_stopped(host: str, port: int, told: Callable[[dict[str, str]], str] = lambda environment: "", before: Callable[[], None] = lambda: None) -> int:
    """Prepares, serves, and stops what was started here.

    before: done first of all. told: done once the database is up to date; what it returns is said beside the address.
    """
    interruptible()
    try:
        with alone() as where:
            port = chosen_port(host, port)
            through = lead(host)
            before()
            prepare()
            try:
                SERVE.start()
                environment = served_environment()
                up_to_date(environment)
                said = told(environment)
                log = STATE / "log"
                log.mkdir(mode=0o750, exist_ok=True)
                hand_over(log, through)

                def ready(address: str) -> None:
                    where.write_text(f"process {os.getpid()}, {address}")
                    print(f"\nAnchorage is at {address}\n{said}Ctrl-C stops it; the data stay.", flush=True)

                return serve(environment, host, port, through, ready)
            finally:
                SERVE.stop()  # whoever started it: nobody else serves from this folder
    except SetupFailed as trouble:
        print(f"\n{trouble}", file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        return 130


def main() -> int:
    """The command."""
    chosen = arguments("serve").parse_args()
    return until_stopped(chosen.host, chosen.port)


if __name__ == "__main__":
    sys.exit(main())
