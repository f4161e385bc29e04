"""What a set-up asks to be made and filled beforehand, from its numbers: holes with heights and sizes, liquid, minutes at the bench."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ..demonstrations.protocol import Demonstration
from ..nominal import Now
from ..printed.strips import strips_of
from ..quantities.saying import capitalised
from .after import in_litres, taken


def holes_to_make(demonstration: Demonstration[Any], now: Now[Any]) -> list[str]:
    """Each hole with its height and size in words, as its strip has it."""
    return [mark.words for strip in strips_of(demonstration, now) for mark in strip.marks if mark.hole]


def to_fill(demonstration: Demonstration[Any], now: Now[Any]) -> str:
    """The liquid that it takes once, with an estimate's digits; empty where its sizes do not tell."""
    litres = taken(demonstration, now)
    return f"{capitalised(now.inputs.liquids[0].name)}, at least {in_litres(litres)} each time" if litres and now.inputs.liquids else ""


def at_the_bench(told: Mapping[str, Any]) -> float:
    """About how long the steps of a guide, as told for a set-up, take at the bench together [min]."""
    return float(sum(step["minutes"] for step in told["steps"]))
