"""A person leaves a department."""

from __future__ import annotations

from django.db import transaction

from server.wire import english as kinds
from server.wire.problems import NotFoundError, ProblemError

from ..journal import note_removed
from ..models import Department, Membership


@transaction.atomic
def remove_member(head: Membership, member_id: int) -> None:
    """Removes a member; what they wrote stays.  The last head stays too."""
    Department.objects.select_for_update().get(pk=head.department_id)  # two heads who remove each other wait for each other
    member = Membership.objects.filter(department=head.department, pk=member_id).first()
    if member is None:
        raise NotFoundError("this member")
    heads = Membership.objects.filter(department=head.department, role=Membership.Role.HEAD)
    if member.role == Membership.Role.HEAD and heads.count() == 1:
        raise ProblemError(kinds.LAST_HEAD)
    note_removed(head, member)
    member.delete()
