"""The JSON Schema (draft 2020-12) of a demonstration's set-up file, made from its model."""

from __future__ import annotations

from typing import Any, Protocol, get_args

from ..fields import Part
from ..room.stated import RoomPart

DIALECT = "https://json-schema.org/draft/2020-12/schema"
_INTERNAL = ("x-from",)


class Titled(Protocol):
    """What has a title."""

    @property
    def title(self) -> str:
        """The title."""


class Described(Protocol):
    """What a schema needs to know of a demonstration."""

    @property
    def key(self) -> str:
        """Its name in files."""

    @property
    def setup(self) -> type[Part]:
        """The model of its set-up."""

    @property
    def guide(self) -> Titled:
        """What it is called."""


def document_schema(demonstration: Described) -> dict[str, Any]:
    """The schema of a whole document, its form keywords (x-) included."""
    defs: dict[str, Any] = {}
    room, setup = (_part(model, defs) for model in (RoomPart, demonstration.setup))
    return {
        "$schema": DIALECT,
        "title": demonstration.guide.title,
        "type": "object",
        "properties": {"anchorage": {"const": 1}, "demonstration": {"const": demonstration.key}, "room": room, "setup": setup},
        "required": ["anchorage", "demonstration", "setup"],
        "additionalProperties": False,
        "$defs": defs,
    }


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
