"""The words of what a set-up of the diver cannot be."""

from __future__ import annotations

from ...errors import Case

SOLID_MISSING = Case(
    "solid-missing", "it is missing", "with {field:diver_mass} the volume of all its solids is needed, for example 3.1 mL; or state {field:sinks_with}"
)
SOLID_NOT_NEEDED = Case("solid-not-needed", "it is not needed with {field:sinks_with}", "leave it out: what just sinks it says all")
