"""A reading is corrected; what it said before is kept."""

from __future__ import annotations

from django.db import transaction

from hydrostatics.readings import read_reading
from server.people.models import Membership

from ..models import Correction, Reading, Run
from .change_run import changed_now


@transaction.atomic
def correct_reading(membership: Membership, reading: Reading, text: str) -> None:
    """Puts a new text in a reading's place and keeps the old one with who and when.  Raises a Refusal."""
    found = read_reading("text", text, reading.series.kind)
    run = Run.objects.select_for_update().get(pk=reading.series.run_id)
    held = Reading.objects.select_for_update().get(pk=reading.pk)
    if held.text == text.strip():
        return
    Correction.objects.create(reading=held, text_before=held.text, by=membership.person)
    held.text, held.si = text.strip()[:60], found.si
    held.save(update_fields=["text", "si"])
    changed_now(membership, run)
