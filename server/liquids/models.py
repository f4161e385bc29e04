"""A department's own liquids: name and what is known of each, as the liquid of a set-up file."""

from __future__ import annotations

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.wire.kept import Kept


class OwnLiquid(Kept):
    """A liquid that the department has measured; stated holds the object of a set-up file as typed."""

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="liquids")
    name = models.CharField(max_length=80)
    stated = models.JSONField(default=dict)
    note = models.CharField(max_length=400, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["department", "name"], condition=models.Q(archived_at=None), name="one_liquid_per_name")]

    def __str__(self) -> str:
        return self.name
