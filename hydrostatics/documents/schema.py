"""The JSON Schema (draft 2020-12) of a set-up file or an aid's, made from its model."""

from __future__ import annotations

from typing import Any, Protocol, get_args

from ..fields import Part
from ..quantities.repeats import FEWEST, MOST
from ..room.stated import RoomPart
from .sorts import Sort

DIALECT = "https://json-schema.org/draft/2020-12/schema"
_INTERNAL = ("x-from",)


class Described(Protocol):
    """What a schema needs to know of a demonstration or an aid."""

    @property
    def key(self) -> str:
        """Its name in files."""

    @property
    def title(self) -> str:
        """What it is called."""

    @property
    def sort(self) -> Sort:
        """The sort of document that names it."""

    @property
    def setup(self) -> type[Part]:
        """The model of its measures."""


def document_schema(subject: Described) -> dict[str, Any]:
    """The schema of a whole document, its form keywords (x-) included."""
    defs: dict[str, Any] = {}
    sort, measures = subject.sort, _part(subject.setup, defs)
    if sort.repeats:
        measures, defs = _with_repeats(measures), {name: _with_repeats(entry) for name, entry in defs.items()}
    room = _part(RoomPart, defs)
    return {
        "$schema": DIALECT,
        "title": subject.title,
        "type": "object",
        "properties": {"anchorage": {"const": 1}, sort.named: {"const": subject.key}, "room": room, sort.body: measures},
        "required": ["anchorage", sort.named, sort.body],
        "additionalProperties": False,
        "$defs": defs,
    }


def _with_repeats(part: dict[str, Any]) -> dict[str, Any]:
    """A part's schema in which a list of readings may stand for each quantity."""
    if "properties" not in part:
        return part
    properties = {}
    for name, entry in part["properties"].items():
        if entry.get("x-field") in ("quantity", "number"):
            one = entry["anyOf"]
            entry = entry | {"anyOf": [*one, {"type": "array", "items": {"anyOf": one}, "minItems": FEWEST, "maxItems": MOST}], "x-repeats": True}
        properties[name] = entry
    return part | {"properties": properties}


def _part(model: type[Part], defs: dict[str, Any]) -> dict[str, Any]:
    """A model's schema; groups inside it become references."""
    made = model.model_json_schema(ref_template="#/$defs/{model}", mode="validation")
    defs |= {name: _with_words(_cleaned(entry), _bare_fields(model).get(name, "")) for name, entry in made.pop("$defs", {}).items()}
    return _cleaned(made)


def _bare_fields(model: type[Part]) -> dict[str, str]:
    """Names of the parts inside a model that a bare word may stand for, with the field it stands for."""
    found: dict[str, str] = {}
    for info in model.model_fields.values():
        for inner in (info.annotation, *get_args(info.annotation)):
            if isinstance(inner, type) and issubclass(inner, Part):
                found |= {inner.__name__: inner.bare_field} | _bare_fields(inner)
    return found


def _with_words(schema: dict[str, Any], bare: str) -> dict[str, Any]:
    """A part's schema that admits its bare words."""
    if not bare:
        return schema
    words = schema["properties"].pop(bare)["x-words"]
    schema.pop("type", None)
    others = [{"oneOf": [one for one in entry["oneOf"] if one != {"required": [bare]}]} for entry in schema.pop("allOf", []) if "oneOf" in entry]
    return schema | {"anyOf": [{"enum": list(words)}, {"type": "object", "allOf": others}], "x-bare-words": words}


def _cleaned(schema: dict[str, Any]) -> dict[str, Any]:
    """The schema without what is the reader's own, and with null taken out: a key that is not stated is left out."""
    schema = {key: value for key, value in schema.items() if key != "description"}
    one_of: dict[str, list[str]] = {}
    at_most: set[str] = set()
    properties = {}
    for order, (name, entry) in enumerate(schema.get("properties", {}).items()):
        entry = {key: value for key, value in entry.items() if key not in (*_INTERNAL, "default")}
        if "anyOf" in entry:
            kept = [option for option in entry["anyOf"] if option != {"type": "null"}]
            entry = {**{k: v for k, v in entry.items() if k != "anyOf"}, **(kept[0] if len(kept) == 1 else {"anyOf": _flat(kept)})}
        if "minItems" not in entry and entry.get("x-field") == "list":
            entry |= {"minItems": entry["x-least-items"], "maxItems": entry["x-most-items"]}
        if set_name := entry.get("x-one-of"):
            one_of.setdefault(set_name, []).append(name)
            at_most |= {set_name} if {"x-default", "x-default-path", "x-default-by"} & set(entry) else set()
        properties[name] = entry | {"x-order": order}
    if properties:
        schema["properties"] = properties
    if one_of:
        schema["allOf"] = [
            {"not": {"required": names}} if name in at_most else {"oneOf": [{"required": [one]} for one in names]} for name, names in one_of.items()
        ]
    return schema


def _flat(options: list[dict[str, Any]]) -> list[dict[str, Any]]:
    made: list[dict[str, Any]] = []
    for option in options:
        made += option["anyOf"] if set(option) == {"anyOf"} else [option]
    return made
