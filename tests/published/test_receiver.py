"""The receiver against an equation solver, a root finder and published gas solubilities."""

from __future__ import annotations

import math

from CoolProp.CoolProp import PropsSI
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

from hydrostatics.laws.dissolved_air import dissolved_air
from tests.support.documents import answered, bare, values
from tests.support.published import PublishedCase

PUMP = "constant pump speed, by scipy's solve_ivp"
HENRY = "IAPWS G7-04 with Dalton's law, by scipy's brentq"
STEAM = "IAPWS R6-95, water by CoolProp"
G0, R = 9.80665, 8.314462618


def receiver(**changes):
    setup = {
        "liquid": "water",
        "column_height": "48 cm",
        "receiver_volume": "8.4 L",
        "pump_speed": "29 L/min",
        "ultimate_pressure": "31 hPa",
        "air_saturation": 0.8,
    }
    made = {key: value for key, value in {**setup, **changes}.items() if value is not None}
    return bare("vacuum-receiver", made, station_pressure="957 hPa", temperature="21 degC")


RHO, P_V = float(PropsSI("D", "T", 294.15, "P", 101_325, "Water")), float(PropsSI("P", "T", 294.15, "Q", 0, "Water"))


class PumpDown(PublishedCase):
    def reached(self, pressure: float, leak: float = 0.0) -> float:
        """When an equation solver has the receiver at a pressure."""
        speed, volume = 29e-3 / 60, 8.4e-3

        def crossed(t, y):
            return y[0] - pressure

        found = solve_ivp(lambda t, y: (-speed * (y - 3100) + leak) / volume, (0, 400), [95_700.0], events=crossed, rtol=1e-10, atol=1e-6)
        return float(found.t_events[0][0])

    def test_calls(self):
        got = values(receiver(calls=["600 hPa", "200 hPa", "55 hPa"]))
        for k, pressure in enumerate((60_000, 20_000, 5500)):
            self.meets(PUMP, "time of a call", got[f"results.calls.{k}.time"], self.reached(pressure), rel=1e-6)

    def test_with_a_leak(self):
        got = values(receiver(leak="0.4 Pa*m^3/s", calls=["100 hPa"]))
        self.meets(PUMP, "with a leak", got["results.calls.0.time"], self.reached(10_000, 0.4), rel=1e-6)
        self.meets(PUMP, "end with a leak", got["results.end_pressure"], 3100 + 0.4 * 60 / 29e-3, rel=1e-9)

    def test_when_it_drops(self):
        drop = RHO * G0 * 0.48 + P_V
        self.meets(STEAM, "drops", values(receiver())["results.drop_pressure"], drop, rel=1e-4)
        self.meets(PUMP, "time to drop", values(receiver())["results.time_to_drop"], self.reached(drop), rel=1e-3)

    def test_its_frames_are_an_exponential(self):
        told = answered(receiver())["results"]["frames"]
        self.assertEqual(len(told), 60)
        tau = 8.4e-3 * 60 / 29e-3
        for k in (0, 17, 59):
            time = 7 * tau * k / 59
            self.meets("O'Hanlon, pump-down", "frames", told[k]["receiver_pressure"]["value"], 3100 + 92_600 * math.exp(-time / tau), rel=1e-9)


class AirOut(PublishedCase):
    def held(self) -> float:
        """All the air that the column holds when saturated, as a gas, pressure times length [Pa m]."""
        fraction = sum(part / constant for part, constant in self.constants())
        return (95_700 - P_V) * fraction * RHO / 0.018015268 * R * 294.15 * 0.48

    def constants(self):
        """Henry's constants at 21 degC from IAPWS G7-04's equation, by a library of its own."""
        from iapws._iapws import _Henry

        return [(part, float(_Henry(294.15, gas)) * 1e6) for part, gas in ((0.78084, "N2"), (0.20946, "O2"), (0.00934, "Ar"))]

    def level(self, pressure: float, saturation: float) -> float:
        whole = self.held()

        def spare(x: float) -> float:
            gas = pressure - P_V - RHO * G0 * x
            return gas * (0.48 - x) - max(0.0, saturation - gas / (95_700 - P_V)) * whole

        top = min(0.48, (pressure - P_V) / (RHO * G0))
        return max(brentq(spare, -5.0, top), -0.03)

    def test_where_tap_water_stands(self):
        for pressure, saturation in ((20_000, 0.8), (9000, 0.8), (9000, 0.3), (6500, 1.0)):
            got = values(receiver(air_saturation=saturation, calls=[f"{pressure} Pa"]))
            self.meets(HENRY, "level, air out", got["results.calls.0.level_with_air"], self.level(pressure, saturation), abs_=6e-4)

    def test_at_half_its_height(self):
        got = values(receiver())["results.half_with_air_pressure"]
        self.meets(HENRY, "half its height", got, brentq(lambda p: self.level(p, 0.8) - 0.24, 5000, 30_000), rel=5e-3)

    def test_oxygen_in_water(self):
        # Benson and Krause 1984: 9.09 mg/L of oxygen in air-saturated water at 20 degC, 1 atm; nitrogen about 15.1 mg/L (from memory, room of 2 %)
        whole = float(dissolved_air(293.15, 101_325.0, 2339.2, 998.207))
        parts = {gas: part / constant for (part, constant), gas in zip(self.constants(), ("N2", "O2", "Ar"), strict=True)}
        oxygen = whole * parts["O2"] / sum(parts.values()) * 31.998
        self.meets("Benson and Krause 1984", "oxygen at 20 degC", oxygen, 9.09, rel=0.02)
