"""Who signed in and out, who was added and removed, who has which role, as lines of the log; no password, no document."""

from __future__ import annotations

import logging
from typing import Any

from django.contrib.auth.signals import user_logged_in, user_logged_out, user_login_failed
from django.dispatch import receiver

from .models import Membership

LOG = logging.getLogger("anchorage.people")


@receiver(user_logged_in)
def _in(sender: Any, user: Any, **_: Any) -> None:
    LOG.info("person %s signed in", user.pk)


@receiver(user_logged_out)
def _out(sender: Any, user: Any, **_: Any) -> None:
    LOG.info("person %s signed out", user.pk if user else "-")


@receiver(user_login_failed)
def _failed(sender: Any, **_: Any) -> None:
    LOG.info("a sign-in failed")


def note_added(head: Membership, made: Membership) -> None:
    """That a member was added."""
    LOG.info("person %s added person %s to department %s as %s", head.person_id, made.person_id, made.department_id, made.role)


def note_removed(head: Membership, gone: Membership) -> None:
    """That a member was removed."""
    LOG.info("person %s removed person %s from department %s", head.person_id, gone.person_id, gone.department_id)


def note_role(head: Membership, changed: Membership) -> None:
    """That a member has another role."""
    LOG.info("person %s made person %s in department %s %s", head.person_id, changed.person_id, changed.department_id, changed.role)
