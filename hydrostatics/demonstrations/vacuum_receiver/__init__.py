"""A filled column under a bell jar that is pumped down."""

from __future__ import annotations

from ..protocol import Made
from .predict import predict
from .section import moments, section
from .setup import VacuumReceiver
from .stays import stays
from .words import say, working

VACUUM_RECEIVER = Made("vacuum-receiver", VacuumReceiver, predict, say, section, working, moments, stays=stays)
