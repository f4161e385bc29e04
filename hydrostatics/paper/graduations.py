"""Round steps and ends of a scale, and the figures that its graduations show."""

from __future__ import annotations

import math


def nice_step(least: float) -> float:
    """The smallest of 1, 2, 5 times a power of ten that is not below least; 1 where there is nothing to divide."""
    if not least > 0 or not math.isfinite(least):
        return 1.0
    power = 10.0 ** math.floor(math.log10(least))
    return next(f * power for f in (1, 2, 5, 10) if f * power >= least * (1 - 1e-9))


def nice_most(value: float) -> float:
    """A round end of a scale, not below value."""
    if value <= 0:
        return 1.0
    power = 10.0 ** math.floor(math.log10(value))
    return next(f * power for f in (1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10) if f * power >= value * (1 - 1e-9))


def graduations(per_unit: float, label_space: float) -> tuple[float, int]:
    """Step between labels, in the unit, and how many parts a step is divided into."""
    step = nice_step(label_space / per_unit)
    lead = round(step / 10.0 ** math.floor(math.log10(step) + 1e-9))
    fits = [n for n in ((10, 5, 2) if lead != 2 else (4, 2)) if step * per_unit / n >= 4.5]
    return step, fits[0] if fits else 1


def places_of(step: float) -> int:
    """Decimal places that the figures of a step need."""
    return max(0, -math.floor(math.log10(step) + 1e-9))


def steps_within(low: float, high: float, step: float) -> range:
    """The whole numbers whose multiples of step lie from low to high, both ends included."""
    return range(math.ceil(low / step - 1e-9), math.floor(high / step + 1e-9) + 1)
