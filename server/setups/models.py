"""Set-ups as a department keeps them: valid documents exactly as typed, every saved version with who and when."""

from __future__ import annotations

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex
from django.db import models

from server.people.models import Department
from server.shelf.models import Size
from server.wire.kept import Kept


class Setup(Kept):
    """A named set-up; its document is that of its newest version.

    sent: what the browser that made it calls it.  pinned: it is to be shown next.
    base: the set-up of which this is a variation, the same thing with one change; None for one that stands by itself.
    follows: the one of the run where this one began, with what stayed of its version `followed` at a `moment` of its movement
    (None: at its end).
    """

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="setups")
    name = models.CharField(max_length=120)
    demonstration = models.CharField(max_length=60)
    base = models.ForeignKey("self", null=True, blank=True, on_delete=models.CASCADE, related_name="variations")
    follows = models.ForeignKey("self", null=True, blank=True, on_delete=models.SET_NULL, related_name="+")
    followed = models.PositiveIntegerField(default=0)
    moment = models.PositiveIntegerField(null=True, blank=True)
    pinned = models.BooleanField(default=False)
    sent = models.UUIDField(null=True, blank=True)

    class Meta:
        indexes = [
            models.Index(fields=["department", "name"]),
            GinIndex(fields=["name"], opclasses=["gin_trgm_ops"], name="names_by_their_trigrams"),
        ]
        constraints = [models.UniqueConstraint(fields=["department", "sent"], name="a_setup_sent_again_is_one")]

    def __str__(self) -> str:
        return self.name


class Version(models.Model):
    """One saved state of a set-up, as text, so that it stays exactly as typed."""

    setup = models.ForeignKey(Setup, on_delete=models.CASCADE, related_name="versions")
    number = models.PositiveIntegerField()
    document = models.TextField()
    verdict = models.CharField(max_length=400)
    state = models.CharField(max_length=10)
    probability = models.FloatField(null=True, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["setup", "number"], name="one_version_per_number")]


class Pick(models.Model):
    """A field of a set-up whose value was taken from the shelf, and the size that it was."""

    setup = models.ForeignKey(Setup, on_delete=models.CASCADE, related_name="picks")
    path = models.CharField(max_length=120)
    size = models.ForeignKey(Size, on_delete=models.PROTECT, related_name="picks")

    class Meta:
        constraints = [models.UniqueConstraint(fields=["setup", "path"], name="one_pick_per_field")]
