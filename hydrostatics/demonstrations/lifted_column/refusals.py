"""The words of what a set-up of the lifted column cannot be."""

from __future__ import annotations

from ...errors import Case

GAS_LONGER_THAN_TUBE = Case("gas-longer-than-tube", "the gas is longer than the tube", "measure it along the tube when it was closed")
PORT_ABOVE_END = Case("port-above-end", "the port is above the closed end", "give its height above the basin's surface, at most {field:lift}")
