"""People and the departments that they belong to."""

from __future__ import annotations

from django.conf import settings
from django.db import models


class Department(models.Model):
    """The unit that shares a shelf, rooms, set-ups, lessons and logbook."""

    name = models.CharField(max_length=120, unique=True)
    slug = models.SlugField(max_length=80, unique=True)

    def __str__(self) -> str:
        return self.name


class Membership(models.Model):
    """A person in a department."""

    class Role(models.TextChoices):
        HEAD = "head", "head"
        TEACHER = "teacher", "teacher"
        TECHNICIAN = "technician", "technician"

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="memberships")
    person = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="memberships")
    role = models.CharField(max_length=12, choices=Role.choices)
    room = models.ForeignKey("rooms.Room", null=True, blank=True, on_delete=models.SET_NULL, related_name="+")

    class Meta:
        constraints = [models.UniqueConstraint(fields=["department", "person"], name="once_per_department")]


class Preferences(models.Model):
    """How one person likes it: theme, larger figures, single keys, the unit per kind of result."""

    class Theme(models.TextChoices):
        SYSTEM = "system", "as the system has it"
        LIGHT = "light", "light"
        NIGHT = "night", "night"

    person = models.OneToOneField(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="preferences")
    theme = models.CharField(max_length=8, choices=Theme.choices, default=Theme.SYSTEM)
    figures = models.CharField(max_length=8, choices=[("usual", "usual"), ("larger", "larger")], default="usual")
    single_keys = models.BooleanField(default=True)
    units = models.JSONField(default=dict)
