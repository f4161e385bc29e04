"""What the fields of all set-ups are called at a form, by their keys in a file."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import Any, get_args

from ..fields import Part
from ..liquids import PROPERTIES
from ..room.stated import RoomPart
from .walking import shape


def labels_of(setups: Iterable[type[Part]]) -> Mapping[str, str]:
    """Labels by key, of the room, of these set-ups and of what stands in them; within a sentence."""
    found: dict[str, str] = {key: prop.label for key, prop in PROPERTIES.items()}
    models: list[type[Part]] = [RoomPart, *setups]
    for model in models:
        _gather(model, found)
    return {key: _inside(label) for key, label in found.items()}


def _gather(model: type[Part], found: dict[str, str]) -> None:
    for key, (annotation, extra) in shape(model).items():
        found.setdefault(key, extra["x-label"])
        for inner in (annotation, *get_args(annotation)):
            if _is_part(inner):
                _gather(inner, found)


def _is_part(inner: Any) -> bool:
    return isinstance(inner, type) and issubclass(inner, Part)


def _inside(label: str) -> str:
    """A label as it stands within a sentence, set apart by quotation marks."""
    return f"“{label}”"
