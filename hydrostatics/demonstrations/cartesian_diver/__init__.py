"""A diver with air in it, in a capped bottle that is squeezed."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import CartesianDiver
from .words import say, working

CARTESIAN_DIVER = Made("cartesian-diver", CartesianDiver, predict, say, section, working, moments)
