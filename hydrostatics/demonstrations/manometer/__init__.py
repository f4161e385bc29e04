"""Any chain of liquids between two points."""

from __future__ import annotations

from ..protocol import Made
from .chain_line import read_chain
from .predict import predict
from .section import moments, section
from .setup import Manometer, taken
from .words import say, working

MANOMETER = Made("manometer", Manometer, predict, say, section, working, moments, lines={"setup.legs": read_chain}, taken=taken)
