"""A department's rooms: what is stated of each, as the room part of a set-up file, and since when its pressure stands."""

from __future__ import annotations

from django.conf import settings
from django.db import models

from server.people.models import Department
from server.wire.kept import Kept


class Room(Kept):
    """A named room; stated holds the keys of a set-up file's room as typed, back_row how far the last seats are, as typed.

    live_pressure, live_tolerance: of the source that counts [Pa], since live_at; live_from, live_sort: which that is.
    """

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="rooms")
    name = models.CharField(max_length=80)
    stated = models.JSONField(default=dict)
    back_row = models.CharField(max_length=40, blank=True)
    pressure_at = models.DateTimeField(null=True, blank=True)
    live_pressure = models.FloatField(null=True, blank=True)
    live_tolerance = models.FloatField(default=0.0)
    live_at = models.DateTimeField(null=True, blank=True)
    live_from = models.CharField(max_length=80, blank=True)
    live_sort = models.CharField(max_length=10, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["department", "name"], condition=models.Q(archived_at=None), name="one_room_per_name")]

    def __str__(self) -> str:
        return self.name


class AirSource(models.Model):
    """Where a room's pressure comes from besides being typed: a sensor on a port, a weather service.

    place: the port (as pyserial names one, also socket://host:port) or the service's address. order: which comes first. tolerance [Pa].
    pressure, temperature, at: the last that counted. asked, asked_at: one that lies too far from it to count before somebody says that
    it is so. station, asked_of: the airfield whose reports counted, and another one that is asked about. trouble, trouble_at: what stood in the way last, empty once it speaks again.
    """

    class Sort(models.TextChoices):
        SENSOR = "sensor", "sensor"
        WEATHER = "weather", "weather service"

    room = models.ForeignKey(Room, on_delete=models.CASCADE, related_name="sources")
    name = models.CharField(max_length=80)
    sort = models.CharField(max_length=10, choices=Sort.choices)
    place = models.CharField(max_length=200)
    order = models.PositiveIntegerField(default=1)
    tolerance = models.FloatField(default=50.0)
    on = models.BooleanField(default=True)
    pressure = models.FloatField(null=True, blank=True)
    temperature = models.FloatField(null=True, blank=True)
    at = models.DateTimeField(null=True, blank=True)
    asked = models.FloatField(null=True, blank=True)
    asked_at = models.DateTimeField(null=True, blank=True)
    station = models.CharField(max_length=8, blank=True)
    asked_of = models.CharField(max_length=8, blank=True)
    trouble = models.CharField(max_length=200, blank=True)
    trouble_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ("order", "pk")
        constraints = [models.UniqueConstraint(fields=["room", "name"], name="one_source_per_name")]

    def __str__(self) -> str:
        return self.name


class AirReading(models.Model):
    """A pressure [Pa] that counted, the last one of its minute; thinned with age."""

    source = models.ForeignKey(AirSource, on_delete=models.CASCADE, related_name="readings")
    at = models.DateTimeField()
    pressure = models.FloatField()
    temperature = models.FloatField(null=True, blank=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["source", "at"], name="one_reading_a_minute")]


class Site(Kept):
    """How a tall place is worked: landings with heights above the basin and who stands there, the hose's path, who keeps the foot clear, and the
    signals between top and foot.  Heights as typed; version counts the changes."""

    room = models.OneToOneField(Room, on_delete=models.CASCADE, related_name="site")
    version = models.PositiveIntegerField(default=0)
    landings = models.JSONField(default=list)
    path = models.CharField(max_length=300, blank=True)
    foot = models.CharField(max_length=80, blank=True)
    signals = models.JSONField(default=list)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    def __str__(self) -> str:
        return f"site of {self.room_id}"
