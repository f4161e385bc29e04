"""Cautions that go with any demonstration, from its numbers: heat, weight and height."""

from __future__ import annotations

from typing import Any

from .nominal import Now
from .prediction import Saying

SCALDS = 318.15
"""Temperature [K] from which a liquid scalds: common practice, no published source."""
HEAVY, TOO_HEAVY = 4.0, 20.0
"""Masses [kg] from which something is tied off, and from which it is nothing for two people: common practice, no published source."""
HIGH = 2.0
"""Height [m] from which one works at height."""


def usual_cautions(now: Now[Any], saying: Saying) -> list[str]:
    """What a person should mind about heat, weight and height in this set-up."""
    found = []
    if float(now.room.temperature[0]) >= SCALDS and now.inputs.liquids:
        hot = now.number(float(now.room.temperature[0]), "temperature", "room.temperature")
        found.append(f"The liquid is at {hot} and scalds: gloves and goggles, nobody under it, none of it near faces.")
    mass = now.value(saying.heavy) if saying.heavy else None
    metres = saying.tall.metres if saying.tall else 0.0
    high = f", {now.number(metres, 'length', saying.tall.path)} tall" if saying.tall and metres > HIGH else ""
    if mass is not None and mass > TOO_HEAVY:
        found.append(f"It carries {now.words(saying.heavy)} of liquid{high}: more than two people hold; rated rigging by those trained for it, nobody below.")
    elif mass is not None and mass > HEAVY:
        found.append(
            f"It carries {now.words(saying.heavy)}{high}: tie it off, two people, nobody below; follow the school's rules for lifting and work at height."
        )
    elif high:
        found.append(f"It stands{high.removeprefix(',')}: tie it off, nobody below, and follow the school's rules for ladders and beams.")
    return found
