"""The JSON Schema of a lesson's file, from the API's description: what goes in over HTTP and what stands in a file are one model."""

from __future__ import annotations

import json
from typing import Any

NAME = "LessonFile"
ALREADY = "#/components/schemas/"
HERE = "#/$defs/"


def lesson_schema(description: dict[str, Any]) -> dict[str, Any]:
    """The schema of `*.lesson.json`, with the models that it names.

    description: the OpenAPI description, whose schemas are JSON Schemas of draft 2020-12.
    """
    schemas: dict[str, Any] = description["components"]["schemas"]
    wanted, found = [NAME], {}
    while wanted:
        name = wanted.pop()
        if name not in found:
            found[name] = schemas[name]
            wanted += _named(schemas[name])
    moved: dict[str, Any] = json.loads(json.dumps(found).replace(ALREADY, HERE))
    whole = moved.pop(NAME)
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", **whole, "$defs": moved}


def _named(node: Any) -> list[str]:
    """Names of the models that a schema refers to."""
    if isinstance(node, dict):
        own = [node["$ref"].removeprefix(ALREADY)] if isinstance(node.get("$ref"), str) else []
        return own + [name for value in node.values() for name in _named(value)]
    return [name for value in node for name in _named(value)] if isinstance(node, list) else []
