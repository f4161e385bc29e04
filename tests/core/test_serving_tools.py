"""The launcher that serves: ports, one server for a folder, names that are answered to, the account, half-sent requests, a database that ends."""

from __future__ import annotations

import os
import pwd
import socket
import subprocess
import sys
import tempfile
import threading
import time
import unittest
from pathlib import Path
from unittest.mock import patch

from tools import account, addresses, holding, serve
from tools.paths import SERVING, TESTING, SetupFailed

ROOT = Path(__file__).resolve().parents[2]


def listening() -> socket.socket:
    """A socket that holds a port of its own."""
    return socket.create_server(("127.0.0.1", 0))


class Ports(unittest.TestCase):
    def test_a_held_port_is_told_with_who_holds_it(self):
        with listening() as held:
            port = held.getsockname()[1]
            with self.assertRaisesRegex(SetupFailed, rf"port {port} at 127.0.0.1 is taken by process {os.getpid()} \(.*python"):
                serve.chosen_port("127.0.0.1", port)
        self.assertEqual(serve.chosen_port("127.0.0.1", port), port)

    def test_where_none_is_named_the_next_free_one_is_taken(self):
        with listening() as held, patch.object(serve, "PORT", held.getsockname()[1]):
            self.assertGreater(serve.chosen_port("127.0.0.1", 0), held.getsockname()[1])

    def test_a_host_that_is_not_this_machines_is_told(self):
        with self.assertRaisesRegex(SetupFailed, "another --host"):
            serve.chosen_port("203.0.113.9", 0)


class Alone(unittest.TestCase):
    def test_a_second_server_of_a_folder_is_told_where_the_first_is_until_that_ends(self):
        with tempfile.TemporaryDirectory() as folder, patch.object(holding, "STATE", Path(folder)):
            with holding.alone() as where:
                where.write_text("process 7, http://127.0.0.1:8640/")
                with self.assertRaisesRegex(SetupFailed, "already: process 7, http://127.0.0.1:8640/"), holding.alone():
                    self.fail("two at once")
            with holding.alone():
                pass

    def test_one_that_was_killed_holds_nothing(self):
        with tempfile.TemporaryDirectory() as folder, patch.object(holding, "STATE", Path(folder)):
            program = f"from pathlib import Path; from tools import holding; holding.STATE = Path({folder!r})\nwith holding.alone(): print('held', flush=True); input()"
            held = subprocess.Popen([sys.executable, "-c", program], cwd=ROOT, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True)
            assert held.stdout
            assert held.stdin
            self.assertEqual(held.stdout.readline(), "held\n")
            with self.assertRaises(SetupFailed), holding.alone():
                pass
            held.kill()
            held.wait(10)
            held.stdin.close()
            held.stdout.close()
            with holding.alone():
                pass


class Names(unittest.TestCase):
    def test_never_any_name_at_all(self):
        for host in ("127.0.0.1", "0.0.0.0", "::", "::1", "192.0.2.5"):
            self.assertNotIn("*", addresses.hosts(host))

    def test_loopback_what_is_listened_on_and_what_a_person_named(self):
        self.assertEqual(addresses.hosts("192.0.2.5", "school.example, lab.example"), "127.0.0.1,localhost,[::1],192.0.2.5,school.example,lab.example")
        self.assertEqual(addresses.hosts("2001:db8::5"), "127.0.0.1,localhost,[::1],[2001:db8::5]")

    def test_every_interface_stands_for_this_machines_own_addresses(self):
        with patch.object(addresses, "_of_this_machine", lambda: ["lab", "192.0.2.5"]):
            self.assertEqual(addresses.hosts("0.0.0.0"), "127.0.0.1,localhost,[::1],lab,192.0.2.5")
        self.assertIn(socket.gethostname().lower(), addresses.hosts("0.0.0.0"))

    def test_where_it_is_looked_for_after_its_start(self):
        self.assertEqual([addresses.near(host) for host in ("0.0.0.0", "::", "::1", "192.0.2.5")], ["127.0.0.1", "[::1]", "[::1]", "192.0.2.5"])


class Account(unittest.TestCase):
    def led(self, host: str, *, root: bool, reachable: bool = True) -> list[str]:
        with (
            patch.object(os, "geteuid", lambda: 0 if root else 1000),
            patch.object(account, "reachable", lambda folder, name: reachable),
            patch("builtins.print"),
        ):
            return account.lead(host)

    def test_root_drops_to_an_account_that_is_not_root(self):
        to = self.led("0.0.0.0", root=True)
        names = [one.removeprefix("--reuid=") for one in to if one.startswith("--reuid=")]
        self.assertNotEqual(pwd.getpwnam(names[0]).pw_uid, 0)

    def test_others_do_not_change_and_every_process_ends_with_its_parent(self):
        self.assertEqual(self.led("0.0.0.0", root=False), ["setpriv", "--pdeathsig", "TERM"])
        for root in (True, False):
            self.assertEqual(self.led("127.0.0.1", root=root)[-2:], ["--pdeathsig", "TERM"])

    def test_where_that_account_cannot_come_nobody_beyond_this_machine_is_served_as_root(self):
        with self.assertRaisesRegex(SetupFailed, "nobody beyond this machine is served as root"):
            self.led("0.0.0.0", root=True, reachable=False)
        self.assertEqual(self.led("127.0.0.1", root=True, reachable=False), ["setpriv", "--pdeathsig", "TERM"])


