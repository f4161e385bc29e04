"""Which sheets were printed, and whether what stands on them still holds."""

from __future__ import annotations

import hashlib
import json
from typing import Any

from django.core.serializers.json import DjangoJSONEncoder
from django.utils import timezone

from .models import Printed
from .planning import Planned

KINDS = {"prep": "prep sheet", "run": "run sheet", "risk": "risk assessment"}


def digest_of(made: Planned) -> str:
    """A digest of what a sheet of a lesson tells: names, times, jobs, versions of the set-ups."""
    lesson, table = made.lesson, made.plan.table
    facts: list[Any] = [lesson.name, lesson.starts_at, lesson.minutes, lesson.room_id, lesson.people, lesson.items]
    facts.append([version.number for _, version in sorted(made.versions.items())])
    facts.append(None if table is None else [(slot.job.key, slot.job.words, slot.start, slot.end, slot.hands) for slot in table.slots])
    return hashlib.sha256(json.dumps(facts, cls=DjangoJSONEncoder).encode()).hexdigest()


def keep_printed(made: Planned, kind: str) -> None:
    """Notes that a sheet was printed as the lesson stands now."""
    Printed.objects.update_or_create(lesson=made.lesson, kind=kind, defaults={"version": made.lesson.version, "digest": digest_of(made)})


def stale_sheets(made: Planned) -> list[dict[str, Any]]:
    """The sheets that were printed and do not tell what holds now."""
    now = digest_of(made)
    return [
        {
            "kind": one.kind,
            "words": f"The {KINDS[one.kind]} printed on {timezone.localtime(one.at):%-d %b, %H:%M} (version {one.version}) is stale: "
            + (f"this is version {made.lesson.version}." if one.version != made.lesson.version else "a set-up or its times have changed since."),
        }
        for one in made.lesson.printed.order_by("kind")
        if one.digest != now
    ]
