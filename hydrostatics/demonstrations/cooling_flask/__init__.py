"""Warm gas closed in and cooled: an egg on a flask, a capped can."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import CoolingFlask
from .stays import stays
from .words import say, working

COOLING_FLASK = Made("cooling-flask", CoolingFlask, predict, say, section, working, moments, stays=stays)
