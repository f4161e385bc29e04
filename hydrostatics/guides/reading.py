"""A guide from its file: one text file a demonstration, of the same name."""

from __future__ import annotations

import tomllib
from functools import cache
from importlib.resources import files
from typing import Any

from pydantic import TypeAdapter

from .model import Choosing, Guide, Household, Prepare


@cache
def read_computed_only() -> dict[str, Any]:
    """What stands in a guide's place for a liquid that is computed and never poured: some fields of Prepare."""
    raw = tomllib.loads(files(__package__).joinpath("computed-only.toml").read_text("utf-8"))
    kinds: dict[str, Any] = {name: Prepare.model_fields[name].annotation for name in raw}
    return {name: TypeAdapter(kinds[name]).validate_python(value) for name, value in raw.items()}


def read_guide(key: str) -> Guide:
    """The guide of a demonstration, from its file of the same name."""
    raw = tomllib.loads(files(__package__).joinpath(f"{key}.toml").read_text("utf-8"))
    starts = tuple(
        {
            "name": start["name"],
            "words": start["words"],
            "document": {"anchorage": 1, "demonstration": key, "room": start.get("room", {}), "setup": start["setup"]},
        }
        for start in raw["start"]
    )
    prepare = Prepare.model_validate({name: raw[name] for name in raw if name not in ("title", "sees", "start", "choose", "household")})
    return Guide(raw["title"], raw["sees"], starts, prepare, Choosing.model_validate(raw["choose"]), _household(raw.get("household"), key))


def _household(raw: dict[str, Any] | None, key: str) -> Household | None:
    if raw is None:
        return None
    document = {"anchorage": 1, "demonstration": raw.get("demonstration", key), "room": {}, "setup": raw["setup"]}
    return Household(tuple(raw["things"]), document)
