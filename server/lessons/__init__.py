"""Lessons: what is shown in which order, and the timetable of what comes before the bell."""
