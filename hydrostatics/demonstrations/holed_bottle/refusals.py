"""The words of what a set-up of the holed bottle cannot be."""

from __future__ import annotations

from ...errors import Case

PROFILE_FALLS = Case("profile-falls", "it does not rise above the point before", "list the profile from the base up")
SURFACE_ABOVE_RIM = Case("surface-above-rim", "the surface stands above the rim", "lower it, or measure the rim's height again ({field:bottle_height})")
HOLE_ABOVE_RIM = Case(
    "hole-above-rim", "the hole is above the rim", "measure from the inner base to the hole's centre; the rim's height is {field:bottle_height}"
)
HOLE_AS_WIDE_AS_BOTTLE = Case("hole-as-wide-as-bottle", "the hole is as wide as the bottle", "give the hole's own diameter, for example 3 mm")
STEADY_AND_REFILLED = Case("steady-and-refilled", "a closed bottle that runs steadily is not kept level by a tap", "choose none, or open the cap")
