"""A tube mouth down in a basin, closed on top, raised and lowered."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import LiftedColumn, taken
from .stays import stays
from .words import say, working

LIFTED_COLUMN = Made("lifted-column", LiftedColumn, predict, say, section, working, moments, stays=stays, taken=taken)
