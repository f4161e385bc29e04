"""The words of what a plugged manometer cannot be."""

from __future__ import annotations

from ...errors import Case

NO_GAS_LEFT = Case(
    "no-gas-left",
    "no gas would be left behind the plug",
    "check its sign: it is positive when the open side stands lower; {field:seal_volume} allows less than {most}",
)
SEALED_TOO_LOW = Case("sealed-too-low", "the gas behind the plug would have no pressure", "check {field:seal_reading} and {field:seal_pressure}")
