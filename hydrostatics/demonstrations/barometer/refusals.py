"""The words of what a set-up of the barometer cannot be."""

from __future__ import annotations

from ...errors import Case

GAS_LONGER_THAN_TUBE = Case("gas-longer-than-tube", "the gas is longer than the tube", "measure it along the tube when it was trapped")
