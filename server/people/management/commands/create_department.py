"""`./anchorage department NAME`: a department and its head, from the command line."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser

from server.people.services.create_department import create_department, drawn_password
from server.wire.problems import ProblemError


class Command(BaseCommand):
    """Makes a department and prints its head's sign-in, once."""

    help = "Makes a department and its head."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("name")
        parser.add_argument("--head", default="", help="the head's sign-in name; made from the department's where it is left out")

    def handle(self, *args: Any, **options: Any) -> None:
        password = drawn_password()
        try:
            membership = create_department(options["name"], options["head"] or f"head-{options['name'].lower().replace(' ', '-')}"[:60], password)
        except ProblemError as problem:
            raise CommandError(str(problem)) from None
        person = membership.person
        known = not person.check_password(password)
        self.stdout.write(
            f"Department {membership.department.name}. Its head signs in as {person.get_username()}, "
            + ("with the password they have." if known else f"password {password}")
        )
