"""A department's lessons: when the bell rings, what is shown, who and what there is to prepare it."""

from __future__ import annotations

from datetime import datetime, timedelta

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.rooms.models import Room
from server.wire.kept import Kept


class Lesson(Kept):
    """starts_at: the bell. minutes: until the next. ready: minutes before the bell at which one can begin. hands: pairs of them.

    things: how many hobs, sinks and pumps there are. way: how what is boiled is cooled; boiled: how much of it, as typed.
    items: in their order, each with its set-up's number and minutes for showing, asking and putting back.
    """

    class Way(models.TextChoices):
        DAY_BEFORE = "day-before", "boiled the day before"
        BATH = "bath", "in running cold water"
        POT = "pot", "in its covered pot"

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="lessons")
    name = models.CharField(max_length=120)
    room = models.ForeignKey(Room, null=True, blank=True, on_delete=models.SET_NULL, related_name="+")
    starts_at = models.DateTimeField()
    minutes = models.FloatField(default=45.0)
    ready = models.PositiveIntegerField(default=180)
    hands = models.PositiveSmallIntegerField(default=2)
    things = models.JSONField(default=dict)
    way = models.CharField(max_length=12, choices=Way.choices, default=Way.BATH)
    boiled = models.CharField(max_length=40, default="3 L")
    items = models.JSONField(default=list)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ("starts_at", "pk")

    @property
    def ends_at(self) -> datetime:
        """The next bell."""
        return self.starts_at + timedelta(minutes=self.minutes)

    def __str__(self) -> str:
        return self.name
