"""A department's lessons: when the bell rings, what is shown, who and what there is to prepare it."""

from __future__ import annotations

from datetime import datetime, timedelta

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.rooms.models import Room
from server.wire.kept import Kept


class Course(Kept):
    """Lessons by idea that belong together, in the order of their bells."""

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="courses")
    name = models.CharField(max_length=120)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        ordering = ("name", "pk")

    def __str__(self) -> str:
        return self.name


class Lesson(Kept):
    """starts_at: the bell. minutes: until the next. ready: minutes before the bell at which one can begin. hands: pairs of them.

    things: how many hobs, sinks and pumps there are. way: how what is boiled is cooled; boiled: how much of it, as typed.
    items: in their order, each with its set-up's number, minutes for showing, asking and putting back, its variations, what hands over from
    it, and whether it comes back as a recall. people: whose hands they are, in order. spare: minutes after the next bell until the place
    is wanted again. socket: how far the nearest one is from the bench, as typed. note: for next time, asked after it.
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
    course = models.ForeignKey(Course, null=True, blank=True, on_delete=models.SET_NULL, related_name="lessons")
    people = models.JSONField(default=list)
    spare = models.FloatField(null=True, blank=True)
    socket = models.CharField(max_length=40, blank=True)
    note = models.TextField(blank=True)
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


class Tick(models.Model):
    """Something of a lesson that was done, or is not done after all: what a phone sends twice is one.

    sent: what the phone calls it. key: of the job, the reading or the line of clearing away. words: a reading as typed. at: when it was done,
    by the phone's clock.
    """

    lesson = models.ForeignKey(Lesson, on_delete=models.CASCADE, related_name="ticks")
    sent = models.UUIDField()
    key = models.CharField(max_length=120)
    done = models.BooleanField()
    words = models.CharField(max_length=60, blank=True)
    at = models.DateTimeField()
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")

    class Meta:
        ordering = ("at", "pk")
        constraints = [models.UniqueConstraint(fields=["lesson", "sent"], name="a_tick_sent_again_is_one")]


class Printed(models.Model):
    """A sheet that was printed last: of which version of the lesson, and a digest of what stands on it."""

    lesson = models.ForeignKey(Lesson, on_delete=models.CASCADE, related_name="printed")
    kind = models.CharField(max_length=10)
    version = models.PositiveIntegerField()
    digest = models.CharField(max_length=64)
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["lesson", "kind"], name="one_sheet_per_kind")]
