"""Manometers against worked chains of open textbooks, handbook densities and Newton's half-swing, by numbers of their own."""

from __future__ import annotations

import math

from hydrostatics.demonstrations.manometer.chain_line import read_chain
from tests.support.documents import bare, values
from tests.support.published import PublishedCase

CHAIN = "common practice, no published source"
TEXTBOOK = "hydrostatics of a chain, by hand from handbook densities"
NEWTON = "Newton, Principia II, proposition 44"
G0 = 9.80665
ENGINEERING = {"constants": "engineering", "station_pressure": "101325 Pa"}


def chain(legs, start="unknown", end="atmosphere", room=None, **changes):
    return bare("manometer", {"start": start, "end": end, "legs": legs, **changes}, **(room or {"station_pressure": "1008.2 hPa", "temperature": "20 degC"}))


class Worked(PublishedCase):
    def test_a_compound_chain_of_the_trade(self):
        # water down 10 cm; mercury up 3; oil of specific gravity 0.88 down 4; mercury up 5; water up 8; 9810 N/m^3 and 13.6:
        # the first pipe stands 10.13 kPa above the last
        legs = read_chain("water down 10 cm; mercury up 3 cm; oil 0.88 down 4 cm; mercury up 5 cm; water up 8 cm", 9.81)
        got = values(chain(legs, end="unknown", room=ENGINEERING))
        self.meets(CHAIN, "five legs", got["results.difference"], 10.13e3, abs_=5)

    def test_open_and_closed_tubes(self):
        # 100 mm of mercury on a day of 760 torr: open tube up 860 torr, closed tube 100 torr
        room = {"station_pressure": "760 torr", "temperature": "0 degC"}
        leg = [{"liquid": {"density": "13595.1 kg/m^3"}, "drop": "-100 mm"}]
        self.meets(CHAIN, "open tube", values(chain(leg, room=room))["results.start_pressure"] / 133.322, 860, abs_=0.05)
        self.meets(CHAIN, "closed tube", values(chain(leg, end="vacuum", room=room))["results.start_pressure"] / 133.322, 100, abs_=0.05)

    def test_depth_of_a_lake(self):
        # 200 m down a lake: 19.3 atm of water, 20.3 with the air
        got = values(chain([{"liquid": "water", "drop": "200 m"}], start="atmosphere", end="unknown", room={"temperature": "15 degC"}))
        self.meets(CHAIN, "200 m, gauge", got["results.end_gauge"] / 101_325, 19.3, abs_=0.06)
        self.meets(CHAIN, "200 m, absolute", got["results.end_pressure"] / 101_325, 20.3, abs_=0.06)

    def test_a_hundred_and_sixty_feet(self):
        # 160 ft of water = 69.4 psi = 4.7 atm gauge, 5.7 absolute
        got = values(chain([{"liquid": "water", "drop": "160 ft"}], start="atmosphere", end="unknown", room={"constants": "textbook"}))
        self.meets(CHAIN, "160 ft in psi", got["results.end_gauge"] / 6894.757, 69.4, abs_=0.1)
        self.meets(CHAIN, "160 ft in atm", got["results.end_gauge"] / 101_325, 4.72, abs_=0.02)

    def test_handbook_densities(self):
        # CRC Handbook: water 998.206 kg/m3, mercury 13 545.9 kg/m3 at 20 degC (mercury from memory, 0.01 %)
        got = values(chain([{"liquid": "water", "drop": "31 cm"}, {"liquid": "mercury", "drop": "-8.4 cm"}]))
        self.meets(TEXTBOOK, "water and mercury", got["results.difference"], G0 * (13_545.9 * 0.084 - 998.206 * 0.31), rel=2e-4)
        self.meets(TEXTBOOK, "start", got["results.start_pressure"], 100_820 + G0 * (13_545.9 * 0.084 - 998.206 * 0.31), rel=2e-5)

    def test_a_draught_gauge(self):
        # a tube of 15 cm at 10 degrees out of a reservoir a fiftieth as wide in area: sin 10 + 1/50 of its length
        leg = [{"liquid": {"density": "830 kg/m^3"}, "length": "-15 cm", "angle": "10 deg", "reservoir_ratio": 0.02}]
        self.meets(TEXTBOOK, "leaning tube", values(chain(leg))["results.start_gauge"], 830 * G0 * 0.15 * (math.sin(math.radians(10)) + 0.02), rel=1e-9)

    def test_turned_over_with_two_liquids(self):
        # an inverted tube of oil 0.9 over water: the difference of pipes is rho g (a - b) - (rho - rho') g h
        legs = [{"liquid": "water", "drop": "-40 cm"}, {"liquid": {"density": "898.4 kg/m^3"}, "drop": "11 cm"}, {"liquid": "water", "drop": "22 cm"}]
        got = values(chain(legs, end="unknown"))
        self.meets(TEXTBOOK, "turned over", got["results.difference"], G0 * (998.206 * 0.18 - 898.4 * 0.11), rel=1e-4)


class Swings(PublishedCase):
    def test_a_metre_of_liquid(self):
        got = values(chain([{"liquid": {"density": "1000 kg/m^3"}, "drop": "3 cm"}], column_length="1 m", bore="10 mm"))
        self.meets(NEWTON, "1 m of liquid", got["results.swing_period"], 1.41875, rel=1e-5)

    def test_capillarity_of_two_bores(self):
        # Jurin's height in 0.40 mm is 74.30 mm, in 1.00 mm 29.72 mm; the fit to wide bores takes 0.1 and 0.6 % off
        got = values(chain([{"liquid": "water", "drop": "3 cm"}], start_bore="0.4 mm", end_bore="1 mm"))
        self.meets("Jurin 1718", "two bores", got["results.capillary_difference"], 0.07430 - 0.02972, rel=5e-3)
