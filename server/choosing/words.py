"""The words of each demonstration from its guide: ideas, gear and mistakes alike."""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import Any

from hydrostatics.demonstrations.protocol import Demonstration
from hydrostatics.demonstrations.registry import ALL_DEMONSTRATIONS
from hydrostatics.guides.model import IDEAS

from .models import Words

_MARKS = re.compile(r"\[when [^\]]*\]|\{[^}]*\}")
"""A guide's conditions and numbers, which are no words to look for."""


def write_words(using: str = "default") -> None:
    """Makes the table what the guides say."""
    kept = [Words(key=one.key, text=" ".join(_told(one))) for one in ALL_DEMONSTRATIONS]
    Words.objects.using(using).exclude(key__in=[one.key for one in kept]).delete()
    Words.objects.using(using).bulk_create(kept, update_conflicts=True, unique_fields=["key"], update_fields=["text"])


def _told(one: Demonstration[Any]) -> Iterator[str]:
    guide = one.guide
    yield guide.title
    yield guide.sees
    if guide.choosing:
        yield from (IDEAS[idea] for idea in guide.choosing.ideas)
        yield from guide.choosing.gear
        yield from guide.choosing.words
    yield from (start["name"] for start in guide.starts)
    if guide.prepare:
        yield guide.prepare.life
        yield _MARKS.sub(" ", guide.prepare.can)
        yield from (_MARKS.sub(" ", choice.wrong) for choice in guide.prepare.question.choices)
