"""A person comes into a department."""

from __future__ import annotations

import re

from django.contrib.auth.models import User
from django.db import transaction

from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..journal import note_added
from ..models import Department, Membership
from .create_department import drawn_password, new_person

_NAME = re.compile(r"[\w.@+-]{2,60}\Z")


@transaction.atomic
def add_member(head: Membership, username: str, role: str) -> tuple[Membership, str]:
    """Adds a person to the head's department; somebody new gets a first password, told once.

    Returns the membership and the password, empty for a person who signs in already.
    """
    if not _NAME.match(username):
        raise ProblemError(kinds.SIGN_IN_NAME, "username")
    Department.objects.select_for_update().get(pk=head.department_id)  # added twice at once is a member already, not a failure
    person, password = User.objects.filter(username=username).first(), ""
    if person is None:
        password = drawn_password()
        person = new_person(username, password)
    if Membership.objects.filter(department=head.department, person=person).exists():
        raise ProblemError(kinds.MEMBER_ALREADY, "username", name=username)
    made = Membership.objects.create(department=head.department, person=person, role=role)
    note_added(head, made)
    return made, password
