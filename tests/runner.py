"""Django's runner, which also counts the published checks by source."""

from __future__ import annotations

import gc
from typing import Any

from django.test.runner import DiscoverRunner

from tests.support.published import report


class Runner(DiscoverRunner):
    """Runs the tests and prints, at the end, how many published values were met."""

    def run_suite(self, suite: Any, **kwargs: Any) -> Any:
        gc.freeze()
        gc.set_threshold(50_000, 20, 50)  # what is worked out once for all tests is not gone through again and again
        return super().run_suite(suite, **kwargs)

    def teardown_databases(self, old_config: Any, **kwargs: Any) -> None:
        """What the browser's server still has open would hold the database that is taken away now."""
        for connection, *_ in old_config:
            with connection.cursor() as cursor:
                cursor.execute("SELECT pg_terminate_backend(pid, 5000) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()")
        super().teardown_databases(old_config, **kwargs)

    def suite_result(self, suite: Any, result: Any, **kwargs: Any) -> int:
        for line in report():
            print(line)
        return super().suite_result(suite, result, **kwargs)
