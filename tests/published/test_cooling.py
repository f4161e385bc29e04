"""Cooling of a vessel against an equation solver and a handbook's ranges."""

from __future__ import annotations

import math

from scipy.integrate import solve_ivp

from hydrostatics.laws.letting_cool import cooling_constant, cooling_time
from hydrostatics.lessons.cooling import WAYS
from tests.support.published import PublishedCase

NEWTON = "Newton's law of cooling, by scipy's solve_ivp"
INCROPERA = "Incropera and DeWitt, table 1.1: free convection (ranges from memory)"


class LettingCool(PublishedCase):
    def test_time_until_a_temperature(self):
        for volume, transfer, around, wanted in ((1e-3, 10.0, 291.0, 294.0), (3e-3, 200.0, 285.0, 294.0), (5e-3, 25.0, 280.0, 330.0)):
            diameter = (4 * volume / math.pi) ** (1 / 3)  # as tall as wide: base, lid and wall
            area = 2 * math.pi * diameter**2 / 4 + math.pi * diameter * diameter
            rate = transfer * area / (960 * volume * 4200)
            reached = lambda t, y, wanted=wanted: y[0] - wanted  # noqa: E731
            reached.terminal = True  # type: ignore[attr-defined]
            run = solve_ivp(lambda t, y, k=rate, a=around: [-k * (y[0] - a)], (0, 1e6), [373.15], events=reached, rtol=1e-9, atol=1e-9)
            got = cooling_time(373.15, wanted, around, cooling_constant(volume, 960.0, 4200.0, transfer))
            self.meets(NEWTON, f"{volume} m3", float(got), float(run.t_events[0][0]), rel=1e-5)

    def test_the_coefficients_lie_within_a_handbooks_ranges(self):
        for way, low, high in (("pot", 2, 25), ("bath", 50, 1000)):
            middle = math.sqrt(low * high)
            self.meets(INCROPERA, way, math.log(WAYS[way].transfer / middle), 0.0, abs_=math.log(high / middle))
