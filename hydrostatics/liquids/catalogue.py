"""The liquids that have a name."""

from __future__ import annotations

import tomllib
from collections.abc import Iterator, Mapping
from functools import cache
from importlib.resources import files
from types import MappingProxyType

from . import Entry, Property
from .forms import evaluator
from .salt_water import SALT_WATER
from .water import WATER


@cache
def catalogue() -> Mapping[str, Entry]:
    """Every catalogue liquid by the name that a set-up file uses; records are read from properties.toml once."""
    return MappingProxyType({entry.name: entry for entry in (WATER, SALT_WATER, *_recorded())})


def _recorded() -> Iterator[Entry]:
    raw = tomllib.loads(files(__package__).joinpath("properties.toml").read_text("utf-8"))
    for name, records in raw.items():
        caution, computed_only = records.pop("caution", ""), records.pop("computed_only", False)
        properties = {
            key: Property(
                evaluator(record["form"], record["coefficients"]), record["source"], record["range"][0], record["range"][1], record.get("uncertainty", 0.0)
            )
            for key, record in records.items()
        }
        yield Entry(name, properties, caution, computed_only=computed_only)
