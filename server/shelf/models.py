"""A department's gear: what there is, where it stands, how it is, and its sizes as they were measured."""

from __future__ import annotations

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex
from django.db import models

from server.people.models import Department
from server.wire.kept import Kept


class Item(Kept):
    """A thing on the shelf, or one that is wanted there.

    place: where it stands. count: how many of it there are. lent_to, lent_until: who has it, and till when. borrowed_from: whose it is. wanted: not there yet.
    photo_at: since when there is a photo of it.
    """

    class Sort(models.TextChoices):
        VESSEL = "vessel", "vessel"
        TUBE = "tube", "tube"
        COVER = "cover", "cover"
        LIQUID = "liquid", "liquid"
        GAUGE = "gauge", "gauge"
        PUMP = "pump", "pump"
        HOSE = "hose", "hose"
        BALANCE = "balance", "balance"
        RULE = "rule", "rule"

    class State(models.TextChoices):
        GOOD = "good", "good"
        WORN = "worn", "worn"
        BROKEN = "broken", "broken"

    department = models.ForeignKey(Department, on_delete=models.CASCADE, related_name="shelf")
    name = models.CharField(max_length=120)
    sort = models.CharField(max_length=10, choices=Sort.choices)
    place = models.CharField(max_length=120, blank=True)
    count = models.PositiveIntegerField(default=1)
    state = models.CharField(max_length=10, choices=State.choices, default=State.GOOD)
    lent_to = models.CharField(max_length=120, blank=True)
    lent_until = models.DateField(null=True, blank=True)
    borrowed_from = models.CharField(max_length=120, blank=True)
    wanted = models.BooleanField(default=False)
    photo_at = models.DateTimeField(null=True, blank=True)
    note = models.CharField(max_length=400, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        indexes = [GinIndex(fields=["name"], opclasses=["gin_trgm_ops"], name="items_by_their_trigrams")]
        constraints = [models.UniqueConstraint(fields=["department", "name"], condition=models.Q(archived_at=None), name="one_item_per_name")]

    def __str__(self) -> str:
        return self.name


class Photo(models.Model):
    """The picture of an item, a JPEG made small, apart from the item so that lists never carry it."""

    item = models.OneToOneField(Item, on_delete=models.CASCADE, related_name="photo")
    picture = models.BinaryField()

    def __str__(self) -> str:
        return f"photo of {self.item_id}"


class Size(models.Model):
    """One size of an item as it was measured: the newest of a key counts, those before it are kept.

    key: name of the field that takes it. quantity: as typed, with its tolerance. how: in words. aid: the document of the aid, where
    it was measured with one.
    """

    item = models.ForeignKey(Item, on_delete=models.CASCADE, related_name="sizes")
    key = models.CharField(max_length=60)
    kind = models.CharField(max_length=40)
    quantity = models.CharField(max_length=80)
    how = models.CharField(max_length=200, blank=True)
    aid = models.JSONField(null=True, blank=True)
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes = [models.Index(fields=["item", "key", "-id"]), models.Index(fields=["key"])]

    def __str__(self) -> str:
        return f"{self.key} {self.quantity}"
