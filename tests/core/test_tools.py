"""The launcher's tools: counts that tell the truth, steps done once, clusters that keep apart."""

from __future__ import annotations

import os
import shutil
import subprocess
import tempfile
import unittest
from pathlib import Path
from unittest.mock import patch

from tools import paths
from tools.cluster import QUICK, SERVE, TEST, Cluster
from tools.paths import SetupFailed
from tools.test import Tally, _unittest, _vitest

ROOT = Path(__file__).resolve().parents[2]
FAILED = """
FAIL: test_a (tests.x.Case.test_a) (seed=1)
FAIL: test_a (tests.x.Case.test_a) (seed=2)
ERROR: test_b (tests.x.Case.test_b)
Ran 9 tests in 1.2s
FAILED (failures=2, errors=1)
"""


class Counting(unittest.TestCase):
    def test_a_test_that_fails_in_several_ways_counts_once(self):
        self.assertEqual(_unittest(FAILED, False), Tally(7, 2))

    def test_a_run_that_broke_off_is_a_failure(self):
        self.assertEqual(_unittest("Traceback (most recent call last)", False), Tally(0, 1))
        self.assertEqual(_vitest("no json here", False), Tally(0, 1))

    def test_all_passed(self):
        self.assertEqual(_unittest("Ran 12 tests in 3s\nOK", True), Tally(12, 0))
        self.assertEqual(_vitest('{"numPassedTests": 5, "numFailedTests": 0}', True), Tally(5, 0))
        self.assertEqual(_vitest('at {some} place\n{"numPassedTests": 5, "numFailedTests": 0}\nmore {words}\n', True), Tally(5, 0))

    def test_components_that_could_not_be_loaded_are_a_failure(self):
        self.assertEqual(_vitest('{"numPassedTests": 5, "numFailedTests": 0}', False), Tally(5, 1))


class Steps(unittest.TestCase):
    def test_a_step_is_done_again_only_when_its_files_change(self):
        with tempfile.TemporaryDirectory(dir=ROOT / ".state") as folder, patch.object(paths, "STATE", Path(folder)):
            file = Path(folder) / "lock"
            file.write_text("a")
            done, now = paths.fresh("step", [file])
            self.assertFalse(done)
            paths.keep("step", now)
            self.assertTrue(paths.fresh("step", [file])[0])
            self.assertFalse(paths.fresh("step", [file], "elsewhere")[0])
            file.write_text("b")
            self.assertFalse(paths.fresh("step", [file])[0])


class Clusters(unittest.TestCase):
    def test_what_must_last_is_not_quick_and_lies_apart(self):
        self.assertTrue(SERVE.durable)
        self.assertFalse(TEST.durable)
        self.assertNotEqual(SERVE.place, TEST.place)
        self.assertIn("fsync = off", QUICK)
        conf = SERVE.data / "postgresql.conf"
        if conf.exists():
            self.assertNotIn("\nfsync = off", conf.read_text())


class Launcher(unittest.TestCase):
    def test_an_unknown_command_is_refused_and_help_lists_the_known(self):
        got = subprocess.run([str(ROOT / "anchorage"), "fly"], capture_output=True, text=True, check=False)
        self.assertEqual((got.returncode, got.stdout), (2, ""))
        told = subprocess.run([str(ROOT / "anchorage"), "help"], capture_output=True, text=True, check=True).stdout
        for command in ("demo", "test", "predict", "serve", "department", "bench", "generate"):
            self.assertIn(f"./anchorage {command}", told)

    def test_no_file_names_a_registrys_host_or_ends_processes_by_name(self):
        listed = subprocess.run(["git", "ls-files"], cwd=ROOT, capture_output=True, text=True, check=True).stdout.split("\n")
        words = ["py" + "pi.org", "registry." + "npmjs", "deb." + "debian", "pk" + "ill ", "kill" + "all "]
        for name in listed:
            file = ROOT / name
            if file.is_file() and file.suffix not in (".png", ".woff2"):
                text = file.read_text("utf-8", errors="replace")
                for word in words:
                    self.assertNotIn(word, text, name)


