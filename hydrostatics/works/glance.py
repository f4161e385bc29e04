"""A set-up at a glance: how it fares today in a few words, without uncertainties, and its section drawn small."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Any

from ..answer import demonstration_of
from ..demonstrations.protocol import Demonstration
from ..documents.reader import read_inputs
from ..layout.small import draw_small
from ..nominal import Now
from ..prediction import STATES
from ..quantities.saying import COVERAGE, SPACE, said
from ..uncertainty import propagate

NOTHING = 1e-12
"""What rounding leaves of nothing [SI]."""
ROUGH = 0.1
"""Part of a number by which one that is told without its uncertainty is rounded."""


@dataclass(frozen=True)
class Glance:
    """state: a name in STATES. reason: the verdict in few digits. tall, seen_from: [m], None where there is none."""

    state: str
    reason: str
    tall: float | None
    seen_from: float | None


def nominal_case(document: Mapping[str, Any]) -> tuple[Demonstration[Any], Now[Any]]:
    """A parsed document worked out in the middle of its tolerances alone.  Raises a Refusal."""
    demonstration = demonstration_of(document)
    inputs = read_inputs(document, demonstration.setup)
    known = replace(inputs, leaves={path: leaf._replace(standard_uncertainty=0.0) for path, leaf in inputs.leaves.items()})
    prediction, setup, room, spread = propagate(known, demonstration.predict, drawn=False)
    return demonstration, Now(known, setup, room, prediction, spread)


def glance(document: Mapping[str, Any]) -> Glance:
    """How a parsed document fares.  Raises a Refusal."""
    demonstration, now = nominal_case(document)
    saying = demonstration.say(now)
    pieces = saying.reason.replace("}", "{").split("{")
    reason = "".join(piece if k % 2 == 0 else _roughly(now, piece) for k, piece in enumerate(pieces))
    seen = now.value("results.seen_from") if "results.seen_from" in now.spread.index else None
    return Glance(STATES[int(now.prediction.state[0])], reason, saying.tall.metres if saying.tall else None, seen)


def _roughly(now: Now[Any], path: str) -> str:
    at = now.spread.index[path]
    si = abs(float(now.spread.nominal[at]))
    si = 0.0 if si < NOTHING else si
    number, _, unit = said(si, ROUGH * si / COVERAGE, now.spread.values[at][1].kind, now.unit(path))
    return f"{number}{SPACE}{unit}".strip()


def small_section(document: Mapping[str, Any], width: float, height: float) -> tuple[str, dict[str, Any]]:
    """What the demonstration is called, and the section of a parsed document drawn small.  Raises a Refusal."""
    demonstration, now = nominal_case(document)
    return demonstration.guide.title, draw_small(demonstration.section(now), width, height)
