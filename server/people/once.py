"""What a browser sends again, because the answer was lost on the way, is done once."""

from __future__ import annotations

from typing import TypeVar
from uuid import UUID

from django.db.models import Model

from .models import Department, Membership

M = TypeVar("M", bound=Model)


def once(membership: Membership, kind: type[M], sent: UUID | None) -> M | None:
    """What the department has under the name that a browser gave it; None where it is new, or has no such name.

    Within a transaction: two of one name at once wait for each other, so that they are one as well.
    """
    if sent is None:
        return None
    Department.objects.select_for_update().get(pk=membership.department_id)
    return kind._default_manager.filter(department=membership.department, sent=sent).first()
