"""The words of what cannot have been measured."""

from __future__ import annotations

from ..errors import Case

FILLED_NOT_HEAVIER = Case("filled-not-heavier", "full it weighs no more than empty", "weigh it empty, then filled, on the same balance")
WEIGHED_OR_POURED = Case("weighed-or-poured", "it is stated with a volume", "state the two masses, or the volume alone")
FILLED_MISSING = Case("filled-missing", "it is missing", "weigh it filled as well, or state the volume alone")
MARKS_DO_NOT_RISE = Case(
    "marks-do-not-rise", "its height or its volume is not above the one before", "state the marks from the bottom up, each with all that was poured so far"
)
HOLE_AS_WIDE = Case("hole-as-wide-as-vessel", "the hole is not narrower than the vessel", "state the vessel's inside diameter, and the hole's")
SURFACE_DOES_NOT_FALL = Case("surface-does-not-fall", "the surface does not fall", "state a start above the end, both above the hole's centre")
ENDS_WHERE_IT_STOPS = Case(
    "ends-where-it-stops", "at the end the hole hardly runs any more: its own surface holds back {held}", "stop the clock at a higher mark"
)
BOTH_OR_NEITHER = Case("both-or-neither", "it is missing", "state the straw's diameter and the liquid's surface tension, or neither")
DEPTHS_ALIKE = Case("depths-alike", "there are not three different depths", "dip it to three depths at least, the more and the farther apart the better")
READINGS_ALIKE = Case("readings-alike", "all readings are the same", "does the gauge move at all? read it to a tenth of a line")
NO_WHOLE_NUMBER = Case("no-whole-number", "{given} is not a whole number from 1", "count them")
NOT_HEAVIER_DRY = Case("not-heavier-dry", "in the liquid it weighs no less than in air", "hang it by a thread, wholly under, touching nothing")
PUMP_DOES_NOT_PUMP = Case(
    "pump-does-not-pump", "the pressure does not fall towards what the pump can reach", "state start above end, end above the pump's lowest"
)
NO_RISE = Case("no-rise", "the pressure does not rise", "with the pump shut off a leak lets it rise; wait longer")
