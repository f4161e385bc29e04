"""What happened: runs with their frozen prediction, readings as typed, and every correction."""

from __future__ import annotations

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.setups.models import Setup
from server.wire.kept import Kept


class Run(Kept):
    """One run of a set-up; prediction, room and constants are frozen in it, and so is the drawing.  sent: what the browser calls it.

    changed_by, changed_at: who gave it another outcome, note or reading last.
    """

    class Outcome(models.TextChoices):
        WORKED = "worked", "worked"
        PARTLY = "partly", "partly"
        FAILED = "failed", "did not work"
        NOT_DONE = "not-done", "not done"

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="runs")
    setup = models.ForeignKey(Setup, on_delete=models.PROTECT, related_name="runs")
    setup_name = models.CharField(max_length=120)
    document = models.TextField()
    prediction = models.JSONField()
    drawing = models.JSONField()
    outcome = models.CharField(max_length=10, choices=Outcome.choices)
    note = models.TextField(blank=True)
    rehearsal = models.BooleanField(default=False)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField()
    changed_by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, blank=True, on_delete=models.SET_NULL, related_name="+")
    changed_at = models.DateTimeField(null=True, blank=True)
    sent = models.UUIDField(null=True, blank=True)

    class Meta:
        indexes = [models.Index(fields=["department", "-at"])]
        constraints = [models.UniqueConstraint(fields=["department", "sent"], name="a_run_sent_again_is_one")]


class Series(models.Model):
    """Readings of one result of a run; the instrument's half-width stands once, as typed."""

    run = models.ForeignKey(Run, on_delete=models.CASCADE, related_name="series")
    path = models.CharField(max_length=120)
    label = models.CharField(max_length=120)
    kind = models.CharField(max_length=30)
    instrument = models.CharField(max_length=60)
    instrument_si = models.FloatField()

    class Meta:
        constraints = [models.UniqueConstraint(fields=["run", "path"], name="one_series_per_result")]


class Reading(models.Model):
    """One reading as typed, and in SI."""

    series = models.ForeignKey(Series, on_delete=models.CASCADE, related_name="readings")
    text = models.CharField(max_length=60)
    si = models.FloatField()
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now_add=True)


class Correction(models.Model):
    """What a reading said before, and who changed it when."""

    reading = models.ForeignKey(Reading, on_delete=models.CASCADE, related_name="corrections")
    text_before = models.CharField(max_length=60)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now_add=True)
