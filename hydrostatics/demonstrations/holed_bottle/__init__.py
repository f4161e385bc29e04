"""Jets from holes at several depths of a bottle."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import HoledBottle, taken
from .stays import stays
from .words import say
from .working import working

HOLED_BOTTLE = Made("holed-bottle", HoledBottle, predict, say, section, working, moments, stays=stays, taken=taken)
