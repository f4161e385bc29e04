"""The words of what a manometer cannot be, and of what its one-line chain does not say."""

from __future__ import annotations

from ...errors import Case

TWO_UNKNOWN = Case("two-unknown", "two drops are unknown", "state all drops but one")
UNKNOWN_WITH_END = Case("unknown-with-end", "a drop and an end are unknown", "state both ends, or this drop")
DROP_AND_LENGTH = Case("drop-and-length", "{field:drop} and {field:length} are both stated", "keep one: a sloping leg has a length and an angle")
ANGLE_MISSING = Case("angle-missing", "it is missing", "with {field:length} state the angle below the horizontal, for example 8 deg")
ANGLE_ALONE = Case("angle-alone", "there is no {field:length} that would slope", "state it, or leave {field:angle} out")
DROP_MISSING = Case("missing", "it is missing", "state the drop, for example 14 cm, or write unknown; or a length with its angle")
BAD_PIECE = Case("bad-piece", "“{piece}” is not a leg", "write for example water down 14 cm; mercury up 2.5 cm; oil 0.86 down 3 cm")
NO_DIRECTION = Case("no-direction", "“{piece}” goes neither up nor down", "write down or up before the height")
LIQUID_UNKNOWN_HERE = Case(
    "liquid-unknown-here",
    "“{name}” is no liquid that is known",
    "give its relative density after it, as in {name} 0.86, or its weight, as in {name} 7.8 kN/m^3",
)
NOT_A_LENGTH = Case("not-a-length", "“{length}” is not a height", "{why}")
EMPTY_CHAIN = Case("empty-chain", "there is no leg in it", "write for example water down 14 cm; mercury up 2.5 cm")
