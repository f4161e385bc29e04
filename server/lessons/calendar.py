"""A lesson for a calendar: itself, and each job before it with an alarm at its beginning."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Any

from django.utils import timezone

PRODUCT = "-//Anchorage//lessons//EN"


def as_calendar(told: dict[str, Any], room: str, address: str) -> bytes:
    """An iCalendar file of a lesson as it is told.  room: where it is. address: of its page."""
    from icalendar import Alarm, Calendar, Event

    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")

    def event(uid: str, words: str, begins: datetime, ends: datetime, alarm: timedelta | None) -> None:
        one = Event()
        one.add("uid", f"{uid}@anchorage")
        one.add("dtstamp", timezone.now())
        one.add("sequence", told["version"])
        one.add("summary", words)
        one.add("dtstart", begins)
        one.add("dtend", ends)
        one.add("url", address)
        if room:
            one.add("location", room)
        if alarm is not None:
            bell = Alarm()
            bell.add("action", "DISPLAY")
            bell.add("description", words)
            bell.add("trigger", alarm)
            one.add_component(bell)
        calendar.add_component(one)

    event(f"lesson-{told['id']}", told["name"], told["starts_at"], told["starts_at"] + timedelta(minutes=told["minutes"]), timedelta(minutes=-10))
    for k, slot in enumerate(told["slots"] or ()):
        who = f" (hands {' and '.join(map(str, slot['hands']))})" if slot["hands"] else ""
        event(f"lesson-{told['id']}-job-{k}", f"{slot['words']}{who}", slot["begins"], slot["ends"], timedelta(0))
    return bytes(calendar.to_ical())
