"""A new department and its head."""

from __future__ import annotations

from django.contrib.auth.models import User
from django.db import transaction
from django.utils.crypto import get_random_string
from django.utils.text import slugify

from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Department, Membership

WORDS = "abcdefghijkmnpqrstuvwxyz23456789"


def drawn_password() -> str:
    """A password that can be read out and typed."""
    return "-".join(get_random_string(5, WORDS) for _ in range(3))


def new_person(username: str, password: str) -> User:
    """A person who can sign in."""
    if User.objects.filter(username__iexact=username).exists():
        raise ProblemError(kinds.NAME_ALIKE, "username", name=username)
    return User.objects.create_user(username=username, password=password)


@transaction.atomic
def create_department(name: str, head: str, password: str) -> Membership:
    """Makes a department and its head; an existing person of that name becomes its head and keeps their password.

    Raises ProblemError where the department is there already or the name makes no address.
    """
    slug = slugify(name)[:80]
    if not slug:
        raise ProblemError(kinds.DEPARTMENT_NAME, "name")
    if Department.objects.filter(slug=slug).exists():
        raise ProblemError(kinds.DEPARTMENT_TAKEN, "name", name=name)
    person = User.objects.filter(username=head).first() or new_person(head, password)
    department = Department.objects.create(name=name, slug=slug)
    return Membership.objects.create(department=department, person=person, role=Membership.Role.HEAD)
