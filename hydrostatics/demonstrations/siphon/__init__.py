"""A hose over a crest, from a higher surface to a lower one."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import Siphon, taken
from .stays import stays
from .words import say, working

SIPHON = Made("siphon", Siphon, predict, say, section, working, moments, stays=stays, taken=taken)
