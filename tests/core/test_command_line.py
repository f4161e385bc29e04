"""`./anchorage predict`, as a process: exit codes, standard output and standard error."""

from __future__ import annotations

import json
import shutil
import subprocess
import tempfile
import unittest
from pathlib import Path

from tests.support.documents import bottle

ROOT = Path(__file__).resolve().parents[2]


def predict(*arguments: str, raw: bytes = b"") -> subprocess.CompletedProcess[bytes]:
    return subprocess.run([str(ROOT / "anchorage"), "predict", *arguments], input=raw, capture_output=True, timeout=30, check=False)


class Predict(unittest.TestCase):
    def test_a_file_and_standard_input_give_one_answer(self):
        raw = json.dumps(bottle()).encode()
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "three holes.setup.json"
            file.write_bytes(raw)
            by_file, by_pipe = predict(str(file)), predict("-", raw=raw)
        self.assertEqual((by_file.returncode, by_file.stderr), (0, b""))
        self.assertEqual(json.loads(by_file.stdout), json.loads(by_pipe.stdout))

    def test_a_refusal(self):
        got = predict("-", raw=json.dumps(bottle(fill_height="12,5 cm")).encode())
        self.assertEqual((got.returncode, got.stdout), (2, b""))
        self.assertIn("setup.fill_height: '12,5 cm' has a comma", got.stderr.decode())
        self.assertNotIn("Traceback", got.stderr.decode())

    def test_odd_bytes_in_a_refusal_do_not_break_it(self):
        got = predict("-", raw=b'{"anchorage": 1, "demonstration": "\\ud800\\u0000"}')
        self.assertEqual((got.returncode, got.stdout), (2, b""))
        self.assertNotIn(b"Traceback", got.stderr)

    def test_a_missing_file_and_no_file(self):
        self.assertEqual(predict("/nowhere/at/all.json").returncode, 2)
        self.assertEqual(predict().returncode, 2)

    def test_a_batch_goes_on_after_a_refusal(self):
        lines = [json.dumps(bottle()), "", json.dumps(bottle(stand_drop="3 kg")), "not json", json.dumps(bottle(stand_drop="3 cm"))]
        got = predict("--batch", raw="\n".join(lines).encode())
        out = [json.loads(line) for line in got.stdout.decode().splitlines()]
        self.assertEqual((got.returncode, len(out)), (0, 4))
        self.assertEqual(out[1]["error"]["path"], "setup.stand_drop")
        self.assertEqual(out[2]["error"]["path"], "")
        self.assertIn("results", out[3])

    def test_text_is_for_people(self):
        got = predict("-", "--text", raw=json.dumps(bottle()).encode()).stdout.decode()
        self.assertTrue(got.startswith("WORKS: The "))
        self.assertIn("holes.0.range", got)

    def test_a_clone_that_is_not_set_up_says_so(self):
        with tempfile.TemporaryDirectory() as folder:
            shutil.copy(ROOT / "anchorage", folder)
            got = subprocess.run([f"{folder}/anchorage", "predict", "-"], input=b"{}", capture_output=True, check=False)
        self.assertEqual((got.returncode, got.stdout), (3, b""))
        self.assertIn("./anchorage demo", got.stderr.decode())
