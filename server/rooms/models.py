"""A department's rooms: what is stated of each, as the room part of a set-up file, and since when its pressure stands."""

from __future__ import annotations

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.wire.kept import Kept


class Room(Kept):
    """A named room; stated holds the keys of a set-up file's room as typed, back_row how far the last seats are, as typed."""

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="rooms")
    name = models.CharField(max_length=80)
    stated = models.JSONField(default=dict)
    back_row = models.CharField(max_length=40, blank=True)
    pressure_at = models.DateTimeField(null=True, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["department", "name"], condition=models.Q(archived_at=None), name="one_room_per_name")]

    def __str__(self) -> str:
        return self.name
