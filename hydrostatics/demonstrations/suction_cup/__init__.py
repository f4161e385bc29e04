"""Cups, plungers, hemispheres."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import section
from .setup import SuctionCup
from .words import say, working

SUCTION_CUP = Made("suction-cup", SuctionCup, predict, say, section, working)
