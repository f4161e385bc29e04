"""A U-tube plugged on one side, carried up a hill."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import SealedManometer
from .words import say, working

SEALED_MANOMETER = Made("sealed-manometer", SealedManometer, predict, say, section, working, moments)
