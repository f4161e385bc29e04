"""One liquid in joined vessels of many shapes."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import CommunicatingVessels, taken
from .stays import stays
from .words import say, working

COMMUNICATING_VESSELS = Made("communicating-vessels", CommunicatingVessels, predict, say, section, working, moments, stays=stays, taken=taken)
