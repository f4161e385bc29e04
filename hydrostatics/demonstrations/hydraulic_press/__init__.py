"""Two joined syringes."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import HydraulicPress
from .words import say, working

HYDRAULIC_PRESS = Made("hydraulic-press", HydraulicPress, predict, say, section, working, moments)
