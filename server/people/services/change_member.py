"""A member has another role, or leaves; a department keeps at least one head, whatever two heads do at once."""

from __future__ import annotations

from django.db import transaction

from server.wire import english as kinds
from server.wire.problems import NotFoundError, ProblemError

from ..journal import note_removed, note_role
from ..models import Department, Membership


def _held(head: Membership, member_id: int) -> Membership:
    """A member of the head's department, within a transaction in which the department's others wait.  Raises NotFoundError."""
    Department.objects.select_for_update().get(pk=head.department_id)
    member = Membership.objects.filter(department=head.department, pk=member_id).first()
    if member is None:
        raise NotFoundError("this member")
    return member


def _keeps_a_head(member: Membership) -> None:
    heads = Membership.objects.filter(department=member.department_id, role=Membership.Role.HEAD)
    if member.role == Membership.Role.HEAD and heads.count() == 1:
        raise ProblemError(kinds.LAST_HEAD)


@transaction.atomic
def give_role(head: Membership, member_id: int, role: str) -> Membership:
    """Gives a member another role.  Raises NotFoundError, or ProblemError for the last head's."""
    member = _held(head, member_id)
    if role == member.role:
        return member
    _keeps_a_head(member)
    member.role = role
    member.save(update_fields=["role"])
    note_role(head, member)
    return member


@transaction.atomic
def remove_member(head: Membership, member_id: int) -> None:
    """Removes a member; what they wrote stays.  The last head stays too."""
    member = _held(head, member_id)
    _keeps_a_head(member)
    note_removed(head, member)
    member.delete()
