"""A closed tube of liquid over a reservoir."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import Barometer, taken
from .stays import stays
from .words import say, working

BAROMETER = Made("barometer", Barometer, predict, say, section, working, moments, stays=stays, taken=taken)