class Lasting(unittest.TestCase):
    """The durable cluster, in a folder of its own: whatever is odd about it, its data are never removed."""

    def setUp(self) -> None:
        self.folder = Path(tempfile.mkdtemp(prefix="anchorage-test-"))
        self.folder.chmod(0o711)
        self.addCleanup(shutil.rmtree, self.folder, ignore_errors=True)
        patched = patch("tools.cluster.ROOT", self.folder / "here")
        patched.start()
        self.addCleanup(patched.stop)
        (self.folder / "here").mkdir(mode=0o711)
        self.cluster = Cluster("serve", durable=True)
        self.addCleanup(self.cluster.stop)

    def asked(self, cluster: Cluster, statement: str) -> list[tuple[object, ...]]:
        import psycopg

        with psycopg.connect(cluster.url, autocommit=True) as line:
            got = line.execute(statement)
            return got.fetchall() if got.description else []

    def test_data_outlast_a_lost_port_a_foreign_process_id_a_move_and_a_copy(self):
        one = self.cluster
        self.assertTrue(one.start())
        self.asked(one, "create table kept as select 7 as seven")
        self.assertFalse(one.start(), "it runs already")
        one.stop()

        (one.place / "port").unlink()
        (one.data / "postmaster.pid").write_text(f"{os.getpid()}\n")
        self.assertFalse(one.running(), "this process is no database")
        one.stop()  # must not signal this process
        one.start()
        self.assertEqual(self.asked(one, "select seven from kept"), [(7,)])

        address, copied = one.url, self.folder / "copy"
        copied.mkdir(mode=0o711)
        subprocess.run(["cp", "-a", str(self.folder / "here/.pg"), str(copied)], check=True)
        with patch("tools.cluster.ROOT", copied):
            other = Cluster("serve", durable=True)
            self.assertFalse(other.running(), "the process id that was copied is the first one's")
            other.start()
            self.addCleanup(other.stop)
            self.assertNotEqual(other.url, address)
            self.assertEqual(self.asked(other, "select seven from kept"), [(7,)])
            other.stop()
        self.assertEqual(self.asked(one, "select seven from kept"), [(7,)])
        one.stop()

        (self.folder / "here").rename(self.folder / "moved")
        with patch("tools.cluster.ROOT", self.folder / "moved"):
            moved = Cluster("serve", durable=True)
            self.addCleanup(moved.stop)
            moved.start()
            self.assertEqual(self.asked(moved, "select seven from kept"), [(7,)])
            moved.stop()

    def test_the_application_is_no_superuser_and_what_was_made_before_is_its_own(self):
        self.cluster.start()
        self.asked(self.cluster, "create table kept as select 7 as seven")
        address = self.cluster.served_url()
        import psycopg

        with psycopg.connect(address, autocommit=True) as line:
            self.assertEqual(
                line.execute("select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = current_user").fetchone(), (False, False, False)
            )
            line.execute("alter table kept add column eight int")
            line.execute("create table more (id bigserial primary key)")
            with self.assertRaises(psycopg.errors.InsufficientPrivilege):
                line.execute("copy kept to program 'true'")
        self.assertEqual(self.cluster.served_url(), address)

    def test_what_is_odd_is_told_and_left_as_it_is(self):
        place = self.folder / "here/.pg/serve"
        (place / "data").mkdir(parents=True)
        (place / "data/notes.txt").write_text("mine")
        with self.assertRaisesRegex(SetupFailed, "Nothing was changed"):
            self.cluster.start()
        self.assertEqual((place / "data/notes.txt").read_text(), "mine")
        (place / "data/PG_VERSION").write_text("15")
        with self.assertRaisesRegex(SetupFailed, "password file .* is gone"):
            self.cluster.start()
        self.assertEqual((place / "data/notes.txt").read_text(), "mine")

    def test_a_start_that_was_broken_off_is_begun_anew(self):
        left = self.folder / "here/.pg/serve.making/data"
        left.mkdir(parents=True)
        (left / "PG_VERSION").write_text("15")
        self.assertTrue(self.cluster.start())
        self.assertEqual(self.asked(self.cluster, "select 1"), [(1,)])
        self.assertFalse(left.exists())
