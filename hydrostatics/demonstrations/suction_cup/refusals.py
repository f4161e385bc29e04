"""The words of what a set-up of the suction cup cannot be."""

from __future__ import annotations

from ...errors import Case

MORE_THAN_ALL_AIR = Case("more-than-all-air", "more than all of its air", "give the part that stays, for example 30 %")
