"""Tests that commit: their tables are emptied by taking out the few rows, not by making the files of every table and index anew."""

from __future__ import annotations

from django.contrib.auth.models import Permission
from django.contrib.contenttypes.models import ContentType
from django.db import connection
from django.test import TransactionTestCase

from server.choosing.models import Words

WITH_THE_SCHEMA = (ContentType, Permission, Words)
"""What is written whenever the schema is brought up to date, and stays."""


class EmptiedCase(TransactionTestCase):
    """Leaves no row behind.  The tests' own cluster lets its user put off what one table asks of another."""

    def _fixture_teardown(self) -> None:
        stay = {model._meta.db_table for model in WITH_THE_SCHEMA}
        names = sorted({*connection.introspection.django_table_names(only_existing=True, include_views=False)} - stay)
        taken = "; ".join(f'DELETE FROM "{name}"' for name in names)
        with connection.cursor() as cursor:
            cursor.execute(f"SET session_replication_role = replica; {taken}; SET session_replication_role = DEFAULT")
