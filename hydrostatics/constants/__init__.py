"""Named, read-only sets of constants, each value with its source key."""

from __future__ import annotations

import tomllib
from collections.abc import Mapping
from dataclasses import dataclass
from functools import cache
from importlib.resources import files
from types import MappingProxyType


@dataclass(frozen=True)
class ConstantSet:
    """gravity [m/s^2], one atmosphere [Pa] and the densities [kg/m^3] that the set rounds; and what it says of itself."""

    name: str
    words: str
    gravity: float
    atmosphere: float
    densities: Mapping[str, float]
    sources: tuple[str, ...]


@cache
def constant_sets() -> Mapping[str, ConstantSet]:
    """The sets by name, read once from sets.toml."""
    raw = tomllib.loads(files(__package__).joinpath("sets.toml").read_text("utf-8"))
    return MappingProxyType(
        {
            name: ConstantSet(
                name,
                entry["words"],
                entry["gravity"]["value"],
                entry["atmosphere"]["value"],
                MappingProxyType(entry["densities"]),
                (entry["gravity"]["source"], entry["atmosphere"]["source"]),
            )
            for name, entry in raw.items()
        }
    )


@cache
def bibliography() -> Mapping[str, str]:
    """Every source by its key."""
    return MappingProxyType(tomllib.loads(files(__package__).joinpath("bibliography.toml").read_text("utf-8")))
