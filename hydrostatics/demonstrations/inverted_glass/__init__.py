"""A glass of liquid upside down on a card, plate, mesh or lid."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import InvertedGlass, taken
from .words import say, working

INVERTED_GLASS = Made("inverted-glass", InvertedGlass, predict, say, section, working, moments, taken=taken)
