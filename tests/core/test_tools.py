"""The launcher's tools: counts that tell the truth, steps done once, clusters that keep apart."""

from __future__ import annotations

import subprocess
import tempfile
import unittest
from pathlib import Path
from unittest.mock import patch

from tools import paths
from tools.cluster import QUICK, SERVE, TEST
from tools.serve import server_command
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

    def test_the_server_listens_where_it_is_told(self):
        self.assertIn("127.0.0.1:8640", server_command("127.0.0.1", 8640))


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
