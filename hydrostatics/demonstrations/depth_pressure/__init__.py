"""A probe, a tank wall, a lock gate, a water tower."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import section
from .setup import DepthPressure
from .words import say, working

DEPTH_PRESSURE = Made("depth-pressure", DepthPressure, predict, say, section, working)
