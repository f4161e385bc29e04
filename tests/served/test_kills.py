"""The served application's processes killed for real, by their ids: what serves is started again, and nothing outlives what started it."""

from __future__ import annotations

import http.client
import os
import signal
import subprocess
import sys
import time
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path

from django.db import connection
from django.test import tag

from tests.support.emptied import EmptiedCase
from tools.holding import is_free
from tools.paths import ROOT
from tools.serve import server_command

PATIENCE = 40.0
SERVING = 3
"""Two web processes and the collector."""


def children(pid: int) -> set[int]:
    """Ids of the processes that one started and that run; none where it is gone."""
    with suppress(OSError):
        return {int(one) for one in Path(f"/proc/{pid}/task/{pid}/children").read_text().split() if runs(int(one))}
    return set()


def runs(pid: int) -> bool:
    """Whether a process is there and has not ended."""
    with suppress(OSError):
        return Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()[0] != "Z"
    return False


@tag("server")
class Kills(EmptiedCase):
    def setUp(self) -> None:
        self.port = next(port for port in range(8760, 8800) if is_free("127.0.0.1", port))
        database = f"{os.environ['DATABASE_URL'].rpartition('/')[0]}/{connection.settings_dict['NAME']}"
        served = {"DATABASE_URL": database, "DJANGO_SETTINGS_MODULE": "server.project.settings", "ANCHORAGE_SECRET_KEY": "x" * 40}
        self.environment = {**os.environ, **served}

    def start(self, command: list[str]) -> subprocess.Popen[bytes]:
        process = subprocess.Popen(command, cwd=ROOT, env=self.environment, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, start_new_session=True)
        self.addCleanup(self.end, process)
        return process

    def end(self, process: subprocess.Popen[bytes]) -> None:
        with suppress(ProcessLookupError):
            process.terminate()
        with suppress(subprocess.TimeoutExpired):
            process.wait(20)

    def until(self, true: Callable[[], object], words: str) -> None:
        end = time.monotonic() + PATIENCE
        while not true():
            self.assertLess(time.monotonic(), end, words)
            time.sleep(0.1)

    def answers(self) -> bool:
        with suppress(OSError, http.client.HTTPException):
            line = http.client.HTTPConnection("127.0.0.1", self.port, timeout=5)
            line.request("GET", "/accounts/login/")
            return line.getresponse().status == 200
        return False

    def test_a_killed_process_is_started_again_and_none_outlives_its_supervisor(self):
        server = self.start(server_command(Path(sys.executable), "127.0.0.1", self.port))
        self.until(self.answers, "it serves")
        self.until(lambda: len(children(server.pid)) == SERVING, "two web processes and the collector")
        for one in sorted(children(server.pid)):
            os.kill(one, signal.SIGKILL)
            self.until(lambda one=one: len(children(server.pid) - {one}) == SERVING, "another takes its place")
            self.until(self.answers, "and it serves on")
        left = children(server.pid)
        server.kill()
        server.wait(10)
        self.until(lambda: not any(runs(one) for one in left), "they end with what started them")
        self.until(lambda: is_free("127.0.0.1", self.port), "the port is given back")

    def test_a_killed_launcher_leaves_nothing_behind(self):
        command = server_command(Path(sys.executable), "127.0.0.1", self.port)
        launcher = self.start([sys.executable, "-c", "import subprocess, sys; subprocess.run(sys.argv[1:])", *command])
        self.until(self.answers, "it serves")
        supervisors = children(launcher.pid)
        workers = {one for pid in supervisors for one in children(pid)}
        launcher.kill()
        launcher.wait(10)
        self.until(lambda: not any(runs(one) for one in supervisors | workers), "all of it ends")
        self.until(lambda: is_free("127.0.0.1", self.port), "the port is given back")
