"""`serve`: the server on loopback until Ctrl-C, which stops what this started and nothing else."""

from __future__ import annotations

import argparse
import contextlib
import os
import secrets
import signal
import socket
import subprocess
import sys
import time
import urllib.request
from collections.abc import Callable

from .cluster import SERVE
from .environment import SERVED, front_end, node_environment, python_environment, run, system_packages
from .paths import PYTHON, ROOT, STATE, SetupFailed, fresh, keep, step

PORT = 8640


def arguments(words: str) -> argparse.ArgumentParser:
    """What serve and demo both take."""
    parser = argparse.ArgumentParser(prog=f"anchorage {words}")
    parser.add_argument("--host", default="127.0.0.1", help="listen elsewhere than on loopback, for instance 0.0.0.0 in a room's network")
    parser.add_argument("--port", type=int, default=0, help=f"default {PORT}, or the next free one")
    return parser


def prepare() -> bool:
    """Everything that serving needs.  Returns whether the database cluster was started here, and so is to be stopped here."""
    system_packages(SERVED)
    python_environment()
    node_environment()
    front_end()
    return SERVE.start()


def served_environment() -> dict[str, str]:
    """The environment of the served application; its secret is drawn once and kept outside git.  The cluster must be there."""
    STATE.mkdir(mode=0o700, exist_ok=True)
    secret = STATE / "secret"
    if not secret.exists():
        with os.fdopen(os.open(secret, os.O_WRONLY | os.O_CREAT, 0o600), "w") as out:
            out.write(secrets.token_urlsafe(48))
    return {**os.environ, "DATABASE_URL": SERVE.url, "ANCHORAGE_SECRET_KEY": secret.read_text(), "DJANGO_SETTINGS_MODULE": "server.project.settings"}


def up_to_date(environment: dict[str, str]) -> None:
    """Migrations and collected files, where something changed."""
    done, now = fresh("migrated", [*sorted((ROOT / "server").glob("*/migrations/*.py"))], SERVE.url)
    if not done:
        with step("bringing the database up to date"):
            run([str(PYTHON), "manage.py", "migrate", "--noinput", "-v", "0"], env=environment)
        keep("migrated", now)
    built, now = fresh("collected", sorted((ROOT / "web/dist").rglob("*.json")))
    if not built or not (STATE / "staticfiles").exists():
        with step("collecting the static files"):
            run([str(PYTHON), "manage.py", "collectstatic", "--noinput", "--clear", "-v", "0", "-i", "ninja"], env=environment)
        keep("collected", now)


def server_command(host: str, port: int) -> list[str]:
    """The web server's command line: two processes of four threads."""
    options = ["--no-control-socket", "--workers", "2", "--worker-class", "gthread", "--threads", "4", "--log-level", "warning"]
    return [str(PYTHON), "-m", "gunicorn", *options, "--bind", f"{host}:{port}", "server.project.wsgi"]


def serve(environment: dict[str, str], host: str, port: int, told: str = "") -> int:
    """Runs the web server until Ctrl-C, which stops it by its process id."""
    port = port or _free_from(PORT, host)
    environment = {**environment, "ANCHORAGE_HOSTS": f"127.0.0.1,localhost,[::1],{host if host != '0.0.0.0' else '*'}"}
    command = server_command(host, port)
    server = subprocess.Popen(command, cwd=ROOT, env=environment, start_new_session=True)
    try:
        _wait(server, port)
        print(f"\nAnchorage is at http://127.0.0.1:{port}/\n{told}Ctrl-C stops it; the data stay.", flush=True)
        return server.wait()
    except KeyboardInterrupt:
        print("\nstopping ...", flush=True)
        return 0
    finally:
        with contextlib.suppress(ProcessLookupError):
            server.send_signal(signal.SIGTERM)
        with contextlib.suppress(subprocess.TimeoutExpired):
            server.wait(10)


def _wait(server: subprocess.Popen[bytes], port: int) -> None:
    for _ in range(300):
        if server.poll() is not None:
            raise SetupFailed("the server did not start; its message stands above")
        with contextlib.suppress(OSError):
            urllib.request.urlopen(f"http://127.0.0.1:{port}/accounts/login/", timeout=2).close()
            return
        time.sleep(0.1)
    raise SetupFailed("the server did not answer within half a minute")


def _free_from(port: int, host: str) -> int:
    for one in range(port, port + 50):
        with socket.socket() as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            with contextlib.suppress(OSError):
                probe.bind((host, one))
                return one
    raise SetupFailed(f"no free port from {port} on; name one with --port")


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
    started = False
    try:
        before()
        started = prepare()
        environment = served_environment()
        up_to_date(environment)
        return serve(environment, host, port, told(environment))
    except SetupFailed as trouble:
        print(f"\n{trouble}", file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        return 130
    finally:
        if started:
            SERVE.stop()


def main() -> int:
    """The command."""
    chosen = arguments("serve").parse_args()
    return until_stopped(chosen.host, chosen.port)


if __name__ == "__main__":
    sys.exit(main())
