"""The words under which a demonstration is looked for, where PostgreSQL can search them."""

from __future__ import annotations

from django.contrib.postgres.indexes import GinIndex
from django.db import models


class Words(models.Model):
    """One demonstration's: its title, ideas, gear and wrong ideas, made from its guide and never typed."""

    key = models.CharField(max_length=60, primary_key=True)
    text = models.TextField()

    class Meta:
        indexes = [GinIndex(fields=["text"], opclasses=["gin_trgm_ops"], name="words_by_their_trigrams")]

    def __str__(self) -> str:
        return self.key
