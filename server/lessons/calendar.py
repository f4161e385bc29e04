"""Lessons for a calendar: each, and every job before it with an alarm at its beginning."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from datetime import datetime, timedelta

from django.utils import timezone

from .planning import Planned

PRODUCT = "-//Anchorage//lessons//EN"
BEFORE_THE_BELL = timedelta(minutes=-10)


def as_calendar(lessons: Sequence[Planned], page: Callable[[int], str]) -> bytes:
    """An iCalendar file of planned lessons.  page: the address of a lesson's page, by its number."""
    from icalendar import Alarm, Calendar, Event

    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")

    def event(made: Planned, uid: str, words: str, begins: datetime, ends: datetime, alarm: timedelta) -> None:
        one, bell = Event(), Alarm()
        one.add("uid", f"lesson-{made.lesson.pk}{uid}@anchorage")
        one.add("dtstamp", timezone.now())
        one.add("sequence", made.lesson.version)
        one.add("summary", words)
        one.add("dtstart", begins)
        one.add("dtend", ends)
        one.add("url", page(made.lesson.pk))
        if made.lesson.room:
            one.add("location", made.lesson.room.name)
        bell.add("action", "DISPLAY")
        bell.add("description", words)
        bell.add("trigger", alarm)
        one.add_component(bell)
        calendar.add_component(one)

    for made in lessons:
        event(made, "", made.lesson.name, made.lesson.starts_at, made.lesson.ends_at, BEFORE_THE_BELL)
        for slot in made.plan.table.slots if made.plan.table else ():
            who = f" ({' and '.join(made.who(slot.hands))})" if slot.hands else ""
            event(made, f"-job-{slot.job.key}", f"{slot.job.words}{who}", made.at(slot.start), made.at(slot.end), timedelta(0))
    return bytes(calendar.to_ical())
