"""A long straw, a well pump, a hose up a tower."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import SuctionLift, taken
from .words import say, working

SUCTION_LIFT = Made("suction-lift", SuctionLift, predict, say, section, working, moments, taken=taken)
