"""Cases of number formatting that Python and TypeScript both pass."""

from __future__ import annotations

from typing import Any

from hydrostatics.quantities.saying import said, typed_text

_CASES = [
    (0.02731, 0.00112, "length", "cm"),
    (0.0273, 0.0, "length", "mm"),
    (0.41094, 0.00464, "length", "cm"),
    (0.41094, 0.00464, "length", "inch"),
    (1.9313, 0.0212, "speed", "m/s"),
    (1.9313, 0.00048, "speed", "m/s"),
    (94180.0, 17.3, "pressure", "hPa"),
    (-880.0, 6.0, "pressure", "hPa"),
    (0.001221, 0.00002, "volume", "L"),
    (238.14, 3.3, "time", "s"),
    (293.15, 0.29, "temperature", "degC"),
    (0.0, 0.0, "length", "cm"),
    (0.085184, 0.0066, "length", "cm"),
    (12345.6, 0.0, "pressure", "Pa"),
    (123456.7, 60.0, "pressure", "Pa"),
    (9.87e-06, 5.7e-07, "flow", "mL/s"),
    (0.97, 0.0058, "fraction", ""),
    (0.0999, 0.00098, "length", "cm"),
    (36611.0, 668.0, "force", "N"),
    (-36611.0, 7100.0, "force", "N"),
    (4.0, 900.0, "force", "N"),
    (0.76275852, 4e-08, "length", "cm"),
    (7.2e-07, 0.0, "length", "m"),
    (-9.99961e-05, 0.0, "pressure", "Pa"),
    (1.00012e-04, 0.0, "length", "m"),
    (2.61e-04, 0.0, "pressure", "hPa"),
]


_TYPED = [
    (0.2745, 0.002, "length", "cm", 0.1),
    (0.2745, 0.0, "length", "mm", 1.0),
    (0.30000000000000004, 0.0, "length", "cm", 0.1),
    (1.2044, 0.005, "length", "m", 0.01),
    (293.15, 0.5, "temperature", "degC", 0.1),
    (94_170.0, 40.0, "pressure", "hPa", 0.1),
    (0.0, 0.001, "length", "cm", 0.1),
    (0.0625, 0.0, "length", "m", 0.005),
    (12.04, 0.0, "length", "m", 1.0),
]


def typed_cases() -> list[dict[str, Any]]:
    """SI values as they are typed, to a step in their unit."""
    return [{"si": si, "half": half, "unit": unit, "step": step, "typed": typed_text(si, half, kind, unit, step=step)} for si, half, kind, unit, step in _TYPED]


def number_cases() -> list[dict[str, Any]]:
    """Each with what is said of it."""
    return [{"si": si, "sd": sd, "kind": kind, "unit": unit, "said": list(said(si, sd, kind, unit))} for si, sd, kind, unit in _CASES]
