"""The vocabulary from which every set-up is declared; the reader, the schema and the form all read it.

A set-up is a `Part`: a typed model whose leaves are SI arrays of shape (rows,) or (1,), row 0 being the nominal case.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Annotated, Any, ClassVar, Literal

import numpy as np
from numpy.typing import NDArray
from pydantic import BaseModel, ConfigDict, Field, WithJsonSchema

QUANTITY_SCHEMA: dict[str, Any] = {
    "anyOf": [
        {"type": "string", "maxLength": 200},
        {
            "type": "object",
            "properties": {"value": {"type": "number"}, "unit": {"type": "string", "maxLength": 40}, "tolerance": {"type": "number", "minimum": 0}},
            "required": ["value", "unit"],
            "additionalProperties": False,
        },
    ]
}
NUMBER_SCHEMA: dict[str, Any] = {"anyOf": [{"type": "number"}, *QUANTITY_SCHEMA["anyOf"]]}

Array = Annotated[NDArray[np.float64], WithJsonSchema(QUANTITY_SCHEMA)]
"""A quantity with a unit: SI values, one per row."""
Plain = Annotated[NDArray[np.float64], WithJsonSchema(NUMBER_SCHEMA)]
"""A dimensionless quantity: a bare number, or text with a per cent sign."""
ReportLine = Annotated[NDArray[np.float64], WithJsonSchema({"type": "string", "maxLength": 600})]
"""A quantity read from a line of text: SI values, one per row."""
Unknown = Literal["unknown"]
"""What a solvable quantity may be instead of a number."""

Field_ = Literal["quantity", "number", "choice", "flag", "liquid", "group", "optional-group", "list", "one-of", "quantity-or-unknown", "report"]
"""The closed list of form fields; a report is a line of text from which a quantity is read."""


class Part(BaseModel):
    """Every set-up and every group in it.

    bare_field: name of the choice that a bare word in the object's place stands for (an end that is open to the room).
    """

    model_config = ConfigDict(frozen=True, extra="forbid", arbitrary_types_allowed=True)
    bare_field: ClassVar[str] = ""

    def refuse(self) -> None:
        """Raises a Refusal, its path relative to this part, where fields contradict one another.  Row 0 decides."""

    def refuse_in(self, room: Any) -> None:
        """Raises a Refusal, its path relative to a whole set-up, where it cannot stand in this room.  Row 0 decides."""


@dataclass(frozen=True)
class ByChoice:
    """A default that depends on a sibling choice: value, half-width of its tolerance, for each choice; and the source."""

    field: str
    table: Mapping[str, tuple[float, float]]
    source: str


@dataclass(frozen=True)
class SameAs:
    """A default that is another input: the two share one path and so are fully correlated."""

    path: str


Default = str | ByChoice | SameAs | None
_REQUIRED: Any = ...


def quantity(
    kind: str,
    label: str,
    *,
    default: Default = _REQUIRED,
    gt: float | None = None,
    ge: float | None = None,
    lt: float | None = None,
    le: float | None = None,
    help: str = "",
    when: tuple[str, str] | None = None,
    one_of: str | None = None,
    ready: Mapping[str, str] | None = None,
    first: bool = False,
    step: float = 0.0,
) -> Any:
    """A field for one quantity.

    kind: a key of `quantities.kinds.KINDS`. label: what the form calls it. default: a quantity as text, ByChoice, SameAs, or
    None for a field that may be absent. gt, ge, lt, le: its physical range in SI. help: how one measures it.
    when: (sibling choice, value) for which it matters. one_of: name of a set of fields of which exactly one is given (at most one,
    where one of them has a default). ready: ready choices, what each is called and the quantity it stands for.
    first: whether it stands open where nothing is stated yet, though it may be absent.
    step: what it can be had in [SI], where only some sizes are made.
    """
    extra: dict[str, Any] = {"x-field": "number" if kind in ("fraction", "number") else "quantity", "x-kind": kind}
    extra |= {f"x-{name}": bound for name, bound in (("gt", gt), ("ge", ge), ("lt", lt), ("le", le)) if bound is not None}
    extra |= {"x-from": default} if isinstance(default, (str, ByChoice, SameAs)) else {}
    extra |= {"x-ready": dict(ready)} if ready else {}
    extra |= {"x-first": True} if first else {}
    extra |= {"x-step": step} if step else {}
    return _field(label, default if default is _REQUIRED else None, extra, help, when, one_of)


def report(label: str, kind: str, *, help: str = "") -> Any:
    """A field for a weather report's line, which stands for a quantity of a kind; it stands open where nothing is stated yet."""
    return _field(label, None, {"x-field": "report", "x-kind": kind, "x-first": True}, help, None, None)


def choice(
    label: str, *, default: str | None = _REQUIRED, words: Mapping[str, str], help: str = "", when: tuple[str, str] | None = None, one_of: str | None = None
) -> Any:
    """A field for one of a few names; words says each of them to a person.  Without a default it must be stated."""
    extra: dict[str, Any] = {"x-field": "choice", "x-words": dict(words)}
    return _field(label, default, extra if default is _REQUIRED else extra | {"x-from": default}, help, when, one_of)


def flag(label: str, *, default: bool = False, help: str = "", when: tuple[str, str] | None = None) -> Any:
    """A field for yes or no."""
    return _field(label, default, {"x-field": "flag", "x-from": default}, help, when, None)


def liquid(label: str, *, help: str = "") -> Any:
    """A field for a liquid, a catalogue name or an object of properties."""
    return _field(label, _REQUIRED, {"x-field": "liquid"}, help, None, None)


def group(label: str, *, optional: bool = False, help: str = "", when: tuple[str, str] | None = None) -> Any:
    """A field for a Part of its own."""
    kind = "optional-group" if optional else "group"
    return _field(label, None if optional else _REQUIRED, {"x-field": kind}, help, when, None)


def items(
    label: str,
    item: str,
    *,
    least: int,
    most: int,
    default: Default = _REQUIRED,
    new: Any = None,
    help: str = "",
    one_of: str | None = None,
    kind: str = "",
    line: str = "",
    **bounds: float,
) -> Any:
    """A field for a list of Parts, or of quantities of one kind with bounds.

    item: what one of them is called. new: a document fragment for an added one, where the drawing cannot place it.
    line: an example of the whole list typed as one line, where the demonstration reads one.
    """
    extra = {"x-field": "list", "x-item": item, "x-least-items": least, "x-most-items": most, "x-new": new}
    extra |= {"x-kind": kind} if kind else {}
    extra |= {"x-line": line} if line else {}
    extra |= {f"x-{name}": bound for name, bound in bounds.items()}
    return _field(label, default if default is _REQUIRED else (), extra, help, None, one_of)


def _field(label: str, default: Any, extra: dict[str, Any], help: str, when: tuple[str, str] | None, one_of: str | None) -> Any:
    extra = {"x-label": label, **extra}
    if help:
        extra["x-help"] = help
    if when:
        extra["x-when"] = list(when)
    if one_of:
        extra["x-one-of"] = one_of
        default = None if default is _REQUIRED else default
    return Field(default, json_schema_extra=_serialisable(extra), title=label)


def _serialisable(extra: dict[str, Any]) -> dict[str, Any]:
    """The keywords as JSON; the reader's own objects stay reachable under keys that the schema drops."""
    source = extra.get("x-from")
    if isinstance(source, ByChoice):
        extra["x-default-by"] = {"field": source.field, "table": {k: list(v) for k, v in source.table.items()}}
    elif isinstance(source, SameAs):
        extra["x-default-path"] = source.path
    elif source is not None:
        extra["x-default"] = source
    return extra