class Environments(unittest.TestCase):
    def test_what_serves_holds_no_tools_of_the_tests(self):
        served = {line.split("==")[0] for line in SERVING.lock.read_text().splitlines() if "==" in line}
        tested = {line.split("==")[0] for line in TESTING.lock.read_text().splitlines() if "==" in line}
        self.assertTrue(served < tested)
        self.assertFalse(served & {"hypothesis", "playwright", "schemathesis", "mypy", "ruff", "coverage", "pytest"})

    def test_what_pint_keeps_lies_in_its_own_environment_so_that_a_moved_folder_makes_it_anew(self):
        from hydrostatics.quantities.units import PARSED

        self.assertEqual(PARSED.parent, Path(sys.prefix))
        self.assertTrue(PARSED.is_dir(), "set-up fills it")

    def test_both_hold_the_same_versions_of_what_serves(self):
        served, tested = ({line.split(" ")[0] for line in one.lock.read_text().splitlines() if "==" in line} for one in (SERVING, TESTING))
        self.assertEqual(served - tested, set())


class HalfSent(unittest.TestCase):
    """The web server's own taking of requests, in front of the smallest application there is."""

    def setUp(self) -> None:
        from waitress.server import create_server

        from server.project import serving

        with patch.object(serving, "SILENT", 1):
            chosen = serving.options(https=False) | {"cleanup_interval": 1}
        self.socket = socket.create_server(("127.0.0.1", 0))
        self.address = self.socket.getsockname()

        def application(environ, start):
            start("200 OK", [("Content-Length", "2"), ("X-From", environ["REMOTE_ADDR"]), ("X-Scheme", environ["wsgi.url_scheme"])])
            return [b"ok"]

        self.map: dict = {}
        self.server = create_server(application, sockets=[self.socket], map=self.map, **chosen)
        self.thread = threading.Thread(target=self.server.run, daemon=True)
        self.thread.start()
        self.addCleanup(self.end)

    def end(self) -> None:
        self.server.close()
        for one in list(self.map.values()):
            one.close()

    def send(self, text: bytes) -> socket.socket:
        line = socket.create_connection(self.address, timeout=10)
        line.sendall(text)
        return line

    def test_half_requests_hold_no_thread_and_are_closed_when_nothing_comes(self):
        from server.project.serving import THREADS

        halves = (b"POST /api/predict HTTP/1.1\r\nHost: x\r\nContent-Le", b"POST /api/predict HTTP/1.1\r\nHost: x\r\nContent-Length: 5000\r\n\r\nabc")
        held = [self.send(halves[i % 2]) for i in range(5 * THREADS)]
        start = time.monotonic()
        with self.send(b"GET / HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n") as line:
            self.assertIn(b"200 OK", line.recv(1000))
        self.assertLess(time.monotonic() - start, 1)
        for one in held:
            self.assertEqual(one.recv(1), b"", "closed, for nothing came")
            one.close()

    def test_what_a_visitor_says_of_its_own_address_is_not_believed(self):
        with self.send(b"GET / HTTP/1.1\r\nHost: x\r\nX-Forwarded-For: 198.51.100.7\r\nX-Forwarded-Proto: https\r\nConnection: close\r\n\r\n") as line:
            told = line.recv(1000)
        self.assertIn(b"X-From: 127.0.0.1", told)
        self.assertIn(b"X-Scheme: http\r\n", told)


class Watching(unittest.TestCase):
    def test_a_database_that_ended_is_started_again_until_the_web_server_ends(self):
        server = subprocess.Popen([sys.executable, "-c", "input()"], stdin=subprocess.PIPE)
        assert server.stdin
        told, starts = [], []

        def start() -> bool:
            starts.append(1)
            if len(starts) == 1:
                raise SetupFailed("the disk is full")
            if len(starts) == 3:
                server.stdin.close()
            return True

        with (
            patch.object(serve, "WATCHED", 0.05),
            patch("tools.cluster.Cluster.running", lambda cluster: False),
            patch("tools.cluster.Cluster.start", lambda cluster: start()),
            patch("builtins.print", lambda words, **_: told.append(words)),
        ):
            self.assertEqual(serve._watch(server), 1)
        self.assertGreaterEqual(len(starts), 3)
        self.assertIn("it does not start, and is tried again: the disk is full", told)
        self.assertRegex(told[-1], "ended by itself")
