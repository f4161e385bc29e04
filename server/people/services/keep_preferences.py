"""How a person likes it is kept."""

from __future__ import annotations

from typing import Any

from hydrostatics.quantities.kinds import KINDS
from hydrostatics.quantities.units import UnreadableUnit, dimensions_of_kind, unit
from server.wire import english as kinds
from server.wire.problems import ProblemError

from ..models import Preferences
from ..queries import preferences_of


def keep_preferences(person: Any, changes: dict[str, Any]) -> Preferences:
    """Keeps the preferences that are named and leaves the others."""
    preferences = preferences_of(person)
    for kind, text in (changes.get("units") or {}).items():
        try:
            fits = kind in KINDS and (text == "" or unit(text).dimensions == dimensions_of_kind(kind))
        except UnreadableUnit:
            fits = False
        if not fits:
            raise ProblemError(kinds.UNIT_OF_ANOTHER_KIND, f"units.{kind}", unit=text, kind=kind)
    for key, value in changes.items():
        setattr(preferences, key, {**preferences.units, **value} if key == "units" else value)
    preferences.save()
    return preferences
