"""The words of what a set-up of the inverted glass cannot be."""

from __future__ import annotations

from ...errors import Case

OPENING_MISSING = Case("opening-missing", "it is missing", "give the clear width of one opening, for example 1.4 mm")
NO_OPENINGS = Case("no-openings", "a {kind} has no openings", "leave it out, or choose mesh")
LIQUID_ABOVE_RIM = Case("liquid-above-rim", "the liquid stands above the rim", "lower it, or measure {field:inside_height} again")
OPENING_AS_WIDE_AS_MOUTH = Case(
    "opening-as-wide-as-mouth", "the opening is as wide as the mouth", "give the clear width of one mesh opening, for example 1.4 mm"
)
PORT_ABOVE_END = Case("port-above-end", "the port is above the closed end", "give its height above the mouth, at most {field:inside_height}")
