"""Nobody is served without a secret of the project's own, or from a machine's own database."""

from __future__ import annotations

import os
import subprocess
import sys
from pathlib import Path

from django.test import SimpleTestCase

ROOT = Path(__file__).resolve().parents[3]
OWN = "postgresql://anyone@127.0.0.1:5499/anything"


class Serving(SimpleTestCase):
    def started(self, secret: str | None, database: str = OWN) -> str:
        kept = {key: value for key, value in os.environ.items() if not key.startswith("ANCHORAGE_SECRET")}
        env = kept | {"DATABASE_URL": database, "DJANGO_SETTINGS_MODULE": "server.project.settings"} | ({"ANCHORAGE_SECRET_KEY": secret} if secret else {})
        program = "import server.project.warm as w; w.warm = lambda: None; import server.project.wsgi; print('served')"
        done = subprocess.run([sys.executable, "-c", program], cwd=ROOT, env=env, capture_output=True, text=True, timeout=60, check=False)
        return done.stdout + done.stderr

    def test_with_a_secret_it_starts(self):
        self.assertIn("served", self.started("of one test and nothing else, long enough"))

    def test_without_one_it_says_what_to_do(self):
        self.assertIn("ANCHORAGE_SECRET_KEY is not set", self.started(None))

    def test_a_short_one_and_the_machines_own_database_are_named(self):
        self.assertIn("shorter than 30", self.started("short"))
        self.assertIn("names port 5432", self.started("of one test and nothing else, long enough", "postgresql://anyone@127.0.0.1:5432/anything"))


class Settings(SimpleTestCase):
    def test_all_processes_count_sign_ins_together_and_a_kept_connection_is_looked_at_first(self):
        from server.project import settings

        self.assertIn("DatabaseCache", settings.CACHES["default"]["BACKEND"])
        self.assertTrue(settings.DATABASES["default"]["CONN_HEALTH_CHECKS"])
