"""What sizes a piece of gear can have: the measures that set-ups ask for, by name, and a gauge's own."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import cache
from typing import Any, get_args

from ..demonstrations.registry import by_key
from ..documents.walking import shape
from ..fields import Part
from ..liquids import PROPERTIES
from ..quantities.saying import capitalised

SMALLEST_MARK, FULL_SCALE = "smallest_mark", "full_scale"
READ_KINDS = ("pressure", "length", "mass", "force", "temperature", "time", "volume")
"""Kinds of quantity that a gauge, a rule, a balance or a clock can be marked in."""


@dataclass(frozen=True)
class SizeName:
    """A size by its name: what it is called, the kinds of quantity it may be, titles of the demonstrations that ask for it."""

    label: str
    kinds: tuple[str, ...]
    asked_by: tuple[str, ...] = ()


@cache
def size_names() -> Mapping[str, SizeName]:
    """Every size that gear can have, by the name of the field that takes it."""
    found: dict[str, SizeName] = {}
    for demonstration in by_key().values():
        for name, extra in _quantities(demonstration.setup):
            before = found.get(name)
            if before and extra["x-kind"] != before.kinds[0]:
                continue  # the same name for another kind of thing: the first one's
            titles = before.asked_by if before else ()
            title = demonstration.title
            label = capitalised(extra["x-label"])
            if before and before.label != label:  # what is asked for in several ways is called by its plain name on a shelf
                label = capitalised(name.replace("_", " "))
            found[name] = SizeName(label, (extra["x-kind"],), titles if title in titles else (*titles, title))
    for key, known in PROPERTIES.items():
        found.setdefault(key, SizeName(f"Liquid, its {known.label}", (known.kind,)))
    found[SMALLEST_MARK] = SizeName("Smallest mark", READ_KINDS)
    found[FULL_SCALE] = SizeName("Full scale", READ_KINDS)
    return found


def _quantities(part: type[Part]) -> Iterator[tuple[str, dict[str, Any]]]:
    """The fields with a unit of a model and of those in it."""
    for name, (annotation, extra) in shape(part).items():
        if extra["x-field"] == "quantity":
            yield name, extra
        for inner in (annotation, *get_args(annotation)):
            if isinstance(inner, type) and issubclass(inner, Part):
                yield from _quantities(inner)
